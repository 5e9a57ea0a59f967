import { SEEN_TROUBLES, type Trouble } from '../../core/techniques';

/** Endings by which one word is written in several ways. */
const stem = (word: string): string => word.replace(/(ing|ed|es|s)$/, '');

/** Troubles in which every word that was typed is met, as it begins or in another form; all of them without words. */
export function troublesFor(typed: string): readonly Trouble[] {
  const words = typed
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word.length > 1)
    .map(stem);
  if (words.length === 0) return SEEN_TROUBLES;
  return SEEN_TROUBLES.filter(({ seen, also, causes }) => {
    const text = `${seen} ${also} ${causes.map(({ why }) => why).join(' ')}`.toLowerCase().split(/[^a-z]+/);
    return words.every((word) => text.some((each) => each.startsWith(word)));
  });
}
