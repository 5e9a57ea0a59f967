import { useEffect, useMemo, useRef, useState } from 'react';
import { lastingLayers, type Role } from '../core/choose';
import { useQuery } from '@tanstack/react-query';
import { useClient } from './query';
import type { Fabric } from '../core/cloth';
import { shearStiffness, type Support } from '../core/drape';
import { scaleMaterial, stackStiffness, type Material, joinedAs, usedOf } from '../core/layers';
import { call } from './api';
import DroopDrawing from './DroopDrawing';
import SheetCanvas from './SheetCanvas';
import { keepUnits } from './text';
import { useDrape } from './use-drape';
import { useUnits } from './units-context';
import Why from './Why';

interface Props {
  fabric: Fabric;
  clothName: string;
  stackTitle: string;
  role: Role;
  /** Layers, outermost first. */
  layerIds: string[];
  /** Bending length that the answer shows, mm. */
  expected: number;
  onClose: () => void;
}

type View = 'strip' | Support;
const VIEWS: [View, string][] = [
  ['round', 'on a round stand'],
  ['corner', 'over a table corner'],
  ['strip', 'as a strip'],
];

/** A square of the cloth, without and with its layers, hung where it can be looked at from all sides. */
export default function HangSimulator({ fabric, clothName, stackTitle, role, layerIds, expected, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const units = useUnits();
  const { data: materials, error: fault } = useQuery(
    {
      queryKey: ['layers as used', layerIds],
      queryFn: ({ signal }) =>
        Promise.all(
          layerIds.map(async (key) => {
            const { materialId, join } = usedOf(key);
            return joinedAs(await call<Material>('GET', `/api/layers/${materialId}`, undefined, signal), join);
          }),
        ),
    },
    useClient(),
  );
  const [view, setView] = useState<View>('round');
  const [percent, setPercent] = useState(100);
  const [turn, setTurn] = useState(35);
  const drag = useRef<{ x: number; turn: number } | undefined>(undefined);
  useEffect(() => dialog.current?.showModal(), []);

  const predicted = useMemo(() => {
    const lasting = lastingLayers(role, materials ?? []);
    const layers = percent === 0 ? [] : lasting.map((material) => scaleMaterial(material, percent / 100));
    const bare = stackStiffness(fabric, []);
    const model = stackStiffness(fabric, layers);
    // What the logbook knows of this very stack corrects its model, at any weight of the layer in the same measure.
    const known = percent === 0 || !materials ? 1 : expected / stackStiffness(fabric, lasting).bendingLength;
    const stack = {
      bendingLength: model.bendingLength * known,
      low: model.low * known,
      high: model.high * known,
      arealDensity: model.arealDensity,
    };
    return {
      bare,
      stack,
      sheets: [
        { bendingLength: bare.bendingLength, shearStiffness: shearStiffness(fabric, []), arealDensity: bare.arealDensity },
        { bendingLength: stack.bendingLength, shearStiffness: shearStiffness(fabric, layers), arealDensity: stack.arealDensity },
      ],
    };
  }, [fabric, materials, percent, role, expected]);
  const { frames, error: broke } = useDrape(predicted.sheets, materials && view !== 'strip' ? view : undefined);
  const words = (index: number) => {
    const frame = frames[index];
    if (!frame) return 'laying it down …';
    return `shadow ${Math.round(frame.shadow * 100)} % of its flat size, hangs ${units.length(Math.round(frame.depth / 5) * 5)} deep`;
  };
  const sheet = (index: number, title: string, bendingLength: number) => (
    <figure className="min-w-0">
      <figcaption>
        <span className="block font-semibold">{title}</span>
        <span className="quiet block text-[0.92rem]">
          c ≈ {Math.round(bendingLength)} mm; {words(index)}
        </span>
      </figcaption>
      <SheetCanvas
        frame={frames[index]}
        support={view as Support}
        turn={turn}
        label={`${title} draped ${view === 'round' ? 'on a round stand' : 'over a table corner'}`}
      />
    </figure>
  );
  return (
    <dialog ref={dialog} className="modal" aria-label="See it hang" onClose={onClose}>
      <div className="modal-box max-h-[96vh] w-11/12 max-w-6xl">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h2 className="text-xl font-bold">See it hang</h2>
          <div className="join" role="group" aria-label="How it hangs">
            {VIEWS.map(([each, word]) => (
              <input
                key={each}
                type="radio"
                name="hang-view"
                className="btn join-item"
                aria-label={word}
                checked={view === each}
                onChange={() => setView(each)}
              />
            ))}
          </div>
          {broke && (
            <p role="alert" className="mt-2 font-semibold text-error">
              {broke}
            </p>
          )}
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Close
          </button>
        </div>
        {fault && (
          <p role="alert" className="mt-2 font-semibold text-error">
            {fault.message}
          </p>
        )}
        {view === 'strip' ? (
          <div className="mx-auto mt-3 max-w-2xl">
            <DroopDrawing
              stack={predicted.stack}
              bare={predicted.bare.bendingLength}
              label={`A strip with the layers at ${percent} % of their weight: bending length about ${Math.round(predicted.stack.bendingLength)} mm`}
            />
          </div>
        ) : (
          <div
            className="mt-3 grid cursor-grab touch-none gap-4 select-none sm:grid-cols-2"
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              drag.current = { x: event.clientX, turn };
            }}
            onPointerMove={(event) => {
              if (drag.current) setTurn(normalTurn(drag.current.turn - (event.clientX - drag.current.x) / 2));
            }}
            onPointerUp={() => (drag.current = undefined)}
          >
            {sheet(0, clothName, predicted.bare.bendingLength)}
            {sheet(
              1,
              percent === 0 ? 'Without layers' : keepUnits(`With ${stackTitle.charAt(0).toLowerCase()}${stackTitle.slice(1)}`),
              predicted.stack.bendingLength,
            )}
          </div>
        )}
        <div className="mt-3 grid gap-x-8 gap-y-2 lg:grid-cols-2">
          {view !== 'strip' && (
            <label className="flex items-center gap-3">
              <span className="w-28 shrink-0 font-semibold">Turn it</span>
              <input
                type="range"
                className="slider flex-1"
                min={-180}
                max={180}
                value={turn}
                onChange={(e) => setTurn(Number(e.target.value))}
              />
            </label>
          )}
          <label className="flex items-center gap-3">
            <span className="w-28 shrink-0 font-semibold">Layer weight</span>
            <input
              type="range"
              className="slider flex-1"
              min={0}
              max={200}
              step={5}
              value={percent}
              onChange={(e) => setPercent(Number(e.target.value))}
            />
            <span className="w-36 shrink-0 text-right">
              {percent} %, {units.weight(predicted.stack.arealDensity)}
            </span>
          </label>
        </div>
        <Why title="What this shows, and what it cannot">
          <p>
            A square of {units.length(400)}, held flat where it lies on its support. Threads keep their length; they bend by the
            bending length shown and turn on each other by a typical shear stiffness. It shows which of two drapes more, and about
            how much; real cloth falls into slightly other folds each time, and folds here can pass through each other.
          </p>
          <p>The slider makes the same kind of layer lighter or heavier; its stiffness then grows with its weight.</p>
        </Why>
      </div>
    </dialog>
  );
}

function normalTurn(degrees: number): number {
  return ((((degrees + 180) % 360) + 360) % 360) - 180;
}
