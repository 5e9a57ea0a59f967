import type { BenchPlan } from '../../core/bench';
import { formatDuration } from '../../core/units';
import { moreSeconds, type BenchMove } from '../../core/bench';
import type { useBenchRun } from './use-bench-run';

interface Props {
  bench: ReturnType<typeof useBenchRun>;
  plan: BenchPlan;
  /** What the cloth is to be when it comes off the line. */
  until: 'damp' | 'dry';
}

/** How the cloth on the line feels: too wet, right before its time, or gone dry. */
export default function DampButtons({ bench: { state, left, make }, plan, until }: Props) {
  const { step } = state;
  const button = (words: string, move: BenchMove) => (
    <button type="button" className="btn btn-outline h-24! px-6 text-xl!" onClick={() => make(move)}>
      {words}
    </button>
  );
  return (
    <>
      {left === undefined && button(`Still wet: ${formatDuration(moreSeconds(plan, state))} more`, { kind: 'longer', step })}
      {left !== undefined &&
        button(until === 'damp' ? 'It is damp already' : 'It is dry already', { kind: 'felt', step, found: 'right' })}
      {until === 'damp' && button('It has gone dry', { kind: 'felt', step, found: 'too-dry' })}
    </>
  );
}
