import { bendingLengthFromOverhang } from '../core/cloth';
import { InputError } from '../core/input-error';
import { lengthForField, parseLength, parseLengthBeside, type LengthSystem } from '../core/units';

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

/** How far marks lie apart that a shrinkage is read from, mm. */
export const MARKED = 100;

/**
 * A shrinkage, in per cent, read as two lengths between the same marks; cloth that grew is negative, and nothing was measured while the
 * second is empty.
 *
 * @throws {InputError} naming the field that cannot be read
 */
export function readShrinkage(before: string, after: string, system: LengthSystem, field = 'shrinkAfter'): number | null {
  if (after.trim() === '') return null;
  const usual = lengthForField(MARKED, system);
  const from = parseLengthBeside(before, usual, system, 'shrinkBefore');
  // A bare number counts in the unit that stands beside it, or stood there.
  const to = parseLengthBeside(after, /[^\d.,/\s]/.test(before) ? before : usual, system, field);
  if (!(from >= 20)) throw new InputError('shrinkBefore', 'the marks must lie at least 20 mm apart');
  const shrink = 100 * (1 - to / from);
  if (!(shrink >= -10 && shrink <= 60))
    throw new InputError(field, `that would be ${Math.round(shrink)} % of shrinkage; look at both lengths again`);
  return shrink;
}

/** An overhang reading as a form's field: nothing when it is empty. @throws {InputError} naming the field */
export function readOverhang(text: string, system: LengthSystem, field: string): number | null {
  const { value, fault } = typedOverhang(text, system);
  if (fault !== undefined) throw new InputError(field, fault);
  return value;
}

/** Most that a small width on a strip can be, mm. */
const WIDEST = 100;

/**
 * A small width on a strip as a form's field, mm: what bias gives, or an edge rolls. A bare number counts as millimetres or inches, as the
 * person measures; nothing when it is empty.
 *
 * @throws {InputError} naming the field
 */
export function readSmall(text: string, system: LengthSystem, field: string): number | null {
  if (text.trim() === '') return null;
  const mm = parseLengthBeside(text, system === 'inch' ? '1 in' : '1 mm', system, field);
  if (!(mm >= 0 && mm <= WIDEST)) throw new InputError(field, `must be from 0 to ${WIDEST} mm`);
  return mm;
}

/** Bending length that a typed overhang stands for, mm; undefined while it cannot be read. */
export function typedBendingLength(text: string, system: LengthSystem): number | undefined {
  const { value } = typedOverhang(text, system);
  return value === null ? undefined : bendingLengthFromOverhang(value);
}
