import type { Place } from '../pieces';
import type { Point } from '../shape';
import type { RecipePiece } from './recipe';

/** A layer on a seam line reaches this far beyond it, mm. */
const BEYOND = 2;

/** A godet by its sewn lines, mm; the angle at its point in degrees. */
export interface GodetPiece {
  name: string;
  side: number;
  angle: number;
  allowance: number;
  hem: number;
  count: number;
}

/**
 * A sector with a job on each of its seam lines: a strip from a little beyond the sewn line to the cut edge. Edges: hem, right side, point,
 * left side.
 *
 * @example godetPiece({ name: 'Godet', side: 300, angle: 48, allowance: 10, hem: 10, count: 4 }).allowances // [10, 10, 0, 10]
 */
export function godetPiece({ name, side: length, angle, allowance, hem, count }: GodetPiece): RecipePiece {
  const half = (angle * Math.PI) / 360;
  const besideSide = (side: 1 | -1): Place => {
    const out = (allowance - BEYOND) / 2;
    const at = (along: number): Point => [
      side * (along * Math.sin(half) + out * Math.cos(half)),
      -along * Math.cos(half) + out * Math.sin(half),
    ];
    return { kind: 'line', line: [at(0), at(length)], width: allowance + BEYOND };
  };
  return {
    name,
    shape: { kind: 'sector', inner: 0, outer: length, angle },
    allowances: [hem, allowance, 0, allowance],
    grain: 0,
    marks: [],
    cuts: [
      {
        duty: 'shell',
        count,
        orientation: 'straight',
        jobs: [
          { name: 'right seam line', place: besideSide(1), role: 'godet-slash' },
          { name: 'left seam line', place: besideSide(-1), role: 'godet-slash' },
        ],
      },
    ],
  };
}

/**
 * How a godet is set into its slash, in the order of work.
 *
 * @example sewingGodet()[0] // 'The slash has no allowance of its own: the stitching runs from the seam’s width at the hem to nothing at the point.'
 */
export function sewingGodet(): string[] {
  return [
    'The slash has no allowance of its own: the stitching runs from the seam’s width at the hem to nothing at the point.',
    'Halve the stitches for the last 25 mm before the point, and turn there with the needle down.',
    'Clip to the thread at the point, never through it.',
  ];
}
