import { bounds, type Outline, type Point } from '../../core/shape';
import { lengthForField, parseLengthBeside, type LengthSystem } from '../../core/units';

/** A leftover as it lies: its outline and the holes and stains in it, mm. */
export interface LeftoverShape {
  outline: Outline;
  spots: Outline[];
}

/** At the origin, and as large as the rounded figures of a form say. */
export function fittedShape({ outline, spots }: LeftoverShape, system: LengthSystem): LeftoverShape {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const rounded = (mm: number) => parseLengthBeside(lengthForField(mm, system), '', system);
  const [sx, sy] = [rounded(maxX - minX) / (maxX - minX), rounded(maxY - minY) / (maxY - minY)];
  const fitted = (each: Outline): Outline => each.map(([x, y]): Point => [(x - minX) * sx, (y - minY) * sy]);
  return { outline: fitted(outline), spots: spots.map(fitted) };
}

/** Corners of a spot that is told by its middle and its width. */
const ROUND = 24;

/** A round spot. @param width mm */
export function roundSpot([x, y]: Point, width: number): Outline {
  return Array.from({ length: ROUND }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / ROUND;
    return [x + (width / 2) * Math.cos(angle), y + (width / 2) * Math.sin(angle)];
  });
}
