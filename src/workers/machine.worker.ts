import { expose } from 'comlink';
import { driftMap, type DriftOptions } from '../core/hoop';
import { Machine } from '../core/machine';
import type { Motif } from '../core/motif';

/** How often the machine's time goes on, ms. */
const TICK = 50;
/** Points at which the model works out how far the ground is drawn in by then. */
const CHECKPOINTS = 6;

const machine = new Machine();
let factor = 1;
let before = performance.now();

let tell: (line: string) => void = () => {};

function say(lines: readonly string[]): void {
  for (const line of lines) tell(line);
}

/** A motif to load, and where and on what it is sewn. */
export interface Loaded {
  motif: Motif;
  seed: number;
  /** Record at which it begins. */
  record: number;
  ground: Omit<DriftOptions, 'motif' | 'upTo'>;
}

const machineBeside = {
  /** Loads a motif. @param told is told every line that the machine says */
  load({ motif, seed, record, ground }: Loaded, told: (line: string) => void): void {
    tell = told;
    say([...machine.receive('HELLO'), ...machine.loaded(motif), ...machine.receive(`SEED ${seed}`)]);
    if (record > 0) say(machine.receive(`GOTO ${record}`));
    const records = motif.command.length;
    for (let k = 1; k <= CHECKPOINTS; k++) {
      const upTo = Math.round((records * k) / CHECKPOINTS);
      const { most } = driftMap({ ...ground, motif, upTo, cells: 32 });
      machine.receive(`DRIFT ${upTo} ${most.drift.toFixed(4)}`);
    }
    say(machine.receive('WHERE'));
  },
  /** A line of the machine's protocol. */
  line(text: string): void {
    say(machine.receive(text));
  },
  /** Time runs so many times as fast. */
  hurry(times: number): void {
    factor = Math.min(100, Math.max(1, times));
  },
};
export type MachineBeside = typeof machineBeside;

setInterval(() => {
  const now = performance.now();
  say(machine.tick((now - before) * factor));
  before = now;
}, TICK);

expose(machineBeside);
