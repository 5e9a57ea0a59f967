import type { LightSheet } from './opacity';

/** Shades, and what each throws back of the light. */
const REFLECTS = { light: 0.7, mid: 0.35, dark: 0.06 } as const;
type Shade = keyof typeof REFLECTS;

/** How a sheet is made, as far as light is concerned. */
export interface Made {
  /** g/m². */
  arealDensity: number;
  tone: Shade;
  /** How open its threads or fibres stand, against a plain weave of that weight: 1. */
  openness: number;
  /** Holes that are made into it on purpose: eyelets, a net's meshes; share of its area. */
  holes: number;
  /** How it looks over print, where somebody looked. */
  looks?: keyof typeof SEEN;
}

/** Between its threads a plain weave leaves so much open at no weight at all, and less by this weight, g/m²; never quite nothing. */
const BETWEEN = { most: 0.45, fades: 45, least: 0.02 };
/** What the threads themselves let through falls with their weight, for each g/m²: light is scattered, so T = 1 ÷ (1 + s · w). */
const SCATTERS = 0.06;
/** No more light than this is thrown back and let through together; the rest is swallowed. */
const MOST = 0.95;
/** What is let through by cloth over which print is not read, is made out, is read: bounds to the estimate. */
const SEEN = {
  opaque: [0, 0.12],
  veiled: [0.15, 0.4],
  sheer: [0.4, 0.9],
} as const;

/**
 * A cloth or layer as light meets it, estimated from its weight, how it is made and its shade, the same way for both; a quarter more or less
 * is common. How it looked over print bounds the estimate.
 *
 * @example lightSheet({ arealDensity: 75, tone: 'light', openness: 1, holes: 0 }).transmittance // about 0.25
 */
export function lightSheet({ arealDensity, tone, openness, holes, looks }: Made): LightSheet {
  const between = Math.min(0.9, (BETWEEN.least + BETWEEN.most * Math.exp(-arealDensity / BETWEEN.fades)) * openness);
  const threads = 1 / (1 + (SCATTERS * arealDensity) / (1 - between));
  const estimated = between + (1 - between) * threads;
  const [low, high] = looks ? SEEN[looks] : [0, 1];
  const transmittance = Math.min(high, Math.max(low, estimated));
  return { reflectance: Math.min(REFLECTS[tone], MOST - transmittance), transmittance, openArea: holes };
}
