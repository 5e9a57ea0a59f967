import { useMemo } from 'react';
import { COLOUR, STITCH, type Motif } from '../../core/motif';
import MotifCanvas from '../../ui/motif/MotifCanvas';
import { counted } from '../../ui/text';
import { hoopCard } from '../../core/hoop';
import type { Outline } from '../../core/shape';
import { betweenColours, type StitchRole } from '../../core/techniques';
import type { CopySize, HoopingRun, Landing, SewnCopy } from '../../store/hoopings';
import LandingPanel from './LandingPanel';
import OwnMachine from './OwnMachine';
import type { HoopingData, Placed } from './stages';
import MachinePanel from './MachinePanel';
import SimulationPanel from './SimulationPanel';
import { useSewing } from './use-sewing';

interface Props extends HoopingData {
  stitches: Motif;
  placed: Placed;
  count: number;
  /** Half of the set is mirrored. */
  pairs: boolean;
  /** Hull of the motif round its own middle. */
  hull: Outline;
  sizes: readonly CopySize[];
  landed: Landing | null;
  onLanded: (landed: Landing | null) => void;
  sewn: readonly SewnCopy[];
  onSewn: (sewn: SewnCopy[]) => void;
  /** What it is sewn as. */
  role: StitchRole;
  run: HoopingRun | null;
  onRun: (run: HoopingRun) => void;
  /** The next copy is to be hooped, by its number from 0. */
  onHoopNext: (copy: number) => void;
  onNext: () => void;
}

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
  hull,
  sizes,
  landed,
  onLanded,
  sewn,
  onSewn,
  role,
  run,
  onRun,
  onHoopNext,
  onNext,
}: Props) {
  const { shown, put, machine } = useSewing({ motif, cloth, marks, sheets, hoops, stitches, placed, run, onRun });
  const records = stitches.command.length;
  const colours = motif.figures.colours.length;
  const nextColour = motif.colours[(shown.colour - 1) % Math.max(1, motif.colours.length)];
  /** The piece in the hoop: the one that was sewn last, or is sewn next. */
  const copy = Math.max(0, shown.pieces - (shown.done ? 1 : 0));
  const set = { outline: placed.ground.outline, place: placed.place, hoop: placed.hoopPlace!, pairs, sizes };
  const { mirrored } = hoopCard(set, copy);
  /** It was sewn on the person's own machine. */
  const own = shown.done ? sewn.find((each) => each.copy === copy) : undefined;
  const breaks = new Map<number, number>();
  for (const each of sewn) for (const { colour, times } of each.breaks) breaks.set(colour, (breaks.get(colour) ?? 0) + times);
  const toStop = useMemo(() => {
    let sewn = 0;
    for (let i = shown.record; i < records && stitches.command[i] !== COLOUR; i++) if (stitches.command[i] === STITCH) sewn++;
    return sewn;
  }, [shown.record, records, stitches]);
  /** Ticked by hand: the simulated machine is not needed. */
  const sewnElsewhere = () => {
    put({ record: records, stitches: motif.figures.stitches, colour: colours, done: true, pieces: shown.pieces + 1 }, true);
    onSewn([...sewn.filter((each) => each.copy !== copy), { copy, minutes: null, breaks: [], needles: 0, note: '' }]);
  };
  const takeBack = () => {
    put({ record: 0, stitches: 0, colour: 1, drift: 0, done: false, pieces: Math.max(0, shown.pieces - 1) }, true);
    machine.load({ seed: shown.seed, record: 0 });
    onSewn(sewn.filter((each) => each.copy !== copy));
    if (landed?.copy === copy) onLanded(null);
  };
  const nextPiece = () => {
    const seed = shown.seed + 1;
    put({ record: 0, stitches: 0, colour: 1, drift: 0, seed, done: false }, true);
    machine.load({ seed, record: 0 });
    onHoopNext(shown.pieces);
  };
  const between = betweenColours(role);
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
        <MachinePanel
          shown={shown}
          machine={machine}
          count={count}
          mirrored={mirrored}
          nextColour={nextColour}
          onNextPiece={nextPiece}
          onCheck={onNext}
          onElsewhere={sewnElsewhere}
          onSpeed={(speed) => {
            put({ speed }, true);
            machine.line(`SPEED ${speed}`);
          }}
        />
        {own && (
          <OwnMachine
            key={copy}
            copy={copy}
            colours={motif.colours}
            sewn={own}
            breaks={breaks}
            onTakeBack={takeBack}
            onSewn={(each) => onSewn([...sewn.filter((other) => other.copy !== each.copy), each])}
          />
        )}
        {shown.done && (landed === null || landed.copy === copy) && (
          <LandingPanel key={`landed ${copy}`} hull={hull} card={hoopCard(set, copy)} landed={landed} onLanded={onLanded} />
        )}
        <section className="sheet p-4" aria-label="Watch for">
          <h2 className="font-semibold">What to look at</h2>
          <ul className="mt-1 list-disc pl-5 leading-snug">
            <li>{shown.colour === 1 ? 'The first rows: does the cloth lift or creep?' : 'Does the outline meet its fill?'}</li>
            <li>A change in sound: a gummed needle, or a drum that has slackened.</li>
            <li>{toStop > 0 ? `${counted(toStop, 'stitch', 'stitches')} to the next stop.` : 'The next stop is here.'}</li>
          </ul>
        </section>
        {between.length > 0 && (
          <section className="sheet p-4" aria-label="Between the colours">
            <h2 className="font-semibold">At the stops between its colours</h2>
            <ol className="mt-1 list-decimal space-y-1 pl-6 leading-snug">
              {between.map(({ title, detail, safety }) => (
                <li key={title}>
                  <strong>{title}.</strong> {detail}
                  {safety && <span className="mt-1 block border-l-4 border-accent pl-2">{safety}</span>}
                </li>
              ))}
            </ol>
          </section>
        )}
        <SimulationPanel stops={shown.stops} onHurry={machine.hurry} />
      </div>
    </div>
  );
}
