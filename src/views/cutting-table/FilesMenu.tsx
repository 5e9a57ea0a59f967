import { useState } from 'react';
import type { CutTable } from '../../store/cut-tables';

interface Props {
  table: CutTable | null;
  disabled: boolean;
  /** Saves what has changed first, so that the files show it. */
  onReady: () => Promise<CutTable | undefined>;
}

const FILES = [
  ['list.pdf', 'Cutting list'],
  ['templates.pdf', 'Templates at full size'],
  ['layout.pdf', 'Layout on one page'],
  ['layout.svg', 'Layout as SVG'],
  ['layout.dxf', 'Layout as DXF'],
] as const;

/** Prints and files of a table. */
export default function FilesMenu({ table, disabled, onReady }: Props) {
  const [paper, setPaper] = useState('a4');
  const fetchFile = async (file: string) => {
    const saved = await onReady();
    if (saved) location.assign(`/api/tables/${saved.id}/files/${file}?paper=${paper}`);
  };
  if (disabled)
    return (
      <button type="button" className="btn" disabled>
        Prints and files
      </button>
    );
  return (
    <details className="dropdown dropdown-top">
      <summary className="btn">Prints and files</summary>
      <div className="dropdown-content sheet z-20 mb-2 w-72 space-y-1 p-3">
        <label className="block font-semibold">
          Paper
          <select className="select" value={paper} onChange={(e) => setPaper(e.target.value)}>
            <option value="a4">A4</option>
            <option value="letter">Letter</option>
            <option value="a3">A3</option>
          </select>
        </label>
        {FILES.map(([file, words]) => (
          <button
            key={file}
            type="button"
            className="btn w-full justify-start btn-ghost"
            disabled={disabled}
            onClick={() => void fetchFile(file)}
          >
            {words}
          </button>
        ))}
        {table === null && <p className="quiet text-[0.92rem]">Lay the pieces first.</p>}
      </div>
    </details>
  );
}
