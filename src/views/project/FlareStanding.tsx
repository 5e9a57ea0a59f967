import { useEffect, useMemo, useRef, useState, type PointerEvent } from 'react';
import { shearStiffness } from '../../core/drape';
import { stackStiffness } from '../../core/layers';
import type { ShownRecipe } from '../../server/recipe-work';
import type { Standing, StandingLayer } from '../../server/standing';
import FlareCanvas from '../../ui/FlareCanvas';
import { useAsked } from '../../ui/query';
import { useUnits } from '../../ui/units-context';
import { useStanding } from '../../ui/use-standing';
import Why from '../../ui/Why';
import type { StandingAsked, StandingFrame } from '../../workers/standing.worker';

/** One way of hanging it: with some of its layers. */
interface Way {
  words: string;
  asked: StandingAsked;
}

/** Bare, with each layer by itself, and with all of them. */
function waysOf({ shape, cloth, layers, gluing }: Standing): Way[] {
  if (!cloth) return [];
  const held = new Map(Object.entries(gluing));
  const way = (words: string, own: readonly StandingLayer[]): Way => {
    const all = own.filter(({ at }) => at === 'all').map(({ material }) => material);
    const { bendingLength, arealDensity, rigidity } = stackStiffness(cloth, all, held);
    // What lies in the hem adds what the stack is stiffer and heavier by with it, over the widest strip.
    const strips = own.filter(({ at }) => at === 'hem');
    const more = stackStiffness(cloth, [...all, ...strips.map(({ material }) => material)], held);
    const hem = strips.length > 0 && {
      width: Math.max(...strips.map(({ width }) => width)),
      arealDensity: more.arealDensity - arealDensity,
      rigidity: more.rigidity - rigidity,
    };
    return { words, asked: { shape, cloth: { bendingLength, arealDensity, shearStiffness: shearStiffness(cloth, all) }, hem: hem || null } }; // prettier-ignore
  };
  return [
    way('the cloth alone', []),
    ...layers.map((layer) => way(`${layer.name}${layer.at === 'hem' ? ' in the hem' : ''}`, [layer])),
    ...(layers.length > 1 ? [way('all of them', layers)] : []),
  ];
}

/** A flare seen as it hangs from its waist, with and without each of its layers. */
export default function FlareStanding({ recipe, onClose }: { recipe: ShownRecipe; onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const { answer, error: fault } = useAsked<Standing>(`/api/recipes/${recipe.id}/standing`);
  const ways = useMemo(() => (answer ? waysOf(answer) : []), [answer]);
  const asked = useMemo(() => (ways.length > 0 ? ways.map((way) => way.asked) : undefined), [ways]);
  const { frames, running, error, stop } = useStanding(asked);
  const [picked, setPicked] = useState<number>();
  const shown = picked ?? running ?? Math.max(0, ways.length - 1);
  return (
    <dialog ref={dialog} className="modal" aria-label="See it stand" onClose={onClose}>
      <div className="modal-box max-h-[96vh] w-11/12 max-w-6xl space-y-3">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h2 className="text-xl font-bold">{recipe.name}: see it stand</h2>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Close
          </button>
        </div>
        {[fault, error].map(
          (trouble) =>
            trouble && (
              <p key={trouble} role="alert" className="font-semibold text-error">
                {trouble}
              </p>
            ),
        )}
        {answer && !answer.cloth && <p>Pick the cloth that it is cut from first: how it stands hangs on that.</p>}
        {answer?.cloth && (
          <div className="grid items-start gap-5 lg:grid-cols-[1fr_25rem]">
            <Turned standing={answer} frame={frames[shown]} words={ways[shown]?.words ?? ''} />
            <div className="space-y-3">
              <WayTable {...{ ways, frames, running, shown }} onPick={setPicked} />
              {running !== undefined && (
                <button type="button" className="btn" onClick={stop}>
                  That is enough
                </button>
              )}
              {answer.layers.length === 0 && (
                <p>
                  No layer is chosen for it yet. What is put behind it, or into its hem, is shown here beside the cloth alone.
                </p>
              )}
              <p className="quiet">Cut from {answer.cloth.name}.</p>
            </div>
          </div>
        )}
        <Why title="What this shows, and what it cannot">
          <p>
            Threads run down and round and keep their length; they bend by the bending length of the cloth with its layers, and
            turn on each other by a typical shear stiffness. It hangs from its waist as from a ring, over a body as wide as that,
            and falls from flat. Real cloth has its grain in one direction and falls into other folds each time: how many is
            about, how far it stands out compares one way with the other. A lining hangs by itself and is left out.
          </p>
        </Why>
      </div>
    </dialog>
  );
}

/** It can be turned by the pointer, or by keys. */
function Turned({ standing: { shape }, frame, words }: { standing: Standing; frame: StandingFrame | undefined; words: string }) {
  const [turn, setTurn] = useState(20);
  const [tilt, setTilt] = useState(22);
  const drag = useRef<{ x: number; y: number; turn: number; tilt: number } | undefined>(undefined);
  const move = ({ clientX, clientY }: PointerEvent) => {
    const from = drag.current;
    if (!from) return;
    setTurn(((((from.turn - (clientX - from.x) / 2 + 180) % 360) + 360) % 360) - 180);
    setTilt(Math.min(80, Math.max(-10, from.tilt + (clientY - from.y) / 4)));
  };
  const length = shape.length + shape.behind;
  return (
    <div className="min-w-0">
      <div
        className="cursor-grab touch-none select-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag.current = { x: event.clientX, y: event.clientY, turn, tilt };
        }}
        onPointerMove={move}
        onPointerUp={() => (drag.current = undefined)}
      >
        <FlareCanvas
          frame={frame}
          reach={shape.waist / (2 * Math.PI) + 0.62 * length}
          depth={length}
          {...{ turn, tilt }}
          label={`The flare hanging from its waist: ${words}`}
        />
      </div>
      <label className="flex items-center gap-3">
        <span className="w-20 shrink-0 font-semibold">Turn it</span>
        <input
          type="range"
          className="slider flex-1"
          min={-180}
          max={180}
          value={Math.round(turn)}
          onChange={(event) => setTurn(Number(event.target.value))}
        />
      </label>
    </div>
  );
}

interface WayTableProps {
  ways: readonly Way[];
  frames: readonly (StandingFrame | undefined)[];
  running: number | undefined;
  shown: number;
  onPick: (way: number) => void;
}

/** What was read off each way; the one that is touched is shown. */
function WayTable({ ways, frames, running, shown, onPick }: WayTableProps) {
  const units = useUnits();
  const near = (mm: number) => units.length(5 * Math.round(mm / 5));
  return (
    <table className="table">
      <thead className="text-base-content">
        <tr>
          <th scope="col">With</th>
          <th scope="col">Stands out</th>
          <th scope="col">Folds</th>
        </tr>
      </thead>
      <tbody>
        {ways.map(({ words }, at) => {
          const frame = frames[at];
          return (
            <tr key={words} className={at === shown ? 'bg-base-200' : ''}>
              <th scope="row" className="p-0">
                <button
                  type="button"
                  className="btn btn-ghost h-auto min-h-11 w-full justify-start py-2 text-left"
                  aria-pressed={at === shown}
                  onClick={() => onPick(at)}
                >
                  {words}
                </button>
              </th>
              {frame?.still ? (
                <>
                  <td className="whitespace-nowrap">{near(frame.reading.standsOut)}</td>
                  <td className="whitespace-nowrap">about {frame.reading.folds}</td>
                </>
              ) : (
                <td colSpan={2}>
                  {at === running ? (
                    <progress className="progress progress-primary" aria-label={`${words} is falling`} value={frame?.done ?? 0} />
                  ) : frame ? (
                    'broken off'
                  ) : (
                    '…'
                  )}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
