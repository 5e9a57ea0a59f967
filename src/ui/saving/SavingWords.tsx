import type { SavingState } from './saver';

type Shown = Pick<SavingState<unknown>, 'saving' | 'unsaved' | 'away' | 'record'>;

/** How what is on the screen stands with the server, in a word or two. */
export default function SavingWords({ state }: { state: Shown }) {
  return (
    <span role="status" className={state.away ? 'font-semibold text-error' : 'quiet'}>
      {savingWords(state)}
    </span>
  );
}

export function savingWords({ saving, unsaved, away, record }: Shown): string {
  if (away) return 'Nembrel does not answer. Your changes are kept here and saved when it is back.';
  if (saving) return 'Saving …';
  if (unsaved) return 'Not saved yet';
  return record ? 'Saved' : '';
}
