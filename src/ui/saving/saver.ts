import { ApiError, call } from '../api';
import { arrived } from './differences';
import { forgetUnsaved, keepUnsaved } from './unsaved';

export interface Versioned {
  id: string;
  version: number;
}

/** Which of two versions stays; later leaves the question open. */
export type SettledBy = 'theirs' | 'mine' | 'later';

/** Two versions of one record: what this page wanted to save, and what was saved meanwhile. */
export interface Conflict<T> {
  mine: T;
  theirs: T;
}

/** How a record stands with the server. */
export interface SavingState<T> {
  record: T | null;
  /** Something was changed that is not confirmed yet. */
  unsaved: boolean;
  saving: boolean;
  /** The server does not answer; it is tried again by itself. */
  away: boolean;
  /** What was refused, in words; it is not tried again until something changes. */
  error: ApiError | undefined;
  conflict: Conflict<T> | undefined;
}

export interface SaverOptions<T> {
  /** Collection that the record is saved in, such as `/api/parts`. */
  base: string;
  /** Where it is first kept, when it is new. */
  create?: string;
  /** Fields of a record that are sent; all of them by default. */
  toBody?: (record: T) => object;
  onState?: (state: SavingState<T>) => void;
}

/** Time after the last change before it is saved, ms: a figure that is typed is one save and not five. */
const SAVE_AFTER = 500;
/** When a server that did not answer is asked again, ms; the last one goes on. */
const ASK_AGAIN = [1000, 2000, 4000, 8000];
/** A body that is larger does not survive the end of its page, bytes: browsers send 64 kB on. */
const LAST_BODY = 60_000;

type Timer = ReturnType<typeof setTimeout>;

/**
 * Saves one record: changes are collected, sent one save after the other, each with the version that the one before it came back
 * with, so that a quick hand never meets its own save as somebody else's. What is not confirmed is kept in the browser, sent
 * again when the server is back (`resend.ts`, on the next page), and told before the page is left.
 */
export class Saver<T extends Versioned> {
  private pending: Partial<T> | undefined;
  /** What `current` gave last, and of what it was made. */
  private shown: { record: T | null; pending: Partial<T> | undefined; whole: T | undefined } | undefined;
  private sending: Promise<T | undefined> | undefined;
  private timer: Timer | undefined;
  private failures = 0;
  private readonly now: SavingState<T>;

  constructor(
    record: T | null,
    private readonly options: SaverOptions<T>,
  ) {
    this.now = { record, unsaved: false, saving: false, away: false, error: undefined, conflict: undefined };
  }

  get state(): SavingState<T> {
    return this.now;
  }

  /** The record with everything that was changed, saved or not. */
  get current(): T | undefined {
    const { record } = this.now;
    // The same object as long as nothing is changed: what is shown asks for it at every turn, and would never come to rest with a new one.
    if (!this.shown || this.shown.record !== record || this.shown.pending !== this.pending)
      this.shown = {
        ...{ record, pending: this.pending },
        whole: record || this.pending ? ({ ...record, ...this.pending } as T) : undefined,
      };
    return this.shown.whole;
  }

  /** Takes a change; it is saved by itself soon after the last one. */
  change(fields: Partial<T>): void {
    this.pending = { ...this.pending, ...fields };
    this.keep();
    this.tell({ unsaved: true, error: undefined });
    this.plan(SAVE_AFTER);
  }

  /**
   * Saves what is not saved yet, after the saves that are on their way.
   *
   * @returns the record as it is kept then, or undefined when it could not be saved: `state` says why
   */
  async save(): Promise<T | undefined> {
    clearTimeout(this.timer);
    while (this.sending) await this.sending;
    if (!this.pending) return this.now.record ?? undefined;
    this.sending = this.send(this.pending).finally(() => (this.sending = undefined));
    const saved = await this.sending;
    return saved && this.pending ? this.save() : saved;
  }

  /** Takes the record as the server gave it elsewhere, such as by a button of its own. */
  take(record: T): void {
    this.tell({ record });
  }

  /** Settles a conflict: by the other's record, or by writing over it; later leaves the change where it is. */
  settle(by: SettledBy): void {
    const { conflict } = this.now;
    if (!conflict) return;
    this.tell({ conflict: undefined });
    if (by === 'later') return;
    this.now.record = conflict.theirs;
    if (by === 'mine') return void this.save();
    this.drop();
    this.tell({ record: conflict.theirs, unsaved: false, error: undefined });
  }

  /** Forgets what is not saved, after the person said so. */
  drop(): void {
    this.pending = undefined;
    clearTimeout(this.timer);
    if (this.now.record) forgetUnsaved(this.address(this.now.record));
    this.tell({ unsaved: false, error: undefined, away: false });
  }

  /**
   * Called when the page is being left: sends what is open in a way that outlives the page.
   *
   * @returns whether the person has to be asked, because it may not arrive
   */
  leave(): boolean {
    if (!this.pending) return false;
    const { record } = this.now;
    const body = JSON.stringify(this.body(this.pending));
    if (!record || body.length > LAST_BODY || this.now.away || this.now.conflict || this.now.error) return true;
    if (this.sending) return true;
    clearTimeout(this.timer);
    void fetch(this.address(record), {
      method: 'PUT',
      body,
      headers: { 'content-type': 'application/json' },
      keepalive: true,
    })
      .then(async (response) => {
        // The page stayed after all.
        if (!response.ok) return this.plan(0);
        this.pending = undefined;
        forgetUnsaved(this.address(record));
        this.tell({ record: (await response.json()) as T, unsaved: false });
      })
      .catch(() => this.plan(0));
    return false;
  }

  close(): void {
    clearTimeout(this.timer);
  }

  private async send(sent: Partial<T>): Promise<T | undefined> {
    const was = this.now.record;
    this.tell({ saving: true });
    try {
      const saved = was
        ? await call<T>('PUT', this.address(was), this.body(sent))
        : await call<T>('POST', this.options.create ?? this.options.base, this.body(sent));
      return this.confirmed(sent, was ? { ...was, ...saved } : saved);
    } catch (problem) {
      const error = problem instanceof ApiError ? problem : new ApiError((problem as Error).message, 0, null);
      if (error.status === 409 && was && error.current) {
        const theirs = error.current as T;
        if (arrived(this.body(sent), theirs)) return this.confirmed(sent, theirs);
        this.tell({ saving: false, away: false, conflict: { mine: { ...was, ...this.pending, version: was.version }, theirs } });
      } else if (error.status === 0 || error.status >= 502) {
        this.tell({ saving: false, away: true, error: undefined });
        this.plan(ASK_AGAIN[Math.min(this.failures++, ASK_AGAIN.length - 1)]!);
      } else this.tell({ saving: false, away: false, error });
      return undefined;
    }
  }

  /** What was sent is kept. */
  private confirmed(sent: Partial<T>, saved: T): T {
    this.failures = 0;
    // What was changed while this was on its way is still to be saved.
    this.pending = this.pending === sent ? undefined : this.pending;
    if (!this.pending) forgetUnsaved(this.address(saved));
    this.tell({ record: saved, unsaved: this.pending !== undefined, saving: false, away: false, error: undefined });
    if (this.pending) this.keep();
    return saved;
  }

  private plan(after: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.save(), after);
  }

  private address({ id }: { id: string }): string {
    return `${this.options.base}/${id}`;
  }

  private body(fields: Partial<T>): object {
    const { record } = this.now;
    const all = { ...record, ...fields } as T;
    const body = this.options.toBody?.(all) ?? all;
    return record ? { ...body, version: record.version } : body;
  }

  private keep(): void {
    const { record } = this.now;
    if (record && this.pending)
      keepUnsaved({ address: this.address(record), body: { ...(this.body(this.pending) as object), version: record.version } });
  }

  private tell(change: Partial<SavingState<T>>): void {
    Object.assign(this.now, change);
    this.options.onState?.({ ...this.now });
  }
}
