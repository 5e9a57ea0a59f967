import { createContext, useContext } from 'react';
import { formatArealDensity, formatArea, formatLength, formatSize, wordsInUnits, type LengthSystem } from '../core/units';
import { keepUnits } from './text';

const Units = createContext<LengthSystem>('metric');

export const UnitsProvider = Units.Provider;

/** Writers for figures in the units that the person has set. */
export function useUnits() {
  const system = useContext(Units);
  return {
    system,
    length: (mm: number) => formatLength(mm, system),
    /** Width and height in one unit. */
    size: (width: number, height: number) => formatSize(width, height, system),
    weight: (gsm: number) => formatArealDensity(gsm, system),
    area: (mm2: number) => formatArea(mm2, system),
    /** What is told about how a thing is done. */
    said: (words: string) => keepUnits(wordsInUnits(words, system)),
  };
}
