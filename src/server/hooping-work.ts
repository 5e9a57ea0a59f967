import { keptKey } from '../core/layers';
import { AFTER_CHECKS, heldBy, judgeMotif } from '../core/hoop';
import { fabricOf } from '../core/cloth';
import { InputError } from '../core/input-error';
import type { Part } from '../core/choose';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { hoopings, type Hooping, type HoopingResult } from '../store/hoopings';
import { logEntries, withMeasured } from '../store/log';
import { motifs } from '../store/motifs';
import { findWorkpiece } from '../store/workpieces';
import { chosenSheets, loadOf } from './motif-work';
import { drawDown, undraw } from './set-needs';

interface ResultBody {
  doneOn: string;
  wrong: string[];
  outcome: 'good' | 'fair' | 'poor';
  note: string;
  draw: boolean;
  version: number;
}

/**
 * Files how a motif came out: the result on the hooping, and an entry in the logbook from which choosing learns what the pair
 * carries. Both or neither; once.
 *
 * @throws {InputError} without a stack, or when it is filed already @throws {StaleError}
 */
export function fileHooping(db: Db, id: string, { doneOn, wrong, outcome, note, draw, version }: ResultBody): Hooping {
  return db
    .transaction(() => {
      const hooping = hoopings.get(db, id);
      if (hooping.version !== version) throw new StaleError(hooping);
      if (hooping.result) throw new InputError('version', 'is of a hooping that is filed already');
      if (!hooping.stack) throw new InputError('stack', 'is missing; say what lies under the motif first');
      const kept = motifs.get(db, hooping.motifId);
      const cloth = cloths.get(db, hooping.clothId);
      const modelShare = shareOf(db, hooping);
      const held = heldBy(wrong);
      const entry = logEntries.insert(
        db,
        withMeasured({
          jobId: hooping.jobId,
          benchRunId: null,
          kind: 'piece',
          doneOn,
          title: `${kept.name} on ${cloth.name}`.slice(0, 200),
          clothId: cloth.id,
          clothName: cloth.name,
          stackTitle: hooping.stack.title,
          layerIds: hooping.stack.layers.map(keptKey),
          settings: { ironDots: 0, seconds: 0, steam: false, cover: 'none' },
          checks: {
            held: AFTER_CHECKS.filter((check) => !check.washed && !wrong.includes(check.id)).map(({ right }) => right),
            failed: AFTER_CHECKS.filter((check) => wrong.includes(check.id)).map((check) => check.wrong),
          },
          causes: [],
          outcome,
          predictedBendingLength: null,
          predictedLow: null,
          predictedHigh: null,
          overhang: null,
          stitched: { share: modelShare, held },
          shape: null,
          note,
        }),
      );
      // Filed before anything was marked as sewn, it is filed for all of them.
      const drawn = draw ? drawDown(db, hooping, hooping.run?.pieces || hooping.count) : null;
      const result: HoopingResult = { doneOn, wrong, outcome, note, modelShare, logId: entry.id, washed: null, drawn };
      return hoopings.update(db, id, { ...hooping, result }, version);
    })
    .immediate();
}

/** Puts back what was drawn down when it was filed. @throws {InputError} when nothing was {StaleError} */
export function putBack(db: Db, id: string, version: number): Hooping {
  return db
    .transaction(() => {
      const hooping = hoopings.get(db, id);
      if (hooping.version !== version) throw new StaleError(hooping);
      if (!hooping.result?.drawn) throw new InputError('version', 'is of a hooping for which nothing was drawn down');
      undraw(db, hooping.result.drawn);
      return hoopings.update(db, id, { ...hooping, result: { ...hooping.result, drawn: null } }, version);
    })
    .immediate();
}

/** Looks at it again after the first wash; what fails then counts as not held. @throws {InputError} {StaleError} */
export function fileWash(
  db: Db,
  id: string,
  { doneOn, wrong, version }: Pick<ResultBody, 'doneOn' | 'wrong' | 'version'>,
): Hooping {
  return db
    .transaction(() => {
      const hooping = hoopings.get(db, id);
      if (hooping.version !== version) throw new StaleError(hooping);
      const { result } = hooping;
      if (!result) throw new InputError('result', 'is missing; file how it came out first');
      const entry = logEntries.find(db, result.logId);
      if (entry) {
        const held = heldBy([...result.wrong, ...wrong]);
        const failed = AFTER_CHECKS.filter((check) => wrong.includes(check.id) && !result.wrong.includes(check.id)).map(
          (check) => check.wrong,
        );
        logEntries.update(
          db,
          entry.id,
          {
            ...entry,
            checks: { ...entry.checks, failed: [...entry.checks.failed, ...failed] },
            outcome: held ? entry.outcome : 'poor',
            stitched: { share: result.modelShare, held },
            shape: null,
          },
          entry.version,
        );
      }
      return hoopings.update(db, id, { ...hooping, result: { ...result, washed: { doneOn, wrong } } }, version);
    })
    .immediate();
}

/** Pull of the motif ÷ what the model says its ground carries. */
function shareOf(db: Db, { motifId, clothId, stack, jobId, role }: Hooping): number {
  const load = loadOf(db, motifs.get(db, motifId));
  const own = jobId === null ? undefined : findWorkpiece(db, jobId)?.wish;
  const part: Part = {
    role,
    cut: own?.cut ?? 'straight',
    stretch: 'any',
    care: own?.care ?? 'wash-warm',
    embroidery: load.whole,
  };
  const fabric = fabricOf(cloths.get(db, clothId));
  return judgeMotif(fabric, part, chosenSheets(db, stack!.layers), load).modelShare;
}
