import type { Extent, Material } from '../layers';
import { bounds, difference, inset, polygonArea, type Outline } from '../shape';
import type { OpenPiece } from './piece';

export interface LayerOutlineOptions {
  /** How far a trimmed layer stays inside the cut edge, mm. */
  trim: number;
  /** Width of a strip that is cut from a roll, mm. */
  stripWidth: number;
  /** Edge length of a patch, mm. */
  patchSize: number;
  /** Stitched field, mm, when the layer is a sheet for the hoop. */
  field?: { width: number; height: number };
  /** Sheet beyond the field on every side, mm. */
  fieldMargin: number;
}

export const DEFAULT_LAYER_OUTLINE: LayerOutlineOptions = { trim: 6, stripWidth: 30, patchSize: 50, fieldMargin: 40 };

export interface LayerOutline {
  outlines: Outline[];
  /** mm². */
  area: number;
  /** What the extent leaves off the piece, mm². */
  removedArea: number;
  /** For a tape or strip: running length, mm. */
  runningLength?: number;
}

/** Materials sold by the metre of a narrow width are used as they come, not cut to a shape, mm. */
const TAPE_WIDTH = 200;

export function isTape(material: Pick<Material, 'rollWidth'>): boolean {
  return material.rollWidth > 0 && material.rollWidth <= TAPE_WIDTH;
}

/**
 * The exact outline of a layer on a piece: full size, trimmed inside the edge, net to the seam line, a strip
 * along the top seam, a patch, or a sheet for the hoop.
 *
 * A strip runs along the longest side of the piece's top; a patch is shown in the middle, to be moved to its point.
 */
export function layerOutline(
  piece: OpenPiece,
  extent: Extent,
  material: Pick<Material, 'rollWidth'>,
  options: LayerOutlineOptions = DEFAULT_LAYER_OUTLINE,
): LayerOutline {
  const { outline, allowances } = piece;
  const whole = polygonArea(outline);
  switch (extent) {
    case 'full':
      return { outlines: [outline], area: whole, removedArea: 0 };
    case 'trimmed':
      return inset(
        outline,
        allowances.map((allowance) => Math.min(options.trim, allowance)),
      );
    case 'net':
      return inset(outline, allowances);
    case 'strip': {
      const tape = isTape(material);
      const width = tape ? material.rollWidth : options.stripWidth;
      const edges = topEdges(outline);
      const net = inset(outline, allowances).outlines[0];
      const length = [...edges].reduce((sum, i) => sum + edgeLength(outline, i), 0);
      if (!net) return { outlines: [], area: 0, removedArea: whole, runningLength: length };
      // The strip is what lies between the seam line and the same line moved in by its width.
      const inner = inset(
        outline,
        allowances.map((allowance, i) => (edges.has(i) ? allowance + width : 0)),
      ).outlines;
      const outlines = difference(net, inner).filter((path) => polygonArea(path) > 1);
      const area = outlines.reduce((sum, path) => sum + polygonArea(path), 0);
      return { outlines, area, removedArea: whole - area, runningLength: length };
    }
    case 'patch': {
      const box = bounds(outline);
      const size = Math.min(options.patchSize, box.maxX - box.minX, box.maxY - box.minY);
      return rectangleAtCentre(outline, size, size, whole);
    }
    case 'field': {
      const field = options.field ?? { width: 100, height: 100 };
      return rectangleAtCentre(outline, field.width + 2 * options.fieldMargin, field.height + 2 * options.fieldMargin, whole);
    }
  }
}

function rectangleAtCentre(outline: Outline, width: number, height: number, whole: number): LayerOutline {
  const box = bounds(outline);
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  const rectangle: Outline = [
    [cx - width / 2, cy - height / 2],
    [cx + width / 2, cy - height / 2],
    [cx + width / 2, cy + height / 2],
    [cx - width / 2, cy + height / 2],
  ];
  return { outlines: [rectangle], area: width * height, removedArea: Math.max(0, whole - width * height) };
}

function edgeLength(outline: Outline, i: number): number {
  const a = outline[i]!;
  const b = outline[(i + 1) % outline.length]!;
  return Math.hypot(b[0] - a[0], b[1] - a[1]);
}

/** Edges whose inner side looks down: the top of the piece. Edges within 45° of level count. */
function topEdges(outline: Outline): Set<number> {
  const top = new Set<number>();
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const dx = b[0] - a[0];
    if (dx < 0 && -dx >= Math.abs(b[1] - a[1])) top.add(i);
  });
  return top;
}
