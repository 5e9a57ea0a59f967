import { ApiError, call } from '../api';

/** A move as it is sent: its own name, and when it was done. */
export interface SentMove<M> {
  id: string;
  at: string;
  move: M;
}

const PREFIX = 'nembrel-move:';
/** Moves of one request; the server takes five hundred. */
const AT_ONCE = 200;
/** When a server that did not answer is asked again, ms; the last one goes on. */
const ASK_AGAIN = [1000, 2000, 4000, 8000];

function store(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    // Switched off: moves stand on the page alone.
    return undefined;
  }
}

/** A move as it is kept in the browser: with a number by which those that were made in one millisecond keep their order. */
interface KeptMove<M> extends SentMove<M> {
  order: number;
}

/** Never the same twice. When a move was made is another thing: a clock that is put back only puts that back. */
let last = 0;
const nextOrder = (): number => (last = Math.max(Date.now(), last + 1));

/** Addresses stand escaped in the key, so that the name of the move behind the last slash is told from them. */
const keyOf = (path: string, id: string) => `${PREFIX}${encodeURIComponent(path)}/${id}`;

/** Moves that wait in this browser, by the address that they go to, in the order in which they were made. */
function waitingMoves(): Map<string, SentMove<unknown>[]> {
  const found = new Map<string, KeptMove<unknown>[]>();
  const kept = store();
  const keys = kept ? Array.from({ length: kept.length }, (_, i) => kept.key(i) ?? '') : [];
  for (const key of keys.filter((each) => each.startsWith(PREFIX))) {
    const path = decodeURIComponent(key.slice(PREFIX.length, key.lastIndexOf('/')));
    try {
      const move = JSON.parse(kept!.getItem(key)!) as KeptMove<unknown>;
      found.set(path, [...(found.get(path) ?? []), move]);
    } catch {
      kept!.removeItem(key);
    }
  }
  return new Map(
    [...found].map(([path, moves]) => [
      path,
      // One that was kept before it had a number stands where its time says.
      moves
        .sort((a, b) => (a.order ?? Date.parse(a.at)) - (b.order ?? Date.parse(b.at)))
        .map(({ id, at, move }) => ({ id, at, move })),
    ]),
  );
}

/** How the moves of a page stand with the server. */
export interface OutboxState<M> {
  waiting: readonly SentMove<M>[];
  /** The server does not answer; it is tried again by itself. */
  away: boolean;
  /** What was refused, in words. */
  refused: string | undefined;
}

interface OutboxOptions<M, R> {
  /** Where moves are posted to, as `{moves: […]}`. */
  path: string;
  onState: (state: OutboxState<M>) => void;
  /** What the server keeps, after each answer. */
  onAnswer: (record: R) => void;
  /** Told of each move that was refused for itself, in words. */
  onRefused?: (why: string) => void;
}

/**
 * Sends what was done, in its order, until the server has confirmed it. Each move has a name of its own, so that one whose answer was lost
 * is sent again without counting twice. What waits is kept in the browser: a reload, or an evening without the server, loses none of it.
 */
export class Outbox<M, R> {
  private waiting: SentMove<M>[] = [];
  private sending = false;
  private failures = 0;
  private away = false;
  private refused: string | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private closed = false;
  /** After something was refused moves go one by one, until it is known which it was. */
  private single = false;

  constructor(private readonly options: OutboxOptions<M, R>) {}

  /** Takes over what an earlier page could not get confirmed. */
  open(): void {
    this.closed = false;
    const earlier = (waitingMoves().get(this.options.path) ?? []) as SentMove<M>[];
    this.waiting = [...earlier.filter(({ id }) => this.waiting.every((each) => each.id !== id)), ...this.waiting];
    if (this.waiting.length === 0) return;
    this.tell();
    void this.send();
  }

  /** Takes a move; it is sent at once, after those before it. */
  add(move: M): void {
    const sent: SentMove<M> = { id: crypto.randomUUID(), at: new Date().toISOString(), move };
    this.waiting = [...this.waiting, sent];
    this.refused = undefined;
    try {
      store()?.setItem(keyOf(this.options.path, sent.id), JSON.stringify({ ...sent, order: nextOrder() } satisfies KeptMove<M>));
    } catch {
      // A full store keeps nothing more; the page still holds the move and asks before it is left.
    }
    this.tell();
    if (!this.away) void this.send();
  }

  /** Whether something waits for a server that does not answer. */
  get stuck(): boolean {
    return this.away && this.waiting.length > 0;
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.timer);
  }

  private async send(): Promise<void> {
    if (this.sending || this.closed) return;
    clearTimeout(this.timer);
    this.sending = true;
    try {
      while (this.waiting.length > 0 && !this.closed) {
        const moves = this.waiting.slice(0, this.single ? 1 : AT_ONCE);
        const record = await call<R>('POST', this.options.path, { moves });
        this.failures = 0;
        this.away = false;
        this.drop(moves);
        this.single &&= this.waiting.length > 0;
        this.options.onAnswer(record);
      }
    } catch (problem) {
      const { status, message } = problem as ApiError;
      this.away = !(problem instanceof ApiError) || status === 0 || status >= 500;
      if (this.away) {
        this.timer = setTimeout(() => void this.send(), ASK_AGAIN[Math.min(this.failures++, ASK_AGAIN.length - 1)]);
      } else if (status === 404) {
        // What they were made on is gone: that is told once, not for each of them.
        this.refuse(message, this.waiting);
      } else {
        // What is refused for itself would only take down what comes with it.
        if (this.single || this.waiting.length === 1) this.refuse(message, this.waiting.slice(0, 1));
        this.single = this.waiting.length > 0;
        if (this.waiting.length > 0) this.timer = setTimeout(() => void this.send(), 0);
      }
    } finally {
      this.sending = false;
      this.tell();
    }
  }

  private refuse(why: string, moves: readonly SentMove<M>[]): void {
    this.refused = why;
    this.options.onRefused?.(why);
    this.drop(moves);
  }

  private drop(moves: readonly SentMove<M>[]): void {
    const gone = new Set(moves.map(({ id }) => id));
    for (const id of gone) store()?.removeItem(keyOf(this.options.path, id));
    this.waiting = this.waiting.filter(({ id }) => !gone.has(id));
  }

  private tell(): void {
    this.options.onState({ waiting: this.waiting, away: this.away, refused: this.refused });
  }
}

/** Sends what earlier pages could not get confirmed, wherever that goes to, until the server has it. @param onRefused told of each move that it refuses */
export function resendMoves(onRefused: (why: string) => void): () => void {
  const nobody = () => {};
  const boxes = [...waitingMoves().keys()].map((path) => new Outbox({ path, onState: nobody, onAnswer: nobody, onRefused }));
  for (const box of boxes) box.open();
  return () => boxes.forEach((box) => box.close());
}
