import { InputError } from '../input-error';
import { stitchedMotif, type Motif, type StitchedArea } from '../motif';
import type { Outline, Point } from '../shape';
import type { Hoop } from './hoop';

/** Side of a square, and the room between two, mm. */
const SIDE = 20;
const APART = 12;
/** Rows of the fill, from a light one to a solid one, mm. */
export const LADDER_SPACINGS = [1.4, 0.9, 0.6, 0.45, 0.35] as const;
/** The outline runs on the edge of its square. */
const OUTLINE_STITCH = 2.5;
const FILL_STITCH = 3;

/** Squares side by side, as many rows as the field asks for; undefined where not even one column has room. */
function grid({ fieldWidth, fieldHeight }: Pick<Hoop, 'fieldWidth' | 'fieldHeight'>): Point[] | undefined {
  const many = (size: number) => Math.floor((size + APART) / (SIDE + APART));
  const [columns, rows] = [many(fieldWidth), many(fieldHeight)];
  if (columns * rows < LADDER_SPACINGS.length) return undefined;
  const across = Math.min(columns, LADDER_SPACINGS.length);
  return LADDER_SPACINGS.map((_, i): Point => [(i % across) * (SIDE + APART), -Math.floor(i / across) * (SIDE + APART)]);
}

/** All fills in one colour, then all outlines in a second one, so that it is seen where they have parted. */
function squares(steps: readonly { at: Point; spacing: number }[]): StitchedArea[] {
  const outlineAt = ([x, y]: Point): Outline => [[x, y], [x + SIDE, y], [x + SIDE, y + SIDE], [x, y + SIDE]]; // prettier-ignore
  return [
    ...steps.map(({ at, spacing }): StitchedArea => {
      return { outlines: [outlineAt(at)], stitching: { kind: 'fill', spacing, stitchLength: FILL_STITCH, angle: 0 } };
    }),
    ...steps.map(({ at }, i): StitchedArea => {
      const stitching = { kind: 'running' as const, stitchLength: OUTLINE_STITCH };
      return { outlines: [outlineAt(at)], stitching, ...(i === 0 ? { newColour: true } : {}) };
    }),
  ];
}

/**
 * A ladder: five squares of 20 mm, from a light fill to a solid one, each with its outline in a second
 * colour, to be sewn on a scrap of the cloth with its sheets.
 *
 * @throws {InputError} `hoop` where the five have no room in its field
 * @example ladderMotif(hoop).command.length > 1000 // true
 */
export function ladderMotif(hoop: Pick<Hoop, 'fieldWidth' | 'fieldHeight'>): Motif {
  const places = grid(hoop);
  if (!places) throw new InputError('hoop', 'has no room for five squares of 20 mm; take a larger one');
  return stitchedMotif('Ladder', squares(places.map((at, i) => ({ at, spacing: LADDER_SPACINGS[i]! }))));
}

/**
 * One square of the ladder, as a motif of its own: what it lays on the cloth is judged like any other.
 *
 * @param step from 1 @throws {InputError}
 * @example ladderStep(1).command.length < ladderStep(5).command.length // true
 */
export function ladderStep(step: number): Motif {
  const spacing = LADDER_SPACINGS[step - 1];
  if (spacing === undefined) throw new InputError('step', `must be 1 to ${LADDER_SPACINGS.length}, saw ${step}`);
  return stitchedMotif(`Square ${step}`, squares([{ at: [0, 0], spacing }]));
}

/**
 * What a ladder that was read says of its pair: the last square that held, and the first that did not.
 *
 * @param firstBad square that was the first to pucker, drift, tunnel, show holes or cut; one more than there are where all held
 * @param shareOf pull of a square ÷ what the model says the pair carries
 * @example ladderResults(3, (step) => step / 5) // [{ step: 2, share: 0.4, held: true }, { step: 3, share: 0.6, held: false }]
 */
export function ladderResults(
  firstBad: number,
  shareOf: (step: number) => number,
): { step: number; share: number; held: boolean }[] {
  return [
    { step: firstBad - 1, held: true },
    { step: firstBad, held: false },
  ]
    .filter(({ step }) => step >= 1 && step <= LADDER_SPACINGS.length)
    .map(({ step, held }) => ({ step, share: shareOf(step), held }));
}
