import type { Material } from '../layers';
import type { Judged, Question } from './protocol';

/**
 * Whether the layer is meant to go again, so that care and lasting stretch do not concern it.
 *
 * @example temporary(starch) // true
 */
export function temporary(layer: Material): boolean {
  return layer.form === 'liquid' || layer.ends === 'torn' || layer.ends === 'rinsed' || layer.ends === 'melted';
}

/**
 * Whether putting this layer into this cloth takes a needle in the hand.
 *
 * @example needsHandSewing(question, lightWoven) // false
 */
export function needsHandSewing({ fabric, part, profile, traits }: Question, layer: Material): boolean {
  if (layer.form !== 'sew-in') return false;
  if (layer.family === 'hair-canvas' || layer.family === 'buckram' || layer.family === 'mulling') return true;
  if (layer.family === 'organza') return fabric.sheer === 'sheer' || traits.ruinedByPressing;
  return profile.kind === 'garment' && part.role === 'inner-corner' && layer.family === 'organdy' && traits.ruinedByPressing;
}

/**
 * 0 the shade fits, 1 it is near, 2 it is wrong.
 *
 * @example shadeMiss('dark', ['light']) // 2
 */
export function shadeMiss(tone: 'light' | 'mid' | 'dark', tones: readonly string[]): number {
  if (tones.includes(tone)) return 0;
  if (tone === 'mid' || tones.includes('mid')) return 1;
  return 2;
}

/**
 * What the layers of a stack help a part with, as half a sentence: what is sheer hides nothing.
 *
 * @example jobOf(judged) // 'hold a sharp edge and keep its points'
 */
export function jobOf({ question: { part, profile }, layers }: Pick<Judged, 'question' | 'layers'>): string {
  const hides = layers.some(({ material }) => material.opacity === 'opaque');
  return part.role === 'bodice' && !hides ? 'bear the strain' : profile.job;
}
