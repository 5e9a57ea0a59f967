import { settingFor } from '../steps';
import { traitsIn, type WorkJob } from './job';
import type { Evidence } from './troubles';

/** A layer that lies in the seams is felt there from this thickness on, mm. */
const FELT_IN_SEAM = 0.5;

/**
 * What is known of a job before it is begun that speaks for one cause or another, should something go wrong: a layer heavier than its cloth,
 * cloth as open as a sieve, glued without a cover, never tried on a scrap, not washed though it will be.
 *
 * @returns words by kind of evidence
 * @example knownBefore(workJob)['no-scrap'] // 'it was not tried on a scrap'
 */
export function knownBefore(job: WorkJob): Partial<Record<Evidence, string>> {
  const { fabric, layers, found = [], washed } = job;
  const glued = layers.filter(({ material }) => material.form.startsWith('fusible'));
  const stays = layers.filter(({ material }) => material.ends === 'stays');
  const heavy = stays.find(({ material }) => material.arealDensity > fabric.arealDensity);
  const across = layers.find(({ material, angle }) => material.grain && Math.abs(angle) % 180 > 20);
  const bare = glued.find(({ material }) => settingFor(material, job).cover === 'none');
  const thick = stays.find(({ material, extent }) => extent === 'full' && material.thickness > FELT_IN_SEAM);
  const unshrunk = glued.length > 0 && washed && fabric.prewashed !== true;
  const { open, loose } = traitsIn(job);
  return {
    ...(glued.length > 0 && found.length === 0 ? { 'no-scrap': 'it was not tried on a scrap' } : {}),
    ...(heavy
      ? {
          'heavy-layer': `${heavy.material.name} weighs ${Math.round(heavy.material.arealDensity)} g/m², the cloth ${Math.round(fabric.arealDensity)}`,
        }
      : {}),
    ...(across ? { 'grain-apart': `${across.material.name} lies turned by ${Math.round(Math.abs(across.angle))}°` } : {}),
    ...(bare ? { 'no-cover': `${bare.material.name} is pressed without a cover` } : {}),
    ...(thick ? { 'in-the-seam': `${thick.material.name} runs to the cut edge` } : {}),
    ...(unshrunk ? { 'not-shrunk': 'the cloth is not marked as washed' } : {}),
    ...(open || loose
      ? { 'open-cloth': open ? 'the cloth has holes that glue comes through' : 'the cloth is loosely made' }
      : {}),
  };
}
