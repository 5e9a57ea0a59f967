import { stackWork, type WorkAsked } from '../../core/choose';
import { filledHoop, splitMotif, type Hoop } from '../../core/hoop';
import type { Motif } from '../../core/motif';
import { pressPlan, type PressOptions } from '../../core/press';
import { schedule, type ScheduleOptions } from '../../core/schedule';
import { inset, type Outline } from '../../core/shape';
import { templates, type Paper, type Template } from '../../formats/pdf';
import { answer } from './answer';

/** What this thread computes, by name; each takes and gives plain data. */
const WORK = {
  schedule: (options: ScheduleOptions) => schedule(options),
  pressPlan: (options: PressOptions) => pressPlan(options),
  splitMotif: ({ motif, hoop }: { motif: Motif; hoop: Hoop }) => splitMotif(motif, hoop),
  fillHoop: ({ motif, hoop, margin }: { motif: Motif; hoop: Hoop; margin: number }) => filledHoop(motif, hoop, margin),
  work: (asked: WorkAsked) => stackWork(asked),
  inset: ({ outline, allowance }: { outline: Outline; allowance: number | number[] }) => inset(outline, allowance),
  templates: ({ title, pieces, paper }: { title: string; pieces: Template[]; paper: Paper | 'single' }) =>
    templates(title, pieces, paper),
};
export type Computed = typeof WORK;

/** Whatever may take longer than the others of the house should wait. */
void answer<{ what: keyof Computed; data: never }, unknown>(({ what, data }) => WORK[what](data));
