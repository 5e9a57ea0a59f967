import type { InferType } from 'yup';
import { judgeStack, questionFor, sizeOfPiece } from '../core/choose';
import { fabricOf, type Fabric } from '../core/cloth';
import { InputError } from '../core/input-error';
import { keptKey, type ChosenLayer, type Cover } from '../core/layers';
import { openPiece } from '../core/pieces';
import { schoolsOf, type Schools } from '../core/schools';
import {
  candidatesPlan,
  doseWords,
  faultsOf,
  outcomeOf,
  PEELS,
  scrapPlan,
  scrapSteps,
  sprayPlan,
  type Grid,
  type ScrapCell,
  type ScrapReading,
} from '../core/scrap';
import type { PressSetting } from '../core/steps';
import type { scrapCellSchema, scrapFileSchema, scrapWashSchema } from '../schemas/scraps';
import { START_STATE, type BenchStep } from '../core/bench';
import { benchRuns, type BenchRun } from '../store/bench-runs';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { jobs, type KeptLayer, type KeptStack } from '../store/jobs';
import { layers } from '../store/layers';
import { logEntries, withMeasured, type LogFields } from '../store/log';
import { chosenOf } from '../store/materials';
import { requireStack } from '../store/rules/references';
import { scraps, type Scrap } from '../store/scraps';
import { readSettings } from '../store/settings';
import { findWorkpiece, getWorkpiece, type Workpiece } from '../store/workpieces';
import { askingOf } from './asking';
import { settingFound } from './found-setting';

/** The cloth and the layers of a part that is far enough to be tried. @throws {InputError} naming what is missing */
function ready(db: Db, jobId: string) {
  const part = getWorkpiece(db, jobId);
  if (part.clothId === null) throw new InputError('clothId', 'is missing; say which cloth the piece is cut from first');
  if (part.stack === null) throw new InputError('stack', 'is missing; choose layers for the job first');
  return { part, stack: part.stack, cloth: cloths.get(db, part.clothId), chosen: chosenOf(db, part.stack.layers) };
}

/** What a scrap test is started with. */
export interface ScrapAsked {
  grid: Grid;
  /** Of a spray scrap: how many rounds are tried. */
  rounds?: number;
  /** Stacks that are compared. */
  stacks?: KeptStack[] | undefined;
}

/** Starts a scrap test for a part. @throws {InputError} when it has no cloth or no stack yet, or its grid does not fit */
export function startScrap(db: Db, jobId: string, asked: ScrapAsked): Scrap {
  const { part, stack, cloth, chosen } = ready(db, jobId);
  const schools = schoolsOf(readSettings(db).settings.schools, stack.schools);
  const { fabric } = questionFor(fabricOf(cloth), part.wish);
  return scraps.insert(db, {
    jobId,
    clothId: cloth.id,
    clothName: cloth.name,
    stackTitle: stack.title,
    layerIds: stack.layers.map(keptKey),
    predicted: stack.predicted,
    plan: planOf(db, fabric, chosen, schools, asked),
    readings: {},
    chosen: null,
    filedOn: null,
    washDue: null,
    wash: null,
  });
}

function planOf(db: Db, fabric: Fabric, chosen: ChosenLayer[], schools: Schools, { grid, rounds = 1, stacks }: ScrapAsked) {
  if (grid === 'spray') {
    const liquid = chosen.find(({ material }) => material.form === 'liquid')?.material;
    if (!liquid) throw new InputError('grid', 'must be another one: this stack has no liquid');
    return sprayPlan(fabric, layers.get(db, liquid.id), rounds);
  }
  if (grid !== 'candidates') return scrapPlan(fabric, chosen, schools, grid);
  if (!stacks) throw new InputError('stacks', 'is missing; name the stacks that are compared');
  stacks.forEach((stack, i) => requireStack(db, stack, undefined, `stacks[${i}]`));
  const plan = candidatesPlan(fabric, candidatesOf(db, stacks));
  return { ...plan, stacks };
}

/** Stacks that are compared, with their materials and the ways of working of each. */
function candidatesOf(db: Db, stacks: readonly KeptStack[]) {
  const { schools } = readSettings(db).settings;
  return stacks.map((stack) => ({
    title: stack.title,
    layers: chosenOf(db, stack.layers),
    schools: schoolsOf(schools, stack.schools),
  }));
}

/** Keeps the readings of one field. @throws {InputError} for a field that the scrap does not have */
export function readScrap(db: Db, id: string, { cell, reading, version }: InferType<typeof scrapCellSchema>): Scrap {
  const scrap = scraps.get(db, id);
  if (!scrap.plan.cells.some(({ name }) => name === cell))
    throw new InputError(
      'cell',
      `must be one of ${scrap.plan.cells.map(({ name }) => name).join(', ')}; saw ${JSON.stringify(cell)}`,
    );
  if (scrap.filedOn !== null)
    throw new InputError('scrap', `was filed on ${scrap.filedOn} and stays as it was read; start another scrap to read again`);
  const { [cell]: _old, ...others } = scrap.readings;
  return scraps.update(
    db,
    id,
    { ...scrap, readings: reading === null ? others : { ...others, [cell]: reading as ScrapReading } },
    version,
  );
}

/** A reading in a line for the logbook. */
function noteOf(reading: ScrapReading): string {
  const words = [
    reading.peel === null ? '' : PEELS[reading.peel - 1]!.words,
    ...faultsOf(reading).filter((fault) => !PEELS.some(({ words: peel }) => peel === fault)),
    reading.feel === null ? '' : `feels ${reading.feel}`,
    reading.note,
  ].filter(Boolean);
  return words.join('; ');
}

/** Files what a scrap showed, with what was expected of the pair. */
function fileEntry(
  db: Db,
  { clothId, clothName, stackTitle, layerIds, predicted }: Scrap,
  setting: PressSetting,
  {
    faults,
    shrink,
    ...seen
  }: Pick<LogFields, 'jobId' | 'doneOn' | 'title' | 'outcome' | 'overhang' | 'note'> & {
    faults: string[];
    shrink: number | null;
  },
): void {
  logEntries.insert(
    db,
    withMeasured({
      ...seen,
      benchRunId: null,
      kind: 'scrap',
      stitched: null,
      causes: [],
      // Its marks are drawn along the grain.
      shape: shrink === null ? null : { along: shrink, across: null, bias: null },
      clothId,
      clothName,
      stackTitle,
      layerIds,
      settings: { ...setting, cover: (setting.cover === 'shoe' ? 'none' : setting.cover) as Cover },
      checks: { held: [], failed: faults },
      predictedBendingLength: predicted.bendingLength,
      predictedLow: predicted.low,
      predictedHigh: predicted.high,
    }),
  );
}

/**
 * Takes a field's setting for the real piece and files the scrap: a logbook entry, the reminder of the wash, and
 * the setting on the part, all together.
 */
export function fileScrap(db: Db, id: string, { chosen, doneOn, washDue, version }: InferType<typeof scrapFileSchema>): Scrap {
  return db
    .transaction(() => {
      const scrap = scraps.get(db, id);
      if (scrap.version !== version) throw new StaleError(scrap);
      if (scrap.filedOn !== null) throw new InputError('scrap', `was filed on ${scrap.filedOn} already`);
      const cell = scrap.plan.cells.find(({ name }) => name === chosen);
      const reading = scrap.readings[chosen];
      if (!cell || !reading) throw new InputError('chosen', `must be a field that was read, saw ${JSON.stringify(chosen)}`);
      const part = getWorkpiece(db, scrap.jobId);
      const taken = takenStack(db, part, scrap, cell);
      const wanted = scrap.plan.grid === 'candidates' ? part.wish.hand : undefined;
      const tried: Scrap = taken
        ? { ...scrap, stackTitle: taken.title, layerIds: taken.layers.map(keptKey), predicted: taken.predicted }
        : scrap;
      fileEntry(db, tried, cell.setting, {
        jobId: part.id,
        doneOn,
        title: `${part.name}, scrap${scrap.plan.cells.length > 1 ? ` ${chosen}` : ''}`,
        faults: faultsOf(reading),
        outcome: outcomeOf(reading, wanted),
        overhang: reading.overhangAfter,
        shrink: reading.shrink,
        note: [cell.dose ? doseWords(cell.dose) : '', noteOf(reading)].filter(Boolean).join('; '),
      });
      if (taken) {
        const job = jobs.get(db, part.id);
        jobs.update(db, job.id, { ...job, stack: taken }, job.version);
      }
      return scraps.update(db, id, { ...tried, chosen, filedOn: doneOn, washDue }, version);
    })
    .immediate();
}

/**
 * The stack that a job has when a field of its scrap is taken: with the setting that was found, the dose, or the stack that won.
 * None where the job has another stack by now, or nothing was found that it could hold.
 */
function takenStack(db: Db, part: Workpiece, { layerIds, plan }: Scrap, cell: ScrapCell) {
  const { dose, candidate } = cell;
  if (candidate !== undefined) {
    const stack = plan.stacks![candidate]!;
    const setting = settingFound(db, stack.layers, cell, null);
    return setting ? { ...stack, setting } : stack;
  }
  const { stack } = part;
  if (!stack || stack.layers.map(keptKey).join() !== layerIds.join() || plan.materialId === null) return undefined;
  const setting = settingFound(db, stack.layers, cell, plan.materialId);
  if (!dose) return setting ? { ...stack, setting } : undefined;
  const dosed = stack.layers.map((layer): KeptLayer => {
    if (layer.materialId !== plan.materialId) return layer;
    const { join: _before, ...own } = layer;
    return dose.join === 'liquid' ? own : { ...own, join: dose.join };
  });
  const { title, predicted, reasons, cautions } = judgedAnew(db, part, { ...stack, layers: dosed });
  return { ...stack, title, predicted, reasons, cautions, layers: dosed, ...(setting ? { setting } : {}) };
}

/** A stack of a job as the engine judges it now. */
export function judgedAnew(db: Db, part: Workpiece, stack: Pick<KeptStack, 'layers' | 'schools'>) {
  const cloth = cloths.get(db, part.clothId!);
  const piece = sizeOfPiece(openPiece(part), part.wish.role, part.count, readSettings(db).settings.trim, part.place);
  const asking = askingOf(db, { clothId: cloth.id, piece, schools: stack.schools });
  return judgeStack(fabricOf(cloth), part.wish, chosenOf(db, stack.layers), asking);
}

/** Keeps what was seen after the wash, and files it too. */
export function washScrap(db: Db, id: string, { version, ...wash }: InferType<typeof scrapWashSchema>): Scrap {
  return db
    .transaction(() => {
      const scrap = scraps.get(db, id);
      if (scrap.version !== version) throw new StaleError(scrap);
      if (scrap.filedOn === null || scrap.chosen === null)
        throw new InputError('scrap', 'is not filed yet; read and file it before its wash');
      if (scrap.wash !== null) throw new InputError('scrap', `was looked at after its wash on ${scrap.wash.doneOn} already`);
      const { setting } = scrap.plan.cells.find(({ name }) => name === scrap.chosen)!;
      const part = findWorkpiece(db, scrap.jobId);
      const faults = [
        wash.peel !== null && wash.peel <= 3 ? PEELS[wash.peel - 1]!.words : '',
        wash.bubbles === 'none' ? '' : 'bubbles',
        (wash.shrink ?? 0) >= 1 ? `shrank ${Math.round(wash.shrink!)} %` : '',
      ].filter(Boolean);
      fileEntry(db, scrap, setting, {
        jobId: part?.id ?? null,
        doneOn: wash.doneOn,
        title: `${part?.name ?? scrap.clothName}, scrap after the wash`,
        faults,
        outcome: wash.outcome,
        overhang: wash.overhang,
        // What the wash takes is not what putting the layers on took.
        shrink: null,
        note: wash.note,
      });
      return scraps.update(db, id, { ...scrap, wash: wash as Scrap['wash'] }, version);
    })
    .immediate();
}

/** A bench run that presses the fields of a scrap one after the other. */
export function startScrapBench(db: Db, id: string): BenchRun {
  const scrap = scraps.get(db, id);
  const open = benchRuns.list(db, 'scrap_id = ? AND finished_at IS NULL', [id], 'created_at DESC')[0];
  if (open) return open;
  const { part, chosen, cloth, stack } = ready(db, scrap.jobId);
  const { plan } = scrap;
  const schools = schoolsOf(readSettings(db).settings.schools, stack.schools);
  const rectangle = (width: number, height: number): [number, number][] => [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const liquid = plan.grid === 'spray' && plan.materialId !== null ? layers.find(db, plan.materialId) : undefined;
  const steps: BenchStep[] = scrapSteps(plan, {
    ...{ fabric: questionFor(fabricOf(cloth), part.wish).fabric, layers: chosen, schools },
    ...(liquid ? { liquid } : {}),
    ...(plan.stacks ? { candidates: candidatesOf(db, plan.stacks) } : {}),
  });
  return benchRuns.insert(db, {
    jobId: part.id,
    scrapId: id,
    plan: {
      pieceName: `${part.name}, scrap`,
      clothName: scrap.clothName,
      stackTitle: scrap.stackTitle,
      outline: rectangle(plan.width, plan.height),
      plate: rectangle(plan.cellWidth, plan.cellHeight),
      steps,
    },
    state: START_STATE,
    finishedAt: null,
  });
}
