import { orderFor, questionFor, sizeOfPiece } from '../core/choose';
import { fabricOf } from '../core/cloth';
import type { LayingMethod } from '../core/cutlist';
import { InputError } from '../core/input-error';
import type { ChosenLayer } from '../core/layers';
import { openPiece } from '../core/pieces';
import { schoolsOf } from '../core/schools';
import type { Order } from '../core/steps';
import { cloths } from '../store/cloths';
import { tablesOfProject } from '../store/cut-tables';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import type { Part } from '../store/parts';
import { readSettings } from '../store/settings';

/** Layers of a part's stack that are still known. */
function chosenLayers(db: Db, part: Part): ChosenLayer[] {
  return (part.stack?.layers ?? []).flatMap(({ materialId, extent, angle }) => {
    const material = layers.find(db, materialId);
    return material ? [{ material, extent, angle }] : [];
  });
}

/**
 * When the pieces of a part are cut and fused: as its layer lies on a cutting table, or, where there is none yet, by the ways of
 * working. Table, steps and bench all ask here.
 */
export function orderOfPart(db: Db, part: Part): Order {
  const chosen = chosenLayers(db, part);
  const table = tablesOfProject(db, part.projectId).find(
    ({ ofKind, ofId, partIds, laid }) =>
      ofKind === 'layer' && laid.length > 0 && partIds.includes(part.id) && chosen.some(({ material }) => material.id === ofId),
  );
  if (table) return table.options.method === 'cut-first' ? 'cut-first' : 'fuse-together';
  const cloth = part.clothId === null ? undefined : cloths.find(db, part.clothId);
  if (!cloth || chosen.length === 0) return 'cut-first';
  try {
    const { settings } = readSettings(db);
    const schools = schoolsOf(settings.schools, part.stack?.schools);
    const piece = sizeOfPiece(openPiece(part), part.wish.role, part.count, settings.trim);
    return orderFor(questionFor(fabricOf(cloth), part.wish, { schools, piece }), chosen);
  } catch (error) {
    // A piece that cannot be drawn is told elsewhere.
    if (!(error instanceof InputError)) throw error;
    return 'cut-first';
  }
}

/** How a layer is laid when nobody said otherwise: whole pieces on it where all of its parts are fused together. */
export function methodFor(db: Db, parts: readonly Part[]): LayingMethod {
  return parts.length > 0 && parts.every((part) => orderOfPart(db, part) === 'fuse-together') ? 'fuse-together' : 'cut-first';
}
