import type { Material } from '../../core/layers';
import type { Cloth } from '../../store/cloths';
import type { CutTable } from '../../store/cut-tables';
import type { LogEntry } from '../../store/log';
import type { Part } from '../../store/parts';
import type { Scrap } from '../../store/scraps';
import type { Settings } from '../../store/settings';

/** Everything that the stages of a project show, as the page hands it over. */
export interface ProjectData {
  project: { id: string; name: string; note: string; version: number };
  parts: Part[];
  cloths: Cloth[];
  /** Only the layers that some part's stack uses. */
  layers: Material[];
  log: LogEntry[];
  scraps: Scrap[];
  /** What was filed about the cloths of this project by anybody's part. */
  clothLog: LogEntry[];
  /** Parts with a bench run that is open. */
  openRuns: Record<string, string>;
  settings: Settings;
  /** Cutting tables, open ones and those that are cut. */
  tables: CutTable[];
}

export const STAGES = ['cloth', 'parts', 'choose', 'scrap', 'cut', 'apply', 'file'] as const;
export type Stage = (typeof STAGES)[number];
export const STAGE_WORDS: Record<Stage, string> = {
  cloth: 'Cloth',
  parts: 'Parts',
  choose: 'Choose',
  scrap: 'Scrap',
  cut: 'Cut',
  apply: 'Apply',
  file: 'File',
};

/** Whether a part has passed a stage. */
export function passed(part: Part, stage: Stage, log: readonly LogEntry[], scraps: readonly Scrap[]): boolean {
  const filed = log.some((entry) => entry.partId === part.id && entry.kind === 'piece');
  switch (stage) {
    case 'cloth':
      return part.clothId !== null;
    case 'parts':
      return true;
    case 'choose':
      return part.stack !== null;
    case 'scrap':
      return scraps.some(({ partId, filedOn }) => partId === part.id && filedOn !== null);
    case 'cut':
      return part.cutDone;
    case 'apply':
    case 'file':
      return filed;
  }
}

/** Fields of a part that a save sends back. */
export function partBody(part: Part) {
  const { id: _id, projectId: _project, createdAt: _created, updatedAt: _updated, ...fields } = part;
  return fields;
}
