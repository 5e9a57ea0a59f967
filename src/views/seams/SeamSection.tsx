import type { SeamPile } from '../../server/seam-work';

interface Props {
  first: readonly SeamPile[];
  second: readonly SeamPile[];
  label: string;
}

const WIDTH = 120;
/** Drawn height of a millimetre; the thinnest can still be seen. */
const MM = 24;
const LEAST = 5;

/** A seam cut through: both cloths right sides together, their layers outside, the stitching through all of it. To scale. */
export default function SeamSection({ first, second, label }: Props) {
  // From outside to the seam: layers of the first side, its cloth; then the second cloth and its layers.
  const rows = [
    ...[...first.slice(1)].reverse().map((pile) => ({ ...pile, cloth: false })),
    { ...first[0]!, cloth: true },
    { ...second[0]!, cloth: true },
    ...second.slice(1).map((pile) => ({ ...pile, cloth: false })),
  ];
  let y = 4;
  const drawn = rows.map((row) => {
    const height = Math.max(LEAST, row.thickness * MM);
    const at = y;
    y += height;
    return { ...row, at, height };
  });
  return (
    <svg viewBox={`0 0 ${WIDTH} ${y + 4}`} className="w-40" role="img" aria-label={label}>
      {drawn.map(({ name, at, height, cloth }, i) => (
        <rect
          key={`${name}${i}`}
          x={6}
          y={at}
          width={WIDTH - 12}
          height={height}
          fill={
            cloth
              ? 'color-mix(in oklab, var(--ink) 20%, var(--color-base-100))'
              : 'color-mix(in oklab, var(--chalk) 25%, var(--color-base-100))'
          }
          stroke="var(--ink)"
          strokeWidth={0.7}
        />
      ))}
      <path d={`M${WIDTH - 34} 0V${y + 4}`} stroke="var(--basting)" strokeWidth={2.4} strokeDasharray="5 3" />
    </svg>
  );
}
