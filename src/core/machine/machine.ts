import { seeded } from '../random';
import { COLOUR, JUMP, STITCH, TRIM, MotifBuilder, type Motif } from '../motif';

/** What the machine is doing. */
export type MachineState = 'empty' | 'ready' | 'sewing' | 'colour' | 'break' | 'paused' | 'done';

/** Stitches a minute. */
export const SPEEDS = { min: 100, max: 1500, usual: 600 } as const;
/** Thread breaks per 10 000 stitches. */
const USUAL_BREAKS = 3;
/** After a break it goes back by so many stitches. */
const BACK = 8;
/** Stitches longer than this take longer than a beat, mm. */
const FULL_SPEED = 4;
const TRIM_MS = 4000;
/** It tells where it is this often, ms of its own time. */
const TELL_EVERY = 200;
/** Longest line that is listened to. */
const LONGEST = 200;

const LETTERS: Record<string, number> = { S: STITCH, J: JUMP, T: TRIM, C: COLOUR };

/**
 * A stand-in for an embroidery machine: takes and gives lines of text (docs/formats.md) and needs no device. Its time is handed to
 * it, so that a test, a worker and a real clock drive it alike.
 */
export class Machine {
  private state: MachineState = 'empty';
  private builder = new MotifBuilder();
  private motif: Motif = this.builder.motif('');
  private record = 0;
  private sewn = 0;
  private colour = 1;
  private speed: number = SPEEDS.usual;
  private breaks = USUAL_BREAKS;
  private random = seeded(1);
  /** Predicted drift, by records sewn. */
  private drift: [record: number, mm: number][] = [];
  /** Time that is not used up yet, and since it last told where it is, ms. */
  private time = 0;
  private told = 0;

  /** Takes a line and answers with lines. */
  receive(line: string): string[] {
    if (line.length > LONGEST) return ['ERROR line too long'];
    const [word = '', ...rest] = line.trim().split(/\s+/);
    const number = (i: number) => Number(rest[i] ?? NaN);
    switch (word) {
      case 'HELLO':
        return ['READY nembrel-machine 1'];
      case 'LOAD':
        this.builder = new MotifBuilder();
        this.state = 'empty';
        return [];
      case 'S':
      case 'J':
      case 'T':
      case 'C': {
        if (!Number.isFinite(number(0)) || !Number.isFinite(number(1))) return [`ERROR ${word} needs x and y in millimetres`];
        this.builder.add(LETTERS[word]!, number(0), number(1));
        return [];
      }
      case 'LOADED':
        return this.loaded(this.builder.motif(''));
      case 'SEED':
        this.random = seeded(number(0) || 1);
        return [];
      case 'BREAKS':
        this.breaks = Math.min(1000, Math.max(0, number(0) || 0));
        return [];
      case 'SPEED':
        if (!(number(0) >= SPEEDS.min && number(0) <= SPEEDS.max)) return [`ERROR SPEED must be ${SPEEDS.min} to ${SPEEDS.max}`];
        this.speed = number(0);
        return [`SPEED ${this.speed}`];
      case 'DRIFT':
        if (!(number(0) > (this.drift.at(-1)?.[0] ?? -1)) || !Number.isFinite(number(0)) || !Number.isFinite(number(1)))
          return ['ERROR DRIFT needs a record later than the one before and millimetres'];
        this.drift.push([number(0), number(1)]);
        return [];
      case 'GOTO':
        return this.goTo(number(0));
      case 'START':
        if (this.state === 'empty') return ['ERROR nothing is loaded'];
        if (this.state === 'done') return ['ERROR it is sewn; LOAD again'];
        if (this.state === 'break') this.back();
        this.state = 'sewing';
        return [this.where()];
      case 'PAUSE':
        if (this.state !== 'sewing') return [];
        this.state = 'paused';
        return [this.where(), 'STOP PAUSE'];
      case 'WHERE':
        return [this.where()];
      default:
        return [`ERROR unknown line: ${word.slice(0, 40)}`];
    }
  }

  /** A motif handed over whole, where no lines have to be sent. */
  loaded(motif: Motif): string[] {
    this.motif = motif;
    this.record = 0;
    this.sewn = 0;
    this.colour = 1;
    this.drift = [];
    this.state = 'ready';
    return [`LOADED ${motif.command.length}`];
  }

  /** Lets time pass, ms, and answers with what happened. */
  tick(ms: number): string[] {
    if (this.state !== 'sewing') return [];
    const lines: string[] = [];
    this.time += ms;
    this.told += ms;
    const { x, y, command } = this.motif;
    while (this.state === 'sewing' && this.record < command.length) {
      const i = this.record;
      const [fromX, fromY] = i === 0 ? [0, 0] : [x[i - 1]!, y[i - 1]!];
      const beats = Math.max(1, Math.hypot(x[i]! - fromX, y[i]! - fromY) / FULL_SPEED);
      const cost = command[i] === TRIM ? TRIM_MS : command[i] === COLOUR ? 0 : (60_000 / this.speed) * beats;
      if (cost > this.time) break;
      this.time -= cost;
      this.record++;
      if (command[i] === COLOUR) {
        this.colour++;
        this.state = 'colour';
        lines.push(this.where(), `STOP COLOUR ${this.colour}`);
      } else if (command[i] === STITCH) {
        this.sewn++;
        if (this.random() < this.breaks / 10_000) {
          this.state = 'break';
          lines.push(this.where(), 'STOP BREAK');
        }
      }
    }
    if (this.state === 'sewing' && this.record >= command.length) {
      this.state = 'done';
      lines.push(this.where(), 'DONE');
    }
    if (this.state !== 'sewing') this.time = 0;
    else if (this.told >= TELL_EVERY) lines.push(this.where());
    if (lines.length > 0) this.told = 0;
    return lines;
  }

  /** Goes to a record, as after a power cut. */
  private goTo(record: number): string[] {
    if (this.state === 'empty') return ['ERROR nothing is loaded'];
    const to = Math.round(record);
    if (!(to >= 0 && to <= this.motif.command.length)) return [`ERROR GOTO must be 0 to ${this.motif.command.length}`];
    this.record = to;
    this.sewn = 0;
    this.colour = 1;
    for (let i = 0; i < to; i++) {
      if (this.motif.command[i] === STITCH) this.sewn++;
      if (this.motif.command[i] === COLOUR) this.colour++;
    }
    this.state = 'paused';
    return [this.where()];
  }

  /** Back by some stitches, so that the end of the broken thread is sewn over; never over a change of colour. */
  private back(): void {
    for (let k = 0; k < BACK && this.record > 0 && this.motif.command[this.record - 1] === STITCH; k++) {
      this.record--;
      this.sewn--;
    }
  }

  private where(): string {
    const i = this.record - 1;
    const at = i < 0 ? [0, 0] : [this.motif.x[i]!, this.motif.y[i]!];
    return `AT ${this.record} ${this.sewn} ${this.colour} ${at[0]!.toFixed(2)} ${at[1]!.toFixed(2)} ${this.driftNow().toFixed(3)}`;
  }

  private driftNow(): number {
    let before: [number, number] = [0, 0];
    for (const [record, mm] of this.drift) {
      if (record >= this.record) {
        const span = record - before[0];
        return span > 0 ? before[1] + ((mm - before[1]) * (this.record - before[0])) / span : mm;
      }
      before = [record, mm];
    }
    return before[1];
  }
}

/** What an `AT` line says. */
export interface Where {
  record: number;
  stitches: number;
  colour: number;
  x: number;
  y: number;
  drift: number;
}

/**
 * Reads a line of the machine; undefined when it is not one that says where it is.
 *
 * @example readWhere('AT 10 8 1 0 0 0.2').stitches // 8
 */
export function readWhere(line: string): Where | undefined {
  const [word, ...rest] = line.split(' ');
  const [record, stitches, colour, x, y, drift] = rest.map(Number);
  if (word !== 'AT' || rest.length !== 6) return undefined;
  return { record: record!, stitches: stitches!, colour: colour!, x: x!, y: y!, drift: drift! };
}
