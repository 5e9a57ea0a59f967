import Papa from 'papaparse';
import { InputError } from '../../core/input-error';
import { clothSchema } from '../../schemas/cloths';
import { layerSchema } from '../../schemas/layers';
import { validate } from '../../schemas/validate';
import type { CsvColumn } from './column';
import { CLOTH_COLUMNS, LAYER_COLUMNS } from './columns';

export const TABLE_KINDS = ['cloths', 'layers'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

const COLUMNS: Record<TableKind, readonly CsvColumn[]> = { cloths: CLOTH_COLUMNS, layers: LAYER_COLUMNS };
const SCHEMAS = { cloths: clothSchema, layers: layerSchema };

/** Bounds of a file that is taken: more would not fit a screen, let alone a sewing room. */
const MOST_ROWS = 5000;
const MOST_COLUMNS = 200;
const LONGEST_CELL = 5000;

/** Which heading of the file feeds each field; a field that is absent is not read. */
export type Mapping = Record<string, string>;

export interface RowFault {
  field: string;
  message: string;
}

export interface TableRow {
  /** Line as a spreadsheet numbers it; the headings are line 1. */
  row: number;
  name: string;
  /** The record, when the row is sound. */
  record?: Record<string, unknown>;
  faults: RowFault[];
}

export interface TablePreview {
  kind: TableKind;
  /** Headings of the file, in order. */
  headings: string[];
  /** Fields that can be fed. */
  fields: { field: string; header: string; required: boolean }[];
  mapping: Mapping;
  rows: TableRow[];
  sound: number;
  faulty: number;
}

function plain(heading: string): string {
  return heading
    .toLowerCase()
    .replace(/[²]/g, '2')
    .replace(/[^a-z0-9%/]+/g, ' ')
    .trim();
}

/** Finds a heading for each field: the same words first, then known other names, each heading once. */
export function matchColumns(kind: TableKind, headings: readonly string[]): Mapping {
  const mapping: Mapping = {};
  const free = new Set(headings);
  const passes: ((column: CsvColumn, heading: string) => boolean)[] = [
    (column, heading) => plain(heading) === plain(column.header) || heading === column.field,
    (column, heading) => (column.aliases ?? []).some((alias) => plain(heading) === plain(alias)),
    (column, heading) => plain(heading).startsWith(plain(column.header).split(' ')[0]!) && plain(column.header).length > 3,
  ];
  for (const fits of passes) {
    for (const column of COLUMNS[kind]) {
      if (mapping[column.field] !== undefined) continue;
      const heading = headings.find((each) => free.has(each) && fits(column, each));
      if (heading === undefined) continue;
      mapping[column.field] = heading;
      free.delete(heading);
    }
  }
  return mapping;
}

function setIn(record: Record<string, unknown>, path: string, value: unknown): void {
  const [first, second] = path.split('.') as [string, string | undefined];
  if (second === undefined) record[first] = value;
  else ((record[first] ??= {}) as Record<string, unknown>)[second] = value;
}

function getIn(record: Record<string, unknown>, path: string): unknown {
  const [first, second] = path.split('.') as [string, string | undefined];
  return second === undefined ? record[first] : (record[first] as Record<string, unknown>)[second];
}

/** A sign that our own export puts before text that a spreadsheet would take for a formula. */
function withoutGuard(text: string): string {
  return /^'[=+\-@]/.test(text) ? text.slice(1) : text;
}

function readRow(kind: TableKind, cells: Record<string, string>, mapping: Mapping, row: number): TableRow {
  const record: Record<string, unknown> = {};
  const faults: RowFault[] = [];
  for (const column of COLUMNS[kind]) {
    const heading = mapping[column.field];
    const text = heading === undefined ? '' : withoutGuard((cells[heading] ?? '').trim());
    if (text.length > LONGEST_CELL) {
      faults.push({ field: column.field, message: `is longer than ${LONGEST_CELL} characters` });
      continue;
    }
    if (text === '') {
      if (column.required) faults.push({ field: column.field, message: 'is missing' });
      else if (column.fallback !== undefined) setIn(record, column.field, column.fallback);
      continue;
    }
    try {
      setIn(record, column.field, column.read(text));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      faults.push({ field: column.field, message: error.message.replace(/^[^:]*: /, '') });
    }
  }
  const name = typeof record['name'] === 'string' ? record['name'] : '';
  if (faults.length > 0) return { row, name, faults };
  try {
    return { row, name, record: validate(SCHEMAS[kind], record) as Record<string, unknown>, faults };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { row, name, faults: [{ field: error.field, message: error.message.replace(/^[^:]*: /, '') }] };
  }
}

/**
 * Reads a table of cloths or layers: headings in the first line, any usual separator. Nothing is thrown for faults
 * in the person's own rows; they come back in a list beside the rows that are sound.
 *
 * @param mapping which heading feeds each field; found by name when not given
 * @throws {InputError} when the text is not a table, or is larger than can be taken
 */
export function readTable(kind: TableKind, text: string, mapping?: Mapping): TablePreview {
  requireFewCells(text);
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 1,
    transformHeader: (heading, index) => heading.trim() || `column ${index + 1}`,
  });
  const headings = (parsed.meta.fields ?? []).filter((heading) => heading !== '');
  if (headings.length === 0 || parsed.data.length === 0)
    throw new InputError('text', 'holds no rows; the first line must be headings, the lines below it one cloth or layer each');
  if (headings.length > MOST_COLUMNS)
    throw new InputError('text', `has ${headings.length} columns; at most ${MOST_COLUMNS} are read`);
  if (parsed.data.length > MOST_ROWS) throw new InputError('text', `has more than ${MOST_ROWS} rows; bring it in in parts`);
  const used = mapping ?? matchColumns(kind, headings);
  for (const [field, heading] of Object.entries(used)) {
    if (!COLUMNS[kind].some((column) => column.field === field))
      throw new InputError(`mapping.${field}`, 'is not a field that can be fed');
    if (!headings.includes(heading))
      throw new InputError(`mapping.${field}`, `names a column that the file does not have: ${heading}`);
  }
  const rows = parsed.data.map((cells, i) => readRow(kind, cells, used, i + 2));
  const faulty = rows.filter(({ faults }) => faults.length > 0).length;
  return {
    kind,
    headings,
    fields: COLUMNS[kind].map(({ field, header, required }) => ({ field, header, required: required === true })),
    mapping: used,
    rows,
    sound: rows.length - faulty,
    faulty,
  };
}

/** Separators that a table may have, more than its cells can need. */
const MOST_SEPARATORS = MOST_ROWS * 60;
const SEPARATORS = [',', ';', '\t', '|'];

/**
 * Bounds a table before it is taken apart: making millions of empty cells only to say that they are too many takes a minute.
 *
 * @throws {InputError} for a line with too many columns, or too many cells in all
 */
function requireFewCells(text: string): void {
  const counts = new Map(SEPARATORS.map((separator) => [separator, { inLine: 0, all: 0, most: 0 }]));
  for (let i = 0; i < text.length; i++) {
    const character = text[i]!;
    if (character === '\n') for (const count of counts.values()) count.inLine = 0;
    const count = counts.get(character);
    if (!count) continue;
    count.all++;
    count.inLine++;
    if (count.inLine > count.most) count.most = count.inLine;
    // Words in cells hold a few; nothing that is a table holds so many in one line.
    if (count.inLine > 10 * MOST_COLUMNS)
      throw new InputError(
        'text',
        `has a line of more than ${10 * MOST_COLUMNS} cells; at most ${MOST_COLUMNS} columns are read`,
      );
    if (count.all > MOST_SEPARATORS)
      throw new InputError('text', `has more cells than ${MOST_ROWS} rows can hold; bring it in in parts`);
  }
}

/** Writes cloths or layers as a table that {@link readTable} reads back the same. */
export function writeTable(kind: TableKind, records: readonly object[]): string {
  const columns = COLUMNS[kind];
  return `${Papa.unparse(
    {
      fields: columns.map(({ header }) => header),
      data: records.map((record) =>
        columns.map((column) => column.write(getIn(record as Record<string, unknown>, column.field))),
      ),
    },
    { escapeFormulae: true, newline: '\r\n' },
  )}\r\n`;
}
