import type { Fabric } from '../cloth';
import { joinedAs, type ChosenLayer, type Material } from '../layers';
import { capital, lower } from '../letters';
import type { PressStop } from '../press';
import type { Schools } from '../schools';
import { COVER_WORDS, HEAT_SAFETY, pressSetting, pressWords, settingWords, type BatchStep } from '../steps';
import { workSteps, type WorkJob } from '../techniques';
import type { ScrapCell, ScrapPlan } from './scrap-plan';
import { STRIP } from './spray';

/** A step at a scrap, with the iron stop of the piece that is pressed. */
export interface ScrapStep extends BatchStep {
  stops?: PressStop[];
}

export interface ScrapWork {
  fabric: Fabric;
  /** The stack that is tried. */
  layers: readonly ChosenLayer[];
  schools: Schools;
  /** Of a spray scrap: the liquid as the cupboard has it. */
  liquid?: Material;
  /** Of stacks side by side: each with its ways of working. */
  candidates?: readonly { title: string; layers: readonly ChosenLayer[]; schools: Schools }[];
}

/**
 * What is done with a scrap at the bench, in working order.
 *
 * @example scrapSteps(scrapPlan(poplin, stack, DEFAULT_SCHOOLS, 'one'), { fabric: poplin, layers: stack, schools: DEFAULT_SCHOOLS })[0].stage // 'cut'
 */
export function scrapSteps(plan: ScrapPlan, work: ScrapWork): ScrapStep[] {
  if (plan.grid === 'spray' && work.liquid) return spraySteps(plan, work.liquid, work);
  if (plan.grid === 'candidates' && work.candidates) return candidateSteps(plan, work.candidates, work.fabric);
  return settingSteps(plan, work);
}

/** Where a piece lies in the drawing: rows run downward on the card, upward in the drawing. */
function stopOf({ row, column }: ScrapCell, { rows, cellWidth, cellHeight }: ScrapPlan): PressStop {
  return { x: column * cellWidth, y: (rows - 1 - row) * cellHeight, rotation: 0 };
}

const cut = (title: string, detail: string): ScrapStep => ({ id: 'cut', stage: 'cut', kind: 'do', title, detail });

/** Pieces that differ in how they are pressed. */
function settingSteps(plan: ScrapPlan, { fabric, layers, schools }: ScrapWork): ScrapStep[] {
  const several = plan.cells.length > 1;
  const pressing = layers.find(({ material }) => material.id === plan.materialId)?.material;
  const others = layers.filter(({ material }) => material.id !== plan.materialId);
  return [
    cut(
      several
        ? `Cut ${plan.cells.length} pieces of ${plan.cellWidth} × ${plan.cellHeight} mm, of cloth and of each layer`
        : `Cut ${plan.width} × ${plan.height} mm of cloth, and of each layer`,
      `Along the grain.${several ? ' Write A1, A2 … on the wrong sides and keep them apart: an iron covers more than one.' : ''} Take the overhang of the bare cloth first.`,
    ),
    ...wetting(pressing, { fabric, layers, schools }),
    ...others.map(({ material }): ScrapStep => ({
      id: `with-${material.id}`,
      stage: 'apply',
      kind: 'do',
      title: `Put ${lower(material.name)} on as you will on the piece`,
      detail:
        material.leaflet.seconds > 0
          ? `By its own leaflet: ${pressWords(pressSetting(material, fabric, schools), schools)}`
          : 'The same on every piece, so that only the settings differ.',
    })),
    ...plan.cells
      .filter(({ setting }) => setting.seconds > 0)
      .map((cell): ScrapStep => ({
        id: `press-${cell.name}`,
        stage: 'apply',
        kind: 'press',
        seconds: cell.setting.seconds,
        ...(pressing?.family === 'edge-stiffener' ? { lifts: 6, seconds: 5 } : {}),
        title: several ? `Piece ${cell.name}: ${settingWords(cell.setting)}` : `Press it: ${settingWords(cell.setting)}`,
        detail: `${capital(COVER_WORDS[cell.setting.cover]!)}. One stop, straight down and straight up.`,
        safety: HEAT_SAFETY,
        stops: [stopOf(cell, plan)],
      })),
    {
      id: 'cool',
      stage: 'apply',
      kind: 'wait',
      seconds: 300,
      title: 'Leave it flat until it is cold',
      detail: pressing?.form === 'liquid' ? 'It only sets when it is cold.' : 'Moved while warm, it lets go or sets crooked.',
    },
  ];
}

/** A scrap is cut already, and of all that is done to a piece only what is put on it is done to a scrap. */
const ON_A_SCRAP = { stitched: false, floats: false, bias: false, washed: false, cutAlready: true } as const;

/** A liquid is sprayed or soaked in and rests before it is pressed, on the scrap as on the piece: its steps from the stack's own. */
function wetting(material: Material | undefined, input: Pick<WorkJob, 'layers' | 'fabric' | 'schools'>): ScrapStep[] {
  if (material?.form !== 'liquid') return [];
  return workSteps({ ...input, ...ON_A_SCRAP }).filter(({ id }) => id === `${material.id}-wet` || id === `${material.id}-dry`);
}

/** How a name is written before what is done. */
const named = (names: string, title: string) => `${names}: ${lower(title)}`;

/** Names of pieces in a line: A1, or A1 to A3. */
const fromTo = (cells: readonly ScrapCell[]) =>
  cells.length > 1 ? `${cells[0]!.name} to ${cells.at(-1)!.name}` : cells[0]!.name;

/** Pairs of strips, each row with its dose; in a second round only those go on that get one. */
function spraySteps(plan: ScrapPlan, liquid: Material, { fabric, schools }: ScrapWork): ScrapStep[] {
  const { rows, columns, cells } = plan;
  const steps: ScrapStep[] = [
    cut(
      `Cut ${cells.length} pairs of strips, ${STRIP.width} × ${STRIP.height} mm`,
      `One of each pair along the grain, one on the bias. Write ${fromTo(cells)} on both; on the bias ones mark 100 mm in the middle.`,
    ),
    {
      id: 'bare',
      stage: 'cut',
      kind: 'do',
      title: 'Read one pair while it is bare',
      detail:
        'Hang the straight strip over the jig. Pull the bias strip gently at its marks: how much more than 100 mm? Lay it down: how much of its edge rolls up?',
    },
  ];
  const doses = Array.from({ length: rows }, (_, row) => {
    const own = cells.filter((cell) => cell.row === row);
    const material = joinedAs(liquid, own[0]!.dose!.join);
    const area = (on: readonly ScrapCell[]) => 2 * STRIP.width * STRIP.height * on.length;
    return (round: number): ScrapStep[] => {
      const on = own.filter(({ dose }) => dose!.rounds >= round);
      const layers: ChosenLayer[] = [{ material, extent: 'full', angle: 0 }];
      return workSteps({ fabric, layers, schools, ...ON_A_SCRAP, yardage: area(on) })
        .filter(({ layer }) => layer !== undefined)
        .map((step) => ({ ...step, id: `round-${round}-row-${row}-${step.id}`, title: named(fromTo(on), step.title) }));
    };
  });
  for (let round = 1; round <= columns; round++) {
    const all = doses.map((stepsOf) => stepsOf(round));
    // Everything is wetted first; while it drinks or hangs the hands are free, and then it is pressed in the same order.
    for (let i = 0; i < Math.max(...all.map(({ length }) => length)); i++) steps.push(...all.flatMap((own) => own[i] ?? []));
  }
  return [
    ...steps,
    {
      id: 'cool',
      stage: 'apply',
      kind: 'wait',
      seconds: 300,
      title: 'Leave the strips flat until they are cold',
      detail: 'It only sets when it is cold. Then pull, hang and look at every pair as you did with the bare one.',
    },
  ];
}

/** Pieces of one cloth, each with a stack of its own. */
function candidateSteps(plan: ScrapPlan, candidates: NonNullable<ScrapWork['candidates']>, fabric: Fabric): ScrapStep[] {
  const { cells, cellWidth, cellHeight } = plan;
  const own = cells.map((cell) => {
    const { layers, schools } = candidates[cell.candidate!]!;
    const steps = workSteps({ fabric, layers, schools, ...ON_A_SCRAP }).filter(({ layer }) => layer !== undefined);
    return steps.map((step): ScrapStep => ({
      ...step,
      id: `${cell.name}-${step.id}`,
      // Two of three may get the same: each says for itself which piece it is.
      title: named(cell.name, step.title),
      ...(step.kind === 'press' ? { stops: [stopOf(cell, plan)] } : {}),
    }));
  });
  return [
    cut(
      `Cut ${cells.length} pieces of cloth, ${cellWidth} × ${cellHeight} mm, side by side along the grain`,
      `${candidates.map(({ title }, i) => `${cells[i]!.name}: ${title}`).join('. ')}. Cut the layers of each to the same size and write the name on it.`,
    ),
    // What drinks or hangs does so for all before the first is pressed.
    ...own.flatMap((steps) => steps.filter(({ stage }) => stage === 'prepare')),
    ...own.flatMap((steps) => steps.filter(({ stage }) => stage === 'apply')),
    {
      id: 'hang',
      stage: 'check',
      kind: 'do',
      title: 'Pin them side by side by one end and look, then feel them with closed eyes',
      detail: 'Cold, and by daylight. Fold each over a finger; crush it and let go.',
    },
  ];
}
