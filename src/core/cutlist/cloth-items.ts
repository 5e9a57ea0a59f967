import type { Fabric } from '../cloth';
import { InputError } from '../input-error';
import { clothTurns, enlarged, openPiece, type Shrinkage } from '../pieces';
import type { Outline } from '../shape';
import type { CutList } from './cut-item';
import { itemsOf } from './layer-items';
import type { ListedPart } from './listed-part';

/**
 * Everything that the parts need of one cloth, laid right side up.
 *
 * @param shrinkage what the cloth still loses, so that pieces are cut larger by it; along the grain and across
 */
export function clothItems(
  parts: readonly ListedPart[],
  fabric: Pick<Fabric, 'construction' | 'surface'>,
  shrinkage: Shrinkage,
): CutList {
  const list: CutList = { items: [], faults: [], splits: [], tape: 0 };
  for (const part of parts) {
    try {
      const opened = openPiece(part.piece);
      const grain = part.piece.grain;
      const grown = (outline: Outline): Outline => enlarged(outline, shrinkage, grain);
      const marks = opened.marks.map((mark) => ({ ...mark, at: grown([mark.at])[0]! }));
      const cut = { outlines: [grown(opened.outline)], holes: opened.holes.map((hole) => grown(hole.outline)) };
      list.items.push(
        ...itemsOf(part, `${part.id}/cloth`, cut, { seam: opened.seam.map(grown), marks }, false, {
          turns: clothTurns(fabric, { cut: part.cut, grain, oneWay: part.oneWay }),
          flip: false,
          grain,
        }),
      );
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      list.faults.push({ partId: part.id, name: part.name, why: 'shape' });
    }
  }
  return list;
}
