import { requireNumber } from '../../input-error';
import { arcPoints, arcSteps } from '../arc';
import type { Outline, Point } from '../polygon';
import type { EdgedOutline } from './kind';
import { LONGEST, type ShapeKind } from './kind';

/** mm. */
export interface CircleShape {
  kind: 'circle';
  diameter: number;
}
/** An oval with its axes level and upright. mm. */
export interface EllipseShape {
  kind: 'ellipse';
  width: number;
  height: number;
}
/** A ring such as the brim of a hat. Diameters in mm. */
export interface RingShape {
  kind: 'ring';
  outer: number;
  inner: number;
}

export const circle: ShapeKind<CircleShape> = {
  kind: 'circle',
  words: 'Circle',
  measures: [{ field: 'diameter', words: 'Diameter', min: 2 }],
  edgeNames: () => ['all round'],
  start: { kind: 'circle', diameter: 200 },
  draw({ diameter }) {
    requireNumber('diameter', diameter, 'mm', { min: 2, max: LONGEST });
    return round(disc(diameter / 2));
  },
};

export const ellipse: ShapeKind<EllipseShape> = {
  kind: 'ellipse',
  words: 'Ellipse',
  measures: [
    { field: 'width', words: 'Width', min: 2 },
    { field: 'height', words: 'Height', min: 2 },
  ],
  edgeNames: () => ['all round'],
  start: { kind: 'ellipse', width: 200, height: 160 },
  draw({ width, height }) {
    requireNumber('width', width, 'mm', { min: 2, max: LONGEST });
    requireNumber('height', height, 'mm', { min: 2, max: LONGEST });
    // Sharpest where the longer axis ends: radius b²/a. Steps for the circle around it are enough all round.
    const steps = 2 * arcSteps(Math.max(width, height) / 2, Math.PI);
    return round(
      Array.from({ length: steps }, (_, i): Point => {
        const a = (2 * Math.PI * i) / steps;
        return [(width / 2) * Math.cos(a), (height / 2) * Math.sin(a)];
      }),
    );
  },
};

export const ring: ShapeKind<RingShape> = {
  kind: 'ring',
  words: 'Ring',
  measures: [
    { field: 'outer', words: 'Outer diameter', min: 4 },
    { field: 'inner', words: 'Inner diameter', min: 1 },
  ],
  edgeNames: () => ['outside', 'inside'],
  start: { kind: 'ring', outer: 340, inner: 190 },
  draw({ outer, inner }) {
    requireNumber('outer', outer, 'mm', { min: 4, max: LONGEST });
    requireNumber('inner', inner, 'mm', { min: 1, below: outer });
    return { ...round(disc(outer / 2)), holes: [{ outline: disc(inner / 2).reverse(), edge: 1 }] };
  },
};

function disc(radius: number): Outline {
  return arcPoints([0, 0], radius, 0, 2 * Math.PI).slice(0, -1);
}

function round(outline: Outline): EdgedOutline {
  return { outline, edges: outline.map(() => 0), holes: [] };
}
