import { edgeRuleOf, questionFor, sizeOfPiece, stepsFor } from '../core/choose';
import { fabricOf } from '../core/cloth';
import { InputError } from '../core/input-error';
import type { ChosenLayer } from '../core/layers';
import { schoolsOf } from '../core/schools';
import { layerOutline, openPiece, DEFAULT_LAYER_OUTLINE } from '../core/pieces';
import { ironSole, pressPlan } from '../core/press';
import { stepsForCopies } from '../core/steps';
import { benchRuns, openRunOf, START_STATE, type BenchRun, type BenchStep } from '../store/bench-runs';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { parts } from '../store/parts';
import { readSettings } from '../store/settings';
import { orderOfPart } from './order-of-work';

/** Seconds to lift an iron and set it down on the next stop. */
const MOVE_SECONDS = 3;

/**
 * The run of a part that is open, or a new one: the steps of its stack in working order, with the iron stops
 * laid on the layer's own outline for every step that is pressed.
 *
 * @throws {InputError} when the part has no cloth or no stack yet
 */
export function startBench(db: Db, partId: string): BenchRun {
  const part = parts.get(db, partId);
  const open = openRunOf(db, part.id);
  if (open) return open;
  if (part.clothId === null) throw new InputError('clothId', 'is missing; say which cloth the part is cut from first');
  if (part.stack === null) throw new InputError('stack', 'is missing; choose layers for the part first');
  const cloth = cloths.get(db, part.clothId);
  const kept = part.stack.layers;
  const chosen: ChosenLayer[] = kept.map(({ materialId, extent, angle }) => ({
    material: layers.get(db, materialId),
    extent,
    angle,
  }));
  const { settings } = readSettings(db);
  const schools = schoolsOf(settings.schools, part.stack.schools);
  const piece = openPiece(part);
  const question = questionFor(fabricOf(cloth), part.wish, {
    schools,
    piece: sizeOfPiece(piece, part.wish.role, part.count, settings.trim),
  });
  const order = orderOfPart(db, part);
  const one = stepsFor(question, chosen, part.stack.setting, order);
  const steps = stepsForCopies(one, part.count, order === 'fuse-together');
  const plate = ironSole(settings.soleLength, settings.soleWidth);
  const withStops: BenchStep[] = steps.map((step) => {
    // A step's name begins with its layer and the layer's place in the stack.
    const index = step.kind === 'press' ? layerOf(step.id, chosen) : -1;
    if (index < 0) return step;
    const { material, extent } = chosen[index]!;
    const field = part.wish.embroidery;
    const outlines = layerOutline(piece, order === 'cut-first' ? extent : 'full', material, {
      ...DEFAULT_LAYER_OUTLINE,
      trim: settings.trim,
      rule: edgeRuleOf(part.wish.role),
      ...kept[index]!.cut,
      ...(field ? { field } : {}),
    }).outlines;
    const stops = (outlines.length > 0 ? outlines : [piece.outline]).flatMap(
      (outline) =>
        pressPlan({
          outline,
          plate: { outline: plate },
          overlap: settings.stopOverlap,
          order: 'centre-out',
          secondsPerStop: step.seconds ?? material.leaflet.seconds,
          moveSeconds: MOVE_SECONDS,
        }).stops,
    );
    return { ...step, stops };
  });
  return benchRuns.insert(db, {
    partId: part.id,
    scrapId: null,
    plan: {
      partName: part.name,
      clothName: cloth.name,
      stackTitle: part.stack.title,
      outline: piece.outline,
      plate,
      steps: withStops,
    },
    state: START_STATE,
    finishedAt: null,
  });
}

/** Index of the layer that a step is for, by the step's name; −1 when it is for none. */
function layerOf(stepId: string, chosen: readonly ChosenLayer[]): number {
  const own = stepId.split('#')[0]!;
  const exact = chosen.findIndex(({ material }, i) => own.startsWith(`${material.id}-${i}-`));
  return exact >= 0 ? exact : chosen.findIndex(({ material }) => own === `${material.id}-press`);
}
