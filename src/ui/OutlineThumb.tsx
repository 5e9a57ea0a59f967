import { bounds, type Outline, type Point } from '../core/shape';
import { closedPaths, openPath } from './svg-path';

/** A small drawing of outlines, for lists. */
export default function OutlineThumb({
  outlines: given,
  size,
  label,
  asLaid = false,
  lines = [],
}: {
  outlines: Outline[];
  size: number;
  label?: string;
  /** As it lies on the cutting table, its length running to the right. */
  asLaid?: boolean;
  /** Strokes that are drawn on it. */
  lines?: readonly [Point, Point][];
}) {
  const outlines = asLaid ? given.map((outline) => outline.map(([x, y]): Point => [y, -x])) : given;
  const { minX, minY, maxX, maxY } = bounds(outlines.flat());
  const reach = Math.max(maxX - minX, maxY - minY, 1);
  const line = reach / size;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${(minX + maxX - reach) / 2 - line} ${-(minY + maxY + reach) / 2 - line} ${reach + 2 * line} ${reach + 2 * line}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      className="shrink-0"
    >
      <path
        d={closedPaths(outlines)}
        fill="var(--chalk)"
        fillOpacity={0.16}
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth={1.3 * line}
      />
      {lines.length > 0 && <path d={lines.map(openPath).join('')} fill="none" stroke="var(--ink)" strokeWidth={1.6 * line} />}
    </svg>
  );
}
