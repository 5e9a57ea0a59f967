/// <reference lib="webworker" />
import { driftMap, type DriftOptions } from '../core/hoop';
import { Machine } from '../core/machine';
import type { Motif } from '../core/motif';

/** What the page sends: a motif to load, or a line of the machine's protocol. */
export type MachineRequest =
  | { kind: 'load'; motif: Motif; seed: number; record: number; ground: Omit<DriftOptions, 'motif' | 'upTo'> }
  | { kind: 'line'; line: string }
  /** Time runs so many times as fast. */
  | { kind: 'hurry'; factor: number };

/** How often the machine's time goes on, ms. */
const TICK = 50;
/** Points at which the model works out how far the ground is drawn in by then. */
const CHECKPOINTS = 6;

const machine = new Machine();
let factor = 1;
let before = performance.now();

addEventListener('message', ({ data }: MessageEvent<MachineRequest>) => {
  if (data.kind === 'hurry') factor = Math.min(100, Math.max(1, data.factor));
  else if (data.kind === 'line') say(machine.receive(data.line));
  else {
    say([...machine.receive('HELLO'), ...machine.loaded(data.motif), ...machine.receive(`SEED ${data.seed}`)]);
    if (data.record > 0) say(machine.receive(`GOTO ${data.record}`));
    const records = data.motif.command.length;
    for (let k = 1; k <= CHECKPOINTS; k++) {
      const upTo = Math.round((records * k) / CHECKPOINTS);
      const { most } = driftMap({ ...data.ground, motif: data.motif, upTo, cells: 32 });
      machine.receive(`DRIFT ${upTo} ${most.drift.toFixed(4)}`);
    }
    say(machine.receive('WHERE'));
  }
});

function say(lines: readonly string[]): void {
  for (const line of lines) postMessage(line);
}

setInterval(() => {
  const now = performance.now();
  say(machine.tick((now - before) * factor));
  before = now;
}, TICK);
