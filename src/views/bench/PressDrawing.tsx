import { bounds, transformed, type Outline } from '../../core/shape';
import type { PressStop } from '../../core/press';

interface Props {
  outline: Outline;
  /** Where the layer lies on it. */
  region: readonly Outline[];
  plate: Outline;
  stops: PressStop[];
  /** Index of the stop in hand. */
  current: number;
}

function path(outline: Outline): string {
  return `${outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${-y}`).join('')}Z`;
}

/** Pressed on the wrong side: the piece lies face down, and is seen mirrored. */
const faceDown = (outline: Outline): Outline => outline.map(([x, y]) => [-x, y]);

/** The piece as it lies, face down, with its layer and all stops of the iron: pressed ones filled, the one in hand bright with its number. */
export default function PressDrawing({ outline: pattern, region, plate, stops, current }: Props) {
  const outline = faceDown(pattern);
  const placed = stops.map((stop) => faceDown(transformed(plate, false, stop.rotation, stop.x, stop.y)));
  const box = bounds([...outline, ...placed.flat()]);
  const unit = Math.max(box.maxX - box.minX, box.maxY - box.minY) / 100;
  const centre = (of: Outline) => {
    const b = bounds(of);
    return [(b.minX + b.maxX) / 2, -(b.minY + b.maxY) / 2] as const;
  };
  return (
    <svg
      viewBox={`${box.minX - 3 * unit} ${-box.maxY - 3 * unit} ${box.maxX - box.minX + 6 * unit} ${box.maxY - box.minY + 6 * unit}`}
      className="max-h-full w-full"
      role="img"
      aria-label={`The piece, face down, with ${stops.length} iron stops; number ${Math.min(current + 1, stops.length)} is next`}
    >
      <path d={path(outline)} fill="var(--color-base-200)" stroke="var(--ink)" strokeWidth={0.8 * unit} />
      {region.map((layer, i) => (
        <path
          key={`layer ${i}`}
          d={path(faceDown(layer))}
          fill="none"
          stroke="var(--chalk)"
          strokeWidth={0.5 * unit}
          strokeDasharray={`${1.2 * unit} ${0.9 * unit}`}
        />
      ))}
      {placed.map((sole, i) => (
        <path
          key={i}
          d={path(sole)}
          fill={i < current ? 'var(--moss)' : i === current ? 'var(--color-accent)' : 'none'}
          fillOpacity={i < current ? 0.28 : i === current ? 0.55 : 0}
          stroke={i === current ? 'var(--color-accent)' : 'var(--ink)'}
          strokeOpacity={i === current ? 1 : 0.35}
          strokeWidth={(i === current ? 1.1 : 0.35) * unit}
          strokeDasharray={i > current ? `${1.5 * unit} ${1.2 * unit}` : undefined}
        />
      ))}
      {placed.map((sole, i) => {
        const [x, y] = centre(sole);
        return (
          <text
            key={i}
            x={x}
            y={y + 2.2 * unit}
            fontSize={(i === current ? 8 : 5) * unit}
            fontWeight={i === current ? 800 : 500}
            textAnchor="middle"
            fill="var(--ink)"
            opacity={i === current ? 1 : 0.75}
          >
            {i < current ? '✓' : i + 1}
          </text>
        );
      })}
    </svg>
  );
}
