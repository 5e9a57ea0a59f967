import type { Step } from './step';

/** What the hands do in a step, for its drawing. */
export const ACTS = [
  'wash',
  'shrink',
  'press-flat',
  'spray',
  'soak',
  'hang',
  'rest',
  'press-sections',
  'press',
  'cool',
  'cut',
  'lay-face-down',
  'lay-on-layer',
  'smooth-on',
  'baste',
  'feel',
  'cut-loose',
  'check',
  'hoop',
  'slide-under',
  'lay-on-top',
  'stitch',
  'take-away',
] as const;
export type Act = (typeof ACTS)[number];

/** Ends of step ids and what is done there; the first that fits counts. A run that was begun before is drawn like a new one. */
const BY_ID: [RegExp, Act][] = [
  [/prewash$/, 'wash'],
  [/preshrink$/, 'shrink'],
  [/-rinse$/, 'wash'],
  [/flatten$/, 'press-flat'],
  [/starch-first$/, 'spray'],
  [/-dry$/, 'rest'],
  [/-cool$/, 'cool'],
  [/-mist$/, 'spray'],
  [/(sheet|load)-\d+-lay$/, 'lay-on-layer'],
  [/-lay$/, 'lay-face-down'],
  [/-stick$|join$|float$/, 'smooth-on'],
  [/-sew$/, 'baste'],
  [/-feel$/, 'feel'],
  [/cut-out$|sheet-\d+-cut$/, 'cut-loose'],
  [/(^|-)cut$/, 'cut'],
  [/(^|-)check$/, 'check'],
  [/hoop$/, 'hoop'],
  [/slide$/, 'slide-under'],
  [/topping$/, 'lay-on-top'],
  [/stitch$/, 'stitch'],
  [/finish-\d+$/, 'take-away'],
];

/**
 * What is done in a step, as it is drawn.
 *
 * @example actOf({ id: 'starch__full-0-wet', stage: 'prepare', kind: 'do', title: 'Wet the cloth through', detail: '' }) // 'soak'
 */
export function actOf({ id: full, kind, title, lifts }: Step): Act {
  // Copies and jobs of a batch have their number behind.
  const id = full.replace(/[#@]\d+$/, '');
  if (/-wet$/.test(id)) return /through/i.test(title) ? 'soak' : 'spray';
  if (/-dry$/.test(id)) return /hang/i.test(title) ? 'hang' : 'rest';
  if (kind === 'press' || /-press\d*$/.test(id)) return lifts !== undefined && lifts > 1 ? 'press-sections' : 'press';
  const own = BY_ID.find(([end]) => end.test(id));
  if (own) return own[1];
  return kind === 'wait' ? 'cool' : kind === 'check' ? 'check' : 'lay-face-down';
}
