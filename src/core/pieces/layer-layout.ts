import { cutPlan, type CutPlan } from '../cutplan';
import type { Material } from '../layers';
import { transformed, type Outline } from '../shape';
import { isTape, type LayerOutline } from './layer-outline';
import { allowedTurns } from './turns';

export interface LayerLayout {
  plan: CutPlan;
  /** Outlines as they are cut, mirrored when the layer lies glue side down. */
  outlines: Outline[];
  /** Usable width of the roll, mm. */
  width: number;
  /** The pattern lies face up on the layer. */
  faceUp: boolean;
}

/** Room that is left along a selvedge, mm; a layer without a grain has none. */
const SELVEDGE = 10;
/** Room between pieces for the scissors, mm. */
const GAP = 3;
/** Turned-in and lapped ends of a tape, mm a piece. */
const TAPE_ENDS = 20;

/** Whether one face carries glue, so that a mirror image would be wasted. */
export function oneSided(material: Pick<Material, 'form'>): boolean {
  return material.form === 'fusible' || material.form === 'sticky';
}

/**
 * Lays the pieces of one layer on its roll.
 *
 * A one-sided layer laid glue side up is seen as the right side of the cloth is, so the pattern lies face up;
 * glue side down it is seen from behind, so the pattern lies face down and the outlines are mirrored.
 *
 * @param layer outlines of the layer on one piece @param count pieces @param glueUp how the layer lies on the table
 */
export function layerLayout(
  layer: LayerOutline,
  material: Pick<Material, 'form' | 'grain' | 'rollWidth'>,
  count: number,
  cut: 'straight' | 'cross' | 'bias',
  glueUp: boolean,
): LayerLayout {
  const faceUp = !oneSided(material) || glueUp;
  const outlines = layer.outlines.map((outline) => transformed(outline, !faceUp, 0));
  const width = material.rollWidth - (material.grain ? 2 * SELVEDGE : 0);
  const plan = cutPlan({
    width,
    gap: GAP,
    seconds: 1,
    pieces: outlines.map((outline, i) => ({ id: String(i), outline, count, rotations: allowedTurns(material, cut) })),
  });
  return { plan, outlines, width, faceUp };
}

/** Running length of a tape for all pieces, ends included, mm; undefined when it is not a tape. */
export function tapeLength(layer: LayerOutline, material: Pick<Material, 'rollWidth'>, count: number): number | undefined {
  if (!isTape(material) || layer.runningLength === undefined) return undefined;
  return count * (layer.runningLength + TAPE_ENDS);
}
