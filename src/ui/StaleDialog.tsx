import { useEffect, useRef } from 'react';

/** Two versions of one row: what this tab wanted to save, and what another tab saved meanwhile. */
export interface Conflict<T> {
  mine: T;
  theirs: T;
}

interface Props<T> {
  conflict: Conflict<T>;
  /** Field names and their values in words. */
  describe: (row: T) => [string, string][];
  onMine: () => void;
  onTheirs: () => void;
  onClose: () => void;
}

/** Shows both versions side by side and lets the person say which one stays. Nothing is lost until then. */
export default function StaleDialog<T>({ conflict, describe, onMine, onTheirs, onClose }: Props<T>) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const mine = describe(conflict.mine);
  const theirs = describe(conflict.theirs);
  return (
    <dialog ref={dialog} className="modal" aria-label="Changed elsewhere" onClose={onClose}>
      <div className="modal-box max-w-3xl">
        <h2 className="text-xl font-bold">This was changed in another tab</h2>
        <p className="mt-1">Nothing was overwritten. Here are both versions; the rows that differ are marked.</p>
        <table className="mt-4 table text-base">
          <thead>
            <tr className="text-base">
              <th scope="col">Field</th>
              <th scope="col">Yours</th>
              <th scope="col">Saved meanwhile</th>
            </tr>
          </thead>
          <tbody>
            {mine.map(([field, value], i) => {
              const other = theirs[i]?.[1] ?? '';
              const differs = value !== other;
              return (
                <tr key={field} className={differs ? 'bg-accent/30' : ''}>
                  <th scope="row">
                    {differs ? '≠ ' : ''}
                    {field}
                  </th>
                  <td>{value}</td>
                  <td>{other}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <div className="mt-5 flex flex-wrap gap-3">
          <button type="button" className="btn btn-primary" onClick={onMine}>
            Save mine over it
          </button>
          <button type="button" className="btn" onClick={onTheirs}>
            Keep the other, drop mine
          </button>
          <button type="button" className="btn btn-ghost" onClick={() => dialog.current?.close()}>
            Go back to my form
          </button>
        </div>
      </div>
    </dialog>
  );
}
