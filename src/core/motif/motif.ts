import { InputError } from '../input-error';

/** What the machine does at a record: sew to a place, travel to it, cut the thread there, or stop for another colour. */
export const COMMANDS = ['stitch', 'jump', 'trim', 'colour'] as const;
export type Command = (typeof COMMANDS)[number];

export const STITCH = 0;
export const JUMP = 1;
export const TRIM = 2;
export const COLOUR = 3;

/**
 * A motif as the machine sews it: one record after the other, places in mm, x to the right, y up, from the place where the
 * needle starts. Kept as three columns, since a motif may hold a million records.
 */
export interface Motif {
  name: string;
  x: Float64Array;
  y: Float64Array;
  /** Position in {@link COMMANDS}. */
  command: Uint8Array;
}

/** More records than this are refused. */
const MOST_RECORDS = 1_500_000;
/** No hoop is larger, mm. */
export const LARGEST_MOTIF = 2000;

/** Collects records of a motif whose number is not known beforehand. */
export class MotifBuilder {
  private x = new Float64Array(4096);
  private y = new Float64Array(4096);
  private command = new Uint8Array(4096);
  private size = 0;

  get length(): number {
    return this.size;
  }

  /** @param x mm @param y mm @throws {InputError} when there are too many */
  add(command: number, x: number, y: number): void {
    if (this.size === MOST_RECORDS) throw new InputError('file', `must hold at most ${MOST_RECORDS} records`);
    if (this.size === this.x.length) this.grow();
    this.x[this.size] = x;
    this.y[this.size] = y;
    this.command[this.size] = command;
    this.size++;
  }

  /** Takes the last records off again. */
  drop(count: number): void {
    this.size -= count;
  }

  motif(name: string): Motif {
    return {
      name,
      x: this.x.slice(0, this.size),
      y: this.y.slice(0, this.size),
      command: this.command.slice(0, this.size),
    };
  }

  private grow(): void {
    const wide = (old: Float64Array) => {
      const next = new Float64Array(2 * old.length);
      next.set(old);
      return next;
    };
    this.x = wide(this.x);
    this.y = wide(this.y);
    const next = new Uint8Array(2 * this.command.length);
    next.set(this.command);
    this.command = next;
  }
}

/**
 * A motif turned about its own origin, then moved.
 *
 * @param flipped mirrored left to right first @param rotation degrees counter-clockwise @param x mm @param y mm
 * @example movedMotif(motif, false, 0, 10, 0).x[0] - motif.x[0] // 10
 */
export function movedMotif(motif: Motif, flipped: boolean, rotation: number, x: number, y: number): Motif {
  const [c, s] = [Math.cos((rotation * Math.PI) / 180), Math.sin((rotation * Math.PI) / 180)];
  const next = { ...motif, x: new Float64Array(motif.x.length), y: new Float64Array(motif.y.length) };
  for (let i = 0; i < motif.x.length; i++) {
    const across = flipped ? -motif.x[i]! : motif.x[i]!;
    next.x[i] = c * across - s * motif.y[i]! + x;
    next.y[i] = s * across + c * motif.y[i]! + y;
  }
  return next;
}
