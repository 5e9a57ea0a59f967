import { InputError, requireNumber } from '../../input-error';
import { openPiece } from '../../pieces';
import type { Recipe } from '../recipe';
import { edgeBinding } from './binding';
import type { EdgeKind, EdgeSource } from './edge-kind';
import { armholeFacing, hemFacing, neckFacing } from './facing';
import { halfMoon } from './half-moon';
import { slashes } from './slashes';

/** Everything that is made from an edge, in the order in which it is offered. */
export const EDGE_RECIPES: readonly EdgeKind[] = [neckFacing, halfMoon, armholeFacing, hemFacing, edgeBinding, slashes];

/**
 * What comes of some edges of a piece with these measures; those that are not given are as they start.
 *
 * @param values mm, or 0 and 1
 * @throws {InputError} naming the field; `edges` for edges that the piece has not, or that do not follow each other
 * @example edgeRecipeOf(EDGE_RECIPES[0], { name: 'Front', spec: { ...spec, line: 'sew' }, edges: [0], count: 1, pairs: false, orientation: 'straight' }, { depth: 40 }).pieces.length // 1
 */
export function edgeRecipeOf(kind: EdgeKind, source: EdgeSource, values: Readonly<Record<string, number>>): Recipe {
  if (source.edges.length === 0) throw new InputError('edges', 'must name at least one edge');
  const edges = source.spec.allowances.length;
  source.edges.forEach((edge, i) => {
    if (!(edge >= 0 && edge < edges) || edge === source.spec.fold)
      throw new InputError(`edges[${i}]`, `must be an edge of the piece that is sewn, saw ${edge}`);
  });
  const whole: Record<string, number> = {};
  for (const { field, kind: of, start, min, max } of kind.fields)
    whole[field] = requireNumber(field, values[field] ?? start, of === 'length' ? 'mm' : '', { min, max });
  const recipe = kind.make(source, whole);
  // What cannot be opened out can be neither cut nor drawn.
  for (const piece of recipe.pieces) openPiece({ ...piece, line: 'sew', fold: null });
  return recipe;
}
