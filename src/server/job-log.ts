import { tickedFor, type Ticked } from '../core/bench';
import { keptKey, type Predicted } from '../core/layers';
import { openPiece, type GrainCut, type OpenPiece } from '../core/pieces';
import { schoolsOf } from '../core/schools';
import { usedSetting } from '../core/steps';
import { jobsOfRun, lastRunOf, type BenchRun } from '../store/bench-runs';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { filedOfRun, type LogEntry } from '../store/log';
import { knownLayers } from '../store/materials';
import { readSettings } from '../store/settings';
import type { Workpiece } from '../store/workpieces';
import { foundFor } from './found-setting';

/** What is filed of a job besides what was seen: with what it was pressed, what was expected, what it is measured against. */
export type JobLog = Pick<LogEntry, 'clothId' | 'layerIds' | 'settings'> & {
  predicted: Predicted;
  /** As it is cut; none where it cannot be drawn. */
  piece?: OpenPiece;
  grain: GrainCut;
  cutId: string;
};

const NO_PREDICTION: Predicted = { bendingLength: 1, low: 1, high: 1, rigidity: 0, arealDensity: 1, thickness: 0 };

/** What is filed of a job when it is done. */
export function jobLog(db: Db, work: Workpiece): JobLog {
  const { clothId, stack } = work;
  let piece: OpenPiece | undefined;
  try {
    piece = openPiece(work);
  } catch {
    // A piece that cannot be drawn is told where it is described; it is filed all the same.
  }
  const materials = knownLayers(db, stack?.layers ?? []).map(({ material }) => material);
  const cloth = clothId === null ? undefined : cloths.find(db, clothId);
  const settings = usedSetting(materials, {
    ...{ fabric: cloth ?? { water: 'safe' }, schools: schoolsOf(readSettings(db).settings.schools, stack?.schools) },
    found: stack && clothId !== null ? foundFor(db, clothId, stack) : [],
  });
  return {
    ...{ clothId, layerIds: (stack?.layers ?? []).map(keptKey), settings },
    ...{ predicted: stack?.predicted ?? NO_PREDICTION, grain: work.wish.cut, cutId: work.cutId },
    ...(piece ? { piece } : {}),
  };
}

/** The run that a job was worked in last, for filing it. */
export interface LastRun extends Ticked {
  id: string;
  finishedAt: string;
  /** It is in the logbook already. */
  filed: boolean;
}

/** The run of a job that was finished last, as long as the job still has the layers that were put on then. */
export function lastRun(db: Db, { id, stack }: Workpiece): LastRun | undefined {
  const run = lastRunOf(db, id);
  if (!run || !stack || titleIn(run, id) !== stack.title) return undefined;
  const work = jobsOfRun(run).indexOf(id);
  return {
    id: run.id,
    finishedAt: run.finishedAt!,
    filed: filedOfRun(db, run.id).includes(id),
    ...tickedFor(run.plan, run.state, work),
  };
}

/** What a job was worked with in a run. */
function titleIn({ plan }: BenchRun, jobId: string): string {
  return plan.works?.find((work) => work.jobId === jobId)?.stackTitle ?? plan.stackTitle;
}
