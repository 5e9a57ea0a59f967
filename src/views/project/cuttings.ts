import { layerItems, listedPart } from '../../core/cutlist';
import { isTape } from '../../core/pieces';
import { CLOTH_ID, type Material } from '../../core/layers';
import type { Cloth } from '../../store/cloths';
import type { CutTable } from '../../store/cut-tables';
import type { CutPiece } from '../../core/workpiece';
import type { Workpiece } from './worked';

/** A cloth or layer of which something has to be cut in a project. */
export interface Cutting {
  kind: 'layer' | 'cloth';
  id: string;
  name: string;
  /** Pieces that are cut from it. */
  pieces: number;
  state: 'open' | 'laid' | 'cut';
  /** Length of the layout, mm. */
  length: number;
  /** Running length of a tape, mm; 0 for anything else. */
  tape: number;
}

/** Everything that a project is cut from, layers first. @param trim the person's usual trim, mm */
export function cuttings(
  parts: readonly Workpiece[],
  cuts: readonly CutPiece[],
  materials: readonly Material[],
  cloths: readonly Cloth[],
  tables: readonly CutTable[],
  trim: number,
): Cutting[] {
  const found: Cutting[] = [];
  for (const material of materials) {
    if (material.form === 'liquid' || material.id.startsWith(CLOTH_ID)) continue;
    const using = parts.filter((part) => part.stack?.layers.some(({ materialId }) => materialId === material.id));
    if (using.length === 0) continue;
    const listed = using.map((part) => listedPart(part, (id) => (id === material.id ? material : undefined)));
    const { tape } = isTape(material) ? layerItems(listed, material, { trim, method: 'cut-first', glueUp: true }) : { tape: 0 };
    found.push(cuttingOf('layer', material.id, material.name, using, tables, tape));
  }
  for (const cloth of cloths) {
    const under = parts.filter(({ stack }) => stack?.layers.some(({ materialId }) => materialId === `${CLOTH_ID}${cloth.id}`));
    const using = [...cuts.filter(({ clothId }) => clothId === cloth.id), ...under];
    if (using.length > 0) found.push(cuttingOf('cloth', cloth.id, cloth.name, using, tables, 0));
  }
  return found;
}

function cuttingOf(
  kind: Cutting['kind'],
  id: string,
  name: string,
  using: readonly (Workpiece | CutPiece)[],
  tables: readonly CutTable[],
  tape: number,
): Cutting {
  const own = tables.filter(({ ofKind, ofId }) => ofKind === kind && ofId === id);
  const cut = new Set(own.filter(({ done }) => done !== null).flatMap(({ workIds }) => workIds));
  const open = own.find(({ done }) => done === null);
  const waiting = using.filter((work) => !cut.has(work.id) && !('cutDone' in work ? work.cutDone : work.done));
  const length = open?.laid.reduce((sum, laid) => sum + laid.length, 0) ?? 0;
  return {
    kind,
    id,
    name,
    pieces: (waiting.length > 0 ? waiting : using).reduce((sum, { count }) => sum + count, 0),
    state: waiting.length === 0 ? 'cut' : length > 0 ? 'laid' : 'open',
    length,
    tape,
  };
}
