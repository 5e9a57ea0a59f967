import { OF_LAYERS } from './duty';
import type { CutPiece, Workpiece } from './workpiece';

/** What {@link builtUp} needs to know of a stack: what it is called, and its layers, outermost first. */
export interface Layered {
  title: string;
  layers: readonly unknown[];
}

/** What is cut from a layer of the cupboard itself and held by no cloth of its own: a base, and what softens it. */
type OfLayer = Pick<Workpiece<unknown>, 'clothId' | 'duty' | 'stack'>;

const isOfLayer = ({ clothId, duty, stack }: OfLayer): boolean => clothId === null && OF_LAYERS.includes(duty) && stack !== null;

/**
 * A job as it is worked. A base that is cut from its own layer is no work by itself: what softens it lies over it, and the outer cloth of
 * the same piece is drawn over both. So it is worked with the cloth's figures and with all of their layers, outermost first; what softens
 * it is worked together with it, and by itself not at all. Everything else is worked as it is.
 *
 * @param works all jobs of its project, in the order of the pieces; `cuts` all cuts
 * @returns undefined for what is worked with another job, and for a base over which no cloth is cut
 * @example builtUp(tipBase, [tipBase, tipFlannel], [tipFelt])?.stack?.title // 'Flannel over Buckram'
 */
export function builtUp<S extends Layered, W extends Workpiece<S>>(
  work: W,
  works: readonly W[],
  cuts: readonly CutPiece[],
): W | undefined {
  if (!isOfLayer(work)) return work;
  const soft = work.duty === 'base' ? beside(work, works.filter(isSoft), 'outward') : undefined;
  if (work.duty === 'soft-interlining' && beside(work, works.filter(isStiff), 'inward')) return undefined;
  const cloth = beside(
    work,
    cuts.filter(({ duty, clothId }) => duty === 'shell' && clothId !== null),
    'outward',
  );
  if (!cloth) return undefined;
  const stack = work.stack!;
  return {
    ...work,
    ...{ clothId: cloth.clothId, done: cloth.done, cutDone: work.cutDone && soft?.cutDone !== false },
    stack: soft
      ? { ...stack, title: `${soft.stack!.title} over ${stack.title}`, layers: [...soft.stack!.layers, ...stack.layers] }
      : stack,
  };
}

/**
 * The base that a softening layer is worked with; none for any other job.
 *
 * @example workedWith(tipFlannel, [tipBase, tipFlannel])?.name // 'Tip, base'
 */
export function workedWith<S, W extends Workpiece<S>>(work: W, works: readonly W[]): W | undefined {
  return isSoft(work) ? beside(work, works.filter(isStiff), 'inward') : undefined;
}

const isSoft = (work: OfLayer): boolean => isOfLayer(work) && work.duty === 'soft-interlining';
const isStiff = (work: OfLayer): boolean => isOfLayer(work) && work.duty === 'base';

type InOrder = Pick<CutPiece, 'pieceName' | 'projectId' | 'position'>;

/**
 * Of the same piece. Those of one thing follow each other from the inside out, so where a name comes twice it is the next outward or the last
 * inward; where none lies that way, any.
 */
function beside<P extends InOrder>(work: InOrder, all: readonly P[], way: 'outward' | 'inward'): P | undefined {
  const same = all.filter(({ pieceName, projectId }) => pieceName === work.pieceName && projectId === work.projectId);
  const found =
    way === 'outward'
      ? same.find(({ position }) => position >= work.position)
      : same.findLast(({ position }) => position <= work.position);
  return found ?? same[0];
}
