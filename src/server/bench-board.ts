import { jobsOfRun, openRuns, shortName, timersOf } from '../store/bench-runs';
import type { Db } from '../store/database';
import type { KeptStack } from '../store/jobs';
import { knownLayers } from '../store/materials';
import { projects } from '../store/projects';
import { lastRun } from './job-log';
import { builtWorks } from './built-works';

/** A run that is open, as the board shows it. */
export interface OpenRun {
  id: string;
  name: string;
  project: string;
  scrap: boolean;
  /** Jobs that it works. */
  jobIds: string[];
  step: number;
  steps: number;
  title: string;
  /** What runs by itself: a countdown, pieces that cool or dry. */
  timers: { label: string; endsAt: string }[];
}

/** A job that can be put on. */
export interface ReadyJob {
  id: string;
  name: string;
  stackTitle: string;
  count: number;
  /** What is still to be cut, in words; empty when nothing is. */
  uncut: string;
}

/** A job that was worked at the bench and is not in the logbook yet. */
export interface DoneJob {
  id: string;
  name: string;
  projectId: string;
  runId: string;
  finishedAt: string;
}

export interface BenchBoard {
  runs: OpenRun[];
  toFile: DoneJob[];
  ready: { projectId: string; project: string; jobs: ReadyJob[] }[];
}

/** So many projects are looked through for what can be done next, last touched first. */
const MOST_PROJECTS = 20;

/** What is open at the bench across all projects, and what can be done next: chosen, and neither filed nor open. */
export function benchBoard(db: Db): BenchBoard {
  const runs = openRuns(db);
  const shown = projects.list(db, 'archived = 0', [], 'updated_at DESC, rowid', { limit: MOST_PROJECTS });
  const workpieces = builtWorks(
    db,
    shown.map(({ id }) => id),
  );
  const running = new Set(runs.flatMap((run) => (run.scrapId ? [] : jobsOfRun(run))));
  const filed = new Set(
    (
      db
        .prepare("SELECT DISTINCT job_id AS id FROM log_entry WHERE deleted_at IS NULL AND kind = 'piece' AND job_id IS NOT NULL")
        .all() as { id: string }[]
    ).map(({ id }) => id),
  );
  // What was worked and has its layers still is filed, not begun anew.
  const toFile = workpieces.flatMap((work): DoneJob[] => {
    const run = running.has(work.id) || filed.has(work.id) ? undefined : lastRun(db, work);
    if (!run || run.filed) return [];
    return [{ id: work.id, name: work.name, runId: run.id, finishedAt: run.finishedAt, projectId: work.projectId }];
  });
  const worked = new Set(toFile.map(({ id }) => id));
  const nameOf = projectNamesOf(
    db,
    runs.map(({ jobId }) => jobId),
  );
  return {
    runs: runs.map((run) => {
      const { id, jobId, scrapId, plan, state } = run;
      return {
        ...{ id, name: shortName(plan), project: nameOf.get(jobId) ?? '', scrap: scrapId !== null },
        jobIds: jobsOfRun({ jobId, plan }),
        ...{
          step: Math.min(state.step + 1, plan.steps.length),
          steps: plan.steps.length,
          title: plan.steps[state.step]?.title ?? '',
        },
        timers: timersOf(run),
      };
    }),
    toFile,
    ready: shown.flatMap(({ id: projectId, name: project }) => {
      const jobs = workpieces
        .filter(
          (work) =>
            work.projectId === projectId &&
            work.stack &&
            work.clothId !== null &&
            !running.has(work.id) &&
            !filed.has(work.id) &&
            !worked.has(work.id),
        )
        .map(({ id, name, stack, count, done, cutDone }) => ({
          ...{ id, name, stackTitle: stack!.title, count },
          uncut: [done ? '' : 'the cloth', cutDone || onlyLiquid(db, stack!) ? '' : 'the layers'].filter(Boolean).join(' and '),
        }));
      return jobs.length > 0 ? [{ projectId, project, jobs }] : [];
    }),
  };
}

/** What is only sprayed or soaked has no layer to cut. */
function onlyLiquid(db: Db, { layers }: KeptStack): boolean {
  return knownLayers(db, layers).every(({ material }) => material.form === 'liquid');
}

/** Names of the projects that some jobs belong to. */
function projectNamesOf(db: Db, jobIds: readonly string[]): Map<string, string> {
  const rows = db
    .prepare(
      `SELECT j.id AS id, p.name AS name FROM job j JOIN cut c ON c.id = j.cut_id JOIN piece i ON i.id = c.piece_id
         JOIN project p ON p.id = i.project_id WHERE j.id IN (SELECT value FROM json_each(?))`,
    )
    .all(JSON.stringify(jobIds)) as { id: string; name: string }[];
  return new Map(rows.map(({ id, name }) => [id, name]));
}
