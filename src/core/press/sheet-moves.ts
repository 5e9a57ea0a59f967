import { InputError } from '../input-error';
import { bounds, boxOutline, intersection, transformed, regionArea, type Outline } from '../shape';
import { pressPlan, type PressPlan, type PressStop } from './press-plan';
import type { Rectangle } from './inscribed-rectangle';

/** What lies on the board at once, and the stops over it, in working order. */
export interface SheetMove {
  /** The part of the sheet that is pressed, mm. */
  area: Rectangle;
  stops: PressStop[];
}

export interface SheetMovesOptions {
  /** Pieces as they lie on the sheet, mm. */
  pieces: readonly Outline[];
  /** What holds at once of a sheet, mm; either side of it may lie along either side of the sheet. */
  board: { length: number; width: number };
  /** Sole about its own origin. */
  plate: Outline;
  /** Least overlap of neighbouring stops, and of neighbouring moves, mm. */
  overlap: number;
}

/** A piece that a plate touches by less is not pressed by it, mm². */
const TOUCH = 1;

/**
 * How a sheet with pieces on it is pressed on a board that is smaller than it: board-sized moves that share a little, and in each the
 * stops that touch a piece, row by row in one direction, so that no lump is pushed together between two pressed places.
 *
 * @throws {InputError} for a board no larger than the overlap, and as {@link pressPlan}
 * @example sheetMoves({ pieces: [square(300)], board: { length: 1200, width: 380 }, plate: ironSole(220, 110), overlap: 15 }).length // 1
 */
export function sheetMoves({ pieces, board, plate, overlap }: SheetMovesOptions): SheetMove[] {
  if (pieces.length === 0) return [];
  const whole = bounds(pieces.flat());
  const [long, wide] = [board.length - overlap, board.width - overlap];
  if (!(long > 0 && wide > 0)) throw new InputError('board', `must be larger than the overlap of ${overlap} mm`);
  const along = cells(whole, wide, long);
  const across = cells(whole, long, wide);
  const best = across.length < along.length ? across : along;
  return best.flatMap((cell) => {
    // Neighbouring moves share the overlap, so that nothing between them stays loose.
    const area = within(whole, grown(cell, overlap / 2));
    const there = pieces.flatMap((piece) => intersection([piece], [boxOutline(area)]));
    if (!(regionArea(there) > TOUCH)) return [];
    const pressed = bounds(there.flat());
    const plan = pressPlan({
      ...{
        outline: boxOutline(pressed),
        plate: { outline: plate },
        overlap,
        order: 'one-way',
        secondsPerStop: 0,
        moveSeconds: 0,
      },
    });
    const stops = inRows(plan).filter((stop) => touches(there, transformed(plate, false, stop.rotation, stop.x, stop.y)));
    return [{ area: pressed, stops }];
  });
}

/** Even parts of a rectangle, none larger than the sides given, row by row. */
function cells({ minX, minY, maxX, maxY }: Rectangle, width: number, height: number): Rectangle[] {
  const [columns, rows] = [Math.ceil((maxX - minX) / width - 1e-9), Math.ceil((maxY - minY) / height - 1e-9)];
  const [stepX, stepY] = [(maxX - minX) / columns, (maxY - minY) / rows];
  return Array.from({ length: columns * rows }, (_, i) => {
    const [left, bottom] = [minX + (i % columns) * stepX, minY + Math.floor(i / columns) * stepY];
    return { minX: left, minY: bottom, maxX: left + stepX, maxY: bottom + stepY };
  });
}

function grown({ minX, minY, maxX, maxY }: Rectangle, by: number): Rectangle {
  return { minX: minX - by, minY: minY - by, maxX: maxX + by, maxY: maxY + by };
}

function within(whole: Rectangle, part: Rectangle): Rectangle {
  return {
    ...{ minX: Math.max(whole.minX, part.minX), minY: Math.max(whole.minY, part.minY) },
    ...{ maxX: Math.min(whole.maxX, part.maxX), maxY: Math.min(whole.maxY, part.maxY) },
  };
}

/** Every row from the same end: a plan goes to and fro. */
function inRows({ stops }: PressPlan): PressStop[] {
  const turned = stops.some(({ rotation }) => rotation !== 0);
  const row = ({ x, y }: PressStop) => Math.round(turned ? x : y);
  return [...stops].sort((a, b) => row(a) - row(b) || (turned ? a.y - b.y : a.x - b.x));
}

function touches(pieces: readonly Outline[], plate: Outline): boolean {
  return regionArea(intersection(pieces, [plate])) > TOUCH;
}
