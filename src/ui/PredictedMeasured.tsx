interface Props {
  predicted: number;
  low: number;
  high: number;
  measured: number | null;
}

/** Scale of every such drawing, mm of bending length: from chiffon to a stiff brim, logarithmic. */
const FROM = 6;
const TO = 160;

function at(c: number): number {
  return (Math.log(Math.max(FROM, Math.min(TO, c)) / FROM) / Math.log(TO / FROM)) * 100;
}

/** Predicted interval as a bar, its middle as a tick, the reading as a pin head. */
export default function PredictedMeasured({ predicted, low, high, measured }: Props) {
  const inside = measured !== null && measured >= low && measured <= high;
  const words = `Expected about ${Math.round(predicted)} mm (${Math.round(low)} to ${Math.round(high)})${measured === null ? '' : `, measured ${Math.round(measured)} mm, ${inside ? 'inside' : measured < low ? 'softer' : 'stiffer'}`}`;
  return (
    <figure className="min-w-44">
      <svg viewBox="-2 0 104 16" className="w-full" role="img" aria-label={words}>
        <path d="M0 8H100" stroke="var(--ink)" strokeWidth={0.6} opacity={0.5} />
        <rect
          x={at(low)}
          y={5}
          width={Math.max(1, at(high) - at(low))}
          height={6}
          rx={1.5}
          fill="var(--color-accent)"
          stroke="var(--ink)"
          strokeWidth={0.4}
        />
        <path d={`M${at(predicted)} 3.5V12.5`} stroke="var(--ink)" strokeWidth={1.2} />
        {measured !== null && (
          <circle
            cx={at(measured)}
            cy={8}
            r={2.8}
            fill={inside ? 'var(--moss)' : 'var(--pin)'}
            stroke="var(--color-base-100)"
            strokeWidth={0.8}
          />
        )}
      </svg>
      <figcaption className="text-[0.88rem]">
        expected {Math.round(predicted)}&nbsp;mm
        {measured !== null && (
          <>
            , measured <strong>{Math.round(measured)}&nbsp;mm</strong>
            {inside ? '' : measured < low ? ' (softer)' : ' (stiffer)'}
          </>
        )}
      </figcaption>
    </figure>
  );
}
