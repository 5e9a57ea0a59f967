import { lower } from '../letters';
import type { Step } from './step';

/** More copies than this are worked in batches, so that a run stays a list that can be walked through. */
const MOST_BATCHES = 60;

/** A step of a set: which copies it is for, and how many. */
export interface SetStep extends Step {
  /** Copies that are worked in this step, each with all its stops. */
  copies?: number;
  /** Number of the first of them, from 1; none where there is only one piece. */
  from?: number;
}

/**
 * The steps of one piece, as a set is worked: everything is prepared and cut for all, then each piece is laid and pressed one after
 * the other, so that the first ones cool while the next are pressed; the waiting comes once, after the last. In the end every piece
 * is ticked on its own, so that none is forgotten. What is done with a whole sheet is done once.
 *
 * @example stepsForCopies([{ id: 'a', stage: 'apply', kind: 'do', title: 'Lay it', detail: '' }], 3).length // 4
 */
export function stepsForCopies(steps: readonly Step[], count: number): SetStep[] {
  if (count <= 1) return [...steps];
  const size = Math.ceil(count / MOST_BATCHES);
  const batches = Array.from({ length: Math.ceil(count / size) }, (_, k) => {
    const from = k * size + 1;
    const to = Math.min(count, from + size - 1);
    const name = from === to ? `Piece ${from} of ${count}` : `Pieces ${from} to ${to} of ${count}`;
    return { name, from, copies: to - from + 1 };
  });
  const found: SetStep[] = [];
  let block: Step[] = [];
  const flush = () => {
    batches.forEach(({ name, from, copies }, k) => {
      for (const step of block)
        found.push({
          ...step,
          id: `${step.id}#${k + 1}`,
          title: `${name}: ${lower(step.title)}`,
          copies,
          from,
        });
    });
    block = [];
  };
  for (const step of steps) {
    const each = step.stage === 'apply' && step.kind !== 'wait' && !step.sheet;
    if (each) {
      block.push(step);
      continue;
    }
    flush();
    if (step.stage === 'apply' && step.kind === 'wait' && !step.sheet)
      found.push({ ...step, title: `All ${count}: ${lower(step.title)}` });
    else found.push(step);
  }
  flush();
  // What is finished comes after each was looked at.
  const end = found.findIndex(({ stage }) => stage === 'finish');
  found.splice(end === -1 ? found.length : end, 0, {
    id: 'check-each',
    stage: 'check',
    kind: 'check',
    act: 'check',
    title: `Tick each of the ${count} pieces that is right`,
    detail: 'All that was checked holds for it. Leave open what has to be pressed or done again.',
    checks: batches.map(({ name }) => name),
  });
  return found;
}
