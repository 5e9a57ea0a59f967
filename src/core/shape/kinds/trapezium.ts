import { requireNumber } from '../../input-error';
import { fromEdges } from './edges';
import { LONGEST, type ShapeKind } from './kind';

/** Two level edges and two slanting ones. mm. */
export interface TrapeziumShape {
  kind: 'trapezium';
  bottom: number;
  top: number;
  height: number;
  /** How far the middle of the top lies to the right of the middle of the bottom. */
  shift: number;
}

export const trapezium: ShapeKind<TrapeziumShape> = {
  kind: 'trapezium',
  words: 'Trapezium',
  measures: [
    { field: 'bottom', words: 'Bottom edge', min: 1 },
    { field: 'top', words: 'Top edge', min: 1 },
    { field: 'height', words: 'Height', min: 1 },
    { field: 'shift', words: 'Top shifted right by', min: 0 },
  ],
  edgeNames: () => ['bottom', 'right', 'top', 'left'],
  start: { kind: 'trapezium', bottom: 300, top: 200, height: 160, shift: 0 },
  draw({ bottom, top, height, shift }) {
    requireNumber('bottom', bottom, 'mm', { min: 1, max: LONGEST });
    requireNumber('top', top, 'mm', { min: 1, max: LONGEST });
    requireNumber('height', height, 'mm', { min: 1, max: LONGEST });
    requireNumber('shift', shift, 'mm', { min: 0, max: LONGEST });
    const left = (bottom - top) / 2 + shift;
    return fromEdges(
      [
        [0, 0],
        [bottom, 0],
      ],
      [
        [bottom, 0],
        [left + top, height],
      ],
      [
        [left + top, height],
        [left, height],
      ],
      [
        [left, height],
        [0, 0],
      ],
    );
  },
};
