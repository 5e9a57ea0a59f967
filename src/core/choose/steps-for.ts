import type { Air } from '../liquid';
import type { ChosenLayer } from '../layers';
import type { Schools } from '../schools';
import {
  orderOfWork,
  stackSteps,
  STITCH_ROLES,
  type FoundSetting,
  type Iron,
  type Order,
  type Step,
  type StitchRole,
} from '../steps';
import type { Question } from './protocol';

/** So many pieces of at most this size are worth fusing together, mm². */
const MANY = 4;
const SMALL = 40_000;

/** Where and with what the person works. */
export interface Workplace {
  /** The air in which wet cloth hangs. */
  air?: Air;
  iron?: Iron;
}

/** What else bears on how a stack is worked. */
export interface WorkedHow extends Workplace {
  /** What scraps of this cloth found for its layers. */
  found?: readonly FoundSetting[];
  /** When pieces are cut; by what was asked when it is not said. */
  order?: Order | undefined;
  /** What is cut already: it is neither washed nor cut again. */
  clothCut?: boolean;
  layersCut?: boolean;
}

/**
 * The working order of a stack for what was asked: prepare, cut, apply, check.
 *
 * @example stepsFor(question, stack).at(-1).stage // 'check'
 */
export function stepsFor(
  question: Question,
  layers: readonly ChosenLayer[],
  { order = orderFor(question, layers), clothCut, ...how }: WorkedHow = {},
): Step[] {
  const { fabric, part, profile, traits, schools, piece } = question;
  const stitched = profile.kind === 'stitch';
  return stackSteps({
    fabric,
    layers,
    stitched,
    ...(STITCH_ROLES.includes(part.role as StitchRole) ? { role: part.role as StitchRole } : {}),
    floats: stitched && (traits.hoopMarks || floatsBySchool(schools, layers)),
    bias: part.cut === 'bias',
    washed: part.care !== 'none' && part.care !== 'dry-clean',
    cutAlready: part.cutAlready === true || clothCut === true,
    schools,
    order: stitched ? 'cut-first' : order,
    longest: Math.max(piece.width, piece.height),
    yardage: piece.width * piece.height * piece.count,
    around: 2 * (piece.width + piece.height),
    modelled: part.role === 'modelling',
    ...how,
  });
}

/**
 * In which order the pieces of a question are cut and fused.
 *
 * @example orderFor(question, stack) // 'cut-first'
 */
export function orderFor({ schools, piece, profile }: Question, layers: readonly ChosenLayer[]): Order {
  if (profile.kind === 'stitch') return 'cut-first';
  return orderOfWork(schools.order, layers, piece.count >= MANY && piece.width * piece.height <= SMALL);
}

/** The school that hoops the sheet alone needs a sheet that holds the cloth by itself. */
function floatsBySchool(schools: Schools, layers: readonly ChosenLayer[]): boolean {
  return (
    schools.hooping === 'sheet' && layers.some(({ material }) => material.form === 'sticky' || material.form === 'spray-glued')
  );
}
