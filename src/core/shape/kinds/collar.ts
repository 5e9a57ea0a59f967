import { requireNumber } from '../../input-error';
import { bulgingArc, chordOf } from '../arc';
import type { Point } from '../polygon';
import { fromEdges } from './edges';
import { LONGEST, type ShapeKind } from './kind';

/** A collar laid flat, from the measures of the neck. mm. */
export interface CollarShape {
  kind: 'collar';
  /** Length of the neck seam. */
  neck: number;
  /** Height at the centre back. */
  height: number;
  /** How far the ends of the neck seam rise above its middle. */
  rise: number;
  /** How far the points reach out beyond the ends of the neck seam. */
  point: number;
}

export const collar: ShapeKind<CollarShape> = {
  kind: 'collar',
  words: 'Collar',
  measures: [
    { field: 'neck', words: 'Neck seam', min: 20 },
    { field: 'height', words: 'Height at the back', min: 5 },
    { field: 'rise', words: 'Ends rise by', min: 0 },
    { field: 'point', words: 'Points reach out', min: 0 },
  ],
  edgeNames: () => ['neck seam', 'right end', 'outer edge', 'left end'],
  start: { kind: 'collar', neck: 400, height: 75, rise: 12, point: 20 },
  draw({ neck, height, rise, point }) {
    requireNumber('neck', neck, 'mm', { min: 20, max: LONGEST });
    requireNumber('height', height, 'mm', { min: 5, max: LONGEST });
    requireNumber('rise', rise, 'mm', { min: 0, max: neck / 4 });
    requireNumber('point', point, 'mm', { min: 0, max: LONGEST });
    const half = chordOf(neck, rise) / 2;
    const seam = bulgingArc([-half, rise], [half, rise], rise);
    const right: Point = [half + point, rise + height];
    const left: Point = [-half - point, rise + height];
    const outer = bulgingArc(right, left, -rise);
    return fromEdges(seam, [seam.at(-1)!, right], outer, [left, seam[0]!]);
  },
};
