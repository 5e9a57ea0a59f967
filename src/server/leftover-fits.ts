import type { ShoppingNeed } from '../core/cutlist';
import { CLOTH_ID } from '../core/layers';
import type { Db } from '../store/database';
import { stock, type Stock } from '../store/stock';
import { shoppingNeeds } from './shopping-needs';

/** What of a project is still to be cut from the same material as a piece of the cupboard. */
export interface WaitingHere {
  projectId: string;
  project: string;
  /** With that piece alone to be cut from. */
  need: ShoppingNeed;
}

/** Projects that are looked through, last touched first. */
const MOST_PROJECTS = 30;

/** What waits to be cut from the material of a roll, sheet or leftover, project by project. @throws {NotFoundError} */
export function waitingFor(db: Db, stockId: string): WaitingHere[] {
  const entry = stock.get(db, stockId);
  return projectsWith(db, entry).flatMap(({ id, name }) =>
    shoppingNeeds(db, [id])
      .filter(({ material }) => material.kind === entry.ofKind && material.id === entry.ofId)
      .map((need) => ({ projectId: id, project: name, need: { ...need, stock: [entry] } })),
  );
}

/** Open projects that have something of this material still to be cut. */
function projectsWith(db: Db, { ofKind, ofId }: Stock): { id: string; name: string }[] {
  const inStack = ofKind === 'cloth' ? `${CLOTH_ID}${ofId}` : ofId;
  return db
    .prepare(
      `SELECT id, name FROM project WHERE deleted_at IS NULL AND archived = 0
         AND id IN (SELECT p.project_id FROM piece p JOIN cut c ON c.piece_id = p.id AND c.deleted_at IS NULL
                      LEFT JOIN job j ON j.cut_id = c.id AND j.deleted_at IS NULL
                     WHERE p.deleted_at IS NULL
                       AND ((c.done = 0 AND ? = 'cloth' AND c.cloth_id = ?) OR (j.cut_done = 0 AND instr(j.stack, ?) > 0)))
       ORDER BY updated_at DESC, rowid LIMIT ?`,
    )
    .all(ofKind, ofId, JSON.stringify(inStack), MOST_PROJECTS) as { id: string; name: string }[];
}
