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

/**
 * A bundle as this version writes it, whatever version wrote it. What is no bundle at all is handed on as it is: the schema says so.
 *
 * @param bundle as it was read, not checked yet
 */
export function upgradeBundle(bundle: unknown): unknown {
  if (!isRow(bundle) || bundle['formatVersion'] !== 1) return bundle;
  const { parts, ...rest } = bundle;
  const done = rows(parts).map((part, i) => split(isRow(part) ? part : {}, i + 1));
  const ofJob = (list: unknown) => rows(list).map((row) => (isRow(row) ? renamed(row, { partId: 'jobId' }) : row));
  return {
    ...rest,
    formatVersion: 2,
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
