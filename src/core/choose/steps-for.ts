import type { ChosenLayer } from '../layers';
import type { LayerCut, OpenPiece, Place } from '../pieces';
import { orderOfWork, type FoundSetting, type Iron, type Order, type Step } from '../steps';
import type { Air } from '../liquid';
import type { PressTool } from '../press';
import type { Schools } from '../schools';
import { workSteps, type WorkJob } from '../techniques';
import { stitchedField } from './piece-size';
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
  /** With what it is pressed. */
  tool?: PressTool;
  /** What is cut already: it is neither washed nor cut again. */
  clothCut?: boolean;
  layersCut?: boolean;
  /** The piece opened out, where on it the job is done, and how each layer is cut of its own. */
  piece?: OpenPiece | undefined;
  place?: Place | undefined;
  cuts?: readonly (LayerCut | undefined)[] | undefined;
  /** Ground under the ring of the hoop and a little more, of one piece, mm². */
  underHoop?: number | undefined;
}

/**
 * What was asked, with a stack, as the techniques see it.
 *
 * @example jobFor(question, stack).role // 'collar'
 */
export function jobFor(
  question: Question,
  layers: readonly ChosenLayer[],
  { order = orderFor(question, layers), clothCut, ...how }: WorkedHow = {},
): WorkJob {
  const { fabric, part, profile, traits, schools, piece } = question;
  const stitched = profile.kind === 'stitch';
  return {
    ...{ fabric, traits, layers, role: part.role, stitched, schools },
    floats: stitched && (traits.hoopMarks || floatsBySchool(schools, layers)),
    bias: part.cut === 'bias',
    washed: part.care !== 'none' && part.care !== 'dry-clean',
    cutAlready: part.cutAlready === true || clothCut === true,
    order: stitched ? 'cut-first' : order,
    ...{ width: piece.width, height: piece.height, count: piece.count, trim: piece.trim },
    ...(stitched ? { motif: stitchedField(part, piece) } : {}),
    ...how,
  };
}

/**
 * The working order of a stack for what was asked: prepare, cut, apply, check, finish.
 *
 * @example stepsFor(question, stack).at(-1).stage // 'check'
 */
export function stepsFor(question: Question, layers: readonly ChosenLayer[], how: WorkedHow = {}): Step[] {
  return workSteps(jobFor(question, layers, how));
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
