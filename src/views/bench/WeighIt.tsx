import { Scale } from 'lucide-react';
import { useState } from 'react';
import { minutesByWeight, type BenchPlan } from '../../core/bench';
import { readyAt } from '../../core/liquid';
import { readNumber } from '../../ui/form/reading';
import type { useBenchRun } from './use-bench-run';

interface Props {
  bench: ReturnType<typeof useBenchRun>;
  plan: BenchPlan;
}

/** Of a kitchen scale, or of a bathroom's. */
const [LIGHTEST, HEAVIEST] = [1, 100_000];

/** Grams as they were typed; nothing where that is none. */
function gramsOf(text: string): number | undefined {
  try {
    const grams = readNumber('grams', text, 'g');
    return grams >= LIGHTEST && grams <= HEAVIEST ? grams : undefined;
  } catch {
    return undefined;
  }
}

/** What hangs is put on a scale: how heavy it may still be, and from the second time on how long it really takes. */
export default function WeighIt({ bench: { state, make }, plan }: Props) {
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState(false);
  const { until, dryMass } = plan.steps[state.step]!;
  if (!until || !dryMass) return null;
  const own = (state.weighed ?? []).filter(({ step }) => step === state.step);
  const last = own.at(-1);
  const left = minutesByWeight(plan, state);
  const grams = gramsOf(typed);
  const sound = grams !== undefined;
  const ready = Math.round(readyAt(dryMass, until));
  return (
    <div className="mt-4 text-lg" data-own-touch>
      {last && (
        <p role="status" className="text-xl font-semibold">
          {Math.round(last.grams)} g.{' '}
          {left === undefined
            ? `It is ready at about ${ready} g; weigh it again in a quarter of an hour.`
            : left === 0
              ? `That is ${until === 'damp' ? 'damp enough' : 'dry'}.`
              : `By the scale about ${Math.max(1, Math.round(left))} minutes more, until ${ready} g.`}
        </p>
      )}
      {open ? (
        <form
          className="mt-2 flex flex-wrap items-end justify-center gap-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if (grams === undefined) return;
            make({ kind: 'weighed', step: state.step, grams });
            setTyped('');
            setOpen(false);
          }}
        >
          <label className="block">
            <span className="font-semibold">All of it weighs, g</span>
            <input
              className="input w-40 text-2xl!"
              inputMode="decimal"
              autoFocus
              value={typed}
              aria-invalid={typed.trim() !== '' && !sound}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <button type="submit" className="btn btn-accent h-14! px-6 text-xl!" disabled={!sound}>
            Weighed
          </button>
          {typed.trim() !== '' && !sound && (
            <p role="alert" className="w-full font-semibold text-error">
              Write grams, 1 to 100,000.
            </p>
          )}
        </form>
      ) : (
        <button type="button" className="btn btn-outline mt-2 h-14! px-5 text-xl!" onClick={() => setOpen(true)}>
          <Scale size={22} aria-hidden="true" /> {last ? 'Weigh it again' : 'Put it on a scale'}
        </button>
      )}
    </div>
  );
}
