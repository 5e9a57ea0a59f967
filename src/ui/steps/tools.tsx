import type { ReactNode } from 'react';

/** Tools of the drawings, in thin ink, each about its own origin; 1 unit is 1 px of a drawing of 200 × 130. */

const INK = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.4, strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
const SOLID = { ...INK, fill: 'var(--color-base-100)' } as const;

export function At({ x, y, turn = 0, children }: { x: number; y: number; turn?: number; children: ReactNode }) {
  return <g transform={`translate(${x} ${y}) rotate(${turn})`}>{children}</g>;
}

/** Where a hand or a tool goes. */
export function Arrow({ d }: { d: string }) {
  return <path d={d} fill="none" stroke="var(--chalk)" strokeWidth={2.2} strokeLinecap="round" markerEnd="url(#goes)" />;
}

/** An iron from the side, its sole on the line y = 0. */
export function Iron() {
  return (
    <g>
      <path d="M-30 0H32C30 -12 18 -17 2 -17H-24C-28 -17 -30 -12 -30 -6Z" {...SOLID} />
      <path d="M-22 -17C-22 -27 -18 -30 -8 -30H6C13 -30 14 -24 10 -17" {...INK} strokeWidth={3} />
      <path d="M-30 0H32" {...INK} strokeWidth={2.6} />
    </g>
  );
}

/** A trigger bottle whose nozzle is at the origin, and what comes out of it. */
export function Bottle() {
  return (
    <g>
      <path d="M4 -4H20V4H16V12H22L26 20V44H2V20L8 12V4H4Z" {...SOLID} />
      <path d="M2 26H26" {...INK} />
      <path d="M12 6L4 14" {...INK} />
      {[-16, -5, 6, 17].map((y) => (
        <path key={y} d={`M-4 0L-34 ${y}`} {...INK} strokeDasharray="1 5" />
      ))}
    </g>
  );
}

/** Scissors that cut towards the left. */
export function Scissors() {
  return (
    <g>
      <path d="M-26 -6L8 4M-26 6L8 -4" {...INK} strokeWidth={2} />
      <circle cx={15} cy={8} r={7} {...SOLID} />
      <circle cx={15} cy={-8} r={7} {...SOLID} />
    </g>
  );
}

/** A needle with its thread. */
export function Needle() {
  return (
    <g>
      <path d="M0 0L22 -14" {...INK} strokeWidth={2} />
      <path d="M22 -14C34 -22 30 -30 42 -28" {...INK} stroke="var(--color-accent)" />
    </g>
  );
}

/** A line with two pegs; what hangs is drawn below it. */
export function Line() {
  return (
    <g>
      <path d="M-92 -4C-40 4 40 4 92 -4" {...INK} />
      {[-44, 44].map((x) => (
        <path key={x} d={`M${x} -6V10M${x - 3} -6V10`} {...INK} strokeWidth={2.2} />
      ))}
    </g>
  );
}

/** A bowl of water, its rim through the origin. */
export function Bowl() {
  return (
    <g>
      <path d="M-62 0C-58 34 -34 44 0 44S58 34 62 0Z" {...SOLID} />
      <path d="M-54 10C-36 4 -18 16 0 10S36 4 54 10" {...INK} stroke="var(--chalk)" />
    </g>
  );
}

/** A clock with its hand. */
export function Clock() {
  return (
    <g>
      <circle r={15} {...SOLID} />
      <path d="M0 -10V0L7 5" {...INK} strokeWidth={2} />
    </g>
  );
}

/** A hoop of two rings. */
export function Hoop({ width, height }: { width: number; height: number }) {
  const ring = (by: number) => (
    <rect x={-width / 2 - by} y={-height / 2 - by} width={width + 2 * by} height={height + 2 * by} rx={14 + by} {...INK} />
  );
  return (
    <g>
      {ring(0)}
      {ring(5)}
      <path d={`M${width / 2 + 5} -5H${width / 2 + 16}V5H${width / 2 + 5}`} {...INK} />
    </g>
  );
}

/** A hand that lies flat, seen from above, its fingers to the left. */
export function Hand() {
  return (
    <path
      d="M34 14C20 14 16 16 8 16C2 16 -2 14 -6 13L-28 13C-32 13 -32 7 -28 7H-14L-34 5C-38 4 -37 -2 -33 -2L-14 0L-34 -7C-38 -9 -35 -14 -31 -13L-12 -7L-26 -16C-30 -19 -26 -23 -22 -21L0 -10C6 -14 4 -22 8 -26C12 -29 16 -26 14 -18C14 -10 18 -8 34 -8Z"
      {...SOLID}
    />
  );
}
