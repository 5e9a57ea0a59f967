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

type Common = Omit<CsvColumn, 'read' | 'write'>;

export function textColumn(common: Common): CsvColumn {
  return { ...common, read: (text) => text, write: (value) => String(value ?? '') };
}

/** A number with point or comma; `parse` turns text with units into the base unit. */
export function numberColumn(common: Common, parse?: (text: string) => number, digits = 3): CsvColumn {
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
export function wordColumn(common: Common, words: readonly string[]): CsvColumn {
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
export function wordsColumn(common: Common, words: readonly string[]): CsvColumn {
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

export function yesColumn(common: Common): CsvColumn {
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
