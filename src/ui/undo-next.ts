import { call } from './api';
import { undoToast } from './undo-toast';

/** A way back that is offered on the page that comes next. */
interface NextUndo {
  words: string;
  /** Where it is taken back, by PUT. */
  address: string;
  body: object;
}

const KEY = 'nembrel-undo-next';

/** Something was done and the page is left for another one: there it is told, and can be taken back. */
export function undoOnNextPage(undo: NextUndo): void {
  try {
    sessionStorage.setItem(KEY, JSON.stringify(undo));
  } catch {
    // Without a store nothing is offered; what was done stands.
  }
}

/** Tells what the page before did, with its way back; once. */
export function tellUndo(): void {
  const text = globalThis.sessionStorage?.getItem(KEY);
  if (!text) return;
  sessionStorage.removeItem(KEY);
  const { words, address, body } = JSON.parse(text) as NextUndo;
  undoToast(words, async () => {
    await call('PUT', address, body);
    location.reload();
  });
}
