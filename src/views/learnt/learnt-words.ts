import type { Learnt } from '../../server/learnt';
import { counted } from '../../ui/text';

/** Bending lengths are told in whole millimetres everywhere, as they are read. */
const mm = (value: number) => `${Math.round(value)} mm`;

/** What is learnt of each kind, as a heading. */
export const LEARNT_WORDS: Record<Learnt['kind'], string> = {
  pace: 'How long your work takes',
  glue: 'How firmly glues hold',
  uptake: 'What cloths drink',
  hang: 'How stiff it comes out',
  carry: 'What it carries under the needle',
  shrink: 'What it shrinks when it is put on',
};

/** A figure of a kind as it is read. */
export function figureOf(kind: Learnt['kind'], value: number): string {
  switch (kind) {
    case 'hang':
      return `${mm(value)} bending length`;
    case 'shrink':
      return `${Math.round(value * 10) / 10} %`;
    case 'uptake':
      return `${Math.round(value)} % of its weight`;
    case 'glue':
      return `${value < 10 ? (Math.round(value * 10) / 10).toFixed(1) : Math.round(value)} times as firm`;
    case 'pace':
    case 'carry':
      return `${Math.round(100 * value)} % of what is reckoned`;
  }
}

/** What was learnt, in one sentence. */
export function learntWords({ kind, before, now, range, readings }: Learnt): string {
  const from = `from ${counted(readings.length, kind === 'pace' ? 'time' : 'reading')}`;
  switch (kind) {
    case 'hang':
      return `${mm(now)} bending length, most likely ${Math.round(range![0])} to ${mm(range![1])}; the model alone says ${mm(before)} (${from}).`;
    case 'shrink':
      return `${figureOf(kind, now)} the way it shrank more, ${from}.`;
    case 'pace':
      return `${figureOf(kind, now)}, ${from}.`;
    case 'uptake':
      return `${figureOf(kind, now)} when it is wet through; by its fibres it would be ${Math.round(before)} %.`;
    case 'glue':
      return `${figureOf(kind, now)} as usual, ${from} on any cloth. On cloths where it was not read yet, stiffness is reckoned so.`;
    case 'carry': {
      const held = readings.filter((each) => each.held).length;
      return `${figureOf(kind, now)}: ${held} of ${counted(readings.length, 'motif')} lay flat.`;
    }
  }
}
