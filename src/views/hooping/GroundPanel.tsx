import { useState } from 'react';
import { edgeWords, edgeDistance, fromEdge } from '../../core/hoop';
import { anticlockwise, bounds, type Outline, type Point } from '../../core/shape';
import { CheckField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { HoopingData, Placed } from './stages';

interface Props {
  ground: Placed['ground'];
  piece: HoopingData['piece'];
  frozen: boolean;
  onGround: (ground: Placed['ground']) => void;
}

/** Width of a seam that is put on the cloth, mm. */
const SEAM = 12;

/** The cloth: typed, or the part's own piece; seams and zips on it. */
export default function GroundPanel({ ground, piece, frozen, onGround }: Props) {
  const units = useUnits();
  const box = bounds(ground.outline);
  const resize = (outline: Outline) => onGround({ outline, obstacles: ground.obstacles, strips: [] });
  const rectangle = (width: number, height: number): Outline => [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const [edge, setEdge] = useState(0);
  const [inset, setInset] = useState(0);
  const [width, setWidth] = useState(SEAM);
  const [start, setStart] = useState(0);
  const [long, setLong] = useState(0);
  const [round, setRound] = useState(false);
  const { length } = edgeDistance(ground.outline, edge, ground.outline[edge]!);
  return (
    <section className="sheet space-y-3 p-4" aria-label="The cloth">
      <h2 className="font-semibold">The cloth</h2>
      {isRectangle(ground.outline) ? (
        <div className="grid grid-cols-2 gap-3">
          <LengthField
            label="Width"
            value={box.maxX - box.minX}
            min={20}
            onChange={(mm) => Math.abs(mm - (box.maxX - box.minX)) > 0.001 && resize(rectangle(mm, box.maxY - box.minY))}
          />
          <LengthField
            label="Height"
            value={box.maxY - box.minY}
            min={20}
            onChange={(mm) => Math.abs(mm - (box.maxY - box.minY)) > 0.001 && resize(rectangle(box.maxX - box.minX, mm))}
          />
        </div>
      ) : (
        <div className="space-y-2">
          <p>
            A piece of {units.size(box.maxX - box.minX, box.maxY - box.minY)}, as it is cut; its size is changed where it is
            drawn.
          </p>
          <button
            type="button"
            className="btn"
            disabled={frozen}
            onClick={() => resize(rectangle(Math.round(box.maxX - box.minX), Math.round(box.maxY - box.minY)))}
          >
            Take a plain rectangle instead
          </button>
        </div>
      )}
      {piece && (
        <button
          type="button"
          className="btn"
          disabled={frozen}
          onClick={() => onGround({ outline: anticlockwise(piece.outline), obstacles: [], strips: [] })}
        >
          Take the piece as it is cut
        </button>
      )}
      {ground.strips.length > 0 && (
        <div className="flex flex-wrap items-center justify-between gap-2">
          <span>{counted(ground.strips.length, 'strip')} of waste cloth basted on</span>
          <button type="button" className="btn" disabled={frozen} onClick={() => onGround({ ...ground, strips: [] })}>
            Take {ground.strips.length === 1 ? 'it' : 'them'} off
          </button>
        </div>
      )}
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-primary underline underline-offset-4">
          Seams, zips and buttons on it
        </summary>
        <div className="mt-3 grid grid-cols-2 gap-3">
          <label className="block">
            <span className="font-semibold">Along the</span>
            <select className="select" value={edge} onChange={(event) => setEdge(Number(event.target.value))}>
              {ground.outline.map((_, i) => (
                <option key={i} value={i}>
                  {edgeWords(ground.outline, i)}
                </option>
              ))}
            </select>
          </label>
          <LengthField label="So far from it" value={inset} onChange={setInset} />
          <LengthField label="So wide" value={width} min={1} onChange={setWidth} />
          <LengthField
            label="So long"
            value={long}
            onChange={setLong}
            hint={long === 0 ? 'All along it, as a seam or a long zip.' : 'A short zip, a pocket, a button.'}
          />
          {long > 0 && <LengthField label="From its beginning" value={start} onChange={setStart} />}
          {long > 0 && (
            <div className="self-center">
              <CheckField label="Round, as a button" checked={round} onChange={setRound} />
            </div>
          )}
          <button
            type="button"
            className="btn self-end"
            disabled={frozen}
            onClick={() =>
              onGround({
                ...ground,
                obstacles: [
                  ...ground.obstacles,
                  inTheWay(ground.outline, edge, {
                    inset,
                    width,
                    start: long > 0 ? start : 0,
                    long: long > 0 ? long : length,
                    round: long > 0 && round,
                  }),
                ],
              })
            }
          >
            Put it on
          </button>
        </div>
        {ground.obstacles.length > 0 && (
          <button
            type="button"
            className="btn mt-3"
            disabled={frozen}
            onClick={() => onGround({ ...ground, obstacles: ground.obstacles.slice(0, -1) })}
          >
            Take the last one off ({ground.obstacles.length})
          </button>
        )}
      </details>
    </section>
  );
}

/** Whether an outline is an upright rectangle, whose sides can be typed. */
function isRectangle(outline: Outline): boolean {
  const { minX, minY, maxX, maxY } = bounds(outline);
  return outline.length === 4 && outline.every(([x, y]) => (x === minX || x === maxX) && (y === minY || y === maxY));
}

/** Corners that a round thing is drawn with. */
const ROUND = 24;

/** What lies in the way beside an edge: so far from it and from its beginning, so wide and so long; a rectangle, or round. */
function inTheWay(
  outline: Outline,
  edge: number,
  { inset, width, start, long, round }: { inset: number; width: number; start: number; long: number; round: boolean },
): Outline {
  const corners: Point[] = round
    ? Array.from({ length: ROUND }, (_, i): Point => {
        const t = (2 * Math.PI * i) / ROUND;
        return [start + (long / 2) * (1 + Math.cos(t)), inset + (width / 2) * (1 + Math.sin(t))];
      })
    : [
        [start, inset],
        [start + long, inset],
        [start + long, inset + width],
        [start, inset + width],
      ];
  return corners.map(([along, distance]): Point => {
    const { x, y } = fromEdge(outline, edge, distance, along);
    return [x, y];
  });
}
