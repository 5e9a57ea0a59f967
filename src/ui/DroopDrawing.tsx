import { useMemo } from 'react';
import { droopProfile } from '../core/cloth';
import { useUnits } from './units-context';

interface Props {
  /** Bending length of the finished stack and the ends of its interval, mm. */
  stack: { bendingLength: number; low: number; high: number };
  /** The cloth alone, mm. */
  bare?: number;
  /** Wanted bending lengths, mm. */
  band?: readonly [number, number];
  /** Width of the drawing, px; a thumbnail leaves the words out. */
  size?: 'thumb' | 'large';
  label: string;
}

/** Length that hangs over the edge in every drawing, mm, so that drawings can be compared at a glance. */
const HANGING = 60;
/** Room to the left of the edge for the table, mm. */
const TABLE = 24;

function path(points: readonly [number, number][]): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
}

/** The region between the curves of two bending lengths, as one closed path. */
function fan(stiff: readonly [number, number][], soft: readonly [number, number][]): string {
  return `${path(stiff)}${[...soft]
    .reverse()
    .map(([x, y]) => `L${x.toFixed(2)} ${y.toFixed(2)}`)
    .join('')}Z`;
}

/**
 * A strip that droops over a table edge as the real one would: the stack in ink with its uncertainty as a
 * fan, the bare cloth in grey, the wanted feel as a yellow wedge.
 */
export default function DroopDrawing({ stack, bare, band, size = 'large', label }: Props) {
  const units = useUnits();
  const thumb = size === 'thumb';
  const curves = useMemo(() => {
    const curve = (c: number) => droopProfile(Math.max(c, 0.8), HANGING);
    return {
      stack: curve(stack.bendingLength),
      fan: fan(curve(stack.high), curve(stack.low)),
      bare: bare === undefined ? undefined : curve(bare),
      band: band && fan(curve(band[1]), curve(band[0])),
      bandEnds: band && ([curve(band[0]), curve(band[1])] as const),
    };
  }, [stack.bendingLength, stack.low, stack.high, bare, band]);
  const tip = curves.stack[curves.stack.length - 1]!;
  const bareTip = curves.bare?.[curves.bare.length - 1];
  const box = thumb
    ? `${-TABLE / 2} -4 ${TABLE / 2 + HANGING + 4} ${HANGING + 6}`
    : `${-TABLE} -11 ${TABLE + HANGING + 26} ${HANGING + 16}`;
  return (
    <svg viewBox={box} role="img" aria-label={label} className={thumb ? 'h-[80px] w-[92px] shrink-0' : 'w-full max-w-[30rem]'}>
      {curves.band && <path d={curves.band} fill="var(--color-accent)" opacity={0.42} />}
      <path d={curves.fan} fill="var(--ink)" opacity={0.16} />
      {curves.bare && (
        <path d={path(curves.bare)} fill="none" stroke="var(--ink)" opacity={0.5} strokeWidth={0.8} strokeDasharray="2 1.6" />
      )}
      <rect x={-TABLE} y={1.2} width={TABLE} height={6} fill="none" stroke="var(--ink)" strokeWidth={0.9} />
      {Array.from({ length: 4 }, (_, i) => (
        <path key={i} d={`M${-TABLE + 2 + i * 6} 7.2l4 -6`} stroke="var(--ink)" strokeWidth={0.4} opacity={0.6} />
      ))}
      <path
        d={`M${-TABLE} 0H0${path(curves.stack)
          .slice(1)
          .replace(/^[^L]*/, '')}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={thumb ? 1.8 : 1.4}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {!thumb && (
        <g fontSize={4.5} fill="var(--ink)">
          <text x={tip[0] + 2.5} y={tip[1] + 1.5} fontWeight={650}>
            with layers
          </text>
          {bareTip && Math.hypot(bareTip[0] - tip[0], bareTip[1] - tip[1]) > 6 && (
            <text
              x={bareTip[0] + (bareTip[0] < tip[0] ? -2 : 2.5)}
              y={bareTip[1] + 3}
              textAnchor={bareTip[0] < tip[0] ? 'end' : 'start'}
              opacity={0.8}
            >
              cloth alone
            </text>
          )}
          <text x={-TABLE} y={-5} opacity={0.85}>
            {units.length(HANGING)} of the piece hang over a table edge
          </text>
        </g>
      )}
    </svg>
  );
}
