import { openPiece, sewnOutline, type Mark } from '../pieces';
import { drawShape, type Outline } from '../shape';
import type { RecipeFact, RecipeNotion, RecipeKind, RecipePiece, RecipeSeam } from './recipe';
import { recipeOf } from './recipes';

/** A piece that a recipe makes, drawn: its lines, and which points of the sewn line each edge covers. mm. */
export interface ToldPiece {
  id: string;
  name: string;
  count: number;
  /** An opening follows the outline as a second loop, both closed in themselves: its edge covers that loop. */
  sewLine: Outline;
  /** First and last point of each edge; the last edge of a line ends at its first point. */
  edges: [from: number, to: number][];
  cutLine: Outline;
  marks: Mark[];
}

/** One side of a seam: some edges of a piece, so often as it takes to reach the other side. */
export interface ToldSide {
  piece: string;
  edges: number[];
  times?: number;
}

export interface ToldRecipe {
  pieces: ToldPiece[];
  seams: { first: ToldSide; second: ToldSide; ease?: number }[];
  notions: RecipeNotion[];
  facts: RecipeFact[];
  notes: string[];
}

/**
 * What a recipe makes of its measures, drawn: pieces with their lines and edges, and which edges are sewn to which.
 *
 * @param values mm, or 0 and 1; those that are not given are as they start
 * @throws {InputError} as {@link recipeOf}
 * @example toldRecipe(RECIPES[0], { circles: 1 }).seams.length // 1
 */
export function toldRecipe(kind: RecipeKind, values: Readonly<Record<string, number>>): ToldRecipe {
  const { pieces, seams = [], notions = [], facts, notes } = recipeOf(kind, values);
  const ids = pieces.map((piece, i) => idOf(piece, i, pieces));
  const side = ({ piece, ...rest }: RecipeSeam['first']): ToldSide => ({ piece: ids[piece]!, ...rest });
  return {
    pieces: pieces.map((piece, i) => toldPiece(piece, ids[i]!)),
    seams: seams.map(({ first, second, ease }) => ({
      ...{ first: side(first), second: side(second) },
      ...(ease === undefined ? {} : { ease }),
    })),
    ...{ notions, facts, notes },
  };
}

/** A name that tells pieces of one recipe apart: with what they are cut as where two are called alike. */
function idOf({ name, cuts }: RecipePiece, at: number, all: readonly RecipePiece[]): string {
  const plain = name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const alike = all.filter((other) => other.name === name);
  if (alike.length === 1) return plain;
  const named = `${plain}-${cuts[0]?.duty ?? 'shell'}`;
  const same = alike.filter((other) => other.cuts[0]?.duty === cuts[0]?.duty);
  return same.length === 1 ? named : `${named}-${all.slice(0, at + 1).filter((other) => other.name === name).length}`;
}

function toldPiece({ name, shape, allowances, grain, marks, cuts }: RecipePiece, id: string): ToldPiece {
  const spec = { shape, line: 'sew' as const, allowances, fold: null, grain, marks };
  const sewn = sewnOutline(spec);
  const { outline, holes } = openPiece(spec);
  const edges: [number, number][] = [];
  sewn.edges.forEach((edge, i) => {
    const before = edges[edge];
    // Segments of an edge follow one another; one that goes on past the first point begins where its run begins.
    if (!before) edges[edge] = [i, i + 1];
    else if (before[1] === i) before[1] = i + 1;
    else before[0] = i;
  });
  const n = sewn.outline.length;
  const wrapped = edges.map(([from, to]): [number, number] => [from, to === n ? 0 : to]);
  const openings = drawShape(shape).holes ?? [];
  if (openings.length === 0)
    return { id, name, count: cuts[0]?.count ?? 1, sewLine: sewn.outline, edges: wrapped, cutLine: outline, marks };
  // The outline once round and back to its first point, then each opening once round and back to its own.
  const line = [...sewn.outline, sewn.outline[0]!];
  const closed = edges.map(([from, to]): [number, number] => [from, to]);
  const cut = [...outline, outline[0]!];
  for (const { outline: opening, edge } of openings) {
    closed[edge] = [line.length, line.length + opening.length];
    line.push(...opening, opening[0]!);
  }
  for (const { outline: opening } of holes) cut.push(...opening, opening[0]!);
  return { id, name, count: cuts[0]?.count ?? 1, sewLine: line, edges: closed, cutLine: cut, marks };
}
