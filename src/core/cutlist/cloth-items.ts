import type { Fabric } from '../cloth';
import { InputError } from '../input-error';
import { clothTurns, enlarged, FREELY, movedMark, openPiece, type Shrinkage, type Turns } from '../pieces';
import type { Outline } from '../shape';
import type { CutList } from './cut-item';
import { itemsOf } from './layer-items';
import type { ListedPart } from './listed-part';

/**
 * Everything that the parts need of one cloth, laid right side up.
 *
 * @param shrinkage what the cloth still loses, so that pieces are cut larger by it; along the grain and across
 * @example clothItems([listed], poplin, { length: 0, cross: 0 }).items[0].count // 2
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
      const { turns, lengthwise } = lyingFor(clothTurns(fabric, { cut: part.cut, grain, oneWay: part.oneWay }), grain, shrinkage);
      const grown = (outline: Outline): Outline => enlarged(outline, shrinkage, lengthwise);
      const marks = opened.marks.map((mark) => movedMark(mark, (place) => grown([place])[0]!));
      const cut = { outlines: [grown(opened.outline)], holes: opened.holes.map((hole) => grown(hole.outline)) };
      list.items.push(
        ...itemsOf(part, `${part.id}/cloth`, cut, { seam: opened.seam.map(grown), marks }, false, {
          turns,
          flip: false,
          cut: part.cut,
          oneWay: part.oneWay || fabric.surface.includes('pile'),
        }),
      );
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      list.faults.push({ workId: part.id, name: part.name, why: 'shape' });
    }
  }
  return list;
}

/** Shrinkage that differs by less than this along and across counts as even. */
const EVEN = 1e-6;

/**
 * How a piece that is cut larger may lie: where the cloth shrinks more one way than the other, only so that its length runs
 * as it was reckoned with, whatever else its grain would allow.
 *
 * @returns the turns, and where the cloth's length runs in the piece, degrees counter-clockwise from upright
 */
function lyingFor(allowed: Turns, grain: number, { length, cross }: Shrinkage): { turns: Turns; lengthwise: number } {
  const list = allowed === FREELY ? [-grain, 180 - grain].map((turn) => ((turn % 360) + 360) % 360) : allowed;
  const first = list[0]!;
  const even = Math.abs(length - cross) < EVEN;
  const turns = even ? allowed : list.filter((turn) => Math.abs(Math.sin(((turn - first) * Math.PI) / 180)) < EVEN);
  return { turns, lengthwise: -first };
}
