import { useEffect, useState } from 'react';
import { MARKER, type Traced } from '../../core/photo';
import { givePhotoUp, measurePhoto } from './measure-photo';

/** Photographs of one table that are measured beside the page, and how far that is. */
export interface Traces {
  /** What was measured last; what was measured in them before is forgotten with `clear`. */
  photos: readonly File[];
  /** Side of a card’s black square, mm. */
  marker: number;
  setMarker: (mm: number) => void;
  /** What every length is multiplied by, since the marker was put right after the measuring. */
  scale: number;
  progress: { doing: string; share: number } | undefined;
  /** @throws what the measuring throws */
  trace: (photos: readonly File[]) => Promise<Traced>;
  clear: () => void;
}

/** Traces pieces in photographs: several of one table are laid together by the cards that they share. */
export function useTraced(): Traces {
  const [marker, setMarker] = useState(MARKER);
  const [photos, setPhotos] = useState<readonly File[]>([]);
  const [measuredBy, setMeasuredBy] = useState<number>();
  const [progress, setProgress] = useState<Traces['progress']>();
  useEffect(() => givePhotoUp, []);
  const clear = () => {
    setPhotos([]);
    setMeasuredBy(undefined);
  };
  const trace = async (chosen: readonly File[]) => {
    try {
      const traced = await measurePhoto('trace', [...chosen], marker, (doing, share) => setProgress({ doing, share }));
      setPhotos(chosen);
      setMeasuredBy(marker);
      return traced;
    } finally {
      setProgress(undefined);
    }
  };
  return { photos, marker, setMarker, scale: measuredBy === undefined ? 1 : marker / measuredBy, progress, trace, clear };
}

const NTH = ['first', 'second', 'third', 'fourth'];

/** What a refusal says, as the person is told it. */
export const wordsOfPhoto = ({ message }: Error) =>
  message
    .replace(/^(picture|body): must/, 'The photograph must')
    .replace(/^picture\[(\d)\]: must/, (_, i: string) => `The ${NTH[Number(i)]} photograph must`);
