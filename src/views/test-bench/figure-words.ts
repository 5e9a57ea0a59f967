import type { Figure } from '../../core/measure';
import { useUnits } from '../../ui/units-context';

/** Writes a figure of a test as the person reads it. */
export function useFigureWords(): (value: number, unit: Figure['unit']) => string {
  const { weight } = useUnits();
  return (value, unit) => {
    if (unit === 'g/m²') return weight(value);
    if (unit === 'mm') return value < 3 ? `${value.toFixed(2)} mm` : `${Math.round(value)} mm`;
    return unit === '%' ? `${Math.round(value)} %` : `${value.toPrecision(2)} ${unit}`;
  };
}
