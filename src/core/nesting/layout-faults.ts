import { polygonArea, type Outline } from '../shape';
import { closerThan } from './clearance';
import { overlapArea } from './overlap-area';
import type { Placement } from './piece';

/** What is wrong with a layout: two copies that overlap or lie too close, or one that does not lie wholly on sound cloth. */
export interface LayoutFault {
  kind: 'overlap' | 'gap' | 'outside' | 'spot';
  /** Index of the placement, and of the other one. */
  index: number;
  other?: number;
  /** Shared or lost area, mm², or the distance that is left, mm. */
  by: number;
}

export interface LayoutToCheck {
  placements: readonly Placement[];
  /** Outlines by id, as they are cut, mm; a placement of another id is a fault. */
  outlines: ReadonlyMap<string, Outline>;
  /** Room between pieces, mm. */
  gap: number;
  /** Width of the cloth, mm; without it only `cloth` bounds it. */
  width: number;
  /** Length of the cloth, mm; Infinity on a roll. */
  length: number;
  /** Outline of a leftover. */
  cloth?: Outline | undefined;
  /** Holes and stains in it. */
  spots?: readonly Outline[] | undefined;
  /** Only faults of this placement. */
  only?: number;
}

/** Sharing less than this is touching, mm². */
const TOUCHING = 0.2;
/** Rounding of sums of coordinates, mm. */
const ROUNDING = 1e-6;
/** A gap may be short by this, mm: no hand cuts finer. */
const GAP_ROUNDING = 1e-3;
/** What may lie beside the outline of a leftover, whose corners are rounded when it is put away, mm². */
const BESIDE = 1;

/**
 * Everything that is wrong with a layout, by exact arithmetic on the outlines that are cut. Whatever search, file or hand a
 * layout comes from, it passes here before it is told, drawn, printed or saved; shares no code with any of them.
 *
 * @example layoutFaults({ width: 500, gap: 0, pieces, placements: [] }) // []
 */
export function layoutFaults(layout: LayoutToCheck): LayoutFault[] {
  const { placements, outlines, gap, width, length, cloth, spots = [], only } = layout;
  const faults: LayoutFault[] = [];
  const laid = placements.map((placement, index) => {
    const outline = outlines.get(placement.id);
    const there = outline ? placed(outline, placement) : [];
    if (!outline) faults.push({ kind: 'outside', index, by: Infinity });
    return { index, outline: there, box: boxOf(there) };
  });
  for (const { index, outline, box } of laid) {
    if (outline.length === 0 || (only !== undefined && only !== index)) continue;
    const past = Math.max(-box.minX, box.maxX - width, -box.minY, box.maxY - length);
    if (!(past <= ROUNDING)) faults.push({ kind: 'outside', index, by: past });
    else if (cloth) {
      const beside = polygonArea(outline) - overlapArea(outline, cloth);
      if (!(beside <= BESIDE)) faults.push({ kind: 'outside', index, by: beside });
    }
    for (const spot of spots) {
      const spoilt = overlapArea(outline, spot);
      if (!(spoilt <= TOUCHING)) faults.push({ kind: 'spot', index, by: spoilt });
    }
  }
  // By the left side, so that only neighbours are compared.
  const sorted = laid.filter(({ outline }) => outline.length > 0).sort((a, b) => a.box.minX - b.box.minX);
  sorted.forEach((a, i) => {
    for (let k = i + 1; k < sorted.length; k++) {
      const b = sorted[k]!;
      if (b.box.minX >= a.box.maxX + gap) break;
      if (b.box.minY >= a.box.maxY + gap || a.box.minY >= b.box.maxY + gap) continue;
      if (only !== undefined && only !== a.index && only !== b.index) continue;
      const fault = between(a.outline, b.outline, gap);
      const [index, other] = only === b.index ? [b.index, a.index] : [a.index, b.index];
      if (fault) faults.push({ ...fault, index, other });
    }
  });
  return faults;
}

function between(a: Outline, b: Outline, gap: number): { kind: 'overlap' | 'gap'; by: number } | undefined {
  const shared = overlapArea(a, b);
  if (!(shared <= TOUCHING)) return { kind: 'overlap', by: shared };
  const apart = gap > GAP_ROUNDING ? closerThan(gap - GAP_ROUNDING, a, b) : undefined;
  return apart === undefined ? undefined : { kind: 'gap', by: apart };
}

function placed(outline: Outline, { flipped, rotation, x, y }: Placement): Outline {
  const turn = (rotation * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return outline.map(([px, py]) => {
    const fx = flipped ? -px : px;
    return [fx * cos - py * sin + x, fx * sin + py * cos + y];
  });
}

function boxOf(outline: Outline) {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
  for (const [x, y] of outline) {
    box.minX = Math.min(box.minX, x);
    box.minY = Math.min(box.minY, y);
    box.maxX = Math.max(box.maxX, x);
    box.maxY = Math.max(box.maxY, y);
  }
  return box;
}
