import MiniSearch from 'minisearch';
import type { Db } from '../../store/database';
import { documentsSince, newestOf, standingDocuments, type Document, type Found } from './documents';

export type { Found, FoundKind } from './documents';

/** Words that say nothing of what is looked for. */
const EMPTY = new Set(
  'a after an and any at behind by did do does for from had has have how i in is it its last me my of on or our put show that the there this to under up use used was we were what when where which who with'.split(
    ' ',
  ),
);

/** So many are taken into the index in one go: others are answered in between. */
const SLICE = 250;

interface Index {
  engine: MiniSearch<Document>;
  /** What had been written when it was looked at last, and the time of the newest row in it. */
  change: string;
  newest: string;
}

/** The index of each connection as it is after what was asked of it last: whoever asks meanwhile waits for that. */
const indexes = new WeakMap<Db, Promise<Index>>();

/** What has been written so far, by this connection and by others. */
function changeOf(db: Db): string {
  const { n } = db.prepare('SELECT total_changes() AS n').get() as { n: number };
  return `${db.pragma('data_version', { simple: true })} ${n}`;
}

const words = (text: string): string[] =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** `pressed`, `pressing` and `presses` are one word to whoever looks for it. */
const stem = (word: string): string => (word.length > 4 ? word.replace(/(ing|ed|es|s)$/, '') : word);

function emptyEngine(): MiniSearch<Document> {
  return new MiniSearch<Document>({
    fields: ['title', 'detail', 'words'],
    storeFields: ['id', 'kind', 'title', 'detail', 'href', 'again'],
    tokenize: words,
    processTerm: (term) => (EMPTY.has(term) ? null : stem(term)),
    // What is taken out and put in again is tidied up by itself.
    autoVacuum: true,
    searchOptions: {
      boost: { title: 4, detail: 1.5 },
      prefix: (term) => term.length > 1,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
    },
  });
}

const rest = () => new Promise<void>((resolve) => setImmediate(resolve));

function built(): Index {
  const index: Index = { engine: emptyEngine(), change: '', newest: '' };
  index.engine.addAll(standingDocuments());
  return index;
}

/** Takes in what was written since the index was looked at last. */
async function taken(db: Db, index: Index): Promise<void> {
  const change = changeOf(db);
  if (index.change === change) return;
  // Looked at before the rows are read: what is written meanwhile is read once more, and never passed over.
  const newest = newestOf(db);
  let some = 0;
  for (const document of documentsSince(db, index.newest)) {
    const { engine } = index;
    if (engine.has(document.id)) {
      if (document.gone) engine.discard(document.id);
      else engine.replace(document);
    } else if (!document.gone) engine.add(document);
    if (++some % SLICE === 0) await rest();
  }
  index.newest = newest;
  index.change = change;
}

/** What is found: everything that has all of the words, or else as many of them as anything has; best first. */
export async function search(db: Db, asked: string, limit: number): Promise<Found[]> {
  const before = indexes.get(db) ?? Promise.resolve(built());
  const now = before
    // What could not be read leaves an index that is begun anew.
    .catch(built)
    .then(async (index) => {
      await taken(db, index);
      return index;
    });
  indexes.set(db, now);
  const index = await now;
  const all = index.engine.search(asked, { combineWith: 'AND' });
  const found = all.length > 0 ? all : index.engine.search(asked, { combineWith: 'OR' });
  return found.slice(0, limit).map(({ id, kind, title, detail, href, again }) => ({
    ...{ id: id as string, kind, title, detail, href },
    ...(again ? { again } : {}),
  })) as Found[];
}
