import { benchMoved, type BenchMove, type BenchStanding } from '../core/bench';
import { benchRuns, type BenchRun } from '../store/bench-runs';
import type { Db } from '../store/database';
import { newMoves, type SentMove } from '../store/moves';
import { learnTimes } from './own-times';

/**
 * Makes moves on a run as it stands now, each once; when that finishes it, what it tells of the person's pace is kept.
 *
 * @throws {NotFoundError} when the run is gone
 */
export function moveBench(db: Db, id: string, moves: readonly SentMove<BenchMove>[]): BenchRun {
  return db
    .transaction(() => {
      const run = benchRuns.get(db, id);
      const heard = newMoves(db, `bench/${id}`, moves);
      const was: BenchStanding = { state: run.state, finished: run.finishedAt !== null };
      const now = heard.reduce((standing, { move, at }) => benchMoved(run.plan, standing, move, Date.parse(at)), was);
      if (now === was || (now.state === was.state && now.finished === was.finished)) return run;
      const ended = now.finished && !was.finished;
      const finishedAt = ended ? heard.at(-1)!.at : run.finishedAt;
      const kept = benchRuns.update(db, id, { ...run, state: now.state, finishedAt }, run.version);
      if (ended) learnTimes(db, id);
      return kept;
    })
    .immediate();
}
