import type { Fabric } from '../cloth';
import type { ChosenLayer, Material } from '../layers';
import { opacityOf, type LightSheet, type Opacity } from '../seethrough';

/** A cloth by itself, and with what lies behind it. */
export interface SeeThrough {
  bare: Opacity;
  backed: Opacity;
}

/** Starting figures: what a shade throws back, what a kind of cloth lets through. */
const REFLECTS = { light: 0.7, mid: 0.35, dark: 0.06 } as const;
const LETS_THROUGH = { opaque: 0.05, veiled: 0.25, sheer: 0.55 } as const;
/** Share of holes in cloth that has them. */
const HOLES = 0.25;
const NET_HOLES = 0.6;
/** No more light than this is thrown back and let through together; the rest is swallowed. */
const MOST = 0.95;

function sheet(tone: keyof typeof REFLECTS, sheer: keyof typeof LETS_THROUGH, openArea: number): LightSheet {
  const transmittance = LETS_THROUGH[sheer];
  return { reflectance: Math.min(REFLECTS[tone], MOST - transmittance), transmittance, openArea };
}

/** A cloth as light meets it, from its shade and how far print can be read through it. */
function clothSheet({ tone, sheer, surface, weave, construction }: Fabric): LightSheet {
  const open = construction === 'net' ? NET_HOLES : surface.includes('openwork') || weave === 'eyelet' ? HOLES : 0;
  // Holes let through by themselves; the cloth round them is as dense as others.
  return sheet(tone, open > 0 && sheer !== 'sheer' ? 'opaque' : sheer, open);
}

/** Shades in the order of how near they are to a cloth's own. */
function layerSheet({ opacity, tones }: Material, { tone }: Fabric): LightSheet {
  return sheet(tones.includes(tone) ? tone : tones[0]!, opacity, 0);
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
