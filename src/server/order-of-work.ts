import { orderFor, questionFor, sizeOfPiece } from '../core/choose';
import { fabricOf } from '../core/cloth';
import type { LayingMethod } from '../core/cutlist';
import { InputError } from '../core/input-error';
import { openPiece } from '../core/pieces';
import { schoolsOf } from '../core/schools';
import { sheetLayer, type Order } from '../core/steps';
import { cloths } from '../store/cloths';
import { tablesOfProject } from '../store/cut-tables';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import type { LayeredWork } from '../store/workpieces';
import { readSettings } from '../store/settings';

/**
 * When the pieces of a job are cut and fused: as its layer lies on a cutting table, or, where there is none yet, by the ways of
 * working. Table, steps and bench all ask here.
 */
export function orderOfJob(db: Db, work: LayeredWork): Order {
  const chosen = knownLayers(db, work.stack?.layers ?? []);
  const uncut = chosen[sheetLayer(chosen)]?.material;
  const table =
    uncut &&
    tablesOfProject(db, work.projectId).find(
      ({ ofKind, ofId, workIds, laid }) =>
        ofKind === 'layer' && laid.length > 0 && workIds.includes(work.id) && ofId === uncut.id,
    );
  if (table?.options.method === 'cut-first') return 'cut-first';
  const cloth = work.clothId === null ? undefined : cloths.find(db, work.clothId);
  if (!cloth || chosen.length === 0) return 'cut-first';
  try {
    const { settings } = readSettings(db);
    const schools = schoolsOf(settings.schools, work.stack?.schools);
    const piece = sizeOfPiece(openPiece(work), work.wish.role, work.count, settings.trim, work.place);
    if (table) return schools.order === 'fuse-length' ? 'fuse-length' : 'fuse-together';
    return orderFor(questionFor(fabricOf(cloth), work.wish, { schools, piece }), chosen);
  } catch (error) {
    // A piece that cannot be drawn is told elsewhere.
    if (!(error instanceof InputError)) throw error;
    return 'cut-first';
  }
}

/** How a layer is laid when nobody said otherwise: whole pieces on it where all of its pieces are fused onto it while it is uncut. */
export function methodFor(db: Db, works: readonly LayeredWork[], materialId: string): LayingMethod {
  const together = (work: LayeredWork) => {
    const chosen = knownLayers(db, work.stack?.layers ?? []);
    return chosen[sheetLayer(chosen)]?.material.id === materialId && orderOfJob(db, work) !== 'cut-first';
  };
  return works.length > 0 && works.every(together) ? 'fuse-together' : 'cut-first';
}
