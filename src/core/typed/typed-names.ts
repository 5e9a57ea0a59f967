import { capital } from '../letters';

/** A piece that lies there already, as it is called out: its name, and how many of it where that was said. */
export interface TypedName {
  name: string;
  count?: number;
}

/** More of one piece than this is no count, but a part of its name. */
const MOST = 1000;

/**
 * Names called out one after the other, between commas or in lines; what is left empty is skipped over and keeps its place.
 *
 * @example readTypedNames('2 collars, , welt') // [{ name: 'Collars', count: 2 }, { name: '' }, { name: 'Welt' }]
 */
export function readTypedNames(text: string): TypedName[] {
  if (text.trim() === '') return [];
  return text.split(/[,;\n]/).map((part) => {
    const [, digits, rest] = /^(\d{1,4})\s*(?:[x×]\s*|\s)(\S.*)$/i.exec(part.trim()) ?? [];
    const count = Number(digits);
    const counted = rest !== undefined && count >= 1 && count <= MOST;
    const name = capital((counted ? rest : part).trim().replace(/\s+/g, ' '));
    return counted ? { name, count } : { name };
  });
}
