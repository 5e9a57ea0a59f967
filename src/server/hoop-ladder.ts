import type { Part } from '../core/choose';
import { fabricOf } from '../core/cloth';
import { judgeMotif, ladderResults, ladderStep, motifLoad } from '../core/hoop';
import { keyOfUse } from '../core/layers';
import { densityMap, islandsOf, motifFigures, peakOf } from '../core/motif';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import type { StackSheet } from '../store/hoopings';
import { logEntries, withMeasured, type LogEntry } from '../store/log';
import { chosenSheets } from './motif-work';

/** A ladder that was sewn and read. */
export interface LadderBody {
  clothId: string;
  layers: StackSheet[];
  title: string;
  /** The first square that puckers, drifts, tunnels, shows holes or cuts; one more than there are where all held. */
  firstBad: number;
  doneOn: string;
  note: string;
}

/**
 * Files a ladder: the last square that held and the first that did not, from which every later verdict of the pair learns.
 *
 * @throws {InputError} naming the layer that is not there
 */
export function fileLadder(db: Db, { clothId, layers, title, firstBad, doneOn, note }: LadderBody): { entries: LogEntry[] } {
  const cloth = cloths.get(db, clothId);
  const chosen = chosenSheets(db, layers);
  const fabric = fabricOf(cloth);
  const part: Part = { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-warm' };
  const shareOf = (step: number): number => {
    const motif = ladderStep(step);
    const box = motifFigures(motif).bounds!;
    const peak = peakOf(densityMap(motif, box)).value;
    return judgeMotif(fabric, part, chosen, motifLoad(islandsOf(motif, box, false), box, peak)).modelShare;
  };
  const results = ladderResults(firstBad, shareOf);
  const entries = db
    .transaction(() =>
      results.map(({ step, share, held }) =>
        logEntries.insert(
          db,
          withMeasured({
            ...{ jobId: null, benchRunId: null, kind: 'scrap', doneOn, clothId, clothName: cloth.name, stackTitle: title },
            title: `Ladder, square ${step} ${held ? 'held' : 'did not hold'}`,
            layerIds: chosen.map(({ material }) => keyOfUse(material)),
            settings: { ironDots: 0, seconds: 0, steam: false, cover: 'none' },
            checks: held ? { held: ['Flat, no holes, outline on its fill'], failed: [] } : { held: [], failed: ['Flat, no holes, outline on its fill'] }, // prettier-ignore
            ...{ causes: [], outcome: held ? 'good' : 'fair' },
            ...{ predictedBendingLength: null, predictedLow: null, predictedHigh: null, overhang: null, shape: null },
            ...{ stitched: { share, held }, note },
          }),
        ),
      ),
    )
    .immediate();
  return { entries };
}
