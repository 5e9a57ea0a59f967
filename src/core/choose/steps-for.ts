import type { ChosenLayer } from '../layers';
import type { Schools } from '../schools';
import { stackSteps, type PressSetting, type Step } from '../steps';
import type { Question } from './context';

/** The working order of a stack for what was asked: prepare, cut, apply, check. */
export function stepsFor(
  { fabric, part, profile, traits, schools, piece }: Question,
  layers: readonly ChosenLayer[],
  found?: PressSetting,
): Step[] {
  const stitched = profile.kind === 'stitch';
  return stackSteps({
    fabric,
    layers,
    stitched,
    floats: stitched && (traits.hoopMarks || floatsBySchool(schools, layers)),
    bias: part.cut === 'bias',
    washed: part.care !== 'none' && part.care !== 'dry-clean',
    cutAlready: part.cutAlready === true,
    schools,
    ...(found ? { found } : {}),
    longest: Math.max(piece.width, piece.height),
  });
}

/** The school that hoops the sheet alone needs a sheet that holds the cloth by itself. */
function floatsBySchool(schools: Schools, layers: readonly ChosenLayer[]): boolean {
  return (
    schools.hooping === 'sheet' &&
    layers.some(({ material }) => material.form === 'sticky' || material.form === 'spray-glued' || material.form === 'fusible')
  );
}
