import { bendingLengthFromOverhang } from '../core/cloth';
import { parseLength, type LengthSystem } from '../core/units';

/** A figure as it was typed: its value, nothing when the field is empty, or what is wrong with it. */
export interface Typed {
  value: number | null;
  fault?: string;
}

/** Longest overhang that a home test reads, mm. */
const LONGEST_OVERHANG = 1000;

/** An overhang reading in any unit. */
export function typedOverhang(text: string, system: LengthSystem): Typed {
  if (text.trim() === '') return { value: null };
  try {
    const mm = parseLength(text, system, 'overhang');
    if (mm > 0 && mm <= LONGEST_OVERHANG) return { value: mm };
    return { value: null, fault: 'must be more than 0 and at most 1 m' };
  } catch (problem) {
    return { value: null, fault: (problem as Error).message.replace(/^[^:]*: /, '') };
  }
}

/** A shrinkage in per cent, with point or comma; cloth that grew is negative. */
export function typedShrink(text: string): Typed {
  if (text.trim() === '') return { value: null };
  const value = Number(text.trim().replace('%', '').replace(',', '.'));
  return value >= -10 && value <= 60 ? { value } : { value: null, fault: 'must be a number of per cent, such as 1.5' };
}

/** Bending length that a typed overhang stands for, mm; undefined while it cannot be read. */
export function typedBendingLength(text: string, system: LengthSystem): number | undefined {
  const { value } = typedOverhang(text, system);
  return value === null ? undefined : bendingLengthFromOverhang(value);
}

/** Faults by field, of several figures that were typed. */
export function faultsOf(typed: Record<string, Typed>): Record<string, string> {
  return Object.fromEntries(Object.entries(typed).flatMap(([field, { fault }]) => (fault === undefined ? [] : [[field, fault]])));
}
