import type { LayerLayout } from '../core/pieces';
import { bounds, transformed, type Outline } from '../core/shape';
import { useUnits } from './units-context';

interface Props {
  layout: LayerLayout;
  grain: boolean;
  /** What the face on top is: the glue side, or the side without glue. */
  faceWords: string;
  label: string;
}

/** Marks along the tape every 10 cm, or every 4 in. */
const TAPE_STEP = { metric: 100, inch: 101.6 };
/** Least distance between two written marks, in hundredths of the drawing. */
const LEGIBLE = 13;

/** Pieces on the roll, with a tape along the edge, the grain and which face looks up. */
export default function LayoutDrawing({ layout, grain, faceWords, label }: Props) {
  const units = useUnits();
  const { plan, outlines, width } = layout;
  // A short layout lies across the screen with its length running down; a long one runs to the right.
  const long = plan.length > width;
  const length = plan.length * 1.08 + 20;
  const across = long ? length : width;
  const down = long ? width : length;
  const unit = Math.max(across / 1.6, down) / 100;
  /** Drawing coordinates of a place on the roll: x across the width, y along the length. */
  const at = ([x, y]: readonly [number, number]): readonly [number, number] => (long ? [y, x] : [x, y]);
  const path = (outline: Outline) => `${outline.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(p).join(' ')}`).join('')}Z`;
  const step = TAPE_STEP[units.system];
  const every = Math.max(1, Math.ceil((LEGIBLE * unit) / step));
  const marks = Array.from({ length: Math.floor(length / step) + 1 }, (_, i) => i);
  const margin = 20 * unit;
  return (
    <svg
      viewBox={`${-margin} ${-margin * 0.75} ${across + margin * 1.3} ${down + margin * 1.45}`}
      className="max-h-[25rem] w-full"
      role="img"
      aria-label={label}
    >
      <rect x={0} y={0} width={across} height={down} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={0.5 * unit} />
      <path
        d={long ? `M${across} 0V${down}` : `M0 ${down}H${across}`}
        stroke="var(--color-base-200)"
        strokeWidth={1.6 * unit}
        strokeDasharray={`${3 * unit} ${2 * unit}`}
      />
      {marks.map((i) => (
        <g key={i} transform={long ? `translate(${i * step} 0)` : `translate(0 ${i * step})`}>
          <path
            d={long ? `M0 0v${-(i % every === 0 ? 3.5 : 2) * unit}` : `M0 0h${-(i % every === 0 ? 3.5 : 2) * unit}`}
            stroke="var(--ink)"
            strokeWidth={0.45 * unit}
          />
          {i % every === 0 && (
            <text
              x={long ? 0 : -4.6 * unit}
              y={long ? -5 * unit : 1.5 * unit}
              fontSize={4.4 * unit}
              textAnchor={long ? 'middle' : 'end'}
              fill="var(--ink)"
            >
              {i === 0 ? '0' : units.length(i * step)}
            </text>
          )}
        </g>
      ))}
      {plan.placements.map(({ id, copy, rotation, flipped, x, y }) => {
        const placed = transformed(outlines[Number(id)]!, flipped, rotation, x, y);
        const box = bounds(placed);
        const [tx, ty] = at([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
        return (
          <g key={`${id}-${copy}`}>
            <path d={path(placed)} fill="var(--chalk)" fillOpacity={0.16} stroke="var(--ink)" strokeWidth={0.6 * unit} />
            <text x={tx} y={ty + 1.6 * unit} fontSize={4.6 * unit} textAnchor="middle" fill="var(--ink)">
              {copy + 1}
            </text>
          </g>
        );
      })}
      <path
        d={long ? `M${plan.length} ${-2 * unit}V${down + 2 * unit}` : `M${-2 * unit} ${plan.length}H${across + 2 * unit}`}
        stroke="var(--pin)"
        strokeWidth={0.7 * unit}
      />
      <text
        x={long ? plan.length : across}
        y={long ? down + 6.5 * unit : down + 6.5 * unit}
        fontSize={4.8 * unit}
        textAnchor="end"
        fill="var(--pin)"
        fontWeight={650}
      >
        uses {units.length(plan.length)}
      </text>
      <text
        {...(long
          ? { x: -5 * unit, y: down / 2, transform: `rotate(-90 ${-5 * unit} ${down / 2})` }
          : { x: across / 2, y: -5 * unit })}
        fontSize={4.4 * unit}
        textAnchor="middle"
        fill="var(--ink)"
      >
        {units.length(width)} of the roll can be used
      </text>
      <text x={0} y={down + 6.5 * unit} fontSize={4.8 * unit} fill="var(--ink)">
        {faceWords}
        {grain ? ', grain along the tape' : ''}
      </text>
    </svg>
  );
}
