import { treatmentWords, type TableList } from '../../core/cutlist';
import type { Treatment } from '../../core/pieces';
import { counted, keepUnits, readableDate } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { TableDone } from '../../store/cut-tables';

/** That it is cut, what was put away, and the way back. */
export function DoneNotice({ done, projectId, onUndo }: { done: TableDone; projectId: string; onUndo: () => void }) {
  return (
    <div className="sheet mt-3 flex flex-wrap items-center justify-between gap-3 border-l-8 border-l-success p-4">
      <p>
        <strong>Cut on {readableDate(done.doneOn)}.</strong>{' '}
        {done.keptIds.length > 0
          ? `${counted(done.keptIds.length, 'leftover')} put away in the cupboard.`
          : 'Nothing was left over that is worth keeping.'}
      </p>
      <div className="flex gap-3">
        <button type="button" className="btn" onClick={onUndo}>
          Not cut after all
        </button>
        <a className="btn btn-primary" href={`/projects/${projectId}?stage=apply`}>
          On to the bench
        </a>
      </div>
    </div>
  );
}

/** What has to be known of the pieces before they are cut. */
export function ListNotices({ list, stale }: { list: TableList; stale: boolean }) {
  return (
    <>
      {stale && (
        <p role="alert" className="alert mt-3 border-2 border-accent">
          Pieces have changed since they were laid here. Lay them again before you cut.
        </p>
      )}
      {list.items.length === 0 && (
        <p className="sheet mt-4 p-5">
          {list.tape > 0
            ? 'This is sold as a tape: it is cut by the metre, and needs no table.'
            : 'Nothing of this project is cut from it, or everything has been cut already.'}
        </p>
      )}
      {list.faults.map(({ workId, name, why }) => (
        <p key={workId} role="alert" className="mt-3 font-semibold text-error">
          {why === 'vanishes'
            ? `Nothing is left of this layer on “${name}”: its allowances are wider than the piece.`
            : `“${name}” cannot be drawn; correct it under Parts.`}
        </p>
      ))}
      {list.splits.map(({ workId, name, pieces }) => (
        <p key={workId} className="mt-3 font-semibold">
          On “{name}” this layer falls into {counted(pieces, 'piece')}; mark them before they are muddled.
        </p>
      ))}
      {list.mirroredBy.length > 0 && (
        <p className="mt-3 font-semibold">
          Folded cloth gives each of these once as it is and once mirrored: {list.mirroredBy.join(', ')}.
        </p>
      )}
    </>
  );
}

/** That a cloth is wetted heavily, before it is cut or after, and what that does to its size. */
export function TreatmentNotice({ treatment, off }: { treatment: Treatment; off: number }) {
  const { system } = useUnits();
  const { lead, rest } = treatmentWords(treatment, off, system);
  return (
    <p className="mt-3 border-l-4 border-accent pl-3">
      <strong>{keepUnits(lead)}</strong> {keepUnits(rest)}
    </p>
  );
}
