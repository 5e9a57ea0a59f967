import type { Extent } from '../core/layers';

interface DrawnLayer {
  name: string;
  /** mm. */
  thickness: number;
  extent: Extent;
  /** Lies on top of the cloth instead of behind it. */
  above?: boolean;
}

interface Props {
  cloth: { name: string; thickness: number };
  /** Outermost first. */
  layers: DrawnLayer[];
  /** Seam allowance that is drawn, mm. */
  allowance: number;
  /** How far a trimmed layer stays inside the cut edge, mm. */
  trim: number;
}

const WIDTH = 100;
/** Drawn seam allowance; wider than true, so that what runs into it can be seen. */
const SEAM = 34;
const LEAST = 3;
const MOST = 16;

/** Patterns tell layers apart without colour; each is used in turn. */
const HATCHES = ['dots', 'lines', 'cross', 'waves'] as const;

/** Drawn height of a thickness: relative, but never too thin to see nor so thick that it hides the rest. */
function heightOf(thickness: number): number {
  return Math.max(LEAST, Math.min(MOST, 3 + 7 * Math.sqrt(thickness)));
}

/** Where a layer ends, counted from the cut edge on the right. */
function endOf(extent: Extent, allowance: number, trim: number): number {
  if (extent === 'full') return WIDTH;
  if (extent === 'trimmed') return WIDTH - SEAM * Math.min(1, trim / Math.max(allowance, trim, 0.1));
  return WIDTH - SEAM;
}

function startOf(extent: Extent): number {
  if (extent === 'strip') return WIDTH - SEAM - 26;
  if (extent === 'patch' || extent === 'field') return 16;
  return 0;
}

/** The stack cut through at a seam: what lies on what, and what runs into the seam allowance. */
export default function CrossSection({ cloth, layers, allowance, trim }: Props) {
  const above = layers.filter((layer) => layer.above);
  const below = layers.filter((layer) => !layer.above);
  const rows = [
    ...above.map((layer, i) => ({ ...layer, hatch: HATCHES[(i + 3) % 4]!, cloth: false })),
    { name: cloth.name, thickness: cloth.thickness, extent: 'full' as Extent, hatch: 'solid' as const, cloth: true },
    ...below.map((layer, i) => ({ ...layer, hatch: HATCHES[i % 4]!, cloth: false })),
  ];
  let y = 8;
  const placed = rows.map((row) => {
    const height = heightOf(row.thickness);
    const at = y;
    y += height + 1.4;
    return { ...row, y: at, height };
  });
  const bottom = y;
  return (
    <figure>
      <svg
        viewBox={`-2 0 ${WIDTH + 4} ${bottom + 9}`}
        className="w-full max-w-[24rem]"
        role="img"
        aria-label={`Cross-section: ${rows.map((row) => row.name).join(', then ')}`}
      >
        <defs>
          <pattern id="dots" width="3" height="3" patternUnits="userSpaceOnUse">
            <circle cx="1" cy="1" r="0.6" fill="var(--ink)" />
          </pattern>
          <pattern id="lines" width="2.4" height="2.4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V2.4" stroke="var(--ink)" strokeWidth="0.7" />
          </pattern>
          <pattern id="cross" width="3" height="3" patternUnits="userSpaceOnUse">
            <path d="M0 0L3 3M3 0L0 3" stroke="var(--ink)" strokeWidth="0.45" />
          </pattern>
          <pattern id="waves" width="4" height="2.4" patternUnits="userSpaceOnUse">
            <path d="M0 1.2q1 -1.2 2 0t2 0" stroke="var(--ink)" strokeWidth="0.5" fill="none" />
          </pattern>
        </defs>
        {placed.map((row, i) => {
          const x = startOf(row.extent);
          const width = endOf(row.extent, allowance, trim) - x;
          return (
            <g key={i}>
              <rect
                x={x}
                y={row.y}
                width={width}
                height={row.height}
                rx={1}
                fill={row.cloth ? 'var(--color-base-300)' : 'var(--color-base-100)'}
              />
              {!row.cloth && (
                <rect x={x} y={row.y} width={width} height={row.height} rx={1} fill={`url(#${row.hatch})`} opacity={0.7} />
              )}
              <rect
                x={x}
                y={row.y}
                width={width}
                height={row.height}
                rx={1}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={row.cloth ? 0.9 : 0.6}
              />
            </g>
          );
        })}
        <path d={`M${WIDTH - SEAM} 3V${bottom + 1}`} stroke="var(--chalk)" strokeWidth={0.8} strokeDasharray="2.4 1.6" />
        <text x={WIDTH - SEAM - 1.5} y={bottom + 6.5} fontSize={4.4} fill="var(--ink)" textAnchor="end">
          inside the piece
        </text>
        <text x={WIDTH - SEAM + 1.5} y={bottom + 6.5} fontSize={4.4} fill="var(--ink)">
          seam allowance
        </text>
      </svg>
      <figcaption className="mt-1 text-[0.92rem]">
        <ol className="space-y-0.5">
          {placed.map((row, i) => (
            <li key={i} className="flex items-baseline gap-2">
              <span className="inline-block w-4 shrink-0 text-right">{i + 1}</span>
              <span className={row.cloth ? 'font-semibold' : ''}>
                {row.name}
                {row.cloth ? ' (your cloth)' : ''}
              </span>
            </li>
          ))}
        </ol>
      </figcaption>
    </figure>
  );
}
