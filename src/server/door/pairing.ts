import { randomInt, timingSafeEqual } from 'node:crypto';

/** A code is shown so long, ms. */
const CODE_LASTS = 5 * 60 * 1000;
/** So many wrong guesses make a code void, and between two guesses so much time passes, ms. */
const MOST_WRONG = 5;
const PAUSE = 1000;

export type Tried = 'right' | 'wrong' | 'void' | 'too-soon';

/**
 * The six-digit code by which a device is let in: one at a time, for five minutes, once. Whoever guesses has five tries among a million, a
 * second apart, whichever device they come from.
 */
export class Pairing {
  private shown: { code: string; until: number; wrong: number } | undefined;
  private last = -Infinity;

  /** A new code, in place of the one before. @param now ms since 1970 */
  show(now: number): { code: string; until: number } {
    const code = String(randomInt(0, 1_000_000)).padStart(6, '0');
    this.shown = { code, until: now + CODE_LASTS, wrong: 0 };
    return { code, until: this.shown.until };
  }

  /** Until when a code is shown; none when none is. */
  until(now: number): number | undefined {
    return this.shown && now < this.shown.until ? this.shown.until : undefined;
  }

  try(code: string, now: number): Tried {
    if (now - this.last < PAUSE) return 'too-soon';
    this.last = now;
    if (!this.shown || now >= this.shown.until) return 'void';
    const seen = Buffer.from(code.replace(/\s/g, '').padEnd(6).slice(0, 6));
    const own = Buffer.from(this.shown.code);
    if (seen.length === own.length && timingSafeEqual(seen, own)) {
      this.shown = undefined;
      return 'right';
    }
    this.shown.wrong += 1;
    if (this.shown.wrong >= MOST_WRONG) this.shown = undefined;
    return 'wrong';
  }
}
