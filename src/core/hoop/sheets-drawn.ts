import { turnedBox, type KeptSheet, type SheetNeed, type SheetSource } from './sheet-recipe';

/** What is taken of a kept piece or a roll: so much of its length, mm, or so many whole sheets. */
export interface Taken {
  id: string;
  length: number;
  count: number;
}

/** What remains of a sheet that was begun is kept down to this length, mm. */
const LEAST = 60;

/**
 * What the sheets of a set take away from where they are cut: rows of a kept piece, whole sheets of a stack, a length of the roll as far as it
 * goes. A leftover with an outline of its own is used up; what remains of a stack's begun sheet is not counted.
 *
 * @param source where they are cut from, as {@link sheetSources} found it
 * @example sheetsDrawn({ width: 100, height: 100, angle: 0 }, { from: [], left: 2, roll: { id: 'r', kind: 'roll', width: 500, length: 900 }, rollLength: 100, short: 0 }) // [{ id: 'r', length: 100, count: 0 }]
 */
export function sheetsDrawn<T extends KeptSheet>(
  need: Pick<SheetNeed, 'width' | 'height' | 'angle'>,
  { from, roll, rollLength, short }: SheetSource<T>,
): Taken[] {
  const [w, h] = turnedBox(need.width, need.height, need.angle);
  const taken = from.map(({ piece, sheets }): Taken => {
    const { id, width, length, count } = piece;
    const [across, along] = perRow(piece, w, h);
    if ((count ?? 1) > 1) return { id, length: 0, count: Math.ceil(sheets / (across * Math.floor(length / along))) };
    const used = Math.ceil(sheets / Math.max(1, across)) * along;
    const whole = Boolean(piece.outline) || length - used < LEAST || width < LEAST;
    return { id, length: whole ? 0 : used, count: whole ? 1 : 0 };
  });
  return roll && rollLength > short ? [...taken, { id: roll.id, length: rollLength - short, count: 0 }] : taken;
}

/** Sheets in a row, and how much of the length each row takes, whichever way round gives more of them. */
function perRow({ width, length }: KeptSheet, w: number, h: number): [number, number] {
  const all = (across: number, along: number) => Math.floor(width / across) * Math.floor(length / along);
  return all(w, h) >= all(h, w) ? [Math.floor(width / w), h] : [Math.floor(width / h), w];
}
