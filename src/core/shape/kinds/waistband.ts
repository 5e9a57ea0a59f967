import { InputError, requireNumber } from '../../input-error';
import { arcPoints } from '../arc';
import { fromEdges } from './edges';
import { LONGEST, type ShapeKind } from './kind';

/** A waistband, straight or curved, from the waist. mm. */
export interface WaistbandShape {
  kind: 'waistband';
  /** Upper edge, without the overlap. */
  waist: number;
  /** What the ends lap over each other. */
  overlap: number;
  height: number;
  /** Lower edge, without the overlap; as long as the waist for a straight band. */
  lower: number;
}

export const waistband: ShapeKind<WaistbandShape> = {
  kind: 'waistband',
  words: 'Waistband',
  measures: [
    { field: 'waist', words: 'Upper edge (waist)', min: 20 },
    { field: 'lower', words: 'Lower edge', min: 20 },
    { field: 'overlap', words: 'Overlap', min: 0 },
    { field: 'height', words: 'Height', min: 2 },
  ],
  edgeNames: () => ['lower edge', 'right end', 'upper edge', 'left end'],
  start: { kind: 'waistband', waist: 720, lower: 740, overlap: 30, height: 50 },
  draw({ waist, overlap, height, lower }) {
    requireNumber('waist', waist, 'mm', { min: 20, max: LONGEST });
    requireNumber('overlap', overlap, 'mm', { min: 0, max: LONGEST });
    requireNumber('height', height, 'mm', { min: 2, max: LONGEST });
    requireNumber('lower', lower, 'mm', { min: waist, max: waist + 6 * height });
    if (lower - waist < STRAIGHT) {
      const width = waist + overlap;
      return fromEdges(
        [
          [0, 0],
          [width, 0],
        ],
        [
          [width, 0],
          [width, height],
        ],
        [
          [width, height],
          [0, height],
        ],
        [
          [0, height],
          [0, 0],
        ],
      );
    }
    // Two arcs about one centre: their lengths are as their radii, which differ by the height.
    const radius = (height * waist) / (lower - waist);
    const half = (waist + overlap) / radius / 2;
    if (!(half < Math.PI)) throw new InputError('lower', 'must be shorter: the band would close into a full ring');
    const down = -Math.PI / 2;
    const under = arcPoints([0, 0], radius + height, down - half, down + half);
    const upper = arcPoints([0, 0], radius, down + half, down - half);
    return fromEdges(under, [under.at(-1)!, upper[0]!], upper, [upper.at(-1)!, under[0]!]);
  },
};

/** Edges that differ by less make no curve that could be cut, mm. */
const STRAIGHT = 0.5;
