import { setOut } from '../../core/pieces';
import { bounds, type Outline, type Point } from '../../core/shape';
import type { LaidCut } from '../../core/workpiece';

/** A cut as it is drawn small: its cloth, and where something is done. */
export interface DrawnCut extends LaidCut {
  tone: 'light' | 'mid' | 'dark' | null;
  /** Outlines layer by layer. */
  regions: { layers: Outline[][]; chosen: boolean; done: boolean }[];
}

/** Cloth keeps its tone on a page of either theme. */
const CLOTH = { light: '#f3ecdc', mid: '#cdbf9f', dark: '#7b7263', none: '#e9e2d0' };
const INK = '#5a5f70';
/** Gap between pieces and width of a line, as shares of the whole. */
const GAP = 0.04;
const LINE = 0.011;

/**
 * The pieces of a project, or one of them, as a small picture to scale: the long way round of each lies along the table.
 *
 * @param ratio width of the picture against its height
 */
export function laidSvg(cuts: readonly DrawnCut[], ratio: number): string {
  const size = Math.max(1, ...cuts.map(({ width, height }) => Math.max(width / ratio, height)));
  const first = setOut(cuts, ratio, GAP * size);
  const { at, width, height } = setOut(cuts, ratio, GAP * Math.max(first.width / ratio, first.height));
  const reach = Math.max(width / ratio, height, 1);
  const line = LINE * reach;
  const body = cuts.map((cut, i) => drawn(cut, at[i]!, line)).join('');
  const view = [-line, -line, width + 2 * line, height + 2 * line].map(figure).join(' ');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}" stroke-linejoin="round" fill-rule="evenodd">${body}</svg>`;
}

function drawn({ open, turned, tone, regions }: DrawnCut, [x, y]: Point, line: number): string {
  const { minX, minY, maxY } = bounds(open.outline);
  const put = ([px, py]: Point): Point => (turned ? [x + py - minY, -y + px - minX] : [x + px - minX, -y + maxY - py]);
  const path = (outlines: readonly Outline[], more: string) =>
    outlines.length === 0 ? '' : `<path d="${outlines.map((each) => closed(each.map(put))).join('')}" ${more}/>`;
  return [
    path(
      [open.outline, ...open.holes.map(({ outline }) => outline)],
      `fill="${CLOTH[tone ?? 'none']}" stroke="${INK}" stroke-width="${figure(line)}"`,
    ),
    ...regions.flatMap(({ layers, chosen, done }) =>
      layers.map((outlines) =>
        path(
          outlines,
          chosen
            ? `fill="${done ? '#3f7d4e' : '#2b62a8'}" fill-opacity="0.4"`
            : `fill="none" stroke="#2b62a8" stroke-width="${figure(line)}" stroke-dasharray="${figure(3 * line)} ${figure(2 * line)}"`,
        ),
      ),
    ),
  ].join('');
}

const figure = (mm: number): string => String(Math.round(mm * 10) / 10);
const closed = (points: readonly Point[]): string => `M${points.map(([x, y]) => `${figure(x)} ${figure(y)}`).join('L')}Z`;
