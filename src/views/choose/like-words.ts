import type { LikeChange } from '../../core/cloth';
import { lower } from '../../core/letters';

/** What a cloth bears, by its dots. */
export const IRONS: [string, string][] = [
  ['0', 'no iron'],
  ['1', 'a cool iron'],
  ['2', 'a medium iron'],
  ['3', 'a hot iron'],
];

/** What a cloth is called that is like a known one. */
export function likeName({ name }: { name: string }): string {
  return `Like ${lower(name)}`;
}

/** The difference in a few words: `160 g/m²`. */
export function likeWords(like: LikeChange, write: (gsm: number) => string): string {
  return [
    like.arealDensity === undefined ? '' : write(like.arealDensity),
    like.stretchCross === undefined ? '' : `stretches ${like.stretchCross} %`,
    like.ironDots === undefined ? '' : IRONS[like.ironDots]![1],
  ]
    .filter(Boolean)
    .join(', ');
}
