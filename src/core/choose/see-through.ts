import type { Fabric } from '../cloth';
import { CLOTH_ID, type ChosenLayer, type Material } from '../layers';
import { lightSheet, opacityOf, type LightSheet, type Opacity } from '../seethrough';

/** A cloth by itself, and with what lies behind it. */
export interface SeeThrough {
  bare: Opacity;
  backed: Opacity;
}

/** Share of holes in cloth that has them. */
const HOLES = 0.25;
const NET_HOLES = 0.6;

/** How open threads or fibres stand, against a plain weave of the same weight. */
const OPEN_WEAVES = new Map<string | undefined, number>([
  ['loose', 1.5],
  ['satin', 0.8],
  ['twill', 0.8],
  ['jersey', 1.1],
  ['sweater', 1.6],
]);
const OPEN_FAMILIES = new Map<Material['family'], number>([
  ['tricot', 1.2],
  ['stretch-knit', 1.2],
  ['weft', 1.3],
  ['woven', 1.2],
  ['mesh', 1.6],
  ['nonwoven', 0.8],
  ['organza', 1.3],
]);

/**
 * A cloth as light meets it, by its weight, weave and shade, and how print was seen through it.
 *
 * @example clothSheet(lawn).openArea // 0
 */
export function clothSheet({ arealDensity, tone, sheer, surface, weave, construction }: Fabric): LightSheet {
  const holes = construction === 'net' ? NET_HOLES : surface.includes('openwork') || weave === 'eyelet' ? HOLES : 0;
  const made = { arealDensity, tone, openness: OPEN_WEAVES.get(weave) ?? 1, holes };
  // Through holes print is read whatever the cloth round them is like.
  return lightSheet(holes > 0 ? made : { ...made, looks: sheer });
}

/** Shades in the order of how near they are to a cloth's own. */
function layerSheet({ id, family, arealDensity, opacity, tones }: Material, { tone }: Fabric): LightSheet {
  const shade = tones.includes(tone) ? tone : tones[0]!;
  const made = { arealDensity, tone: shade, openness: OPEN_FAMILIES.get(family) ?? 1, holes: 0 };
  // Through a cloth of the cupboard somebody looked.
  return lightSheet(id.startsWith(CLOTH_ID) ? { ...made, looks: opacity } : made);
}

/**
 * Contrast ratio of a cloth, bare and with the layers that stay behind all of it.
 *
 * @example seeThrough(lawn, [{ material: layer('cotton-poplin-underlining-115-g'), extent: 'full', angle: 0 }]).backed.opacity > 90 // true
 */
export function seeThrough(fabric: Fabric, layers: readonly ChosenLayer[]): SeeThrough {
  const cloth = clothSheet(fabric);
  const behind = layers
    .filter(
      ({ material, extent }) =>
        material.form !== 'liquid' && material.ends === 'stays' && extent !== 'patch' && extent !== 'strip',
    )
    .map(({ material }) => layerSheet(material, fabric));
  return { bare: opacityOf([cloth]), backed: opacityOf([cloth, ...behind]) };
}
