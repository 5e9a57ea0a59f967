import { History } from 'lucide-react';

/** Says that what was typed before is here again, and offers to begin anew. */
export default function RestoredDraft({ draft }: { draft: { restored: boolean; anew: () => void } }) {
  if (!draft.restored) return null;
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-accent pl-3" role="status">
      <History size={18} aria-hidden="true" /> What you typed before is here again, not saved yet.
      <button type="button" className="btn btn-sm min-h-[44px]" onClick={draft.anew}>
        Begin with what is saved
      </button>
    </p>
  );
}
