import { requireNumber } from '../../input-error';
import { arcSteps } from '../arc';
import type { Outline, Point } from '../polygon';
import { fromEdges } from './edges';
import { LONGEST, type ShapeKind } from './kind';

/** A facing inside a back neck: shoulders on top, the neck hollowed out between them, a round lower edge. mm. */
export interface HalfMoonShape {
  kind: 'half-moon';
  width: number;
  height: number;
  neckWidth: number;
  neckDepth: number;
}

export const halfMoon: ShapeKind<HalfMoonShape> = {
  kind: 'half-moon',
  words: 'Half-moon facing',
  measures: [
    { field: 'width', words: 'Width', min: 2 },
    { field: 'height', words: 'Height', min: 2 },
    { field: 'neckWidth', words: 'Neck, width', min: 1 },
    { field: 'neckDepth', words: 'Neck, depth', min: 0 },
  ],
  edgeNames: () => ['lower edge', 'right shoulder', 'neck', 'left shoulder'],
  start: { kind: 'half-moon', width: 260, height: 160, neckWidth: 150, neckDepth: 35 },
  draw({ width, height, neckWidth, neckDepth }) {
    requireNumber('width', width, 'mm', { min: 2, max: LONGEST });
    requireNumber('height', height, 'mm', { min: 2, max: LONGEST });
    requireNumber('neckWidth', neckWidth, 'mm', { min: 1, below: width });
    requireNumber('neckDepth', neckDepth, 'mm', { min: 0, below: height });
    const lower = halfEllipse(width / 2, height, Math.PI, 2 * Math.PI);
    const neck = neckDepth > 0 ? halfEllipse(neckWidth / 2, neckDepth, 2 * Math.PI, Math.PI) : straight(neckWidth / 2);
    return fromEdges(lower, [lower.at(-1)!, neck[0]!], neck, [neck.at(-1)!, lower[0]!]);
  },
};

function halfEllipse(a: number, b: number, from: number, to: number): Outline {
  const steps = 2 * arcSteps(Math.max(a, b), Math.PI / 2);
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = from + ((to - from) * i) / steps;
    return [a * Math.cos(angle), i === 0 || i === steps ? 0 : b * Math.sin(angle)];
  });
}

function straight(half: number): Outline {
  return [
    [half, 0],
    [-half, 0],
  ];
}
