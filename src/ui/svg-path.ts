import type { Outline, Point } from '../core/shape';

/** Closed path of an outline, y up on paper being down on the screen. */
export function closedPath(outline: Outline): string {
  return `${openPath(outline)}Z`;
}

/** The same outlines as one path, so that openings stay open. */
export function closedPaths(outlines: readonly Outline[]): string {
  return outlines.map(closedPath).join('');
}

/** Path through points. */
export function openPath(points: readonly Point[]): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${-y}`).join('');
}

/** Place of a pointer in the coordinates of a drawing, y up; undefined before the drawing is on the screen. */
export function pointerPlace(svg: SVGSVGElement, event: { clientX: number; clientY: number }): Point | undefined {
  const matrix = svg.getScreenCTM();
  if (!matrix) return undefined;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return [x, -y];
}
