import { capital } from '../../core/letters';
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
 * @param words names of fields, where the plain name of the field would not do
 */
export function differences(mine: object, theirs: object, words: Readonly<Record<string, string>> = {}): Difference[] {
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
    } else found.push({ field: named(path, words), mine: inWords(a), theirs: inWords(b) });
  }
}

/** Whether two values of JSON are the same, whatever the order of their keys. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b || (a ?? null) === (b ?? null)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((each, i) => same(each, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isListOfRecords(value: unknown): value is Record<string, unknown>[] {
  return Array.isArray(value) && value.length > 0 && value.length <= LONGEST_LIST && value.every(isRecord);
}

/** `['stack', 'layers', '1', 'cut', 'trim']` → “Stack, layers 1, cut, trim”. */
function named(path: readonly string[], words: Readonly<Record<string, string>>): string {
  const spelled = path.map((key, i) => (i === 0 ? words[key] : undefined) ?? spaced(key));
  const text = spelled.reduce((all, each) => (all === '' ? each : /^\d+$/.test(each) ? `${all} ${each}` : `${all}, ${each}`), '');
  return capital(text);
}

function spaced(key: string): string {
  return key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

function inWords(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (typeof value === 'string') return value.length > LONGEST_TEXT ? `${value.slice(0, LONGEST_TEXT)} …` : value;
  if (Array.isArray(value)) {
    const plain = value.every((each) => typeof each !== 'object');
    return plain && value.length <= 2 * LONGEST_LIST ? value.map(inWords).join(', ') || 'none' : `${value.length} entries`;
  }
  const record = value as Record<string, unknown>;
  const title = record['title'] ?? record['name'];
  return typeof title === 'string' ? title : 'set';
}
