import { Download, FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Mapping, TableKind, TablePreview } from '../../formats/csv';
import { useAsked, useRested, useSame } from '../../ui/query';
import { call, type ApiError, plainMessage } from '../../ui/api';
import { CheckField } from '../../ui/form/form-fields';
import { counted } from '../../ui/text';

/** What a table brought in. */
interface Brought {
  added: number;
  leftOut: number;
  sameName: number;
  ids: string[];
}

/** Cloths or layers from a spreadsheet and back: match the columns, see every row, bring in all or nothing. */
export default function CsvView({ startKind }: { startKind: TableKind }) {
  const [kind, setKind] = useState<TableKind>(startKind);
  const [text, setText] = useState('');
  const [mapping, setMapping] = useState<Mapping>();
  const [refused, setFault] = useState<string>();
  const [skipFaulty, setSkipFaulty] = useState(false);
  const [skipSameName, setSkipSameName] = useState(true);
  const [done, setDone] = useState<Brought>();
  const [busy, setBusy] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const noun = kind === 'cloths' ? 'cloth' : 'layer';

  const question = useRested(useSame({ kind, text, ...(mapping ? { mapping } : {}) }), 250);
  const asked = useAsked<TablePreview>(text.trim() === '' ? undefined : '/api/csv/preview', question);
  const preview = text.trim() === '' || asked.problem ? undefined : asked.answer;
  const fault = refused ?? (asked.problem && plainMessage(asked.problem));
  const take = (next: string) => {
    setText(next);
    setMapping(undefined);
    setDone(undefined);
  };
  const bringIn = async () => {
    setBusy(true);
    setFault(undefined);
    try {
      const answer = await call<Brought>('POST', '/api/csv/import', {
        kind,
        text,
        ...(preview ? { mapping: preview.mapping } : {}),
        skipFaulty,
        skipSameName,
      });
      setDone(answer);
      setText('');
    } catch (error) {
      setFault(plainMessage(error as ApiError));
    } finally {
      setBusy(false);
    }
  };
  const takeBack = async ({ ids }: Brought) => {
    setBusy(true);
    try {
      await call('POST', '/api/csv/undo', { kind, ids });
      setDone(undefined);
    } catch (error) {
      setFault(plainMessage(error as ApiError));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <p className="quiet">
        <a
          className="font-semibold text-primary underline underline-offset-2"
          href={`/cupboard?shelf=${kind === 'cloths' ? 'cloth' : 'layers'}`}
        >
          Cupboard
        </a>{' '}
        · tables
      </p>
      <h1 className="text-2xl font-bold">Tables in and out</h1>
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <div className="join" role="group" aria-label="What the table holds">
          {(['cloths', 'layers'] as const).map((each) => (
            <input
              key={each}
              type="radio"
              name="table-kind"
              className="btn join-item"
              aria-label={each}
              checked={kind === each}
              onChange={() => {
                setKind(each);
                setMapping(undefined);
                setDone(undefined);
              }}
            />
          ))}
        </div>
        <a className="btn" href={`/api/export/${kind}.csv?mine=yes`} download>
          <Download size={18} aria-hidden="true" /> Save mine as a table
        </a>
        <a className="btn" href={`/api/export/${kind}.csv`} download>
          <Download size={18} aria-hidden="true" /> Save all, the library too
        </a>
      </div>
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[22rem_1fr]">
        <section className="sheet p-4" aria-label="Bring a table in">
          <h2 className="chalk-heading">Bring a table in</h2>
          <p>A CSV file with headings in its first line, one {noun} in each line below.</p>
          <input
            ref={picker}
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            aria-label="Table file"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (!file) return;
              if (file.size > 5_000_000) setFault(`“${file.name}” is larger than 5 MB. Bring it in in parts.`);
              else void file.text().then((read) => take(read));
            }}
          />
          <button type="button" className="btn btn-primary mt-3 w-full" onClick={() => picker.current?.click()}>
            <FileUp size={18} aria-hidden="true" /> Choose a file
          </button>
          <label className="mt-3 block">
            <span className="font-semibold">Or paste it here</span>
            <textarea
              className="textarea mt-1 h-32 font-mono text-[0.88rem]"
              value={text}
              placeholder={
                kind === 'cloths'
                  ? 'name;weight;fibres\nHarbour check;165;100 cotton'
                  : 'name;family;form;weight;thickness;bending length\nMy veil;nonwoven;fusible;20;0.1;22'
              }
              onChange={(e) => take(e.target.value)}
            />
          </label>
          {fault && (
            <p role="alert" className="mt-2 font-semibold text-error">
              {fault}
            </p>
          )}
          {done && (
            <>
              <p role="status" className="mt-2 rounded-box border-2 border-success p-3">
                <strong>{counted(done.added, noun)} brought in.</strong>
                {done.leftOut > 0 && ` ${counted(done.leftOut, 'faulty row')} left out.`}
                {done.sameName > 0 && ` ${counted(done.sameName, 'row')} left out because the name is there already.`}
              </p>
              {done.added > 0 && (
                <button type="button" className="btn mt-2" disabled={busy} onClick={() => void takeBack(done)}>
                  Undo
                </button>
              )}
            </>
          )}
        </section>
        <section aria-label="Preview" className="min-w-0">
          {preview ? (
            <div className="space-y-4">
              <details
                className="sheet p-4"
                open={preview.fields.some(({ field, required }) => required && preview.mapping[field] === undefined)}
              >
                <summary className="min-h-[32px] cursor-pointer chalk-heading">
                  Columns: {Object.keys(preview.mapping).length} of {preview.headings.length} are used
                </summary>
                <div className="mt-2 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
                  {preview.fields.map(({ field, header, required }) => (
                    <label key={field} className="block">
                      <span className="text-[0.95rem] font-semibold">
                        {header}
                        {required && ' (needed)'}
                      </span>
                      <select
                        className="select"
                        value={preview.mapping[field] ?? ''}
                        onChange={(e) => {
                          const { [field]: _old, ...rest } = preview.mapping;
                          setMapping(e.target.value === '' ? rest : { ...rest, [field]: e.target.value });
                        }}
                      >
                        <option value="">not in the table</option>
                        {preview.headings.map((heading) => (
                          <option key={heading} value={heading}>
                            {heading}
                          </option>
                        ))}
                      </select>
                    </label>
                  ))}
                </div>
              </details>
              <div className="flex flex-wrap items-center justify-between gap-3">
                <p>
                  <strong>{counted(preview.sound, 'row')}</strong> can be brought in
                  {preview.faulty > 0 && (
                    <>
                      , <strong className="text-error">{counted(preview.faulty, 'row')}</strong>{' '}
                      {preview.faulty === 1 ? 'has a fault' : 'have faults'}
                    </>
                  )}
                  .
                </p>
                <div className="flex flex-wrap items-center gap-x-5">
                  <CheckField label="leave out names that are there already" checked={skipSameName} onChange={setSkipSameName} />
                  {preview.faulty > 0 && (
                    <CheckField label="leave the faulty rows out" checked={skipFaulty} onChange={setSkipFaulty} />
                  )}
                  <button
                    type="button"
                    className="btn btn-primary"
                    disabled={busy || preview.sound === 0 || (preview.faulty > 0 && !skipFaulty)}
                    onClick={() => void bringIn()}
                  >
                    Bring in {counted(preview.sound, noun)}
                  </button>
                </div>
              </div>
              <div
                className="max-h-[52vh] overflow-auto rounded-box border border-base-300"
                tabIndex={0}
                role="region"
                aria-label="Rows of the table"
              >
                <table className="table text-base">
                  <thead>
                    <tr className="text-base">
                      <th scope="col">Line</th>
                      <th scope="col">Name</th>
                      <th scope="col">What is read, or what is wrong</th>
                    </tr>
                  </thead>
                  <tbody>
                    {preview.rows.map(({ row, name, record, faults }) => (
                      <tr key={row} className={faults.length > 0 ? 'bg-error/10' : ''}>
                        <td>{row}</td>
                        <td className="font-semibold">{name || '—'}</td>
                        <td>
                          {faults.length > 0
                            ? faults.map(({ field, message }) => (
                                <p key={field} className="text-error">
                                  ✕ <strong>{preview.fields.find((each) => each.field === field)?.header ?? field}</strong>{' '}
                                  {message}
                                </p>
                              ))
                            : summary(record!)}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
              {preview.sound + preview.faulty > preview.rows.length && (
                <p className="quiet">
                  The first {preview.rows.length} of {preview.sound + preview.faulty} rows are shown, faulty ones first.
                </p>
              )}
            </div>
          ) : (
            <div className="sheet p-6">
              <h2 className="chalk-heading">Nothing to see yet</h2>
              <p className="mt-1">
                Choose a file or paste a table. You will see every row as it is understood before anything is kept. “Save all”
                gives a table with all columns to fill in.
              </p>
            </div>
          )}
        </section>
      </div>
    </>
  );
}

/** A sound row in a few words. */
function summary(record: Record<string, unknown>): string {
  const parts = [
    `${Math.round(record['arealDensity'] as number)} g/m²`,
    record['construction'] ?? record['family'],
    record['weave'] ?? record['form'],
    Array.isArray(record['fibres'])
      ? (record['fibres'] as { fibre: string; percent: number }[]).map(({ fibre, percent }) => `${percent} % ${fibre}`).join(', ')
      : '',
  ];
  return parts.filter(Boolean).join(' · ');
}
