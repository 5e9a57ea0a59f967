import type { Part } from '../core/choose';
import { fabricOf } from '../core/cloth';
import { hoopCard, hoopedSheet, hoopPreparation, setTasks, type Hoop, type HoopWork } from '../core/hoop';
import { ironSole, pressPlan } from '../core/press';
import { InputError } from '../core/input-error';
import { paceFrom } from '../core/learn';
import { SPEEDS } from '../core/machine';
import { COLOUR_SECONDS, runningSeconds } from '../core/motif';
import type { DayRun } from '../core/schedule';
import { schoolsOf } from '../core/schools';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { hoopings, type Hooping } from '../store/hoopings';
import { hoops } from '../store/hoops';
import { findMaterial } from '../store/materials';
import { motifs, stitchesOf, type KeptMotif } from '../store/motifs';
import { readSettings } from '../store/settings';
import { findWorkpiece } from '../store/workpieces';
import { hoopedSet } from './hoop-cards';
import { chosenSheets } from './motif-work';

/** A set that can be sewn: placed in a hoop, something said of what lies under it, and not filed. */
export interface OpenSet {
  id: string;
  name: string;
  /** The job of a project that it is for: its layers are counted there. */
  jobId: string | null;
  count: number;
  /** Copies that are still to be sewn. */
  left: number;
}

/** Sets that are looked through, last touched first. */
const MOST_SETS = 60;
/** So many of the latest hoopings tell how fast the machine is. */
const LATEST = 40;

/** Sets that can be sewn, last touched first. */
export function openSets(db: Db): OpenSet[] {
  const where = 'result IS NULL AND hoop_place IS NOT NULL AND hoop_id IS NOT NULL AND stack IS NOT NULL';
  return hoopings.list(db, where, [], 'updated_at DESC, rowid', { limit: MOST_SETS }).flatMap((hooping) => {
    const { id, name, jobId, count } = hooping;
    const left = copiesLeft(hooping).length;
    return left > 0 && isThere(db, hooping) ? [{ id, name, jobId, count, left }] : [];
  });
}

/** Whether nothing that it is made of was deleted meanwhile. */
function isThere(db: Db, { hoopId, clothId, motifId, stack }: Hooping): boolean {
  const made = hoops.find(db, hoopId ?? '') && cloths.find(db, clothId) && motifs.find(db, motifId);
  return Boolean(made) && stack!.layers.every(({ materialId }) => findMaterial(db, materialId));
}

/** Numbers of the copies that are not sewn yet, from 0. */
function copiesLeft({ count, run }: Hooping): number[] {
  return Array.from({ length: count }, (_, copy) => copy).slice(run?.pieces ?? 0);
}

/** A hooping as its preparation is worked out from. @throws {InputError} without a hoop or a stack {NotFoundError} */
export function hoopWorkOf(db: Db, hooping: Hooping): HoopWork {
  const { clothId, hoopId, stack, role, ground, floats, count } = hooping;
  if (!stack) throw new InputError('stack', 'is missing; say what lies under the motif first');
  if (hoopId === null) throw new InputError('hoopId', 'is missing; lay a hoop over the motif first');
  const wish = hooping.jobId === null ? undefined : findWorkpiece(db, hooping.jobId)?.wish;
  const part: Part = { role, stretch: 'any', cut: wish?.cut ?? 'straight', care: wish?.care ?? 'wash-warm' };
  return {
    ...{ fabric: fabricOf(cloths.get(db, clothId)), part, layers: chosenSheets(db, stack.layers), hoop: hoops.get(db, hoopId) },
    ...{ at: hoopCard(hoopedSet(hooping), 0).hoop, ground: { ...ground, marks: false }, floats, count },
    schools: schoolsOf(readSettings(db).settings.schools),
  };
}

/** Minutes that a motif takes at the machine, as it is reckoned for anybody. */
const reckoned = (db: Db, motif: KeptMotif) => runningSeconds(stitchesOf(db, motif), motif.figures, SPEEDS.usual) / 60;

/** How the machine of this house sews, against what is reckoned, by what was ticked as sewn with its minutes. */
function machinePace(db: Db): { factor: number; times: number } {
  const latest = hoopings.list(db, "sewn <> '[]'", [], 'updated_at DESC, rowid', { limit: LATEST });
  const minutesOf = new Map(
    motifs.byIds(db, [...new Set(latest.map(({ motifId }) => motifId))]).map((each) => [each.id, reckoned(db, each)]),
  );
  return paceFrom(
    latest.flatMap(({ motifId, sewn }) => {
      const expected = minutesOf.get(motifId);
      return expected === undefined
        ? []
        : sewn.flatMap(({ minutes }) => (minutes === null ? [] : [{ expected, actual: minutes }]));
    }),
  );
}

/** A set as a run of the day. @throws {InputError} when it cannot be sewn yet {NotFoundError} */
export function setRun(db: Db, id: string): DayRun {
  const hooping = hoopings.get(db, id);
  const { name, count, prepared, motifId, hoopId } = hooping;
  const motif = motifs.get(db, motifId);
  const steps = hoopPreparation(hoopWorkOf(db, hooping));
  const hoop = hoops.get(db, hoopId!);
  const { fieldWidth, fieldHeight, shape } = hoop;
  const alike = hoops
    .list(db)
    .filter((each) => each.fieldWidth === fieldWidth && each.fieldHeight === fieldHeight && each.shape === shape);
  const pace = machinePace(db).factor;
  const tasks = setTasks({
    ...{ id, name, steps, left: copiesLeft(hooping), count, done: prepared, hoops: alike.length },
    ...{ stops: stopsOf(db, hoop), sewing: reckoned(db, motif) * pace },
    changes: { times: motif.figures.colourChanges, minutes: (COLOUR_SECONDS / 60) * pace },
  });
  return { id, name, tasks };
}

/** How often the iron is set down to fuse a sheet for a hoop. */
function stopsOf(db: Db, hoop: Hoop): number {
  const { soleLength, soleWidth, stopOverlap } = readSettings(db).settings;
  const { width, height } = hoopedSheet(hoop);
  return pressPlan({
    outline: [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ],
    plate: { outline: ironSole(soleLength, soleWidth) },
    ...{ overlap: stopOverlap, order: 'centre-out', secondsPerStop: 0, moveSeconds: 0 },
  }).stops.length;
}
