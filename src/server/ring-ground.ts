import { ROLE_PROFILES, stitchedField } from '../core/choose';
import { hoopCard, ringGround, smallestHoop } from '../core/hoop';
import { openPiece, pieceSize } from '../core/pieces';
import { bounds } from '../core/shape';
import type { Db } from '../store/database';
import { hoopings } from '../store/hoopings';
import { hoops } from '../store/hoops';
import type { Workpiece } from '../store/workpieces';
import { hoopedSet } from './hoop-cards';

/**
 * Ground that comes under the ring of its hoop and a little more, of one piece of a stitched job, mm²: in the hoop that lies on it, else in the
 * smallest of the house that holds its motif. Undefined for what is not hooped, and in a house without hoops.
 *
 * @throws {InputError} for a piece that cannot be drawn
 */
export function ringGroundOf(
  db: Db,
  work: Pick<Workpiece, 'id' | 'wish' | 'place' | keyof Parameters<typeof openPiece>[0]>,
): number | undefined {
  if (ROLE_PROFILES[work.wish.role].kind !== 'stitch' || work.wish.role === 'free-stitching') return undefined;
  const [placed] = hoopings.list(db, 'job_id = ? AND hoop_id IS NOT NULL AND hoop_place IS NOT NULL', [work.id], 'updated_at DESC, rowid', { limit: 1 }); // prettier-ignore
  const own = placed && hoops.find(db, placed.hoopId!);
  if (own) return ringGround({ hoop: own, at: hoopCard(hoopedSet(placed), 0).hoop, outline: placed.ground.outline });
  const all = hoops.list(db);
  const piece = openPiece(work);
  const { width, height } = stitchedField(work.wish, pieceSize(piece));
  const hoop = all[smallestHoop(all, width, height) ?? -1];
  if (!hoop) return undefined;
  const { minX, minY, maxX, maxY } = bounds(piece.outline);
  const [x, y] = work.place.kind === 'field' ? work.place.at : [(minX + maxX) / 2, (minY + maxY) / 2];
  return ringGround({ hoop, at: { x, y, angle: 0 }, outline: piece.outline });
}
