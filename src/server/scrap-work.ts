import { keptKey } from '../core/layers';
import type { InferType } from 'yup';
import { questionFor } from '../core/choose';
import { fabricOf, type Fabric } from '../core/cloth';
import { InputError } from '../core/input-error';
import type { Cover, ChosenLayer, Material } from '../core/layers';
import { schoolsOf, type Schools } from '../core/schools';
import { faultsOf, outcomeOf, PEELS, scrapPlan, type Grid, type ScrapReading } from '../core/scrap';
import { COVER_WORDS, HEAT_SAFETY, pressSetting, pressWords, settingWords, stackSteps, type PressSetting } from '../core/steps';
import type { scrapCellSchema, scrapFileSchema, scrapWashSchema } from '../schemas/scraps';
import { benchRuns, START_STATE, type BenchRun, type BenchStep } from '../store/bench-runs';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { logEntries, withMeasured, type LogFields } from '../store/log';
import { jobs } from '../store/jobs';
import { chosenOf } from '../store/materials';
import { scraps, type Scrap } from '../store/scraps';
import { readSettings } from '../store/settings';
import { findWorkpiece, getWorkpiece } from '../store/workpieces';
import { capital } from '../core/letters';

/** The cloth and the layers of a part that is far enough to be tried. @throws {InputError} naming what is missing */
function ready(db: Db, jobId: string) {
  const part = getWorkpiece(db, jobId);
  if (part.clothId === null) throw new InputError('clothId', 'is missing; say which cloth the piece is cut from first');
  if (part.stack === null) throw new InputError('stack', 'is missing; choose layers for the job first');
  return { part, stack: part.stack, cloth: cloths.get(db, part.clothId), chosen: chosenOf(db, part.stack.layers) };
}

/** Starts a scrap test for a part. @throws {InputError} when it has no cloth or no stack yet */
export function startScrap(db: Db, jobId: string, grid: Grid): Scrap {
  const { part, stack, cloth, chosen } = ready(db, jobId);
  const schools = schoolsOf(readSettings(db).settings.schools, stack.schools);
  const plan = scrapPlan(questionFor(fabricOf(cloth), part.wish).fabric, chosen, schools, grid);
  return scraps.insert(db, {
    jobId,
    clothId: cloth.id,
    clothName: cloth.name,
    stackTitle: stack.title,
    layerIds: stack.layers.map(keptKey),
    predicted: stack.predicted,
    plan,
    readings: {},
    chosen: null,
    filedOn: null,
    washDue: null,
    wash: null,
  });
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
  { faults, ...seen }: Pick<LogFields, 'jobId' | 'doneOn' | 'title' | 'outcome' | 'overhang' | 'note'> & { faults: string[] },
): void {
  logEntries.insert(
    db,
    withMeasured({
      ...seen,
      benchRunId: null,
      kind: 'scrap',
      stitched: null,
      shape: null,
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
  return db.transaction(() => {
    const scrap = scraps.get(db, id);
    if (scrap.version !== version) throw new StaleError(scrap);
    if (scrap.filedOn !== null) throw new InputError('scrap', `was filed on ${scrap.filedOn} already`);
    const cell = scrap.plan.cells.find(({ name }) => name === chosen);
    const reading = scrap.readings[chosen];
    if (!cell || !reading) throw new InputError('chosen', `must be a field that was read, saw ${JSON.stringify(chosen)}`);
    const { setting } = cell;
    const part = getWorkpiece(db, scrap.jobId);
    fileEntry(db, scrap, setting, {
      jobId: part.id,
      doneOn,
      title: `${part.name}, scrap${scrap.plan.cells.length > 1 ? ` ${chosen}` : ''}`,
      faults: faultsOf(reading),
      outcome: outcomeOf(reading),
      overhang: reading.overhangAfter,
      note: noteOf(reading),
    });
    if (part.stack && part.stack.layers.map(keptKey).join() === scrap.layerIds.join() && scrap.plan.materialId !== null) {
      const found = { ...setting, materialId: scrap.plan.materialId };
      const job = jobs.get(db, part.id);
      jobs.update(db, job.id, { ...job, stack: { ...part.stack, setting: found } }, job.version);
    }
    return scraps.update(db, id, { ...scrap, chosen, filedOn: doneOn, washDue }, version);
  })();
}

/** Keeps what was seen after the wash, and files it too. */
export function washScrap(db: Db, id: string, { version, ...wash }: InferType<typeof scrapWashSchema>): Scrap {
  return db.transaction(() => {
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
      note: wash.note,
    });
    return scraps.update(db, id, { ...scrap, wash: wash as Scrap['wash'] }, version);
  })();
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
  const several = plan.cells.length > 1;
  const pressed = plan.cells.filter(({ setting }) => setting.seconds > 0);
  const pressing = chosen.find(({ material }) => material.id === plan.materialId)?.material;
  const others = chosen.filter(({ material }) => material.id !== plan.materialId);
  const steps: BenchStep[] = [
    {
      id: 'cut',
      stage: 'cut',
      kind: 'do',
      title: several
        ? `Cut ${plan.cells.length} pieces of ${plan.cellWidth} × ${plan.cellHeight} mm, of cloth and of each layer`
        : `Cut ${plan.width} × ${plan.height} mm of cloth, and of each layer`,
      detail: `Along the grain.${several ? ' Write A1, A2 … on the wrong sides and keep them apart: an iron covers more than one.' : ''} Take the overhang of the bare cloth first.`,
    },
    ...wetting(pressing, chosen, cloth, schools),
    ...others.map(({ material }): BenchStep => ({
      id: `with-${material.id}`,
      stage: 'apply',
      kind: 'do',
      title: `Put ${material.name.charAt(0).toLowerCase()}${material.name.slice(1)} on as you will on the piece`,
      detail:
        material.leaflet.seconds > 0
          ? `By its own leaflet: ${pressWords(pressSetting(material, cloth, schools), schools)}`
          : 'The same on every piece, so that only the settings differ.',
    })),
    ...pressed.map(({ name, row, column, setting }): BenchStep => ({
      id: `press-${name}`,
      stage: 'apply',
      kind: 'press',
      seconds: setting.seconds,
      ...(pressing?.family === 'edge-stiffener' ? { lifts: 6, seconds: 5 } : {}),
      title: several ? `Piece ${name}: ${settingWords(setting)}` : `Press it: ${settingWords(setting)}`,
      detail: `${capital(COVER_WORDS[setting.cover]!)}. One stop, straight down and straight up.`,
      safety: HEAT_SAFETY,
      // Rows run downward on the card, upward in the drawing.
      stops: [
        {
          x: column * plan.cellWidth,
          y: (plan.rows - 1 - row) * plan.cellHeight,
          rotation: 0,
        },
      ],
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

/** A liquid is sprayed or soaked in and rests before it is pressed, on the scrap as on the piece: its steps from the stack's own. */
function wetting(material: Material | undefined, chosen: ChosenLayer[], fabric: Fabric, schools: Schools): BenchStep[] {
  if (material?.form !== 'liquid') return [];
  return stackSteps({
    ...{ fabric, layers: chosen, stitched: false, floats: false, bias: false, washed: false, cutAlready: true, schools },
  }).filter(({ id }) => id === `${material.id}-wet` || id === `${material.id}-dry`);
}
