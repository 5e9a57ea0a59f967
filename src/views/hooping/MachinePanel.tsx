import { Pause, Play } from 'lucide-react';
import { NEEDLE_SAFETY } from '../../core/steps';
import type { HoopingRun } from '../../store/hoopings';
import { STOP_HELP, STOP_WORDS } from './stop-words';
import type { useMachine } from './use-machine';
import SpeedSlider from '../../ui/motif/SpeedSlider';

interface Props {
  shown: HoopingRun;
  machine: ReturnType<typeof useMachine>;
  count: number;
  /** The motif is sewn as its mirror image now. */
  mirrored: boolean;
  /** Colour of the thread that is put in next. */
  nextColour: string | undefined;
  onNextPiece: () => void;
  onCheck: () => void;
  /** It was sewn on a real machine. */
  onElsewhere: () => void;
  onSpeed: (stitchesAMinute: number) => void;
}

/** What the machine does, and the one thing to do about it. */
export default function MachinePanel({
  shown,
  machine,
  count,
  mirrored,
  nextColour,
  onNextPiece,
  onCheck,
  onElsewhere,
  onSpeed,
}: Props) {
  const all = shown.pieces >= count;
  return (
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
          {mirrored ? <strong>, mirrored: its own card says how it is folded and set.</strong> : '.'}
        </p>
      )}
      <div className="mt-3 space-y-2">
        {shown.done ? (
          <>
            {!all && (
              <button type="button" className="btn btn-primary w-full" onClick={onNextPiece}>
                Hoop the next piece
              </button>
            )}
            <button type="button" className={`btn w-full ${all ? 'btn-primary' : ''}`} onClick={onCheck}>
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
          <button type="button" className="btn w-full" onClick={onElsewhere}>
            Sewn on a machine of my own
          </button>
        )}
      </div>
      <div className="mt-3">
        <SpeedSlider speed={shown.speed} onSpeed={onSpeed} words={`${shown.speed} stitches a minute`} />
      </div>
      <p className="mt-2 border-l-4 border-accent pl-2 text-[0.95rem] leading-snug">{NEEDLE_SAFETY}</p>
    </section>
  );
}
