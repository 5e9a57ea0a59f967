import { edgeDirections, type HoopCard, type HoopOutlines } from '../../core/hoop';
import { bounds, type Outline } from '../../core/shape';
import { atFullSize } from './full-size';
import { newDocument, type Page, type Paper, type Point } from './page';

export interface HoopCardSheet {
  title: string;
  words: string;
  card: HoopCard;
  /** Of the hoop where it lies on this copy. */
  hoop: HoopOutlines;
  /** Outlines of the stitching where they lie on it. */
  motif: readonly Outline[];
  /** What is written at each fold. */
  folds: string[];
  /** Copies that this card is for. */
  copies: string[];
  /** Address that the code on it leads to. */
  code: string;
}

/** An edge farther from the hoop's middle than this is told, not drawn, mm. */
const FARTHEST_EDGE = 400;
const ROOM = 12;

/**
 * The card of a hooping at full size, to be laid on the cloth and pressed along: the edges it is laid to, both folds, the hoop with the marks of
 * its four sides, the motif, and a box for each copy.
 */
export async function hoopCardSheet(sheet: HoopCardSheet, paper: Paper): Promise<Uint8Array> {
  const { title, words, card, hoop, motif, folds, copies, code } = sheet;
  const document = await newDocument(title);
  const middle: Point = [card.hoop.x, card.hoop.y];
  const feet = card.edges.flatMap(({ edge, distance }): [number, number][] => {
    const { inward } = edgeDirections(card.ground, edge);
    return distance > FARTHEST_EDGE ? [] : [[middle[0] - distance * inward[0], middle[1] - distance * inward[1]]];
  });
  const box = bounds([...hoop.outer, ...motif.flat(), ...feet]);
  const [width, height] = [box.maxX - box.minX + 2 * ROOM, box.maxY - box.minY + 2 * ROOM];
  const reach = width + height;
  const draw = (page: Page, [left, top]: Point) => {
    const put = ([x, y]: Point): Point => [left + ROOM + x - box.minX, top + ROOM + box.maxY - y];
    const line = (through: Point, along: Point, style: { weight: number; dash?: [number, number]; grey?: boolean }) =>
      page.line(
        put([through[0] - reach * along[0], through[1] - reach * along[1]]),
        put([through[0] + reach * along[0], through[1] + reach * along[1]]),
        style,
      );
    page.clipped([left, top], [width, height], () => {
      page.outline(card.ground.map(put), { weight: 0.6 });
      card.edges.forEach(({ edge }, i) => {
        const { along, inward } = edgeDirections(card.ground, edge);
        line(middle, along, { weight: 0.35, dash: [6, 2] });
        const [x, y] = put([middle[0] + 18 * along[0] + 2 * inward[0], middle[1] + 18 * along[1] + 2 * inward[1]]);
        page.text(folds[i]!, [x, y], { size: 3 });
      });
    });
    for (const outline of motif) page.filled(outline.map(put), 0.86);
    for (const outline of motif) page.outline(outline.map(put), { weight: 0.25 });
    page.outline(hoop.outer.map(put), { weight: 0.4 });
    page.outline(hoop.inner.map(put), { weight: 0.2 });
    page.outline(hoop.field.map(put), { weight: 0.3, dash: [3, 2] });
    const angle = (card.hoop.angle * Math.PI) / 180;
    for (const [ux, uy] of [
      [Math.cos(angle), Math.sin(angle)],
      [-Math.sin(angle), Math.cos(angle)],
    ] as const)
      // prettier-ignore
      for (const sign of [1, -1]) {
        const rim = Math.max(...hoop.outer.map(([x, y]) => sign * ((x - middle[0]) * ux + (y - middle[1]) * uy)));
        const at = (far: number): Point => put([middle[0] + sign * far * ux, middle[1] + sign * far * uy]);
        page.line(at(rim - 8), at(rim + 4), { weight: 0.7 });
      }
    const [cx, cy] = put(middle);
    page.line([cx - 5, cy], [cx + 5, cy], { weight: 0.5 });
    page.line([cx, cy - 5], [cx, cy + 5], { weight: 0.5 });
  };
  await atFullSize(document, { width, height, draw, title, words, boxes: copies, code }, paper);
  return document.save();
}
