import { stackStiffness } from '../core/layers';
import { blend, carryFactor, gluingFactor, gluingOf, isWork, PACE_WORDS, PACES, paceFrom, type Timing } from '../core/learn';
import { capital } from '../core/letters';
import { pickUpOf } from '../core/liquid';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import {
  dryingSubject,
  forget,
  forgottenUntil,
  gluingSubject,
  paceSubject,
  pairSubject,
  remember,
  type PairLearnt,
} from '../store/forgotten';
import { logEntries, type LogEntry } from '../store/log';
import { findMaterial } from '../store/materials';
import { driedCloths, dryingsOf, pacesOf, timingsOf } from '../store/timings';
import { InputError } from '../core/input-error';
import { filedGluings, gluingFor, type FiledGluing } from './gluing-learnt';

/** One figure that the house knows better than the model does, from its own readings. */
export interface Learnt {
  /** Names it, for forgetting it. */
  subject: string;
  kind: PairLearnt | 'pace' | 'glue' | 'uptake';
  title: string;
  detail: string;
  /** What is reckoned without the readings, and with them: mm, times, %. */
  before: number;
  now: number;
  /** Eighty times of a hundred it lies between these, where that is known. */
  range: [number, number] | null;
  /** Cloth at whose home tests it is taken back, where it is not forgotten here. */
  testOf?: string;
  /** In order of time. Of a motif that was sewn, whether it held. */
  readings: { on: string; value: number; held?: boolean; entryId?: string }[];
}

/** What the house has learnt, and what it was told to forget and could learn anew. */
export interface AllLearnt {
  learnt: Learnt[];
  forgotten: string[];
}

/** Everything that was learnt, what rests on most readings first. */
export function allLearnt(db: Db): AllLearnt {
  const learnt = [...pacesLearnt(db), ...pairsLearnt(db), ...gluesLearnt(db), ...uptakesLearnt(db)];
  return {
    learnt: learnt.sort((a, b) => b.readings.length - a.readings.length || (a.subject < b.subject ? -1 : 1)),
    forgotten: [...forgottenUntil(db).keys()],
  };
}

/** Readings of a subject up to now count no more, or all of them count again. @throws {InputError} for what was never learnt */
export function forgetLearnt(db: Db, subject: string, forgotten: boolean, now: string): AllLearnt {
  if (!forgotten) remember(db, subject);
  else if (allLearnt(db).learnt.some((each) => each.subject === subject && !each.testOf)) forget(db, subject, now);
  else throw new InputError('subject', `must be something that was learnt, saw ${JSON.stringify(subject)}`);
  return allLearnt(db);
}

function pacesLearnt(db: Db): Learnt[] {
  const told = (
    timings: readonly (Timing & { doneAt: string })[],
    common: Pick<Learnt, 'subject' | 'title' | 'detail' | 'before'>,
  ): Learnt[] => {
    const counting = timings.filter(isWork);
    if (counting.length === 0) return [];
    const readings = counting.map(({ doneAt, actual, expected }) => ({ on: doneAt.slice(0, 10), value: actual / expected }));
    return [
      { ...common, kind: 'pace', now: paceFrom(counting, common.before).factor, range: null, readings: readings.reverse() },
    ];
  };
  const kinds = PACES.flatMap((pace) =>
    told(timingsOf(db, pace), {
      ...{ subject: paceSubject(pace), title: capital(PACE_WORDS[pace]), detail: 'against what is reckoned', before: 1 },
    }),
  );
  const house = pacesOf(db).drying.factor;
  const dried = driedCloths(db).flatMap((id) => {
    const cloth = cloths.find(db, id);
    if (!cloth) return [];
    const common = { subject: dryingSubject(id), title: cloth.name, detail: 'how it dries, against what is reckoned' };
    return told(dryingsOf(db, id), { ...common, before: house });
  });
  return [...kinds, ...dried];
}

/** How firmly glues hold, layer by layer, from readings on all cloths. */
function gluesLearnt(db: Db): Learnt[] {
  const of = new Map<string, FiledGluing[]>();
  for (const each of filedGluings(db)) of.set(each.layerId, [...(of.get(each.layerId) ?? []), each]);
  return [...of].map(([layerId, readings]) => ({
    ...{ subject: gluingSubject(layerId), kind: 'glue' as const, title: readings[0]!.layerName },
    ...{ detail: 'against what its glue usually does', before: 1, now: gluingFactor(readings).factor, range: null },
    readings: readings.map(({ on, entryId, ...reading }) => ({ on, entryId, value: gluingOf(reading)! })),
  }));
}

/** What cloths that were weighed wet take up, against what their fibres usually do, %. */
function uptakesLearnt(db: Db): Learnt[] {
  return cloths.list(db, 'uptake IS NOT NULL').map(({ id, name, fibres, uptake, tests, updatedAt }) => ({
    ...{ subject: `uptake/${id}`, kind: 'uptake' as const, title: name, detail: 'wet through, of its own weight' },
    ...{ before: 100 * pickUpOf({ fibres }, 'soak'), now: uptake!, range: null, testOf: id },
    readings: [{ on: tests.uptake?.doneOn ?? updatedAt.slice(0, 10), value: uptake! }],
  }));
}

/** Entries of the logbook that hold a reading, pair by pair. */
function pairsLearnt(db: Db): Learnt[] {
  const entries = logEntries.list(
    db,
    'cloth_id IS NOT NULL AND (measured_bending_length IS NOT NULL OR stitched IS NOT NULL OR shape IS NOT NULL)',
    [],
    'done_on, created_at, id',
  );
  const pairs = new Map<string, LogEntry[]>();
  for (const entry of entries) {
    const key = `${entry.clothId}\n${entry.layerIds.join('+')}`;
    pairs.set(key, [...(pairs.get(key) ?? []), entry]);
  }
  const forgotten = forgottenUntil(db);
  return [...pairs.values()].flatMap((own) => {
    const [{ clothId, layerIds, clothName, stackTitle }] = own as [LogEntry, ...LogEntry[]];
    const told = (kind: PairLearnt) => {
      const subject = pairSubject(kind, clothId!, layerIds.join('+'));
      const counting = own.filter(({ createdAt }) => createdAt > (forgotten.get(subject) ?? ''));
      return { counting, common: { subject, kind, title: clothName, detail: stackTitle } };
    };
    return [hangOf(db, told('hang')), carryOf(told('carry')), shrinkOf(told('shrink'))].flatMap((each) => each ?? []);
  });
}

interface Told {
  counting: LogEntry[];
  common: Pick<Learnt, 'subject' | 'kind' | 'title' | 'detail'>;
}

function hangOf(db: Db, { counting, common }: Told): Learnt | undefined {
  const read = counting.filter(({ measuredBendingLength }) => measuredBendingLength !== null);
  const [entry] = read;
  const fabric = entry && cloths.find(db, entry.clothId!);
  const materials = entry?.layerIds.map((id) => findMaterial(db, id)) ?? [];
  // What of it is not in the cupboard any more is not asked about either.
  if (!fabric || materials.some((material) => material === undefined)) return undefined;
  const known = materials.flatMap((material) => material ?? []);
  const model = stackStiffness(fabric, known, gluingFor(db, entry.clothId));
  const blended = blend(
    model,
    read.map(({ measuredBendingLength }) => measuredBendingLength!),
  );
  return {
    ...common,
    ...{ before: model.bendingLength, now: blended.bendingLength, range: [blended.low, blended.high] },
    readings: read.map(({ id, doneOn, measuredBendingLength }) => ({ on: doneOn, value: measuredBendingLength!, entryId: id })),
  };
}

function carryOf({ counting, common }: Told): Learnt | undefined {
  const read = counting.filter(({ stitched }) => stitched !== null);
  if (read.length === 0) return undefined;
  return {
    ...common,
    ...{ before: 1, now: carryFactor(read.map(({ stitched }) => stitched!)), range: null },
    readings: read.map(({ id, doneOn, stitched }) => ({
      ...{ on: doneOn, value: stitched!.share, held: stitched!.held, entryId: id },
    })),
  };
}

function shrinkOf({ counting, common }: Told): Learnt | undefined {
  const read = counting.flatMap(({ id, doneOn, shape }) => {
    const ways = [shape?.along, shape?.across].filter((each) => each !== null && each !== undefined);
    return ways.length > 0 ? [{ on: doneOn, value: Math.max(...ways), entryId: id }] : [];
  });
  if (read.length === 0) return undefined;
  const mean = read.reduce((sum, { value }) => sum + value, 0) / read.length;
  return { ...common, before: 0, now: mean, range: null, readings: read };
}
