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

/**
 * The working order of a stack for what was asked: prepare, cut, apply, check.
 *
 * @example stepsFor(question, stack).at(-1).stage // 'check'
 */
export function stepsFor(
  question: Question,
  layers: readonly ChosenLayer[],
  found?: FoundSetting,
  order: Order = orderFor(question, layers),
  workplace: Workplace = {},
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
    cutAlready: part.cutAlready === true,
    schools,
    ...(found ? { found } : {}),
    order: stitched ? 'cut-first' : order,
    longest: Math.max(piece.width, piece.height),
    yardage: piece.width * piece.height * piece.count,
    around: 2 * (piece.width + piece.height),
    modelled: part.role === 'modelling',
    ...workplace,
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
