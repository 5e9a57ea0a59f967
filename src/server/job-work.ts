import { jobFor, questionFor, sizeOfPiece, type Workplace } from '../core/choose';
import { fabricOf } from '../core/cloth';
import { InputError } from '../core/input-error';
import { openPiece } from '../core/pieces';
import type { PressTool } from '../core/press';
import { schoolsOf } from '../core/schools';
import type { WorkJob } from '../core/techniques';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import { readSettings } from '../store/settings';
import type { Workpiece } from '../store/workpieces';
import { foundFor } from './found-setting';
import { orderOfJob } from './order-of-work';
import { ringGroundOf } from './ring-ground';

/** How a job is worked besides what is kept with it. */
export interface JobHow extends Workplace {
  tool?: PressTool;
}

/**
 * A job of a project as the techniques see it: with its piece, its place, what scraps found, and what is cut already. Bench, lists and
 * sprays ask this.
 *
 * @throws {InputError} for a piece that cannot be drawn
 */
export function jobOfWork(db: Db, work: Workpiece, how: JobHow = {}): WorkJob | undefined {
  const cloth = work.clothId === null ? undefined : cloths.find(db, work.clothId);
  if (!cloth || !work.stack) return undefined;
  const known = work.stack.layers.flatMap((kept) => knownLayers(db, [kept]).map((layer) => ({ layer, cut: kept.cut })));
  const { settings } = readSettings(db);
  const piece = openPiece(work);
  const question = questionFor(fabricOf(cloth), work.wish, {
    schools: schoolsOf(settings.schools, work.stack.schools),
    piece: sizeOfPiece(piece, work.wish.role, work.count, settings.trim, work.place),
  });
  const layers = known.map(({ layer }) => layer);
  return jobFor(question, layers, {
    ...{ found: foundFor(db, cloth.id, work.stack), order: orderOfJob(db, work), clothCut: work.done, layersCut: work.cutDone },
    ...{ piece, place: work.place, cuts: known.map(({ cut }) => cut) },
    underHoop: ringGroundOf(db, work),
    ...how,
  });
}

/** The same; nothing for a job whose piece cannot be drawn, which is told where it is described. */
export function drawnJob(db: Db, work: Workpiece): WorkJob | undefined {
  try {
    return jobOfWork(db, work);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return undefined;
  }
}
