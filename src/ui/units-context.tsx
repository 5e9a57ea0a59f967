import { createContext, useContext } from 'react';
import { formatArealDensity, formatArea, formatLength, type LengthSystem } from '../core/units';

const Units = createContext<LengthSystem>('metric');

export const UnitsProvider = Units.Provider;

/** Writers for figures in the units that the person has set. */
export function useUnits() {
  const system = useContext(Units);
  return {
    system,
    length: (mm: number) => formatLength(mm, system),
    weight: (gsm: number) => formatArealDensity(gsm, system),
    area: (mm2: number) => formatArea(mm2, system),
  };
}
