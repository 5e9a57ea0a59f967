import type { BenchPlan } from '../../store/bench-runs';
import { formatDuration } from '../../core/units';
import { felt, moreSeconds, stillWet } from './bench-moves';
import type { useBenchRun } from './use-bench-run';

interface Props {
  bench: ReturnType<typeof useBenchRun>;
  plan: BenchPlan;
  /** What the cloth is to be when it comes off the line. */
  until: 'damp' | 'dry';
}

/** How the cloth on the line feels: too wet, right before its time, or gone dry. */
export default function DampButtons({ bench: { state, left, move }, plan, until }: Props) {
  const button = (words: string, next: () => Parameters<typeof move>[0]) => (
    <button type="button" className="btn btn-outline h-24! px-6 text-xl!" onClick={() => move(next())}>
      {words}
    </button>
  );
  return (
    <>
      {left === undefined &&
        button(`Still wet: ${formatDuration(moreSeconds(plan, state))} more`, () => stillWet(plan, state, Date.now()))}
      {left !== undefined &&
        button(until === 'damp' ? 'It is damp already' : 'It is dry already', () => felt(state, 'right', Date.now()))}
      {until === 'damp' && button('It has gone dry', () => felt(state, 'too-dry', Date.now()))}
    </>
  );
}
