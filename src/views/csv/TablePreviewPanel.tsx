import { useState } from 'react';
import type { Mapping, TablePreview } from '../../formats/csv';
import { CheckField } from '../../ui/form/form-fields';
import { counted } from '../../ui/text';

/** What is left out of what is brought in. */
export interface LeftOut {
  skipFaulty: boolean;
  skipSameName: boolean;
}

interface Props {
  preview: TablePreview;
  /** What a row is. */
  noun: string;
  busy: boolean;
  onMapping: (mapping: Mapping) => void;
  onBringIn: (left: LeftOut) => void;
}

/** Every row of a table as it is understood, before anything of it is kept. */
export default function TablePreviewPanel({ preview, noun, busy, onMapping, onBringIn }: Props) {
  const [skipFaulty, setSkipFaulty] = useState(false);
  const [skipSameName, setSkipSameName] = useState(true);
  return (
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
                  onMapping(e.target.value === '' ? rest : { ...rest, [field]: e.target.value });
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
          {preview.faulty > 0 && <CheckField label="leave the faulty rows out" checked={skipFaulty} onChange={setSkipFaulty} />}
          <button
            type="button"
            className="btn btn-primary"
            disabled={busy || preview.sound === 0 || (preview.faulty > 0 && !skipFaulty)}
            onClick={() => onBringIn({ skipFaulty, skipSameName })}
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
                          ✕ <strong>{preview.fields.find((each) => each.field === field)?.header ?? field}</strong> {message}
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
