import { SEEN_TROUBLES } from '../../core/techniques';
import type { Db } from '../../store/database';
import { PLACES } from './places';

/** What a thing that is found is. */
export type FoundKind = 'cloth' | 'layer' | 'project' | 'piece' | 'job' | 'motif' | 'hooping' | 'log' | 'remedy' | 'place';

/** Something that can be found, and where it is. */
export interface Found {
  /** Of all that is found: `kind/ID`. */
  id: string;
  kind: FoundKind;
  title: string;
  /** What tells it from others of its name. */
  detail: string;
  href: string;
  /** Project that can be sewn again. */
  again?: string;
}

/** The same with all words by which it is found; gone where it was deleted. */
export interface Document extends Found {
  words: string;
  gone: boolean;
}

type Row = Record<string, string | number | null>;

/** Where things of one kind are read from. */
interface Source {
  /** All of them, with whether each is gone. */
  sql: string;
  /** Which column of `sql` is the id. */
  key: string;
  /** Ids of those that say something else since a time (`@since`), because they were written or something that they name was. */
  written: string;
  documentOf: (row: Row) => Omit<Document, 'gone'>;
}

/** When a row was written last, as the index of its table has it. */
const AT = (table: string) => `max(${table}.updated_at, coalesce(${table}.deleted_at, ''))`;
/** Ids of a table alone. */
const own = (table: string) => `SELECT ${table}.id FROM ${table} WHERE ${AT(table)} >= @since`;
/** Tables of which a row is looked for by when it was written. */
const TABLES = ['cloth', 'layer', 'project', 'piece', 'cut', 'job', 'motif', 'hooping', 'log_entry'];

const text = (value: string | number | null | undefined): string => (value === null || value === undefined ? '' : String(value));
const MONTHS = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });
/** `July 2026` of a date. */
function month(day: string): string {
  const at = Date.parse(day);
  return Number.isNaN(at) ? '' : MONTHS.format(at);
}
/** Words of a kept list or object, without its signs. */
const spelled = (json: string | number | null | undefined): string => text(json).replace(/[^\p{L}\p{N}]+/gu, ' ');

const OUTCOMES: Record<string, string> = { good: 'came out well', fair: 'passable', poor: 'went wrong' };

const JOB_FROM = `FROM job j JOIN cut c ON c.id = j.cut_id JOIN piece i ON i.id = c.piece_id JOIN project p ON p.id = i.project_id
  LEFT JOIN cloth k ON k.id = c.cloth_id`;

/** Pieces that say something else: they, their project, a cut or a job of theirs was written. */
const PIECES_WRITTEN = `${own('piece')} UNION SELECT i.id FROM piece i WHERE i.project_id IN (${own('project')})
  UNION SELECT c.piece_id FROM cut c WHERE ${AT('c')} >= @since
  UNION SELECT c.piece_id FROM job j JOIN cut c ON c.id = j.cut_id WHERE ${AT('j')} >= @since`;
/** Jobs: they, their piece or something of that, or the cloth that they are put on. */
const JOBS_WRITTEN = `${own('job')} UNION SELECT j.id FROM job j JOIN cut c ON c.id = j.cut_id
  WHERE c.piece_id IN (${PIECES_WRITTEN}) OR c.cloth_id IN (${own('cloth')})`;

/** Where everything that can be found is read from. */
const SOURCES: readonly Source[] = [
  {
    sql: `SELECT id, name, note, construction, weave, fibres, tone, origin, deleted_at IS NOT NULL AS gone FROM cloth`,
    key: 'cloth.id',
    written: own('cloth'),
    documentOf: (row) => ({
      ...{ id: `cloth/${row['id']}`, kind: 'cloth', title: text(row['name']), href: `/cupboard/cloths/${row['id']}` },
      detail: row['origin'] === 'own' ? 'your cloth' : 'cloth of the library',
      words: [row['note'], row['construction'], row['weave'], row['tone'], spelled(row['fibres'])].map(text).join(' '),
    }),
  },
  {
    sql: `SELECT id, name, note, family, form, in_stock, deleted_at IS NOT NULL AS gone FROM layer`,
    key: 'layer.id',
    written: own('layer'),
    documentOf: (row) => ({
      ...{ id: `layer/${row['id']}`, kind: 'layer', title: text(row['name']), href: `/cupboard/layers/${row['id']}` },
      detail: `layer, ${text(row['family']).replaceAll('-', ' ')}${row['in_stock'] ? ', at hand' : ''}`,
      words: `${text(row['note'])} ${spelled(row['family'])} ${spelled(row['form'])}`,
    }),
  },
  {
    sql: `SELECT id, name, note, variant, notions, updated_at AS touched, deleted_at IS NOT NULL AS gone FROM project`,
    key: 'project.id',
    written: own('project'),
    documentOf: (row) => ({
      ...{
        id: `project/${row['id']}`,
        kind: 'project',
        title: text(row['name']),
        href: `/projects/${row['id']}`,
        again: text(row['id']),
      },
      detail: text(row['variant']) || 'project',
      words: `${text(row['note'])} ${text(row['variant'])} ${spelled(row['notions'])} ${month(text(row['touched']))}`,
    }),
  },
  {
    sql: `SELECT j.id AS id, j.name AS name, i.name AS piece, p.name AS project, p.id AS project_id, k.name AS cloth, json_extract(j.stack, '$.title') AS stack,
      json_extract(j.wish, '$.role') AS role,
      (j.deleted_at IS NOT NULL OR c.deleted_at IS NOT NULL OR i.deleted_at IS NOT NULL OR p.deleted_at IS NOT NULL) AS gone, j.updated_at AS touched ${JOB_FROM}`,
    key: 'j.id',
    written: JOBS_WRITTEN,
    documentOf: (row) => ({
      ...{
        id: `job/${row['id']}`,
        kind: 'job',
        href: `/projects/${row['project_id']}?job=${row['id']}&stage=choose`,
        again: text(row['project_id']),
      },
      title: row['name'] ? `${row['piece']}: ${row['name']}` : text(row['piece']),
      detail: [row['project'], row['cloth'], row['stack'] ?? 'nothing chosen yet'].filter(Boolean).join(' · '),
      words: `${text(row['cloth'])} ${text(row['stack'])} ${spelled(row['role'])} ${text(row['project'])} ${month(text(row['touched']))}`,
    }),
  },
  {
    // Pieces on which nothing is done; the others are found by their jobs.
    sql: `SELECT i.id AS id, i.name AS name, p.name AS project, p.id AS project_id,
      (SELECT c.id FROM cut c WHERE c.piece_id = i.id AND c.deleted_at IS NULL ORDER BY c.position LIMIT 1) AS cut,
      (i.deleted_at IS NOT NULL OR p.deleted_at IS NOT NULL OR EXISTS (SELECT 1 FROM cut c CROSS JOIN job j ON j.cut_id = c.id AND j.deleted_at IS NULL
        WHERE c.piece_id = i.id AND c.deleted_at IS NULL)) AS gone
      FROM piece i JOIN project p ON p.id = i.project_id`,
    key: 'i.id',
    written: PIECES_WRITTEN,
    documentOf: (row) => ({
      ...{ id: `piece/${row['id']}`, kind: 'piece', title: text(row['name']), detail: text(row['project']) },
      ...{
        href: `/projects/${row['project_id']}${row['cut'] ? `?job=${row['cut']}&stage=pieces` : ''}`,
        words: text(row['project']),
      },
    }),
  },
  {
    sql: `SELECT id, name, note, deleted_at IS NOT NULL AS gone FROM motif`,
    key: 'motif.id',
    written: own('motif'),
    documentOf: (row) => ({
      ...{
        id: `motif/${row['id']}`,
        kind: 'motif',
        title: text(row['name']),
        detail: 'motif',
        href: `/hoop/motifs/${row['id']}`,
      },
      words: `${text(row['note'])} embroidery stitches`,
    }),
  },
  {
    sql: `SELECT h.id AS id, h.name AS name, h.note AS note, k.name AS cloth, json_extract(h.stack, '$.title') AS stack,
      h.deleted_at IS NOT NULL AS gone FROM hooping h LEFT JOIN cloth k ON k.id = h.cloth_id`,
    key: 'h.id',
    written: `${own('hooping')} UNION SELECT h.id FROM hooping h WHERE h.cloth_id IN (${own('cloth')})`,
    documentOf: (row) => ({
      ...{ id: `hooping/${row['id']}`, kind: 'hooping', title: text(row['name']), href: `/hoop/jobs/${row['id']}` },
      detail: ['in the hoop', row['cloth'], row['stack']].filter(Boolean).join(' · '),
      words: `${text(row['note'])} ${text(row['cloth'])} ${text(row['stack'])} embroidery`,
    }),
  },
  {
    sql: `SELECT l.id AS id, l.title AS title, l.cloth_name AS cloth, l.stack_title AS stack, l.note AS note, l.done_on AS day, l.outcome AS outcome, l.job_id AS job, p.id AS project_id,
      p.name AS project, l.deleted_at IS NOT NULL AS gone
      FROM log_entry l LEFT JOIN job j ON j.id = l.job_id AND j.deleted_at IS NULL LEFT JOIN cut c ON c.id = j.cut_id LEFT JOIN piece i ON i.id = c.piece_id LEFT JOIN project p ON p.id = i.project_id AND p.deleted_at IS NULL`,
    key: 'l.id',
    written: `${own('log_entry')} UNION SELECT l.id FROM log_entry l WHERE l.job_id IN (${JOBS_WRITTEN})`,
    documentOf: (row) => ({
      ...{ id: `log/${row['id']}`, kind: 'log', title: text(row['title']) },
      detail: [text(row['day']), row['cloth'], row['stack'], OUTCOMES[text(row['outcome'])]].filter(Boolean).join(' · '),
      href: row['project_id']
        ? `/projects/${row['project_id']}?job=${row['job']}&stage=file`
        : `/logbook?find=${encodeURIComponent(text(row['title']))}`,
      ...(row['project_id'] ? { again: text(row['project_id']) } : {}),
      words: `${text(row['cloth'])} ${text(row['stack'])} ${text(row['note'])} ${text(row['project'])} ${month(text(row['day']))} ${OUTCOMES[text(row['outcome'])] ?? ''}`,
    }),
  },
];

/** What is there without being kept: remedies, and the places of the product. */
export function standingDocuments(): Document[] {
  const remedies = SEEN_TROUBLES.map(({ id, seen, also, causes }): Document => ({
    ...{ id: `remedy/${id}`, kind: 'remedy', title: seen, detail: 'what it may be, and what helps', gone: false },
    href: `/remedies?see=${encodeURIComponent(seen)}`,
    words: `${also} ${causes.flatMap(({ why, now, next }) => [why, now, next]).join(' ')}`,
  }));
  return [
    ...remedies,
    ...PLACES.map((place): Document => ({ ...place, id: `place/${place.title}`, kind: 'place', gone: false })),
  ];
}

/** When the newest row was written, ISO; empty where there is none. */
export function newestOf(db: Db): string {
  const times = TABLES.map((table) => `SELECT max(${AT(table)}) AS at FROM ${table}`).join(' UNION ALL ');
  return text((db.prepare(`SELECT max(at) AS at FROM (${times})`).get() as Row)['at']);
}

/**
 * What says something else since a time, kind by kind; what is gone comes too, so that it can be taken out.
 *
 * @param since ISO time; empty for all that is there
 */
export function* documentsSince(db: Db, since: string): Generator<Document> {
  for (const { sql, key, written, documentOf } of SOURCES) {
    const rows = since === '' ? db.prepare(sql).all() : db.prepare(`${sql} WHERE ${key} IN (${written})`).all({ since });
    for (const row of rows as Row[]) yield { ...documentOf(row), gone: row['gone'] === 1 };
  }
}
