import { benchMoved, type BenchMove, type BenchStanding, type BenchState } from '../core/bench';
import { benchRuns, type BenchRun } from '../store/bench-runs';
import type { Db } from '../store/database';
import { newMoves, type SentMove } from '../store/moves';
import { learnTimes } from './own-times';

/**
 * Makes moves on a run as it stands now, each once; when that finishes it, what it tells of the person's pace is kept.
 *
 * @param device name of the paired device on which they were made; null for the computer itself
 * @throws {NotFoundError} when the run is gone
 */
export function moveBench(db: Db, id: string, moves: readonly SentMove<BenchMove>[], device: string | null = null): BenchRun {
  return db
    .transaction(() => {
      const run = benchRuns.get(db, id);
      const heard = newMoves(db, `bench/${id}`, moves);
      const was: BenchStanding = { state: run.state, finished: run.finishedAt !== null };
      const now = heard.reduce((standing, { move, at }) => benchMoved(run.plan, standing, move, Date.parse(at)), was);
      if (now === was || (now.state === was.state && now.finished === was.finished)) return run;
      const ended = now.finished && !was.finished;
      const finishedAt = ended ? heard.at(-1)!.at : run.finishedAt;
      const state = tickedBy(now.state, heard, device);
      const kept = benchRuns.update(db, id, { ...run, state, finishedAt }, run.version);
      if (ended) learnTimes(db, id);
      return kept;
    })
    .immediate();
}

/** Who ticked what: a check that is ticked again, or no more, belongs to whoever did that last. */
function tickedBy(state: BenchState, heard: readonly SentMove<BenchMove>[], device: string | null): BenchState {
  const touched = heard.flatMap(({ move }) => (move.kind === 'tick' ? [move.check] : []));
  if (touched.length === 0 || (device === null && !state.tickedBy)) return state;
  const others = (state.tickedBy ?? []).filter(({ check }) => !touched.includes(check));
  const own = device === null ? [] : state.checks.filter((check) => touched.includes(check)).map((check) => ({ check, device }));
  return { ...state, tickedBy: [...others, ...own] };
}
