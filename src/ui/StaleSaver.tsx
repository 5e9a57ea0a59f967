import type { Conflict, SettledBy } from './saving/saver';
import StaleDialog from './StaleDialog';

interface Props<T> {
  /** A record, or several, that are saved by themselves. */
  saver: { conflict: Conflict<T> | undefined; settle: (by: SettledBy) => unknown };
}

/** The question that a saver has when what it saves was changed elsewhere; nothing as long as it has none. */
export default function StaleSaver<T extends object>({ saver: { conflict, settle } }: Props<T>) {
  if (!conflict) return null;
  return (
    <StaleDialog
      conflict={conflict}
      onTheirs={() => void settle('theirs')}
      onMine={() => void settle('mine')}
      onClose={() => void settle('later')}
    />
  );
}
