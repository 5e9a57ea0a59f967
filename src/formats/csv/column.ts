import { InputError, shown } from '../../core/input-error';

/** One column of a table file: what it is called, how its text is read and written. */
export interface CsvColumn {
  /** Property, with dots into nested objects. */
  field: string;
  header: string;
  /** Other headings that mean the same, in lower case. */
  aliases?: readonly string[];
  required?: boolean;
  /** Taken when the cell is empty or the column is missing. */
  fallback?: unknown;
  /** @throws {InputError} when the text cannot be read */
  read(text: string): unknown;
  write(value: unknown): string;
}

type Common<F extends string> = Omit<CsvColumn, 'read' | 'write' | 'field'> & { field: F };
/** A column that remembers which field it is. */
export type ColumnOf<F extends string> = CsvColumn & { field: F };

export function textColumn<F extends string>(common: Common<F>): ColumnOf<F> {
  return { ...common, read: (text) => text, write: (value) => String(value ?? '') };
}

/** A number with point or comma; `parse` turns text with units into the base unit. */
export function numberColumn<F extends string>(common: Common<F>, parse?: (text: string) => number, digits = 3): ColumnOf<F> {
  return {
    ...common,
    read: (text) => {
      if (parse) return parse(text);
      const match = /^-?(\d+([.,]\d+)?|[.,]\d+)\s*%?$/.exec(text.trim());
      if (!match) throw new InputError(common.field, `must be a number, saw ${shown(text)}`);
      return Number(text.trim().replace('%', '').replace(',', '.'));
    },
    write: (value) => (typeof value === 'number' ? String(Number(value.toFixed(digits))) : ''),
  };
}

/** One of a list of words; upper and lower case are the same. */
export function wordColumn<F extends string>(common: Common<F>, words: readonly string[]): ColumnOf<F> {
  return {
    ...common,
    read: (text) => {
      const word = text.trim().toLowerCase();
      if (!words.includes(word)) throw new InputError(common.field, `must be one of ${words.join(', ')}; saw ${shown(text)}`);
      return word;
    },
    write: (value) => String(value ?? ''),
  };
}

/** Several words of a list, with spaces, commas or semicolons between. */
export function wordsColumn<F extends string>(common: Common<F>, words: readonly string[]): ColumnOf<F> {
  return {
    ...common,
    read: (text) =>
      text
        .toLowerCase()
        .split(/[\s,;]+/)
        .filter(Boolean)
        .map((word) => {
          if (!words.includes(word)) throw new InputError(common.field, `must name ${words.join(', ')}; saw ${shown(word)}`);
          return word;
        }),
    write: (value) => (Array.isArray(value) ? value.join(' ') : ''),
  };
}

const YES = ['yes', 'y', 'true', '1', 'x'];
const NO = ['no', 'n', 'false', '0', ''];

export function yesColumn<F extends string>(common: Common<F>): ColumnOf<F> {
  return {
    ...common,
    read: (text) => {
      const word = text.trim().toLowerCase();
      if (YES.includes(word)) return true;
      if (NO.includes(word)) return false;
      throw new InputError(common.field, `must be yes or no, saw ${shown(text)}`);
    },
    write: (value) => (value === true ? 'yes' : 'no'),
  };
}

/**
 * The columns of a record's table file: one for each field of its schema, or a type error that names what was forgotten.
 *
 * @typeParam Field all fields that a table file is to hold
 */
export function columnsFor<Field extends string>() {
  return <C extends readonly ColumnOf<Field>[]>(
    ...columns: [Exclude<Field, C[number]['field']>] extends [never] ? C : [forgotten: Exclude<Field, C[number]['field']>]
  ): readonly CsvColumn[] => columns as readonly CsvColumn[];
}
