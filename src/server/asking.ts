import type { Asking, PieceSize, Weights, Wishes } from '../core/choose';
import type { Schools } from '../core/schools';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { memoryOfCloth } from '../store/log';
import { readSettings } from '../store/settings';
import { pairFindings } from './found-setting';
import { gluingFor } from './gluing-learnt';

/** The part of a request that says how to ask. */
export interface AskedWith {
  clothId?: string | undefined;
  wishes?: object | undefined;
  weights?: object | undefined;
  schools?: object | undefined;
  piece?: object | undefined;
  limit?: number | undefined;
  find?: string | undefined;
}

/**
 * What is known here that bears on an answer. A request that names a cloth of the cupboard gets its logbook, the
 * cupboard and the person's ways of working; one that does not is answered from the request alone.
 */
export function askingOf(db: Db, { clothId, wishes, weights, schools, piece, limit, find }: AskedWith): Asking {
  const mine = (wishes as Wishes | undefined)?.useMine === true;
  const asking: Asking = {};
  if (clothId !== undefined) {
    asking.memory = memoryOfCloth(db, clothId);
    asking.gluing = gluingFor(db, clothId);
    // The last finding of a pair stands first, and is the one that stays.
    asking.found = new Map(
      pairFindings(db, [clothId])
        .reverse()
        .map(({ key, setting }) => [key, setting]),
    );
  }
  if (clothId !== undefined || mine) {
    asking.atHand = new Set(layers.all(db).flatMap(({ id, inStock }) => (inStock ? [id] : [])));
  }
  const own = clothId !== undefined ? readSettings(db).settings.schools : {};
  asking.schools = { ...own, ...(schools as Partial<Schools> | undefined) };
  if (wishes) asking.wishes = wishes as Wishes;
  if (weights) asking.weights = weights as Weights;
  if (piece) asking.piece = piece as PieceSize;
  if (limit !== undefined) asking.limit = limit;
  if (find) asking.find = find;
  return asking;
}
