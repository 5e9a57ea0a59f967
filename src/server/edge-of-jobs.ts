import { InputError } from '../core/input-error';
import { openPiece } from '../core/pieces';
import { perimeter } from '../core/shape';
import type { Db } from '../store/database';
import { workpiecesByIds } from '../store/workpieces';

/** Edge of all copies of some jobs, mm. */
export function edgeOf(db: Db, jobIds: readonly string[]): number {
  return workpiecesByIds(db, jobIds).reduce((sum, work) => {
    try {
      return sum + perimeter(openPiece(work).outline) * work.count;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      // A piece that cannot be drawn is told where it is described.
      return sum;
    }
  }, 0);
}
