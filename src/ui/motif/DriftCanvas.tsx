import { useEffect, useRef } from 'react';
import type { DriftMap } from '../../core/hoop';

interface Props {
  map: DriftMap;
  /** Largest drift of all maps that stand side by side, mm: one scale for all. */
  scaleTo: number;
  size: number;
  label: string;
}

/** What is drawn of a drift: many times as far as it is. */
const EXAGGERATED = 8;
/** Lines of the drawn net a side. */
const LINES = 18;
/** Shortening at which a cell is drawn in full red. */
const WORST = 0.06;

/** An elastic ground under a motif: its weave drawn together, many times exaggerated, and red where it cannot lie flat. */
export default function DriftCanvas({ map, scaleTo, size, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    const dense = devicePixelRatio || 1;
    const side = size * dense;
    context.clearRect(0, 0, side, side);
    const { columns, rows, dx, dy, moves, pucker } = map;
    const scale = (side - 8 * dense) / Math.max(columns * dx, rows * dy);
    const [left, bottom] = [(side - columns * dx * scale) / 2, (side + rows * dy * scale) / 2];
    const by = scaleTo > 0 ? Math.min(EXAGGERATED, (0.16 * Math.max(columns * dx, rows * dy)) / scaleTo) : EXAGGERATED;
    const at = (c: number, r: number): [number, number] => {
      const node = 2 * (r * (columns + 1) + c);
      return [left + (c * dx + by * moves[node]!) * scale, bottom - (r * dy + by * moves[node + 1]!) * scale];
    };
    for (let r = 0; r < rows; r++)
      for (let c = 0; c < columns; c++) {
        const share = Math.min(1, pucker[r * columns + c]! / WORST);
        if (share < 0.02) continue;
        context.fillStyle = `rgb(168 30 43 / ${0.12 + 0.7 * share})`;
        context.beginPath();
        for (const [cc, rr] of [
          [c, r],
          [c + 1, r],
          [c + 1, r + 1],
          [c, r + 1],
        ] as const)
          context.lineTo(...at(cc, rr));
        context.fill();
      }
    context.strokeStyle = '#1a2238';
    context.lineWidth = 0.7 * dense;
    const line = (points: [number, number][]) => {
      context.beginPath();
      points.forEach((point, i) => (i === 0 ? context.moveTo(...point) : context.lineTo(...point)));
      context.stroke();
    };
    const every = (count: number) => Math.max(1, Math.round(count / LINES));
    for (let r = 0; r <= rows; r += every(rows)) line(Array.from({ length: columns + 1 }, (_, c) => at(c, r)));
    for (let c = 0; c <= columns; c += every(columns)) line(Array.from({ length: rows + 1 }, (_, r) => at(c, r)));
  }, [map, scaleTo, size]);
  const dense = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      className="motif-ground rounded border border-base-300"
      width={size * dense}
      height={size * dense}
      style={{ width: size, height: size }}
    />
  );
}
