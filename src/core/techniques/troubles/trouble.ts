/** What can be seen to be wrong with held cloth. */
export type TroubleId =
  | 'lifts'
  | 'bubbles'
  | 'puckers'
  | 'glue-through'
  | 'board'
  | 'ridge'
  | 'shine'
  | 'glue-on-iron'
  | 'dull'
  | 'size'
  | 'shows-through'
  | 'stiff-knit'
  | 'flakes'
  | 'uneven'
  | 'rolls'
  | 'gives'
  | 'slack'
  | 'ripple'
  | 'corner-tore'
  | 'seam-thick'
  | 'holes'
  | 'drift'
  | 'tunnel'
  | 'sunk'
  | 'hoop-marks'
  | 'dent'
  | 'bunched'
  | 'open-edge'
  | 'thread-breaks';

/** What a run knows that speaks for a cause. */
export type Evidence =
  | 'stop-cut-short'
  | 'moved-warm'
  | 'not-cooled'
  | 'no-scrap'
  | 'not-shrunk'
  | 'grain-apart'
  | 'heavy-layer'
  | 'in-the-seam'
  | 'no-cover'
  | 'too-long'
  | 'open-cloth'
  | 'loose-sheet'
  | 'no-topping'
  | 'one-sheet'
  | 'hooped';

/** Why something went wrong, what helps now, and what is done otherwise next time. */
export interface Cause {
  id: string;
  why: string;
  now: string;
  next: string;
  /** The step that would have avoided it, as it is called at the bench. */
  avoidedBy: string;
  /** What a run may know that makes this cause likely. */
  evidence?: Evidence;
  /** It lies with this cloth and these layers, not with how it was done that time. */
  blames?: 'stack';
}

export interface Trouble {
  id: TroubleId;
  /** As it is seen. */
  seen: string;
  /** Other words by which it is looked for. */
  also: string;
  /** Most usual first. */
  causes: readonly Cause[];
}
