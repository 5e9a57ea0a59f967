import { lengthForField, parseLengthBeside } from '../core/units';
import TypedField from './TypedField';
import { useUnits } from './units-context';

/** A place on the drawing, in any unit, which may lie to the left or below. */
export default function PlaceField({ label, value, onChange }: { label: string; value: number; onChange: (mm: number) => void }) {
  const { system } = useUnits();
  return (
    <TypedField
      label={label}
      shown={`${value < 0 ? '-' : ''}${lengthForField(Math.abs(value), system)}`}
      read={(text, beside) => {
        const trimmed = text.trim();
        const negative = trimmed.startsWith('-');
        try {
          const mm = parseLengthBeside(negative ? trimmed.slice(1) : trimmed, beside, system);
          return negative ? -mm : mm;
        } catch {
          return undefined;
        }
      }}
      onChange={onChange}
    />
  );
}
