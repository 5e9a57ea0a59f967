import { InputError } from '../core/input-error';
import { MARK_WORDS } from '../core/pieces';
import { seamRuns } from '../core/seams';
import { edgeNames } from '../core/shape';
import type { PaperTape } from '../formats/pdf';
import { cuts } from '../store/cuts';
import type { Db } from '../store/database';
import { pieces } from '../store/pieces';
import { workOf } from '../store/workpieces';

/**
 * Sewn lines of a cut as paper tapes, with what is marked along them: edges that follow each other are one line, the others stand by themselves.
 *
 * @throws {InputError} `edges` that the piece does not have, or one that a fold or a corner leaves nothing of
 * @throws {NotFoundError}
 */
export function edgeTapes(db: Db, cutId: string, edges: readonly number[]): PaperTape[] {
  const cut = cuts.get(db, cutId);
  const { projectId } = pieces.get(db, cut.pieceId);
  const own = workOf(db, [projectId]).cutPieces.find(({ id }) => id === cutId)!;
  const names = edgeNames(own.shape);
  const unknown = edges.find((edge) => names[edge] === undefined);
  if (edges.length === 0 || unknown !== undefined)
    throw new InputError('edges', `must be numbers of edges from 0 to ${names.length - 1}, saw ${unknown ?? 'none'}`);
  const title = (of: readonly number[]) => `${own.name}, ${of.map((edge) => names[edge]!).join(', ')}`;
  return runsOf(edges, (of) => seamRuns(own, of)).flatMap(({ of, runs }) =>
    runs.map(({ length, closed, marks }, i) => ({
      title: runs.length > 1 ? `${title(of)}, ${i + 1}` : title(of),
      ...{ length, closed },
      marks: marks.map(({ at, kind }) => ({ at, words: kind === 'fold' ? kind : MARK_WORDS[kind] })),
    })),
  );
}

/** All edges as one line where they are one, else one by one. */
function runsOf<T>(edges: readonly number[], runs: (of: readonly number[]) => T[]): { of: readonly number[]; runs: T[] }[] {
  try {
    return [{ of: edges, runs: runs(edges) }];
  } catch (problem) {
    if (edges.length === 1) throw problem;
    return edges.map((edge) => ({ of: [edge], runs: runs([edge]) }));
  }
}
