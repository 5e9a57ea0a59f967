import { useEffect, useRef } from 'react';
import { useForm } from 'react-hook-form';
import { CARE_WORDS, CARES, type Care } from '../../core/choose';
import { capital } from '../../core/letters';
import { DUTY_WORDS } from '../../core/workpiece';
import Field from '../../ui/form/Field';
import { counted } from '../../ui/text';
import type { Cloth } from '../../store/cloths';
import { ClothField } from './ClothSelect';
import { changesOf, type RowChange, type SeveralChange } from './several';
import { tree, type Rows } from './worked';

interface Props {
  rows: Rows;
  cloths: readonly Cloth[];
  clothName: (id: string | null) => string;
  onChange: (changes: RowChange[], words: string) => void;
  onClose: () => void;
}

interface Values {
  kind: 'cloth' | 'care' | 'cloth-cut' | 'layer-cut';
  clothId: string | null;
  care: Care;
  done: 'yes' | 'no';
  cuts: string[];
}

const KINDS: readonly (readonly [Values['kind'], string])[] = [
  ['cloth', 'what they are cut from'],
  ['care', 'how they are washed'],
  ['cloth-cut', 'whether the cloth is cut'],
  ['layer-cut', 'whether the layers are cut'],
];

/** One change of many pieces: cloth, care, or what is cut. */
export default function SeveralDialog({ rows, cloths, clothName, onChange, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const { register, handleSubmit, setValue, watch } = useForm<Values>({
    defaultValues: { kind: 'cloth', clothId: rows.cuts[0]?.clothId ?? null, care: 'wash-warm', done: 'yes', cuts: [] },
  });
  const values = watch();
  const what: SeveralChange =
    values.kind === 'cloth'
      ? { kind: 'cloth', clothId: values.clothId }
      : values.kind === 'care'
        ? { kind: 'care', care: values.care }
        : { kind: values.kind, done: values.done === 'yes' };
  const changes = changesOf(rows, new Set(values.cuts), what);
  const rechosen = what.kind === 'cloth' ? changes.filter(({ level }) => level === 'jobs').length : 0;
  const changed = new Set(changes.map(({ level, row }) => (level === 'cuts' ? row.id : (row as { cutId: string }).cutId))).size;
  const all = rows.cuts.map(({ id }) => id);
  return (
    <dialog ref={dialog} className="modal" aria-label="Change several pieces" onClose={onClose}>
      <div className="modal-box max-w-2xl">
        <h2 className="text-xl font-bold">Change several pieces at once</h2>
        <form
          className="mt-4 space-y-4"
          onSubmit={(event) =>
            void handleSubmit(() => {
              onChange(changes, `Changed for ${counted(changed, 'cut')}.`);
              dialog.current?.close();
            })(event)
          }
        >
          <div className="grid gap-4 sm:grid-cols-2">
            <Field label="Change" id="several-kind">
              <select id="several-kind" className="select" {...register('kind')}>
                {KINDS.map(([kind, words]) => (
                  <option key={kind} value={kind}>
                    {words}
                  </option>
                ))}
              </select>
            </Field>
            {values.kind === 'cloth' ? (
              <ClothField
                label="Cut from"
                id="several-cloth"
                value={values.clothId}
                cloths={cloths}
                onChange={(id) => setValue('clothId', id)}
              />
            ) : values.kind === 'care' ? (
              <Field label="Care" id="several-care">
                <select id="several-care" className="select" {...register('care')}>
                  {CARES.map((care) => (
                    <option key={care} value={care}>
                      {CARE_WORDS[care]}
                    </option>
                  ))}
                </select>
              </Field>
            ) : (
              <Field label={values.kind === 'cloth-cut' ? 'The cloth is' : 'The layers are'} id="several-done">
                <select id="several-done" className="select" {...register('done')}>
                  <option value="yes">cut</option>
                  <option value="no">not cut yet</option>
                </select>
              </Field>
            )}
          </div>
          <fieldset>
            <legend className="mb-1 flex w-full items-center font-semibold">
              <span className="flex-1">For which</span>
              <button
                type="button"
                className="btn btn-ghost btn-sm min-h-11"
                onClick={() => setValue('cuts', values.cuts.length === all.length ? [] : all)}
              >
                {values.cuts.length === all.length ? 'None of them' : 'All of them'}
              </button>
            </legend>
            <ul className="max-h-72 divide-y divide-base-300 overflow-auto rounded-box border border-base-300">
              {tree(rows).flatMap(({ piece, cuts }) =>
                cuts.map(({ cut }) => (
                  <li key={cut.id}>
                    <label className="flex min-h-11 cursor-pointer items-center gap-3 px-3 py-1">
                      <input type="checkbox" className="checkbox" value={cut.id} {...register('cuts')} />
                      <span>
                        <span className="font-semibold">{piece.name}</span>{' '}
                        <span className="quiet">
                          {capital(DUTY_WORDS[cut.duty])}, {clothName(cut.clothId)}
                        </span>
                      </span>
                    </label>
                  </li>
                )),
              )}
            </ul>
          </fieldset>
          {rechosen > 0 && (
            <p className="font-semibold">
              {counted(rechosen, 'job')} on {rechosen === 1 ? 'it has' : 'them have'} layers for another cloth and will be asked
              again.
            </p>
          )}
          <div className="flex gap-3">
            <button className="btn btn-primary" disabled={changes.length === 0}>
              {changes.length === 0 ? 'Nothing to change' : `Change ${counted(changed, 'cut')}`}
            </button>
            <button type="button" className="btn" onClick={() => dialog.current?.close()}>
              Not now
            </button>
          </div>
        </form>
      </div>
    </dialog>
  );
}
