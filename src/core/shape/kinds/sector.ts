import { requireNumber } from '../../input-error';
import { arcPoints } from '../arc';
import { fromEdges } from './edges';
import { LONGEST, type ShapeKind } from './kind';

/** Part of a ring, standing on its outer edge: a piece of a flared skirt, a facing of a round neck. mm, degrees. */
export interface SectorShape {
  kind: 'sector';
  inner: number;
  outer: number;
  angle: number;
}

export const sector: ShapeKind<SectorShape> = {
  kind: 'sector',
  words: 'Ring sector',
  measures: [
    { field: 'inner', words: 'Inner radius', min: 0 },
    { field: 'outer', words: 'Outer radius', min: 2 },
    { field: 'angle', words: 'Angle', min: 1, max: 350, unit: '°' },
  ],
  edgeNames: () => ['outer edge', 'right end', 'inner edge', 'left end'],
  start: { kind: 'sector', inner: 120, outer: 320, angle: 90 },
  draw({ inner, outer, angle }) {
    requireNumber('inner', inner, 'mm', { min: 0, max: LONGEST });
    requireNumber('outer', outer, 'mm', { above: inner, max: LONGEST });
    requireNumber('angle', angle, '°', { min: 1, max: 350 });
    const half = (angle / 2) * (Math.PI / 180);
    const down = -Math.PI / 2;
    const outside = arcPoints([0, 0], outer, down - half, down + half);
    const inside = inner > 0 ? arcPoints([0, 0], inner, down + half, down - half) : [[0, 0] as [number, number]];
    return fromEdges(outside, [outside.at(-1)!, inside[0]!], inside, [inside.at(-1)!, outside[0]!]);
  },
};
