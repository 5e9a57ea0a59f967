import { useEffect, useRef } from 'react';
import { differences } from './saving/differences';
import type { Conflict } from './saving/saver';
import { useUnits } from './units-context';

interface Props<T> {
  conflict: Conflict<T>;
  /** Names of fields in words, where the plain name of the field would not do. */
  words?: Readonly<Record<string, string>>;
  onMine: () => void;
  onTheirs: () => void;
  onClose: () => void;
}

/** Shows in which fields two versions differ and lets the person say which one stays. Nothing is lost until then. */
export default function StaleDialog<T extends object>({ conflict, words, onMine, onTheirs, onClose }: Props<T>) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const { system } = useUnits();
  const rows = differences(conflict.mine, conflict.theirs, words, system);
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-label="Changed elsewhere"
      onClose={(event) => {
        // React hands this on to the form dialog that this one stands in, which must stay open.
        event.stopPropagation();
        onClose();
      }}
      onCancel={(event) => event.stopPropagation()}
    >
      <div className="modal-box max-w-3xl">
        <h2 className="text-xl font-bold">This was changed in another tab</h2>
        {rows.length === 0 ? (
          <p className="mt-1">Both versions say the same. Keep either.</p>
        ) : (
          <>
            <p className="mt-1">Nothing was overwritten. This is where the two versions differ:</p>
            <table className="mt-4 table text-base">
              <thead>
                <tr className="text-base">
                  <th scope="col">Field</th>
                  <th scope="col">Yours</th>
                  <th scope="col">Saved meanwhile</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(({ field, mine, theirs }) => (
                  <tr key={field}>
                    <th scope="row">{field}</th>
                    <td>{mine}</td>
                    <td>{theirs}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
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
