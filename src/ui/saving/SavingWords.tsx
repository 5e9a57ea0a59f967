import type { SavingState } from './saver';

type Shown = Pick<SavingState<unknown>, 'saving' | 'unsaved' | 'away' | 'record'>;

/**
 * How what is on the screen stands with the server, in a word or two.
 *
 * @param held why it waits, when what is on the screen cannot be kept as it is
 */
export default function SavingWords({ state, held = '' }: { state: Shown; held?: string }) {
  return (
    <span role="status" className={state.away || held ? 'font-semibold text-error' : 'quiet'}>
      {held || savingWords(state)}
    </span>
  );
}

export function savingWords({ saving, unsaved, away, record }: Shown): string {
  if (away) return 'Nembrel does not answer. Your changes are kept here and saved when it is back.';
  if (saving) return 'Saving …';
  if (unsaved) return 'Not saved yet';
  return record ? 'Saved' : '';
}
