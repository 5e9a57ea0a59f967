import type { CutItem } from './cut-item';

/**
 * Short text that changes when pieces do: outlines to a hundredth of a millimetre, counts and turns. Two 32-bit FNV-1a
 * hashes with different starts; it tells changes apart, it keeps no secrets.
 *
 * @example fingerprint([cutItem]) === fingerprint([{ ...cutItem }]) // true
 */
export function fingerprint(items: readonly CutItem[]): string {
  const text = items
    .map(({ id, outline, count, rotations, flip }) => {
      const corners = outline.map(([x, y]) => `${Math.round(100 * x)},${Math.round(100 * y)}`).join(' ');
      return `${id}|${count}|${rotations.join(',')}|${flip}|${corners}`;
    })
    .join('\n');
  return `${hash(text, 0x811c9dc5)}${hash(text, 0x01234567)}`;
}

function hash(text: string, start: number): string {
  let h = start;
  for (let i = 0; i < text.length; i++) {
    h ^= text.charCodeAt(i);
    h = Math.imul(h, 0x01000193);
  }
  return (h >>> 0).toString(16).padStart(8, '0');
}
