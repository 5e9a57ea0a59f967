import { capital } from '../../core/letters';
import type { LengthSystem } from '../../core/units';
import { labelOf, numberWords } from './field-words';

/** A field in which two versions of a record differ: its name in words, and both values in words. */
export interface Difference {
  field: string;
  mine: string;
  theirs: string;
}

/** Fields that every save changes. */
const NOT_SHOWN = ['id', 'version', 'createdAt', 'updatedAt', 'projectId'];
/** More than this are not listed one by one. */
const MOST_SHOWN = 14;
/** Longer lists and texts are only counted or cut. */
const LONGEST_LIST = 4;
const LONGEST_TEXT = 80;

/**
 * In which fields two versions differ, down into nested ones. What is shown is worked out from the fields themselves, so
 * that none can be forgotten.
 *
 * @param words names of fields on this screen, where they differ from the usual ones @param system in which lengths are told
 */
export function differences(
  mine: object,
  theirs: object,
  words: Readonly<Record<string, string>> = {},
  system: LengthSystem = 'metric',
): Difference[] {
  const found: Difference[] = [];
  compare(mine, theirs, []);
  return found.length <= MOST_SHOWN
    ? found
    : [...found.slice(0, MOST_SHOWN), { field: `and ${found.length - MOST_SHOWN} more`, mine: '…', theirs: '…' }];

  function compare(a: unknown, b: unknown, path: string[]): void {
    if (same(a, b)) return;
    if (isRecord(a) && isRecord(b)) {
      for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
        if (path.length === 0 && (NOT_SHOWN.includes(key) || !(key in a) || !(key in b))) continue;
        compare(a[key], b[key], [...path, key]);
      }
    } else if (isListOfRecords(a) && isListOfRecords(b) && a.length === b.length) {
      a.forEach((each, i) => compare(each, b[i], [...path, String(i + 1)]));
    } else found.push({ field: named(path, words), mine: inWords(a, path, system), theirs: inWords(b, path, system) });
  }
}

/** Whether two values of JSON are the same, whatever the order of their keys. */
function same(a: unknown, b: unknown): boolean {
  if (a === b || (a ?? null) === (b ?? null)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((each, i) => same(each, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

/** Whether a record has everything that was to be saved: the save arrived, only its answer did not. */
export function arrived(body: object, current: object): boolean {
  const kept = current as Record<string, unknown>;
  return Object.entries(body).every(([key, value]) => key === 'version' || same(value, kept[key]));
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isListOfRecords(value: unknown): value is Record<string, unknown>[] {
  return Array.isArray(value) && value.length > 0 && value.length <= LONGEST_LIST && value.every(isRecord);
}

/** `['stack', 'layers', '1', 'cut', 'trim']` → “Layers, layers 1, cut, trimmed by”. */
function named(path: readonly string[], words: Readonly<Record<string, string>>): string {
  const spelled = path.map((key, i) => (i === 0 ? words[key] : undefined) ?? labelOf(key));
  const text = spelled.reduce(
    (all, each) =>
      all === '' ? each : /^\d+$/.test(each) ? `${all} ${each}` : `${all}, ${each.charAt(0).toLowerCase()}${each.slice(1)}`,
    '',
  );
  return capital(text);
}

function inWords(value: unknown, path: readonly string[], system: LengthSystem): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  // An entry of a list is told as the list is.
  const field = path.findLast((key) => !/^\d+$/.test(key)) ?? '';
  if (typeof value === 'number') return numberWords(field, value, system);
  if (typeof value === 'string')
    return value.length > LONGEST_TEXT
      ? `${value.slice(0, LONGEST_TEXT)} …`
      : /^[a-z-]+$/.test(value)
        ? value.replace(/-/g, ' ')
        : value;
  if (Array.isArray(value)) {
    const plain = value.every((each) => typeof each !== 'object');
    return plain && value.length <= 2 * LONGEST_LIST
      ? value.map((each) => inWords(each, path, system)).join(', ') || 'none'
      : `${value.length} entries`;
  }
  const record = value as Record<string, unknown>;
  const title = record['title'] ?? record['name'];
  return typeof title === 'string' ? title : 'set';
}
