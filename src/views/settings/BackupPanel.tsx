import { useState } from 'react';
import { call } from '../../ui/api';
import { counted } from '../../ui/text';
import { broughtIn } from './brought-in';
import KeptBackups from './KeptBackups';

interface BackupCount {
  cloths: number;
  layers: number;
  projects: number;
  log: number;
  motifs: number;
}

/** Everything in one file and back again; and bundles, to hand single things on. */
export default function BackupPanel() {
  const [words, setWords] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [file, setFile] = useState<File>();
  const work = async (action: () => Promise<string>) => {
    setBusy(true);
    setWords(undefined);
    try {
      setWords(await action());
    } catch (problem) {
      setWords(`${(problem as Error).message} Nothing was changed.`);
    } finally {
      setBusy(false);
    }
  };
  const restore = (backup: File) =>
    work(async () => {
      const response = await fetch('/api/backup', { method: 'POST', body: backup });
      const answer = (await response.json()) as BackupCount & { error?: { message: string } };
      if (!response.ok) throw new Error(answer.error?.message ?? `The server answered ${response.status}.`);
      setFile(undefined);
      return `The backup is back: ${counted(answer.projects, 'project')}, ${counted(answer.cloths, 'cloth')}, ${counted(answer.layers, 'layer')}, ${counted(answer.log, 'logbook entry', 'logbook entries')}, ${counted(answer.motifs, 'motif')}. What was here before is kept beside it.`;
    });
  const bringIn = (bundle: File | undefined) =>
    bundle &&
    work(async () => {
      let parsed: unknown;
      try {
        parsed = JSON.parse(await bundle.text());
      } catch {
        throw new Error('That file is not a bundle: it is not valid JSON.');
      }
      return broughtIn(await call<Record<string, number>>('POST', '/api/bundle', parsed));
    });
  return (
    <section className="sheet space-y-3 p-5" aria-labelledby="backup">
      <h2 id="backup" className="chalk-heading">
        Keep it safe
      </h2>
      <KeptBackups />
      <p className="pt-2">
        A backup is one file with everything: projects, logbook, cupboard, readings, settings, benches, and what was deleted.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <a className="btn" href="/api/backup" download>
          Save a backup
        </a>
        <label className="btn">
          Bring a backup back
          <input
            type="file"
            accept=".db,application/vnd.sqlite3"
            className="sr-only"
            onChange={(e) => {
              setFile(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
      </div>
      {file && (
        <div className="border-l-4 border-accent pl-3">
          <p>“{file.name}” takes the place of everything that is here now. What is here stays in a file beside the database.</p>
          <div className="mt-2 flex gap-3">
            <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void restore(file)}>
              Bring it back
            </button>
            <button type="button" className="btn" onClick={() => setFile(undefined)}>
              Leave it
            </button>
          </div>
        </div>
      )}
      <p className="pt-2">A bundle adds to what is there: your projects, own cloths and layers, motifs, scraps and logbook.</p>
      <div className="flex flex-wrap items-center gap-3">
        <a className="btn" href="/api/bundle" download="nembrel-bundle.json">
          Save a bundle
        </a>
        <label className="btn">
          Bring a bundle in
          <input
            type="file"
            accept="application/json,.json"
            className="sr-only"
            onChange={(e) => void bringIn(e.target.files?.[0])}
          />
        </label>
      </div>
      <p role="status">{busy ? 'Working …' : words}</p>
    </section>
  );
}
