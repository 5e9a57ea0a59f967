import type { Care } from '../core/choose';
import type { Db } from './database';
import { Table, type Kept } from './table';

/** Something besides cloth and layers that a thing needs: a zip, rings, thread. */
export interface Notion {
  name: string;
  count: number;
  there: boolean;
}

export interface ProjectFields {
  name: string;
  note: string;
  /** How many of it are made; everything that is bought, cut and worked is multiplied by it. */
  makes: number;
  /** Which one of several ways of making it, such as “with three tabs”. */
  variant: string;
  /** Care that its pieces share; null when each says its own. */
  care: Care | null;
  notions: Notion[];
  /** Put away: it stands after the others. */
  archived: boolean;
}
export type Project = ProjectFields & Kept;

export const projects = new Table<ProjectFields>('project', 'project', {
  name: 'plain',
  note: 'plain',
  makes: 'plain',
  variant: 'plain',
  care: 'plain',
  notions: 'json',
  archived: 'boolean',
});

/** A project with how far its jobs have come. */
export interface ProjectSummary extends Project {
  /** Cuts of its pieces, and how many are cut from their cloth with all their layers. */
  cuts: number;
  jobs: number;
  chosen: number;
  cut: number;
  filed: number;
}

/** How far the jobs of some projects have come. */
export function summariesOf(db: Db, rows: readonly Project[]): ProjectSummary[] {
  const counts = new Map(
    (
      db
        .prepare(
          `SELECT p.project_id AS id, count(*) AS jobs, sum(j.stack IS NOT NULL) AS chosen,
                  sum(EXISTS (SELECT 1 FROM log_entry l WHERE l.job_id = j.id AND l.deleted_at IS NULL)) AS filed
             FROM piece p JOIN cut c ON c.piece_id = p.id AND c.deleted_at IS NULL JOIN job j ON j.cut_id = c.id AND j.deleted_at IS NULL
             WHERE p.deleted_at IS NULL AND p.project_id IN (SELECT value FROM json_each(?)) GROUP BY p.project_id`,
        )
        .all(JSON.stringify(rows.map(({ id }) => id))) as {
        id: string;
        jobs: number;
        chosen: number;
        filed: number;
      }[]
    ).map((row) => [row.id, row]),
  );
  // What is cut is counted by what is cut: a piece without a job is cloth to be cut all the same.
  const cutCounts = new Map(
    (
      db
        .prepare(
          `SELECT p.project_id AS id, count(*) AS cuts,
                  sum((c.done OR c.cloth_id IS NULL) AND NOT EXISTS (
                    SELECT 1 FROM job j WHERE j.cut_id = c.id AND j.deleted_at IS NULL AND j.stack IS NOT NULL AND NOT j.cut_done)) AS cut
             FROM piece p JOIN cut c ON c.piece_id = p.id AND c.deleted_at IS NULL
             WHERE p.deleted_at IS NULL AND p.project_id IN (SELECT value FROM json_each(?)) GROUP BY p.project_id`,
        )
        .all(JSON.stringify(rows.map(({ id }) => id))) as { id: string; cuts: number; cut: number }[]
    ).map((row) => [row.id, row]),
  );
  return rows.map((project) => {
    const { jobs = 0, chosen = 0, filed = 0 } = counts.get(project.id) ?? {};
    const { cuts = 0, cut = 0 } = cutCounts.get(project.id) ?? {};
    return { ...project, cuts, jobs, chosen, cut, filed };
  });
}

/** Order of projects: put away ones last, as they were put into order, others last touched first before them. */
export const PROJECT_ORDER = 'archived, place, updated_at DESC, rowid';

/**
 * Puts a project before another one, or after all others.
 *
 * @param before the project that it is to stand before; null for the end
 * @throws {NotFoundError} when one of them is not there
 */
export function moveProject(db: Db, id: string, before: string | null): void {
  db.transaction(() => {
    projects.get(db, id);
    if (before !== null) projects.get(db, before);
    const order = (
      db.prepare(`SELECT id FROM project WHERE deleted_at IS NULL ORDER BY ${PROJECT_ORDER}`).all() as { id: string }[]
    )
      .map((row) => row.id)
      .filter((each) => each !== id);
    order.splice(before === null ? order.length : order.indexOf(before), 0, id);
    // Where it stands is no change of the project itself: its version stays.
    const put = db.prepare('UPDATE project SET place = ? WHERE id = ?');
    order.forEach((each, i) => put.run(i + 1, each));
  }).immediate();
}

/** All projects in their order. */
export function projectSummaries(db: Db): ProjectSummary[] {
  return summariesOf(db, projects.list(db, '1', [], PROJECT_ORDER));
}

/** Names of all projects in their order. */
export function projectNames(db: Db): { id: string; name: string }[] {
  return db.prepare(`SELECT id, name FROM project WHERE deleted_at IS NULL ORDER BY ${PROJECT_ORDER}`).all() as {
    id: string;
    name: string;
  }[];
}
