import { Maximize, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import {
  bend,
  bounds,
  drawShape,
  edgeMeasures,
  mirrorAtEdge,
  moveControl,
  moveCorner,
  removeCorner,
  setEdge,
  snapped,
  splitEdge,
  straighten,
  type DrawnShape,
  type Edited,
  type Point,
} from '../../core/shape';
import { InputError } from '../../core/input-error';
import { CheckField } from '../form/form-fields';
import LengthField from '../LengthField';
import PlaceField from '../PlaceField';
import TypedField from '../TypedField';
import { useUnits } from '../units-context';
import { useHistory } from '../use-history';
import EditorCanvas, { type Held } from './EditorCanvas';

interface Props {
  shape: DrawnShape;
  name: string;
  /** For each new edge the number of the edge it came from. */
  onDone: (shape: DrawnShape, sources: number[]) => void;
  onClose: () => void;
}

/** Steps that corners snap to: a millimetre, or a sixteenth of an inch. */
const SNAP = { metric: 1, inch: 25.4 / 16 };

/** Draws and changes an outline: corners, straight and curved edges, exact lengths and angles. */
export default function OutlineEditor({ shape, name, onDone, onClose }: Props) {
  const { system, size } = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const history = useHistory<Edited>({ edges: shape.edges, sources: shape.edges.map((_, i) => i) });
  const [held, setHeld] = useState<Held>({ kind: 'edge', index: 0 });
  const [snap, setSnap] = useState(true);
  const [error, setError] = useState<string>();
  const [fit, setFit] = useState(0);
  useEffect(() => dialog.current?.showModal(), []);
  const { now, set } = history;
  const holes = useMemo(() => shape.holes ?? [], [shape]);
  const step = snap ? SNAP[system] : 0;
  const fault = useMemo(() => faultOf({ kind: 'drawn', edges: now.edges, holes }), [now, holes]);
  const hotkeys = { enableOnFormTags: false } as const;
  useHotkeys('mod+z', () => history.undo(), hotkeys);
  useHotkeys('mod+shift+z, mod+y', () => history.redo(), hotkeys);

  const index = held.index % now.edges.length;
  const corner = held.kind === 'corner' ? now.edges[index]!.from : undefined;
  const measures = held.kind === 'edge' ? edgeMeasures(now, index) : undefined;
  const edge = now.edges[index]!;
  const act = (change: () => Edited, same?: string) => {
    try {
      set(change(), same);
      setError(undefined);
    } catch (problem) {
      if (!(problem instanceof InputError)) throw problem;
      setError(problem.message.slice(problem.field.length + 2));
    }
  };
  const nudge = ([dx, dy]: Point) => {
    if (!corner) return;
    const by = SNAP[system];
    act(() => moveCorner(now, index, [corner[0] + dx * by, corner[1] + dy * by]), `nudge-${index}`);
  };
  const remove = () => {
    if (held.kind !== 'corner') return;
    act(() => removeCorner(now, index));
    setHeld({ kind: 'corner', index: Math.max(0, index - 1) });
  };
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-label={`Outline of ${name}`}
      onClose={onClose}
      onCancel={(event) => {
        // Escape would throw the drawing away; it closes only what has not been changed.
        if (history.canUndo) event.preventDefault();
      }}
    >
      <div className="modal-box flex h-[92vh] max-h-none w-[96vw] max-w-[1500px] flex-col gap-3 p-4">
        <div className="flex flex-wrap items-center gap-2">
          <h2 className="mr-auto text-xl font-bold">Outline of {name}</h2>
          <CheckField label={system === 'metric' ? 'Snap to 1 mm' : 'Snap to 1/16 in'} checked={snap} onChange={setSnap} />
          <button type="button" className="btn btn-icon" aria-label="Undo" disabled={!history.canUndo} onClick={history.undo}>
            <Undo2 size={20} aria-hidden="true" />
          </button>
          <button type="button" className="btn btn-icon" aria-label="Redo" disabled={!history.canRedo} onClick={history.redo}>
            <Redo2 size={20} aria-hidden="true" />
          </button>
          <button type="button" className="btn btn-icon" aria-label="Show all of it" onClick={() => setFit((was) => was + 1)}>
            <Maximize size={20} aria-hidden="true" />
          </button>
        </div>
        <div className="grid min-h-0 flex-1 gap-3 md:grid-cols-[1fr_17rem]">
          <div className="min-h-[16rem] overflow-hidden rounded-box border border-base-300">
            <EditorCanvas
              edited={now}
              holes={holes}
              held={{ ...held, index }}
              fit={fit}
              onHold={setHeld}
              onCorner={(i, to) => act(() => moveCorner(now, i, snapped(to, step)), `drag-${i}`)}
              onControl={(i, which, to) => act(() => moveControl(now, i, which, snapped(to, step)), `control-${i}-${which}`)}
              onNudge={nudge}
              onRemove={remove}
            />
          </div>
          <div className="space-y-4 overflow-y-auto pr-1">
            {corner ? (
              <>
                <h3 className="chalk-heading">Corner {index + 1}</h3>
                <PlaceField
                  key={`x${index}`}
                  label="To the right"
                  value={corner[0]}
                  onChange={(x) => act(() => moveCorner(now, index, [x, corner[1]]), `x-${index}`)}
                />
                <PlaceField
                  key={`y${index}`}
                  label="Up"
                  value={corner[1]}
                  onChange={(y) => act(() => moveCorner(now, index, [corner[0], y]), `y-${index}`)}
                />
                <button type="button" className="btn w-full" onClick={remove}>
                  Take this corner out
                </button>
                <p className="quiet text-[0.95rem]">
                  Arrow keys move it by {system === 'metric' ? '1 mm' : '1/16 in'}, with Shift ten times as far.
                </p>
              </>
            ) : (
              measures && (
                <>
                  <h3 className="chalk-heading">
                    Edge {index + 1}: {edge.curve ? 'curved' : edge.via?.length ? 'through points' : 'straight'}
                  </h3>
                  <LengthField
                    key={`length${index}`}
                    label={edge.curve || edge.via?.length ? 'End to end' : 'Length'}
                    value={measures.length}
                    min={0.1}
                    onChange={(length) => act(() => setEdge(now, index, length, measures.angle), `length-${index}`)}
                  />
                  <TypedField
                    key={`angle${index}`}
                    label="Angle (0° to the right, 90° up)"
                    shown={`${Math.round(measures.angle * 10) / 10}°`}
                    read={(text) => {
                      const angle = Number(text.replace('°', '').replace(',', '.').trim() || NaN);
                      return Number.isFinite(angle) ? angle : undefined;
                    }}
                    onChange={(angle) => act(() => setEdge(now, index, measures.length, angle), `angle-${index}`)}
                  />
                  <div className="flex flex-wrap gap-2">
                    {edge.curve || edge.via?.length ? (
                      <button type="button" className="btn" onClick={() => act(() => straighten(now, index))}>
                        Make it straight
                      </button>
                    ) : null}
                    {!edge.curve && (
                      <button type="button" className="btn" onClick={() => act(() => bend(now, index))}>
                        {edge.via?.length ? 'Make it smooth' : 'Make it a curve'}
                      </button>
                    )}
                    <button
                      type="button"
                      className="btn"
                      onClick={() => {
                        act(() => splitEdge(now, index));
                        setHeld({ kind: 'corner', index: index + 1 });
                      }}
                    >
                      Put a corner in
                    </button>
                    <button type="button" className="btn" onClick={() => act(() => mirrorAtEdge(now, index))}>
                      Mirror at this edge
                    </button>
                  </div>
                </>
              )
            )}
            <p className="quiet text-[0.95rem]">
              {now.edges.length} corners. Drag corners and the square handles of curves; drag the ground to move, turn the wheel
              or pinch to zoom.
            </p>
            {(error ?? fault) && (
              <p role="alert" className="font-semibold text-error">
                {error ?? `This cannot be cut: the outline ${fault}.`}
              </p>
            )}
          </div>
        </div>
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-primary"
            disabled={fault !== undefined}
            onClick={() => {
              onDone({ ...shape, edges: now.edges }, now.sources);
              dialog.current?.close();
            }}
          >
            Take this outline
          </button>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Leave it as it was
          </button>
          <span className="quiet self-center">{sizeWords(now, size)}</span>
        </div>
      </div>
    </dialog>
  );
}

function sizeWords({ edges }: Edited, written: (width: number, height: number) => string): string {
  try {
    const { outline } = drawShape({ kind: 'drawn', edges });
    const { minX, minY, maxX, maxY } = bounds(outline);
    return written(maxX - minX, maxY - minY);
  } catch {
    return '';
  }
}

function faultOf(shape: DrawnShape): string | undefined {
  try {
    drawShape(shape);
    return undefined;
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return problem.message.slice(problem.field.length + 2);
  }
}
