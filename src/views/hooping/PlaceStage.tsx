import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import {
  edgeWords,
  edgeDistance,
  floatedTroubles,
  floatOver,
  fromEdge,
  hoopOver,
  measuringEdges,
  proposals,
  troublesAt,
  type Ground,
  type MotifPlace,
  type PlacingTrouble,
  type Proposal,
  sheetSizes,
} from '../../core/hoop';
import type { Motif } from '../../core/motif';
import type { Outline } from '../../core/shape';
import { CheckField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import { useUnits } from '../../ui/units-context';
import type { Hooping, HoopingStack } from '../../store/hoopings';
import type { KeptHoop } from '../../store/hoops';
import AngleField from './AngleField';
import GroundPanel from './GroundPanel';
import InProject from './InProject';
import PlaceTools from './PlaceTools';
import { PlaceVerdict, Proposals } from './PlaceVerdict';
import PlacingCanvas from './PlacingCanvas';
import SplitPanel from './SplitPanel';
import StackPanel from './StackPanel';
import type { HoopingData, Placed } from './stages';

interface Props extends HoopingData {
  hull: Outline;
  stitches: Motif;
  placed: Placed;
  count: number;
  pairs: boolean;
  hoopingId: string;
  /** Saves what is not saved yet. */
  onSaveFirst: () => Promise<Hooping | undefined>;
  /** It is filed: only to be looked at. */
  frozen: boolean;
  stack: HoopingStack | null;
  onStack: (stack: HoopingStack) => void;
  canUndo: boolean;
  canRedo: boolean;
  onUndo: () => void;
  onRedo: () => void;
  onPlace: (next: Partial<Placed>, same?: string) => void;
  onSet: (next: { count?: number; pairs?: boolean }) => void;
  onNext: () => void;
}

/** Where the motif lies on the cloth, in which hoop, and what to do when it cannot be held there. */
// Composition: one place and one hoop are handed to canvas, tools and verdict.
// eslint-disable-next-line max-lines-per-function
export default function PlaceStage(props: Props) {
  const { motif, hoops, marks, hull, stitches, placed, frozen, onPlace } = props;
  const units = useUnits();
  const hoopIndex = Math.max(
    0,
    hoops.findIndex(({ id }) => id === placed.hoopId),
  );
  const hoop = hoops[hoopIndex];
  const ground: Ground = useMemo(() => ({ ...placed.ground, marks }), [placed.ground, marks]);
  const { place, floats } = placed;

  // A hoop that is not laid yet is laid over the motif.
  const lay = (over: KeptHoop, on: Ground, to: MotifPlace, floating = floats) =>
    (floating ? floatOver : hoopOver)(hull, over, on, to).at;
  const laid = useMemo(
    () => hoop && (floats ? floatOver : hoopOver)(hull, hoop, ground, place),
    [hull, hoop, ground, place, floats],
  );
  const at = placed.hoopPlace ?? laid?.at ?? null;
  const troubles = useMemo<PlacingTrouble[]>(() => {
    if (!hoop || !at) return [];
    const all = troublesAt(hull, hoop, ground, place, at);
    // Floated cloth goes under no clamp.
    return floats ? floatedTroubles(all) : all;
  }, [hull, hoop, ground, place, at, floats]);
  // Looked for when the hand is still: it takes longer than a frame.
  const [dragging, setDragging] = useState(false);
  const drags = useRef(0);
  const offered = useMemo(
    () => (!dragging && (troubles.length > 0 || (marks && !floats)) ? proposals(hull, hoops, hoopIndex, ground, place) : []),
    [dragging, troubles, hull, hoops, hoopIndex, ground, place, marks, floats],
  );
  /** Moves the motif, and lays the hoop over it anew. */
  const move = (next: Partial<MotifPlace>, same?: string) => {
    if (frozen) return;
    const to = { ...place, ...next };
    onPlace({ place: to, hoopPlace: hoop ? lay(hoop, ground, to) : null }, same);
  };
  const nudge = (x: number, y: number) => (event: KeyboardEvent) => {
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    move({ x: place.x + x * by, y: place.y + y * by }, 'nudge');
  };
  useHotkeys('right, shift+right', nudge(1, 0));
  useHotkeys('left, shift+left', nudge(-1, 0));
  useHotkeys('up, shift+up', nudge(0, 1));
  useHotkeys('down, shift+down', nudge(0, -1));
  const turn = (by: number) => move({ angle: (((place.angle + by) % 360) + 360) % 360 }, 'turn');
  useHotkeys('bracketleft', () => turn(1));
  useHotkeys('bracketright', () => turn(-1));
  useHotkeys('shift+bracketleft', () => turn(15));
  useHotkeys('shift+bracketright', () => turn(-15));

  /** Other cloth under the motif: the hoop is laid anew. */
  const layOn = (next: Placed['ground']) => {
    if (frozen) return;
    onPlace({ ground: next, hoopPlace: hoop ? lay(hoop, { ...next, marks }, place) : null });
  };
  const take = (proposal: Proposal) => {
    const { place: to, at: hoopPlace } = proposal;
    const hoopId = (proposal.kind === 'other-hoop' ? hoops[proposal.hoopIndex] : hoop)!.id;
    const strips = proposal.kind === 'strip' ? [...placed.ground.strips, ...proposal.strips] : placed.ground.strips;
    onPlace({ hoopId, place: to, hoopPlace, floats: proposal.kind === 'float', ground: { ...placed.ground, strips } });
  };
  const edges = measuringEdges(ground.outline, place);
  const measured = edges.map(({ edge, distance }) => ({ edge, distance, words: units.length(Math.round(distance)) }));
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[1fr_23rem]">
      <div className="min-w-0 space-y-3">
        <PlacingCanvas
          placed={{ ...placed, hoopPlace: at }}
          hull={hull}
          stitches={stitches}
          colours={motif.colours}
          motifBounds={motif.figures.bounds}
          hoop={hoop}
          troubles={troubles}
          measured={measured}
          frozen={frozen}
          onDrag={(to, done) => {
            setDragging(!done);
            // One whole drag is one step back.
            move(to, `drag ${drags.current}`);
            if (done) drags.current++;
          }}
        />
        <PlaceTools
          ground={ground}
          place={place}
          piece={props.piece}
          frozen={frozen}
          canUndo={props.canUndo}
          canRedo={props.canRedo}
          onUndo={props.onUndo}
          onRedo={props.onRedo}
          onTurn={turn}
          onMove={move}
        />
        <p className="quiet text-[0.95rem]">
          Drag the motif, or move it with the arrow keys. The ring is what must lie on cloth; the dashed line is what the needle
          reaches; the dot is where the hoop is carried.
        </p>
      </div>
      <div className="space-y-4">
        <PlaceVerdict troubles={troubles} hoopName={hoop?.name} floats={floats} marks={marks} />
        {!dragging && (troubles.length > 0 || (marks && !floats)) && (
          <Proposals offered={offered} hoopNames={hoops.map(({ name }) => name)} frozen={frozen} onTake={take} />
        )}
        {hoop && !frozen && troubles.some(({ kind }) => kind === 'motif-past-field') && (
          <SplitPanel key={hoop.id} motif={motif} hoop={hoop} hoopingId={props.hoopingId} onSaveFirst={props.onSaveFirst} />
        )}
        <section className="sheet space-y-3 p-4" aria-label="Hoop and place">
          {hoops.length === 0 ? (
            <p>
              There is no hoop yet.{' '}
              <a className="font-semibold text-primary underline" href="/hoop">
                Measure yours
              </a>{' '}
              once.
            </p>
          ) : (
            <label className="block">
              <span className="font-semibold">Hoop</span>
              <select
                className="select"
                aria-label="Hoop"
                value={hoop?.id}
                disabled={frozen}
                onChange={(event) => {
                  const next = hoops.find(({ id }) => id === event.target.value)!;
                  onPlace({ hoopId: next.id, hoopPlace: lay(next, ground, place) });
                }}
              >
                {hoops.map(({ id, name, fieldWidth, fieldHeight }) => (
                  <option key={id} value={id}>
                    {name}, {units.size(fieldWidth, fieldHeight)}
                  </option>
                ))}
              </select>
            </label>
          )}
          <div className="grid grid-cols-2 gap-3">
            {edges.map(({ edge, distance }, i) => (
              <LengthField
                key={edge}
                label={`From the ${edgeWords(ground.outline, edge)}`}
                value={Math.round(distance * 100) / 100}
                onChange={(to) => move(atDistance(ground.outline, place, edges, i, to), 'typed')}
              />
            ))}
            <AngleField value={place.angle} frozen={frozen} onChange={(angle) => move({ angle }, 'typed')} />
            <div className="self-end">
              <CheckField label="Mirrored" checked={place.flipped} onChange={(flipped) => move({ flipped })} />
            </div>
          </div>
          <CheckField
            label="Float it: hoop the sheet alone and lay the cloth on it"
            checked={floats}
            onChange={(on) => !frozen && onPlace({ floats: on, hoopPlace: hoop ? lay(hoop, ground, place, on) : null })}
          />
        </section>
        <StackPanel
          motifId={motif.id}
          clothId={props.cloth.id}
          wish={props.wish}
          role={props.role}
          cloths={props.cloths}
          stack={props.stack}
          frozen={frozen}
          onStack={props.onStack}
        />
        {props.job && (
          <InProject
            {...{ hoopingId: props.hoopingId, job: props.job, stack: props.stack, count: props.count, frozen }}
            sizes={sheetSizes(
              placed.hoopId === null ? undefined : hoop,
              props.sheets.map(({ material, angle }) => ({ material, angle, extent: 'field' })),
              floats,
            )}
            onSaveFirst={props.onSaveFirst}
            onCount={(count) => props.onSet({ count })}
          />
        )}
        <GroundPanel ground={placed.ground} piece={props.piece} frozen={frozen} onGround={layOn} />
        <section className="sheet space-y-3 p-4" aria-label="The set">
          <div className="grid grid-cols-2 gap-3">
            <label className="block">
              <span className="font-semibold">At the same place on</span>
              <input
                type="number"
                className="input"
                min={1}
                max={1000}
                value={props.count}
                disabled={frozen}
                onChange={(event) => {
                  const value = Math.round(Number(event.target.value));
                  if (value >= 1 && value <= 1000) props.onSet({ count: value });
                }}
              />
              <span className="quiet text-[0.95rem]">{props.count === 1 ? 'piece' : 'pieces'}</span>
            </label>
            <div className="self-center">
              <CheckField
                label="Half of them mirrored: left and right"
                checked={props.pairs}
                onChange={(pairs) => !frozen && props.onSet({ pairs })}
              />
            </div>
          </div>
        </section>
        <button
          type="button"
          className="btn btn-primary w-full"
          disabled={!at || troubles.length > 0 || (marks && !floats)}
          onClick={() => {
            if (!frozen && (!placed.hoopPlace || placed.hoopId === null)) onPlace({ hoopId: hoop!.id, hoopPlace: at });
            props.onNext();
          }}
        >
          It stays there: prepare it
        </button>
      </div>
    </div>
  );
}

/** The place with one of the measured distances changed, the other kept. */
function atDistance(
  outline: Outline,
  place: MotifPlace,
  edges: readonly { edge: number }[],
  changed: number,
  to: number,
): Partial<MotifPlace> {
  const { edge } = edges[changed]!;
  const { along } = edgeDistance(outline, edge, [place.x, place.y]);
  return fromEdge(outline, edge, to, along);
}
