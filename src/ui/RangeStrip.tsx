interface Props {
  /** What is shown along the strip, in one unit. */
  others: { name: string; value: number }[];
  usual: { low: number; high: number } | undefined;
  /** This cloth's own figure, when there is one. */
  mine: { value: number; give: number | undefined } | undefined;
  write: (value: number) => string;
  label: string;
}

/** What similar cloths read, as ticks on a line; the usual range as a band; this cloth as a pin. */
export default function RangeStrip({ others, usual, mine, write, label }: Props) {
  const values = [
    ...others.map(({ value }) => value),
    ...(usual ? [usual.low, usual.high] : []),
    ...(mine ? [mine.value - (mine.give ?? 0), mine.value + (mine.give ?? 0)] : []),
  ];
  if (values.length === 0) return null;
  const least = Math.min(...values);
  const most = Math.max(...values);
  const pad = Math.max((most - least) * 0.08, most * 0.02, 0.01);
  const at = (value: number) => 4 + (192 * (value - least + pad)) / (most - least + 2 * pad);
  return (
    <svg viewBox="0 0 200 30" role="img" aria-label={label} className="w-full">
      {usual && (
        <rect
          x={at(usual.low)}
          y={6}
          width={Math.max(1.5, at(usual.high) - at(usual.low))}
          height={9}
          rx={2}
          fill="var(--color-accent)"
          opacity={0.5}
        />
      )}
      <path d="M4 10.5H196" stroke="var(--ink)" strokeWidth={0.6} opacity={0.6} />
      {others.map(({ name, value }) => (
        <path key={name} d={`M${at(value)} 6V15`} stroke="var(--ink)" strokeWidth={1}>
          <title>{`${name}: ${write(value)}`}</title>
        </path>
      ))}
      {mine && (
        <>
          {mine.give !== undefined && (
            <path d={`M${at(mine.value - mine.give)} 10.5H${at(mine.value + mine.give)}`} stroke="var(--chalk)" strokeWidth={3} />
          )}
          <circle cx={at(mine.value)} cy={10.5} r={3.6} fill="var(--chalk)" stroke="var(--color-base-100)" strokeWidth={0.8} />
        </>
      )}
      <g fontSize={6.6} fill="var(--ink)">
        <text x={at(least)} y={25}>
          {write(least)}
        </text>
        {most > least && (
          <text x={at(most)} y={25} textAnchor="end">
            {write(most)}
          </text>
        )}
      </g>
    </svg>
  );
}
