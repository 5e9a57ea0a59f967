import { bounds, transformed, type Outline } from '../../core/shape';
import type { BenchSheet, BenchStep } from '../../core/bench';

interface Props {
  sheet: BenchSheet;
  /** The step that is done on it. */
  step: BenchStep;
  /** Sole of the iron, where the sheet has no plate of its own. */
  plate: Outline;
  /** Index of the stop in hand. */
  current: number;
}

function path(outline: Outline): string {
  return `${outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${-y}`).join('')}Z`;
}

/** Letters no larger than this share of a piece's narrower side, nor of the whole drawing. */
const LETTERS = 0.3;

/** A sheet with its pieces: what is bare glue is hatched; while it is pressed, what lies on the board and every stop. */
export default function SheetDrawing({ sheet, step, plate: sole, current }: Props) {
  const { outline, pieces, plate = sole, whole, load } = sheet;
  const stops = (step.stops ?? []).map((stop) => transformed(plate, false, stop.rotation, stop.x, stop.y));
  const box = bounds([...outline, ...stops.flat()]);
  const unit = Math.max(box.maxX - box.minX, box.maxY - box.minY) / 100;
  const { area } = step;
  return (
    <svg
      viewBox={`${box.minX - 2 * unit} ${-box.maxY - 2 * unit} ${box.maxX - box.minX + 4 * unit} ${box.maxY - box.minY + 4 * unit}`}
      className="max-h-full w-full"
      role="img"
      aria-label={`${pieces.length} pieces on ${load ? 'the plate' : whole ? 'a length' : 'the layer'}: ${pieces.map(({ name }) => name).join(', ')}${
        stops.length > 0 ? `; stop ${Math.min(current + 1, stops.length)} of ${stops.length} is next` : ''
      }`}
    >
      <defs>
        <pattern id="bare" width={2.4 * unit} height={2.4 * unit} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d={`M0 0V${2.4 * unit}`} stroke="var(--ink)" strokeOpacity={0.55} strokeWidth={0.35 * unit} />
        </pattern>
      </defs>
      <path
        d={path(outline)}
        fill={whole ? 'var(--color-base-200)' : load ? 'none' : 'url(#bare)'}
        stroke="var(--ink)"
        strokeWidth={0.4 * unit}
      />
      {pieces.map((piece) => {
        const b = bounds(piece.outline);
        const size = Math.min(4.2 * unit, LETTERS * Math.min(b.maxX - b.minX, b.maxY - b.minY));
        const upright = b.maxY - b.minY > 1.5 * (b.maxX - b.minX);
        const [x, y] = [(b.minX + b.maxX) / 2, -(b.minY + b.maxY) / 2];
        return (
          <g key={piece.name}>
            <path
              d={path(piece.outline)}
              fill="var(--color-base-200)"
              stroke="var(--ink)"
              strokeWidth={0.6 * unit}
              strokeDasharray={whole ? `${1.4 * unit} ${unit}` : undefined}
            />
            <text
              x={x}
              y={y + size / 3}
              transform={upright ? `rotate(-90 ${x} ${y})` : undefined}
              fontSize={size}
              fontWeight={600}
              textAnchor="middle"
              fill="var(--ink)"
            >
              {piece.name}
            </text>
          </g>
        );
      })}
      {area && (
        <rect
          x={area.minX}
          y={-area.maxY}
          width={area.maxX - area.minX}
          height={area.maxY - area.minY}
          fill="none"
          stroke="var(--color-primary)"
          strokeWidth={0.9 * unit}
        />
      )}
      {stops.map((at, i) => (
        <path
          key={i}
          d={path(at)}
          fill={i < current ? 'var(--moss)' : i === current ? 'var(--color-accent)' : 'none'}
          fillOpacity={i < current ? 0.28 : i === current ? 0.5 : 0}
          stroke={i === current ? 'var(--color-accent)' : 'var(--ink)'}
          strokeOpacity={i === current ? 1 : 0.35}
          strokeWidth={(i === current ? 0.9 : 0.3) * unit}
          strokeDasharray={i > current ? `${1.4 * unit} ${1.1 * unit}` : undefined}
        />
      ))}
    </svg>
  );
}
