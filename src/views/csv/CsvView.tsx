import { Download, FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Mapping, TableKind, TablePreview } from '../../formats/csv';
import TablePreviewPanel, { type LeftOut } from './TablePreviewPanel';
import { useAsked, useRested, useSame } from '../../ui/query';
import { call, type ApiError, plainMessage } from '../../ui/api';
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
  const [done, setDone] = useState<Brought>();
  const [busy, setBusy] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const noun = kind === 'cloths' ? 'cloth' : 'layer';

  const question = useRested(useSame({ kind, text, ...(mapping ? { mapping } : {}) }), 250);
  // Only the text that stands there is asked about and can be brought in, never the one before it that has not come to rest.
  const rested = question.text === text && question.kind === kind;
  const asked = useAsked<TablePreview>(!rested || text.trim() === '' ? undefined : '/api/csv/preview', question);
  const preview = text.trim() === '' || asked.problem ? undefined : asked.answer;
  const fault = refused ?? (asked.problem && plainMessage(asked.problem));
  const take = (next: string) => {
    setText(next);
    setMapping(undefined);
    setDone(undefined);
  };
  const bringIn = async (left: LeftOut) => {
    setBusy(true);
    setFault(undefined);
    try {
      const answer = await call<Brought>('POST', '/api/csv/import', {
        kind,
        text,
        ...(preview ? { mapping: preview.mapping } : {}),
        ...left,
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
            <TablePreviewPanel
              preview={preview}
              noun={noun}
              busy={busy || !rested || !asked.current}
              onMapping={setMapping}
              onBringIn={(left) => void bringIn(left)}
            />
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
