import type { Db } from './database';
import { Table, column, type Kept } from './table';

export interface ProjectFields {
  name: string;
  note: string;
}
export type Project = ProjectFields & Kept;

export const projects = new Table<ProjectFields>('project', 'project', [column('name'), column('note')]);

/** A project with how far its parts have come. */
export interface ProjectSummary extends Project {
  parts: number;
  chosen: number;
  cut: number;
  filed: number;
}

/** How far the parts of some projects have come. */
export function summariesOf(db: Db, rows: readonly Project[]): ProjectSummary[] {
  const counts = new Map(
    (
      db
        .prepare(
          `SELECT p.project_id AS id, count(*) AS parts, sum(p.stack IS NOT NULL) AS chosen, sum(p.cut_done) AS cut,
                  sum(EXISTS (SELECT 1 FROM log_entry l WHERE l.part_id = p.id AND l.deleted_at IS NULL)) AS filed
             FROM part p WHERE p.deleted_at IS NULL AND p.project_id IN (SELECT value FROM json_each(?)) GROUP BY p.project_id`,
        )
        .all(JSON.stringify(rows.map(({ id }) => id))) as {
        id: string;
        parts: number;
        chosen: number;
        cut: number;
        filed: number;
      }[]
    ).map((row) => [row.id, row]),
  );
  return rows.map((project) => {
    const { parts = 0, chosen = 0, cut = 0, filed = 0 } = counts.get(project.id) ?? {};
    return { ...project, parts, chosen, cut, filed };
  });
}

/** All projects, last touched first. */
export function projectSummaries(db: Db): ProjectSummary[] {
  return summariesOf(db, projects.list(db, '1', [], 'updated_at DESC, rowid'));
}

/** Names of all projects, last touched first. */
export function projectNames(db: Db): { id: string; name: string }[] {
  return db.prepare('SELECT id, name FROM project WHERE deleted_at IS NULL ORDER BY updated_at DESC, rowid').all() as {
    id: string;
    name: string;
  }[];
}
