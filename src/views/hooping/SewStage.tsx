import { Pause, Play } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { hoopOutlines, MOVING_NEEDLE, stackInPlane } from '../../core/hoop';
import { stackStiffness, type ChosenLayer } from '../../core/layers';
import { SPEEDS, type Where } from '../../core/machine';
import { COLOUR, STITCH, type Motif } from '../../core/motif';
import { bounds, transformed } from '../../core/shape';
import MotifCanvas from '../../ui/motif/MotifCanvas';
import { counted } from '../../ui/text';
import type { HoopingRun } from '../../store/hoopings';
import type { HoopingData, Placed } from './stages';
import { useMachine, type MachineStopKind } from './use-machine';

interface Props extends HoopingData {
  stitches: Motif;
  placed: Placed;
  count: number;
  /** Half of the set is mirrored. */
  pairs: boolean;
  run: HoopingRun | null;
  onRun: (run: HoopingRun) => void;
  onNext: () => void;
}

/** How often how far it has come is kept while it sews, ms. */
const KEEP_EVERY = 2000;
const FACTORS = [1, 10, 60] as const;

const STOP_WORDS: Record<MachineStopKind, string> = {
  colour: 'Change the thread',
  break: 'The thread is broken',
  pause: 'Paused',
  done: 'It is sewn',
};
const STOP_HELP: Record<MachineStopKind, string> = {
  colour: 'Cut the old thread, put the new one in, hands clear, and start.',
  break: 'Thread it anew; look at needle and path. It begins a few stitches before the break.',
  pause: 'Needle up. It goes on where it stands.',
  done: 'Take the hoop off before you cut anything. Look at it in the hoop first.',
};

/** The bench at the machine: follows a simulated one, stop for stop. */
export default function SewStage({
  motif,
  cloth,
  marks,
  sheets,
  hoops,
  stitches,
  placed,
  count,
  pairs,
  run,
  onRun,
  onNext,
}: Props) {
  const hoop = hoops.find(({ id }) => id === placed.hoopId)!;
  const ground = useMemo(() => {
    const layers: ChosenLayer[] = sheets.map(({ material, angle }) => ({ material, angle, extent: 'field' }));
    const { minX, maxX, minY, maxY } = motif.figures.bounds;
    // The hoop's window in the motif's own place.
    const { place, hoopPlace } = placed;
    const inner = hoopPlace
      ? transformed(
          hoopOutlines(hoop, hoopPlace).inner.map(([x, y]): [number, number] => [x - place.x, y - place.y]),
          false,
          -place.angle,
          (minX + maxX) / 2,
          (minY + maxY) / 2,
        )
      : [];
    return {
      window: bounds(inner),
      inPlane: stackInPlane(cloth.fabric, layers),
      rigidity: stackStiffness(
        cloth.fabric,
        layers.map(({ material }) => material),
      ).rigidity,
      taut: !placed.floats && !marks,
    };
  }, [sheets, motif, placed, hoop, cloth, marks]);

  const state = useRef<HoopingRun>(
    run ?? {
      record: 0,
      stitches: 0,
      colour: 1,
      drift: 0,
      speed: SPEEDS.usual,
      seed: 1 + Math.floor(Math.random() * 1e6),
      stops: [],
      done: false,
      pieces: 0,
    },
  );
  const [shown, setShown] = useState(state.current);
  const put = useCallback((next: Partial<HoopingRun>, keep: boolean) => {
    state.current = { ...state.current, ...next };
    setShown(state.current);
    if (keep) kept.current(state.current);
  }, []);
  const kept = useRef(onRun);
  useEffect(() => {
    kept.current = onRun;
  }, [onRun]);
  const last = useRef(0);
  const at = ({ record, stitches: sewn, colour, drift }: Where) => ({ record, stitches: sewn, colour, drift });
  const machine = useMachine({
    motif: stitches,
    seed: state.current.seed,
    record: state.current.done ? 0 : state.current.record,
    ground,
    onWhere: (where) => {
      if (state.current.done) return;
      const keep = performance.now() - last.current > KEEP_EVERY && where.record !== state.current.record && where.record > 0;
      if (keep) last.current = performance.now();
      put(at(where), keep);
    },
    onStop: (kind, where) => {
      if (kind === 'done') put({ ...at(where), done: true, pieces: state.current.pieces + 1 }, true);
      else
        put(
          { ...at(where), stops: [...state.current.stops, { kind, record: where.record, at: new Date().toISOString() }] },
          true,
        );
    },
  });
  const [factor, setFactor] = useState<number>(FACTORS[0]);
  const records = stitches.command.length;
  const colours = motif.figures.colours.length;
  const nextColour = motif.colours[(shown.colour - 1) % Math.max(1, motif.colours.length)];
  const all = shown.pieces >= count;
  // The second half of the set is the mirror image of the first.
  const mirrored = pairs && shown.pieces - (shown.done ? 1 : 0) >= Math.ceil(count / 2);
  const toStop = useMemo(() => {
    let sewn = 0;
    for (let i = shown.record; i < records && stitches.command[i] !== COLOUR; i++) if (stitches.command[i] === STITCH) sewn++;
    return sewn;
  }, [shown.record, records, stitches]);
  /** Ticked by hand: the simulated machine is not needed. */
  const sewnElsewhere = () =>
    put(
      { record: records, stitches: motif.figures.stitches, colour: colours, done: true, pieces: state.current.pieces + 1 },
      true,
    );
  const nextPiece = () => {
    const seed = state.current.seed + 1;
    put({ record: 0, stitches: 0, colour: 1, drift: 0, seed, done: false }, true);
    machine.load({ seed, record: 0 });
  };
  const pct = Math.round((100 * (shown.done ? records : shown.record)) / Math.max(1, records));
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[1fr_22rem]">
      <div className="min-w-0 space-y-3">
        <MotifCanvas
          motif={stitches}
          colours={motif.colours}
          bounds={motif.figures.bounds}
          upTo={shown.done ? records : shown.record}
          label={`${motif.name}, sewn to ${pct} %`}
          height={440}
        />
        <progress className="progress h-4 w-full progress-primary" value={pct} max={100} aria-label="Sewn" />
        <p className="flex flex-wrap justify-between gap-2 text-lg">
          <span>
            <strong>{(shown.done ? motif.figures.stitches : shown.stitches).toLocaleString('en')}</strong> of{' '}
            {motif.figures.stitches.toLocaleString('en')} stitches
          </span>
          <span>
            colour {Math.min(shown.colour, colours)} of {colours}
          </span>
          <span>
            drawn in by <strong>{shown.drift < 0.1 ? 'less than 0.1 mm' : `about ${shown.drift.toFixed(1)} mm`}</strong>, says the
            model
          </span>
        </p>
      </div>
      <div className="space-y-4">
        <section className="sheet p-4" aria-label="The machine">
          <div role="status">
            <h2 className="chalk-heading">
              {shown.done
                ? all
                  ? 'It is sewn'
                  : `Piece ${shown.pieces} of ${count} is sewn`
                : machine.sewing
                  ? 'Sewing'
                  : machine.stopped
                    ? STOP_WORDS[machine.stopped]
                    : !machine.ready
                      ? 'The machine gets ready …'
                      : shown.record > 0
                        ? 'It goes on where it stood'
                        : 'Ready'}
            </h2>
          </div>
          {!shown.done && machine.stopped && <p className="mt-1">{STOP_HELP[machine.stopped]}</p>}
          {!shown.done && machine.stopped === 'colour' && (
            <p className="mt-1 flex items-center gap-2 font-semibold">
              <span
                className="inline-block size-6 rounded-full border border-base-content"
                style={{ background: nextColour }}
                aria-hidden="true"
              />
              Colour {shown.colour}
            </p>
          )}
          {shown.done && <p className="mt-1">{STOP_HELP.done}</p>}
          {machine.error && (
            <p role="alert" className="mt-1 font-semibold text-error">
              {machine.error}
            </p>
          )}
          {count > 1 && !all && (
            <p className="mt-1">
              Piece {shown.pieces + (shown.done ? 0 : 1)} of {count}
              {mirrored ? <strong>: mirror the motif on the machine, and lay the cross on the mirrored side.</strong> : '.'}
            </p>
          )}
          <div className="mt-3 space-y-2">
            {shown.done ? (
              <>
                {!all && (
                  <button type="button" className="btn btn-primary w-full" onClick={nextPiece}>
                    Hoop the next piece
                  </button>
                )}
                <button type="button" className={`btn w-full ${all ? 'btn-primary' : ''}`} onClick={onNext}>
                  Check it
                </button>
              </>
            ) : machine.sewing ? (
              <button
                type="button"
                className="btn w-full btn-accent text-2xl"
                style={{ height: 84 }}
                onClick={() => machine.line('PAUSE')}
              >
                <Pause size={28} aria-hidden="true" /> Stop
              </button>
            ) : (
              <button
                type="button"
                className="btn btn-primary w-full text-2xl"
                style={{ height: 84 }}
                disabled={!machine.ready}
                onClick={() => {
                  machine.line(`SPEED ${shown.speed}`);
                  machine.line('START');
                }}
              >
                <Play size={28} aria-hidden="true" /> Start
              </button>
            )}
            {!shown.done && !machine.sewing && (
              <button type="button" className="btn w-full" onClick={sewnElsewhere}>
                Sewn on a machine of my own
              </button>
            )}
          </div>
          <label className="mt-3 block">
            <span className="font-semibold">{shown.speed} stitches a minute</span>
            <input
              type="range"
              className="slider w-full"
              min={SPEEDS.min}
              max={SPEEDS.max}
              step={50}
              value={shown.speed}
              aria-label="Stitches a minute"
              onChange={(event) => {
                put({ speed: Number(event.target.value) }, true);
                machine.line(`SPEED ${event.target.value}`);
              }}
            />
          </label>
          <p className="mt-2 border-l-4 border-accent pl-2 text-[0.95rem] leading-snug">{MOVING_NEEDLE}</p>
        </section>
        <section className="sheet p-4" aria-label="Watch for">
          <h2 className="font-semibold">What to look at</h2>
          <ul className="mt-1 list-disc pl-5 leading-snug">
            <li>{shown.colour === 1 ? 'The first rows: does the cloth lift or creep?' : 'Does the outline meet its fill?'}</li>
            <li>A change in sound: a gummed needle, or a drum that has slackened.</li>
            <li>{toStop > 0 ? `${counted(toStop, 'stitch', 'stitches')} to the next stop.` : 'The next stop is here.'}</li>
          </ul>
        </section>
        <section className="sheet p-4" aria-label="Simulation">
          <h2 className="font-semibold">This is a simulated machine</h2>
          <p className="mt-1 text-[0.95rem] leading-snug">
            It needs no device: it counts as yours would, stops for colours, and breaks its thread now and then.
          </p>
          <div className="join mt-2" role="group" aria-label="Its time runs">
            {FACTORS.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={factor === each}
                className={`btn join-item ${factor === each ? 'btn-primary' : ''}`}
                onClick={() => {
                  setFactor(each);
                  machine.hurry(each);
                }}
              >
                {each === 1 ? 'as it is' : `× ${each}`}
              </button>
            ))}
          </div>
          {shown.stops.length > 0 && (
            <details className="mt-3">
              <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-primary underline underline-offset-4">
                {counted(shown.stops.length, 'stop')} so far
              </summary>
              <ul className="mt-1 text-[0.95rem]">
                {shown.stops.slice(-12).map(({ kind, record, at: when }, i) => (
                  <li key={i}>
                    {STOP_WORDS[kind].toLowerCase()} at record {record.toLocaleString('en')},{' '}
                    {new Date(when).toLocaleTimeString('en', { hour: '2-digit', minute: '2-digit', hour12: false })}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
      </div>
    </div>
  );
}
