/**
 * Changes that were made and not yet confirmed by the server, kept in the browser until they are: a reload, a link or a
 * stopped server loses nothing. One entry for each record, under the address that it is saved to.
 */
export interface Unsaved {
  /** Where it is saved, such as `/api/parts/ID`. */
  address: string;
  /** All fields as they were to be saved, with the version that they change. */
  body: Record<string, unknown> & { version: number };
}

const PREFIX = 'nembrel-unsaved:';

/** The browser's own store, or nothing where it is switched off. */
function store(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

export function keepUnsaved({ address, body }: Unsaved): void {
  try {
    store()?.setItem(PREFIX + address, JSON.stringify(body));
  } catch {
    // A full store keeps nothing more; the page still holds the change and asks before it is left.
  }
}

export function forgetUnsaved(address: string): void {
  store()?.removeItem(PREFIX + address);
}

/** What is kept for one address; an entry that cannot be read is thrown away. */
export function findUnsaved(address: string): Unsaved | undefined {
  const text = store()?.getItem(PREFIX + address);
  if (!text) return undefined;
  try {
    return { address, body: JSON.parse(text) as Unsaved['body'] };
  } catch {
    forgetUnsaved(address);
    return undefined;
  }
}

/** Everything that is kept. */
export function allUnsaved(): Unsaved[] {
  const kept = store();
  if (!kept) return [];
  const addresses = Array.from({ length: kept.length }, (_, i) => kept.key(i) ?? '').filter((key) => key.startsWith(PREFIX));
  return addresses.flatMap((key) => findUnsaved(key.slice(PREFIX.length)) ?? []);
}
