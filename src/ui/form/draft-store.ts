/** What is typed in forms and not saved yet, kept in the browser: an error, a reload or a stopped server loses nothing of it. */
const PREFIX = 'nembrel-draft:';
/** A draft that nobody came back to for so long is thrown away, ms. */
const KEPT_FOR = 14 * 24 * 3600 * 1000;

function store(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    // Switched off: what is typed stands on the page alone.
    return undefined;
  }
}

/** The draft under a key, if there is one that can be read and is not too old. */
export function readDraft<T>(key: string): T | undefined {
  const text = store()?.getItem(PREFIX + key);
  if (!text) return undefined;
  try {
    const { at, draft } = JSON.parse(text) as { at: number; draft: T };
    if (Date.now() - at < KEPT_FOR) return draft;
  } catch {
    // An entry that cannot be read is of no use.
  }
  store()?.removeItem(PREFIX + key);
  return undefined;
}

export function writeDraft(key: string, draft: unknown): void {
  try {
    store()?.setItem(PREFIX + key, JSON.stringify({ at: Date.now(), draft }));
  } catch {
    // A full store keeps nothing more; the form still holds it.
  }
}

export function dropDraft(key: string): void {
  store()?.removeItem(PREFIX + key);
}
