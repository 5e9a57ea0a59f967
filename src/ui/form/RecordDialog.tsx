import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { call } from '../api';
import FormErrors from './FormErrors';
import RestoredDraft from './RestoredDraft';
import type { KeptForm } from './use-kept-form';
import { useWrite } from '../query';
import type { Conflict } from '../saving/saver';
import StaleDialog from '../StaleDialog';

interface Versioned {
  id: string;
  version: number;
}

interface Props<T extends Versioned, V extends FieldValues> {
  title: string;
  /** Collection that the record belongs to, such as `/api/cloths`. */
  path: string;
  /** Absent for a new one. */
  record: T | undefined;
  of: KeptForm<V>;
  onSaved: (row: T) => void;
  onClose: () => void;
  children: ReactNode;
}

/** A form over one kept record: saves with its version, shows both versions when it was changed elsewhere. */
export default function RecordDialog<T extends Versioned, V extends FieldValues>({
  title,
  path,
  record,
  of,
  onSaved,
  onClose,
  children,
}: Props<T, V>) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [conflict, setConflict] = useState<Conflict<T>>();
  useEffect(() => dialog.current?.showModal(), []);
  const done = (saved: T) => {
    of.forget();
    onSaved(saved);
    dialog.current?.close();
  };
  const saving = useWrite(
    ({ fields, version }: { fields: object; version: number | undefined }) =>
      record ? call<T>('PUT', `${path}/${record.id}`, { ...fields, version }) : call<T>('POST', path, fields),
    {
      onSuccess: done,
      onError: (problem, { fields }) => {
        if (problem.status === 409) setConflict({ mine: { ...record!, ...fields }, theirs: problem.current as T });
        else of.refuse(problem);
      },
    },
  );
  const save = (version = record?.version) => of.form.handleSubmit((fields) => saving.mutate({ fields, version }))();
  return (
    <dialog ref={dialog} className="modal" aria-label={title} onClose={onClose}>
      <div className="modal-box max-w-4xl">
        <h2 className="text-xl font-bold">{title}</h2>
        <form
          className="mt-4 space-y-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <RestoredDraft draft={of} />
          {children}
          <FormErrors of={of} />
          <div className="flex gap-3">
            <button className="btn btn-primary" disabled={saving.isPending}>
              Save
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => {
                of.forget();
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
          onTheirs={() => done(conflict.theirs)}
          onClose={() => setConflict(undefined)}
        />
      )}
    </dialog>
  );
}
