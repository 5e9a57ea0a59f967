import { useEffect, useRef, useState, type ReactNode } from 'react';
import { InputError } from '../../core/input-error';
import type { ApiError } from '../../ui/api';
import { call, plainMessage } from '../../ui/api';
import type { Draft } from '../../ui/use-draft';
import type { Conflict } from '../../ui/saving/saver';
import RestoredDraft from '../../ui/RestoredDraft';
import StaleDialog from '../../ui/StaleDialog';

interface Versioned {
  id: string;
  version: number;
}

interface Props<T extends Versioned> {
  title: string;
  /** Collection that the record belongs to, such as `/api/cloths`. */
  path: string;
  /** Absent for a new one. */
  record: T | undefined;
  /** Reads the form; throws an {@link InputError} for what cannot be read. */
  read: () => object;
  /** What is typed, kept in the browser until it is saved. */
  draft?: Pick<Draft<unknown>, 'restored' | 'forget' | 'anew'>;
  onSaved: (row: T) => void;
  onClose: () => void;
  children: (errors: Record<string, string>) => ReactNode;
}

/** A form over one kept record: saves with its version, shows both versions when it was changed elsewhere. */
export default function RecordDialog<T extends Versioned>({
  title,
  path,
  record,
  read,
  draft,
  onSaved,
  onClose,
  children,
}: Props<T>) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [conflict, setConflict] = useState<Conflict<T>>();
  const [busy, setBusy] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);

  const save = async (version = record?.version) => {
    setErrors({});
    let fields: object;
    try {
      fields = read();
    } catch (problem) {
      if (!(problem instanceof InputError)) throw problem;
      setErrors({ [problem.field]: problem.message.replace(`${problem.field}: `, '') });
      return;
    }
    setBusy(true);
    try {
      const saved = record
        ? await call<T>('PUT', `${path}/${record.id}`, { ...fields, version })
        : await call<T>('POST', path, fields);
      draft?.forget();
      onSaved(saved);
      dialog.current?.close();
    } catch (problem) {
      const error = problem as ApiError;
      if (error.status === 409) setConflict({ mine: { ...record!, ...fields }, theirs: error.current as T });
      else {
        // Under the very field where the form has it, and under what that belongs to.
        const field = error.field ?? 'general';
        setErrors({ [field]: plainMessage(error), [field.replace(/[.[].*$/, '')]: plainMessage(error) });
      }
    } finally {
      setBusy(false);
    }
  };
  return (
    <dialog ref={dialog} className="modal" aria-label={title} onClose={onClose}>
      <div className="modal-box max-w-4xl">
        <h2 className="text-xl font-bold">{title}</h2>
        <form
          className="mt-4 space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          {draft && <RestoredDraft draft={draft} />}
          {children(errors)}
          {Object.keys(errors).length > 0 && (
            <p role="alert" className="font-semibold text-error">
              {errors['general'] ?? 'Not saved yet: see the field marked above. Everything you typed is still here.'}
            </p>
          )}
          <div className="flex gap-3">
            <button className="btn btn-primary" disabled={busy}>
              Save
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => {
                draft?.forget();
                dialog.current?.close();
              }}
            >
              Leave it as it was
            </button>
          </div>
        </form>
      </div>
      {conflict && (
        <StaleDialog
          conflict={conflict}
          onMine={() => {
            const { version } = conflict.theirs;
            setConflict(undefined);
            void save(version);
          }}
          onTheirs={() => {
            draft?.forget();
            onSaved(conflict.theirs);
            dialog.current?.close();
          }}
          onClose={() => setConflict(undefined)}
        />
      )}
    </dialog>
  );
}
