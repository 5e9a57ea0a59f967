import type { Workplace } from '../../core/choose';
import type { Material } from '../../core/layers';
import type { PairFinding } from '../../core/scrap';
import type { Order } from '../../core/steps';
import type { Cloth } from '../../store/cloths';
import type { CutTable } from '../../store/cut-tables';
import type { LogEntry } from '../../store/log';
import type { Project } from '../../store/projects';
import type { Scrap } from '../../store/scraps';
import type { Settings } from '../../store/settings';
import type { ShownRecipe } from '../../server/recipe-work';
import type { LastRun } from '../../server/job-log';
import { isOfLayer, type Rows, type Worked } from './worked';

/** Everything that the stages of a project show, as the page hands it over. */
export interface ProjectData {
  project: Project;
  rows: Rows;
  cloths: Cloth[];
  /** Recipes that pieces were made by. */
  recipes: ShownRecipe[];
  /** Only the layers that some job's stack uses. */
  layers: Material[];
  log: LogEntry[];
  scraps: Scrap[];
  /** What was filed about the cloths of this project by anybody's work. */
  clothLog: LogEntry[];
  /** When the pieces of each job are cut and fused: as the table and the bench have it. */
  orders: Record<string, Order>;
  /** Of each job that is hooped, ground under the ring of its hoop and a little more, mm². */
  ringGrounds: Record<string, number>;
  /** What scraps found for the cloths of this project, the last one first. */
  findings: PairFinding[];
  /** The run in which each job was worked last, where it was. */
  lastRuns: Record<string, LastRun>;
  /** Jobs with a bench run that is open. */
  openRuns: Record<string, string>;
  settings: Settings;
  /** Where and with what the person works. */
  workplace: Workplace;
  /** The same for each cloth of which it was timed how it dries. */
  workplaces: Readonly<Record<string, Workplace>>;
  /** Cutting tables, open ones and those that are cut. */
  tables: CutTable[];
}

export const STAGES = ['cloth', 'pieces', 'choose', 'scrap', 'cut', 'apply', 'file'] as const;
export type Stage = (typeof STAGES)[number];
export const STAGE_WORDS: Record<Stage, string> = {
  cloth: 'Cloth',
  pieces: 'Pieces',
  choose: 'Choose',
  scrap: 'Scrap',
  cut: 'Cut',
  apply: 'Apply',
  file: 'File',
};

/** Whether a job has passed a stage. */
export function passed(work: Worked, stage: Stage, log: readonly LogEntry[], scraps: readonly Scrap[]): boolean {
  const filed = log.some((entry) => entry.jobId === work.id && entry.kind === 'piece');
  switch (stage) {
    case 'cloth':
      return work.clothId !== null || isOfLayer(work);
    case 'pieces':
      return true;
    case 'choose':
      return work.stack !== null;
    case 'scrap':
      return isOfLayer(work) || scraps.some(({ jobId, filedOn }) => jobId === work.id && filedOn !== null);
    case 'cut':
      return work.cutDone && (work.done || isOfLayer(work));
    case 'apply':
    case 'file':
      // What is its own layer, and worked with another job, is ready once it is cut.
      return filed || (isOfLayer(work) && work.clothId === null && work.cutDone);
  }
}
