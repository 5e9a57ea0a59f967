import { FAMILIES } from '../core/layers';
import { InputError } from '../core/input-error';
import { cloths, type Cloth } from './cloths';
import type { Db } from './database';
import { layers, type Layer } from './layers';
import { logEntries, type LogEntry } from './log';
import { pageOf, type Page, type PageAsked } from './page';
import { workpiecesByIds } from './workpieces';
import { PROJECT_ORDER, projects, summariesOf, type ProjectSummary } from './projects';

/** Rows on one page of a list; a longer one is slow to read and slow to draw. */
export const PAGE_SIZES = { cloths: 40, layers: 40, log: 25, projects: 24 } as const;

export function clothPage(db: Db, asked: PageAsked, mine: boolean): Page<Cloth> {
  return pageOf(db, cloths, asked, {
    searched: ['name', 'construction', 'weave', 'fibres', 'note'],
    sorts: {
      name: 'name COLLATE NOCASE',
      weight: 'areal_density',
      weave: 'coalesce(weave, construction)',
      stretch: 'max(stretch_length, stretch_cross)',
      iron: 'iron_dots',
    },
    order: 'name COLLATE NOCASE, id',
    ...(mine ? { where: "origin = 'own'" } : {}),
  });
}

/** @param family one of the families, or `all` @throws {InputError} */
/** All layers, or those of some families, named with commas between. @throws {InputError} */
export function layersOf(db: Db, families: string | null): readonly Layer[] {
  if (families === null) return layers.all(db);
  const wanted = families.split(',').filter((each) => requireFamily(each));
  return layers.list(db, 'family IN (SELECT value FROM json_each(?))', [JSON.stringify(wanted)], 'name COLLATE NOCASE, id');
}

function requireFamily(family: string): string {
  if (family !== 'all' && !(FAMILIES as readonly string[]).includes(family))
    throw new InputError('family', `must be all or a family of layers, saw ${JSON.stringify(family.slice(0, 30))}`);
  return family;
}

export function layerPage(db: Db, asked: PageAsked, family: string, mine: boolean): Page<Layer> {
  requireFamily(family);
  const where = [...(family === 'all' ? [] : ['family = ?']), ...(mine ? ["(origin = 'own' OR in_stock = 1)"] : [])];
  return pageOf(db, layers, asked, {
    searched: ['name', 'family', 'form', 'note'],
    sorts: {
      name: 'name COLLATE NOCASE',
      family: 'family',
      weight: 'areal_density',
      bending: 'bending_length',
      roll: 'roll_width',
      price: 'price_per_metre',
      stock: 'in_stock',
    },
    order: 'name COLLATE NOCASE, id',
    where: where.length > 0 ? where.join(' AND ') : '1',
    params: family === 'all' ? [] : [family],
  });
}

/** An entry of the logbook with the project that it belongs to. */
export interface ListedEntry extends LogEntry {
  project: { id: string; name: string } | null;
}

/** The project that an entry's job belongs to. */
const PROJECT_OF = (
  column: string,
) => `(SELECT p.${column} FROM job j JOIN cut c ON c.id = j.cut_id JOIN piece i ON i.id = c.piece_id
  JOIN project p ON p.id = i.project_id WHERE j.id = log_entry.job_id)`;

/** @param outcome good, fair, poor, or all @param project id of one; empty for all @throws {InputError} */
export function logPage(db: Db, asked: PageAsked, { outcome, project }: { outcome: string; project: string }): Page<ListedEntry> {
  if (!['all', 'good', 'fair', 'poor'].includes(outcome))
    throw new InputError('outcome', `must be all, good, fair or poor, saw ${JSON.stringify(outcome.slice(0, 30))}`);
  const where = [...(outcome === 'all' ? [] : ['outcome = ?']), ...(project === '' ? [] : [`${PROJECT_OF('id')} = ?`])];
  const page = pageOf(db, logEntries, asked, {
    searched: ['title', 'cloth_name', 'stack_title', 'note', PROJECT_OF('name')],
    sorts: {},
    order: 'done_on DESC, created_at DESC, id',
    where: where.length > 0 ? where.join(' AND ') : '1',
    params: [...(outcome === 'all' ? [] : [outcome]), ...(project === '' ? [] : [project])],
  });
  const owners = new Map(
    workpiecesByIds(
      db,
      page.rows.flatMap(({ jobId }) => jobId ?? []),
    ).map(({ id, projectId }) => [id, projectId]),
  );
  const names = new Map(projects.byIds(db, [...owners.values()]).map(({ id, name }) => [id, { id, name }]));
  const rows = page.rows.map((entry) => ({ ...entry, project: names.get(owners.get(entry.jobId ?? '') ?? '') ?? null }));
  return { ...page, rows };
}

/** Projects with how far they have come, in their order. */
export function projectPage(db: Db, asked: PageAsked): Page<ProjectSummary> {
  const page = pageOf(db, projects, asked, {
    searched: ['name', 'note'],
    sorts: { name: 'name COLLATE NOCASE' },
    order: PROJECT_ORDER,
  });
  return { ...page, rows: summariesOf(db, page.rows) };
}
