import { aLength } from './fused/a-length';
import { fusedAllOver } from './fused/all-over';
import { asASheet } from './fused/as-a-sheet';
import { flatPress } from './fused/flat-press';
import { patch } from './fused/patch';
import { stay } from './fused/stay';
import { stripInside } from './fused/strip-inside';
import { waistbandStrip } from './fused/waistband-strip';
import { zipBand } from './fused/zip-band';
import { SHEETS, topping } from './hooped/sheet';
import { paddingCaught, paddingFused, paddingSprayed, sprayed, stuck } from './padded/padding';
import { sewnAtEdge } from './sewn/at-the-edge';
import { braidInHem } from './sewn/braid';
import { clipped } from './sewn/clipped';
import { godetSeam } from './sewn/godet-seam';
import { hairCanvas } from './sewn/hair-canvas';
import { hat } from './sewn/hat';
import { innerCorner } from './sewn/inner-corner';
import { onPile } from './sewn/on-pile';
import { slashLine } from './sewn/slash';
import { underlining } from './sewn/underlining';
import type { Technique } from './technique';
import { edgeStiffener } from './wetted/edge-stiffener';
import { mistAndPress } from './wetted/mist';
import { starchBeforeCutting, starchUnderHoop } from './wetted/starch';
import { freeStitching, modelling, printing, wettedThrough } from './wetted/through';

/** All techniques. The first that serves a layer is taken, so that what is particular stands before what is general. */
export const TECHNIQUES: readonly Technique[] = [
  // Liquids.
  edgeStiffener,
  printing,
  modelling,
  freeStitching,
  wettedThrough,
  starchUnderHoop,
  starchBeforeCutting,
  mistAndPress,
  // Sheets for stitching.
  topping,
  ...SHEETS,
  // What shows every hole, wherever the layer lies.
  clipped,
  // Places that ask for their own way, whatever the layer.
  braidInHem,
  waistbandStrip,
  zipBand,
  innerCorner,
  slashLine,
  godetSeam,
  stay,
  // Glue.
  asASheet,
  aLength,
  stuck,
  paddingSprayed,
  sprayed,
  hat,
  hairCanvas,
  patch,
  paddingFused,
  stripInside,
  flatPress,
  fusedAllOver,
  // Needle.
  paddingCaught,
  onPile,
  underlining,
  sewnAtEdge,
];
