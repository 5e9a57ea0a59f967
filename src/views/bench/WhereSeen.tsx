import type { MouseEvent } from 'react';
import { isHeld, stopsOver, type PressedGround } from '../../core/bench';
import { bounds, isInside, type Outline, type Point } from '../../core/shape';

interface Props {
  ground: PressedGround;
  /** Numbers of the stops that were paused, with their steps. */
  paused: readonly { step: number; number: number }[];
  place: Point | undefined;
  onPlace: (place: Point | undefined) => void;
}

const path = (outline: Outline): string => `${outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${-y}`).join('')}Z`;

/** What was pressed, as it lay, with every stop: the place where something is wrong is touched, and the stops over it are told. */
export default function WhereSeen({ ground, paused, place, onPlace }: Props) {
  const lies = (outline: Outline): Outline => (ground.faceDown ? outline.map(([x, y]) => [-x, y]) : outline);
  const outline = lies(ground.outline);
  const soles = ground.stops.map(({ sole }) => lies(sole));
  const box = bounds([...outline, ...soles.flat()]);
  const unit = Math.max(box.maxX - box.minX, box.maxY - box.minY) / 100;
  const over = place ? stopsOver(ground, place) : [];
  const touched = (event: MouseEvent<SVGSVGElement>) => {
    const drawn = event.currentTarget;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(drawn.getScreenCTM()!.inverse());
    const on: Point = [ground.faceDown ? -at.x : at.x, -at.y];
    // Beside the piece there is nothing to be seen.
    if (isInside(on, ground.outline)) onPlace(on);
  };
  const numbers = [...new Set(over.map(({ number }) => number))];
  const [shown] = place ? lies([place]) : [];
  return (
    // What is touched here is a place, not the bench's one big button.
    <div className="mt-3" data-own-touch>
      <p className="font-semibold">Touch where it is seen{ground.faceDown ? '; the piece lies face down here' : ''}.</p>
      <svg
        viewBox={`${box.minX - 2 * unit} ${-box.maxY - 2 * unit} ${box.maxX - box.minX + 4 * unit} ${box.maxY - box.minY + 4 * unit}`}
        className="mt-1 max-h-64 w-full cursor-crosshair"
        role="img"
        aria-label={`What was pressed, with ${soles.length} stops of the iron`}
        onClick={touched}
      >
        <path d={path(outline)} fill="var(--color-base-200)" stroke="var(--ink)" strokeWidth={0.8 * unit} />
        {ground.lying.map((layer, i) => (
          <path key={`layer ${i}`} d={path(lies(layer))} fill="none" stroke="var(--chalk)" strokeWidth={0.6 * unit} />
        ))}
        {ground.stops.map((stop, i) => {
          const short = paused.some(({ step, number }) => stop.steps.includes(step) && number === stop.number);
          const hit = over.includes(stop);
          return (
            <path
              key={i}
              d={path(soles[i]!)}
              fill={hit ? 'var(--color-accent)' : short ? 'var(--color-warning)' : 'none'}
              fillOpacity={hit ? 0.45 : 0.3}
              stroke={short ? 'var(--color-warning)' : 'var(--ink)'}
              strokeOpacity={short || hit ? 1 : 0.35}
              strokeWidth={(short || hit ? 0.9 : 0.35) * unit}
            />
          );
        })}
        {shown && <circle cx={shown[0]} cy={-shown[1]} r={1.6 * unit} fill="var(--chalk)" />}
      </svg>
      <label className="mt-1 flex flex-wrap items-center gap-2">
        or by its stop
        <select
          className="select w-32"
          value={numbers[0] ?? ''}
          onChange={({ target }) => onPlace(target.value ? middleOf(ground, Number(target.value)) : undefined)}
        >
          <option value="">anywhere</option>
          {[...new Set(ground.stops.map(({ number }) => number))].map((number) => (
            <option key={number}>{number}</option>
          ))}
        </select>
      </label>
      {place && (
        <p role="status" className="mt-1 border-l-4 border-accent pl-2">
          {!isHeld(ground, place)
            ? 'Nothing is fused at this place.'
            : numbers.length === 0
              ? 'No stop of the iron lay over this place: press it now, with the full seconds.'
              : `Under ${numbers.length === 1 ? 'stop' : 'stops'} ${numbers.join(' and ')}: press ${numbers.length === 1 ? 'it' : numbers.length === 2 ? 'these two' : 'these'} again.`}
        </p>
      )}
    </div>
  );
}

/** Middle of a stop's sole, mm. */
function middleOf({ stops }: PressedGround, number: number): Point | undefined {
  const stop = stops.find((each) => each.number === number);
  if (!stop) return undefined;
  const { minX, maxX, minY, maxY } = bounds(stop.sole);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}
