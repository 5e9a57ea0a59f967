import { proxy } from 'comlink';
import type { Progress } from '../../core/photo';
import type { Measured, Photographs } from '../../workers/photo.worker';
import { Beside } from '../beside';

const beside = new Beside<Photographs>(
  () => new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' }),
);

/** Whether a file is a photograph that can be measured in. */
export const isPhoto = ({ type, name }: Pick<File, 'type' | 'name'>) =>
  type === 'image/png' || type === 'image/jpeg' || /\.(png|jpe?g)$/i.test(name);

/** Measures in a photograph, or in several of one table, beside the page. @param marker side of a card's black square, mm */
export function measurePhoto<K extends keyof Measured>(
  what: K,
  files: File[],
  marker: number,
  onProgress: Progress,
): Promise<Measured[K]> {
  return beside.ask((photographs) => photographs.measure(what, files, marker, proxy(onProgress)) as Promise<Measured[K]>);
}

/** Gives up what is being measured. */
export const givePhotoUp = () => beside.close();

/** A made-up photograph to try the measuring with. @throws when it cannot be fetched */
export async function samplePhoto(name: 'pieces' | 'leftover' | 'hang' | 'see-through'): Promise<File> {
  const response = await fetch(`/samples/${name}.jpg`);
  if (!response.ok) throw new Error('The made-up photograph could not be fetched. Try again.');
  return new File([await response.blob()], `${name}.jpg`, { type: 'image/jpeg' });
}
