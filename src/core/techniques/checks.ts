import type { LayerAt } from './job';
import type { Check } from './technique';

/** What is looked at after several techniques, each in one wording: what is filed in the log is told apart by it. */
export const CHECKS = {
  edgesHold: { words: 'Edges hold against a fingernail', trouble: 'lifts' },
  cornersHold: { words: 'Corners hold', trouble: 'lifts' },
  noBubbles: { words: 'No bubbles when you look along the surface', trouble: 'bubbles' },
  dotsGone: { words: 'The dots are gone, and none show on the face', trouble: 'glue-through' },
  sameSize: { words: 'Same size as the paper pattern', trouble: 'size' },
  notSeen: { words: 'Nothing of it is seen from the face', trouble: 'ridge' },
  straight: { words: 'It lies straight, without a ripple', trouble: 'ripple' },
  lengthOfPattern: { words: 'The edge is as long as on the pattern', trouble: 'ripple' },
  stillStretches: { words: 'Still stretches: pull 100 mm as you did before', trouble: 'stiff-knit' },
  layersFlat: { words: 'Both layers lie flat together', trouble: 'slack' },
  edgesMeet: { words: 'Edges meet, grain straight', trouble: 'slack' },
  outOfSeam: { words: 'Nothing firm in the seam allowance', trouble: 'seam-thick' },
  noMarks: { words: 'No holes, creases or marks on the face', trouble: 'holes' },
} as const satisfies Record<string, Check>;

/** A layer that gives so much across leaves a knit its stretch, %. */
const STILL_GIVES = 12;

/**
 * What is looked at after a layer is fused all over: whether a knit still stretches only where the layer lets it.
 *
 * @example fusedChecks({ job: workJob, layer: stack[0], index: 0 }).length // 5
 */
export function fusedChecks({ job: { fabric, layers } }: LayerAt): Check[] {
  const gives = layers.every(({ material }) => material.form === 'liquid' || material.stretchCross >= STILL_GIVES);
  return [
    CHECKS.edgesHold,
    CHECKS.cornersHold,
    CHECKS.noBubbles,
    CHECKS.dotsGone,
    CHECKS.sameSize,
    ...(fabric.construction === 'knit' && gives ? [CHECKS.stillStretches] : []),
  ];
}
