import { bounds, distanceToBorder, transformed, type Outline } from '../shape';
import type { Placement } from '../nesting';
import type { CutItem } from './cut-item';

/** What is cut from cloth that lies folded lengthwise, its fold at x = 0. */
export interface FoldedItems {
  /** Each cut gives two pieces, one the mirror image of the other; pieces on the fold are halves. */
  items: CutItem[];
  /** Halves that lie at the fold, one after the other. */
  locked: Placement[];
  /** Pieces that are no pairs and not symmetrical: one of two comes out as a mirror image. */
  mirroredBy: string[];
}

/** Two outlines that differ by less are the same, as a share of their area. */
const SAME = 0.01;

/**
 * The same pieces for folded cloth. A piece that is symmetrical about its grain line is laid at the fold as a half; pairs
 * and even numbers of others are cut from both layers at once.
 *
 * @param items as for flat cloth, mirrored halves of pairs included @param gap mm
 * @example foldedItems([cutItem], 5).items.length // 1
 */
export function foldedItems(items: readonly CutItem[], gap: number): FoldedItems {
  const found: FoldedItems = { items: [], locked: [], mirroredBy: [] };
  let y = 0;
  const right = items.filter(({ twinOf }) => twinOf === null);
  for (const item of right) {
    // Along its grain, if it has one to go by, even where the cloth has none.
    const turn = item.free ? -(item.grain ?? 0) : item.rotations[0]!;
    const upright = transformed(item.outline, false, turn);
    if (isSymmetric(upright)) {
      const half = rightHalf(upright);
      const box = bounds(half);
      const id = `${item.id}/fold`;
      found.items.push({
        ...{ ...item, id, outline: half, edge: half, holes: [], seam: [], marks: [], rotations: [0], free: false, flip: false },
        grain: 0,
        fold: [
          [0, box.minY],
          [0, box.maxY],
        ],
      });
      for (let copy = 0; copy < item.count; copy++) {
        found.locked.push({ id, copy, rotation: 0, flipped: false, x: 0, y: y - box.minY });
        y += box.maxY - box.minY + gap;
      }
      continue;
    }
    const twin = items.find(({ twinOf }) => twinOf === item.id);
    const all = item.count + (twin?.count ?? 0);
    if (!twin && all > 1) found.mirroredBy.push(item.name);
    found.items.push({ ...item, count: Math.ceil(all / 2) });
  }
  return found;
}

/** Whether an outline is its own mirror image about the upright line through its middle. */
function isSymmetric(outline: Outline): boolean {
  const { minX, maxX } = bounds(outline);
  const middle = (minX + maxX) / 2;
  const reach = SAME * (maxX - minX);
  return outline.every(([x, y]) => distanceToBorder(outline, [2 * middle - x, y]) < reach);
}

/** The half right of the middle, its fold at x = 0. */
function rightHalf(outline: Outline): Outline {
  const { minX, maxX } = bounds(outline);
  const middle = (minX + maxX) / 2;
  const half: Outline = [];
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const [sa, sb] = [a[0] - middle, b[0] - middle];
    if (sa >= 0) half.push([sa, a[1]]);
    if (sa * sb < 0) half.push([0, a[1] + (sa / (sa - sb)) * (b[1] - a[1])]);
  });
  return half;
}
