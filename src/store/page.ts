import { InputError } from '../core/input-error';
import type { Db } from './database';
import type { Kept, Table, Value } from './table';

/** What part of a list is asked for. */
export interface PageAsked {
  /** Words that all have to be found. */
  search: string;
  /** Key of the order, and whether it runs backwards; the list's own order when it is empty. */
  sort: string;
  descending: boolean;
  /** From 0. */
  page: number;
  size: number;
}

export interface Page<T> {
  rows: T[];
  /** Rows that fit what is asked, on all pages. */
  total: number;
  page: number;
  size: number;
}

/** How a list is searched and sorted in SQL. */
export interface PageRule {
  /** Expressions whose text is searched. */
  searched: readonly string[];
  /** Expressions to sort by, by key. */
  sorts: Readonly<Record<string, string>>;
  /** Order when none is asked for, and the last word among equals. */
  order: string;
  /** What else has to hold. */
  where?: string;
  params?: readonly Value[];
}

const LARGEST_PAGE = 100;
const MOST_WORDS = 8;

/** Reads what part of a list an address asks for: `search`, `sort` (with a leading − for backwards), `page`, `size`. @throws {InputError} */
export function pageAsked(query: URLSearchParams, size: number): PageAsked {
  const number = (key: string, usual: number, max: number) => {
    const text = query.get(key);
    if (text === null) return usual;
    const value = Number(text);
    if (!Number.isInteger(value) || value < 0 || value > max)
      throw new InputError(key, `must be a whole number from 0 to ${max}, saw ${JSON.stringify(text.slice(0, 30))}`);
    return value;
  };
  const sort = query.get('sort') ?? '';
  return {
    search: (query.get('search') ?? '').slice(0, 200),
    sort: sort.replace(/^-/, ''),
    descending: sort.startsWith('-'),
    page: number('page', 0, 1_000_000),
    size: Math.max(1, number('size', size, LARGEST_PAGE)),
  };
}

/**
 * One page of a table: searched, sorted and cut in SQL, so that only what is seen is read and sent.
 *
 * @throws {InputError} for an order that the list does not know
 */
export function pageOf<T extends object>(db: Db, table: Table<T>, asked: PageAsked, rule: PageRule): Page<T & Kept> {
  const sort = asked.sort === '' ? undefined : rule.sorts[asked.sort];
  if (asked.sort !== '' && sort === undefined)
    throw new InputError(
      'sort',
      `must be one of ${Object.keys(rule.sorts).join(', ')}, saw ${JSON.stringify(asked.sort.slice(0, 30))}`,
    );
  const words = asked.search.toLowerCase().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);
  const text = rule.searched.map((expression) => `coalesce(${expression}, '')`).join(" || ' ' || ");
  const where = [rule.where ?? '1', ...words.map(() => `instr(lower(${text}), ?) > 0`)].join(' AND ');
  const params = [...(rule.params ?? []), ...words];
  const total = table.count(db, where, params);
  const order = sort ? `${sort} ${asked.descending ? 'DESC' : 'ASC'}, ${rule.order}` : rule.order;
  const rows = table.list(db, where, params, order, { limit: asked.size, offset: asked.page * asked.size });
  return { rows, total, page: asked.page, size: asked.size };
}
