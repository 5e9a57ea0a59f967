import type { Act, Step } from '../steps';

/** Ends of step ids and what is done there, for runs that were planned before a step said it itself; the first that fits counts. */
const BY_ID: [RegExp, Act][] = [
  [/prewash$|-rinse$/, 'wash'],
  [/preshrink$/, 'shrink'],
  [/flatten$/, 'press-flat'],
  [/starch-first$|-wet$|-mist$/, 'spray'],
  [/-dry$/, 'rest'],
  [/-cool$/, 'cool'],
  [/(sheet|load)-\d+-lay$/, 'lay-on-layer'],
  [/-stick$|join$|float$/, 'smooth-on'],
  [/-sew$/, 'baste'],
  [/-feel$/, 'feel'],
  [/cut-out$|sheet-\d+-cut$/, 'cut-loose'],
  [/(^|-)cut$/, 'cut'],
  [/hoop$/, 'hoop'],
  [/slide$/, 'slide-under'],
  [/topping$/, 'lay-on-top'],
  [/stitch$/, 'stitch'],
  [/finish-\d+$/, 'take-away'],
];
const BY_KIND: Record<Step['kind'], Act> = { press: 'press', wait: 'cool', check: 'check', do: 'lay-face-down' };

/**
 * What is done in a step, as it is drawn.
 *
 * @example actOf({ id: 'a-0-sew', stage: 'apply', kind: 'do', title: 'Baste it', detail: '' }) // 'baste'
 */
export function actOf({ id, kind, act }: Pick<Step, 'id' | 'kind' | 'act'>): Act {
  if (act) return act;
  // Copies and jobs of a batch have their number behind.
  const own = id.replace(/[#@]\d+$/, '');
  return BY_ID.find(([end]) => end.test(own))?.[1] ?? BY_KIND[kind];
}
