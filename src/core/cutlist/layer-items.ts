import { stitchedField } from '../choose';
import { InputError } from '../input-error';
import type { Material } from '../layers';
import {
  allowedTurns,
  DEFAULT_LAYER_OUTLINE,
  FREELY,
  freeTurns,
  grainOfTurns,
  layerOutline,
  openPiece,
  pieceSize,
  movedMark,
  oneSided,
  tapeLength,
  type LayerOutline,
  type OpenPiece,
  type GrainCut,
  type Turns,
} from '../pieces';
import { difference, isInside, regionArea, slitOpen, transformed, type Outline } from '../shape';
import type { CutItem, CutList } from './cut-item';
import type { ListedPart } from './listed-part';

/** How the pieces are laid on the layer. */
export const LAYING_METHODS = ['cut-first', 'fuse-together', 'fuse-net'] as const;
export type LayingMethod = (typeof LAYING_METHODS)[number];

export interface LayerItemOptions {
  /** The person's usual trim, mm. */
  trim: number;
  /**
   * Layer and cloth are cut apart and then joined; or the cut cloth pieces are laid on the uncut layer, edge to edge, with
   * their allowances or (marked) at their seam lines.
   */
  method: LayingMethod;
  /** The layer lies on the table glue side up. */
  glueUp: boolean;
}

/**
 * Everything that the parts need of one layer. A one-sided layer laid glue side up is seen as the right side of the cloth is,
 * so the pattern lies face up; glue side down it is seen from behind, so outlines are mirrored.
 *
 * @example layerItems([listed], lightWoven, { trim: 6, method: 'cut-first', glueUp: true }).items[0].count // 2
 */
export function layerItems(
  parts: readonly ListedPart[],
  material: Material,
  { trim, method, glueUp }: LayerItemOptions,
): CutList {
  const list: CutList = { items: [], faults: [], splits: [], tape: 0 };
  for (const part of parts) {
    part.layers.forEach((layer, index) => {
      if (layer.material.id !== material.id) return;
      let piece: OpenPiece;
      let cut: LayerOutline;
      try {
        piece = openPiece(part.piece);
        const extent = method === 'cut-first' ? layer.extent : method === 'fuse-net' ? 'net' : 'full';
        cut = layerOutline(piece, extent, material, {
          ...DEFAULT_LAYER_OUTLINE,
          trim,
          rule: part.rule,
          ...(part.joins ? { joins: part.joins } : {}),
          ...layer.cut,
          ...(part.wish ? { field: stitchedField(part.wish, pieceSize(piece)) } : {}),
        });
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        list.faults.push({ workId: part.id, name: part.name, why: 'shape' });
        return;
      }
      const tape = tapeLength(cut, material, part.count);
      if (tape !== undefined) {
        list.tape += tape;
        return;
      }
      if (cut.outlines.length === 0) list.faults.push({ workId: part.id, name: part.name, why: 'vanishes' });
      if (cut.outlines.length > 1) list.splits.push({ workId: part.id, name: part.name, pieces: cut.outlines.length });
      const faceDown = oneSided(material) && !glueUp;
      list.items.push(
        ...itemsOf(part, `${part.id}/${index}`, cut, piece, faceDown, {
          turns: allowedTurns(material, { cut: part.cut, grain: part.piece.grain }),
          flip: !oneSided(material),
          cut: part.cut,
          oneWay: false,
        }),
      );
    });
  }
  return list;
}

/**
 * Items for every outline of a piece, those of the second half of a pair mirrored against the first.
 *
 * @example itemsOf(listed, 'x', { outlines: [square(100)], holes: [] }, piece, false, { turns: [0], flip: false, cut: 'straight', oneWay: false }).length // 1
 */
export function itemsOf(
  part: Pick<ListedPart, 'id' | 'name' | 'count' | 'pairs' | 'mirrored'>,
  id: string,
  cut: Pick<LayerOutline, 'outlines' | 'holes'>,
  piece: Pick<OpenPiece, 'seam' | 'marks'>,
  faceDown: boolean,
  { turns, flip, cut: lies, oneWay }: { turns: Turns; flip: boolean; cut: GrainCut; oneWay: boolean },
): CutItem[] {
  const found: CutItem[] = [];
  const grain = grainOfTurns(turns);
  const halves = part.pairs ? [Math.ceil(part.count / 2), Math.floor(part.count / 2)] : [part.count];
  halves.forEach((count, half) => {
    if (count === 0) return;
    const mirrored = [half === 1, faceDown, part.mirrored].filter(Boolean).length % 2 === 1;
    const put = (outline: Outline): Outline => (mirrored ? transformed(outline, true, 0).reverse() : outline);
    cut.outlines.forEach((outline, k) => {
      const own = cut.holes.filter((hole) => isInside(hole[0]!, outline));
      // A patch or strip lies somewhere on the piece: seams that run past it are none of its own, nor are marks beside it.
      const seam = piece.seam.filter((path) => regionArea(difference(path, [outline])) < OUTSIDE);
      const marks = seam.length > 0 ? piece.marks : piece.marks.filter(({ at }) => isInside(at, outline));
      found.push({
        id: `${id}/${k}${half === 1 ? 'm' : ''}`,
        twinOf: half === 1 ? `${id}/${k}` : null,
        workId: part.id,
        name: part.name,
        outline: slitOpen(put(outline), own.map(put)),
        edge: put(outline),
        holes: own.map(put),
        seam: seam.map(put),
        marks: marks.map((mark) => movedMark(mark, ([x, y]) => [mirrored ? -x : x, y])),
        count,
        first: half === 1 ? halves[0]! + 1 : 1,
        letter: cut.outlines.length > 1 ? String.fromCharCode(97 + (k % 26)) : '',
        ...turnsOf(turns, put(outline), mirrored),
        flip: flip && !part.pairs && keepsGrainFlipped(turns),
        mirrored,
        grain: grain === null ? null : mirrored ? -grain : grain,
        cut: lies,
        oneWay,
        fold: null,
      });
    });
  });
  return found;
}

/** What of a seam may lie outside a layer and be rounding, mm². */
const OUTSIDE = 1;

/** Turns that a free piece may be tried in; the search looks at fewer of them when there are many pieces. */
const FREE_TURNS = 12;

function turnsOf(turns: Turns, outline: Outline, mirrored: boolean): Pick<CutItem, 'rotations' | 'free'> {
  if (turns === FREELY) return { rotations: freeTurns(outline, FREE_TURNS), free: true };
  // Mirrored, the grain leans the other way, and so does every turn.
  return { rotations: mirrored ? turns.map((turn) => (360 - turn) % 360) : turns, free: false };
}

/**
 * Whether a piece keeps to its grain when it is flipped in the same turns: flipped, a grain that leans leans the other way, and
 * the turns that were right for it are wrong.
 */
function keepsGrainFlipped(turns: Turns): boolean {
  return turns === FREELY || turns.every((turn) => turns.some((other) => (turn + other) % 360 === 0));
}
