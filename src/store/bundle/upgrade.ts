import { InputError } from '../../core/input-error';

type Row = Record<string, unknown>;

const rows = (value: unknown): Row[] => (Array.isArray(value) ? (value as Row[]) : []);
const isRow = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value);

/** A row under other names of some of its fields. */
function renamed(row: Row, names: Record<string, string>): Row {
  return Object.fromEntries(Object.entries(row).map(([key, value]) => [names[key] ?? key, value]));
}

/** One part of the first version: a piece with one cut and one job, all under its id. */
function split(part: Row, position: number) {
  const { id, projectId, name, clothId, shape, line, allowances, fold, grain, marks, count, pairs, oneWay } = part;
  const { wish, stack, glueUp, cutDone } = part;
  const { cut: orientation, ...wished } = isRow(wish) ? wish : ({} as Row);
  return {
    piece: { id, projectId, name, shape, line, allowances, fold, grain, marks, position },
    cut: { id, pieceId: id, duty: 'shell', clothId, count, pairs, oneWay, own: null, orientation, done: cutDone },
    job: { id, cutId: id, name: '', place: { kind: 'usual' }, wish: wished, stack, glueUp, cutDone },
  };
}

/** Fields that are absent stay absent, so that the schema fills or misses them as it would have. */
function present(row: Row): Row {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined));
}

/** Format that this version writes. */
export const BUNDLE_FORMAT = 3;

/** The first version knew parts: one row where the second has a piece, a cut and a job. */
function fromFirst({ parts, ...bundle }: Row): Row {
  const done = rows(parts).map((part, i) => split(isRow(part) ? part : {}, i + 1));
  const ofJob = (list: unknown) => rows(list).map((row) => (isRow(row) ? renamed(row, { partId: 'jobId' }) : row));
  return {
    ...bundle,
    pieces: done.map(({ piece }) => present(piece)),
    cuts: done.map(({ cut }) => present(cut)),
    jobs: done.map(({ job }) => present(job)),
    ...(bundle['log'] === undefined ? {} : { log: ofJob(bundle['log']) }),
    ...(bundle['scraps'] === undefined ? {} : { scraps: ofJob(bundle['scraps']) }),
    ...(bundle['hoopings'] === undefined ? {} : { hoopings: ofJob(bundle['hoopings']) }),
    ...(bundle['tables'] === undefined
      ? {}
      : { tables: rows(bundle['tables']).map((row) => (isRow(row) ? renamed(row, { partIds: 'workIds' }) : row)) }),
  };
}

/** The second version kept the ticks of all copies in one list, those of later copies with their number before them: `2/hoop`. */
function fromSecond(bundle: Row): Row {
  if (bundle['hoopings'] === undefined) return bundle;
  return {
    ...bundle,
    hoopings: rows(bundle['hoopings']).map((row) =>
      isRow(row) && Array.isArray(row['prepared']) ? { ...row, prepared: ticksByCopy(row['prepared']) } : row,
    ),
  };
}

function ticksByCopy(ticks: readonly unknown[]): unknown[] {
  const byCopy = new Map<number, unknown[]>();
  for (const tick of ticks) {
    const [, number, id] = /^(?:(\d{1,4})\/)?(.*)$/s.exec(String(tick))!;
    const copy = Number(number ?? 0);
    byCopy.set(copy, [...(byCopy.get(copy) ?? []), typeof tick === 'string' ? id : tick]);
  }
  return [...byCopy].map(([copy, done]) => ({ copy, ticks: done }));
}

/**
 * A bundle as this version writes it, whatever version wrote it. What is no bundle at all is handed on as it is: the schema says so.
 *
 * @param bundle as it was read, not checked yet
 * @throws {InputError} when a newer version wrote it
 */
export function upgradeBundle(bundle: unknown): unknown {
  if (!isRow(bundle)) return bundle;
  const { formatVersion } = bundle;
  if (typeof formatVersion === 'number' && formatVersion > BUNDLE_FORMAT)
    throw new InputError(
      'formatVersion',
      `is ${formatVersion}: a newer Nembrel wrote this file, and this one reads bundles up to ${BUNDLE_FORMAT}. Update Nembrel, then bring it in again`,
    );
  const second = formatVersion === 1 ? fromFirst(bundle) : bundle;
  return formatVersion === 1 || formatVersion === 2 ? { ...fromSecond(second), formatVersion: BUNDLE_FORMAT } : bundle;
}
