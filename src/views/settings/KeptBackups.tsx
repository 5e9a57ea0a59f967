import { useState } from 'react';
import type { BackupCount } from '../../store/backup';
import { call } from '../../ui/api';
import { useAsked, useWrite } from '../../ui/query';
import { counted, readableDate } from '../../ui/text';

interface Answer {
  folder: string;
  /** The person named the folder. */
  own: boolean;
  version: number;
  made: { at: string; name: string } | null;
  trouble: string | null;
  drill: { at: string; tables: number; rows: number } | null;
  backups: { name: string; day: string; size: number }[];
}
interface Looked {
  count: BackupCount;
  changes: string[];
}

/** Backups listed before the older ones are asked for. */
const LISTED = 4;

/** Backups that are made by themselves: how the last one went, what each would bring back, and a drill. */
export default function KeptBackups() {
  const { answer, error, again } = useAsked<Answer>('/api/backups');
  const refresh = () => void again();
  const make = useWrite(() => call('POST', '/api/backups'), { onSettled: refresh });
  const drill = useWrite(() => call<NonNullable<Answer['drill']>>('POST', '/api/backups/drill'), { onSettled: refresh });
  const [all, setAll] = useState(false);
  const [looked, setLooked] = useState<string>();
  if (!answer) return error ? <p role="alert">{error}</p> : <p>Looking …</p>;
  const { made, trouble, backups, folder } = answer;
  const told = make.error?.message ?? drill.error?.message ?? trouble;
  return (
    <div className="space-y-3">
      <p>
        A backup is made by itself every day; the last seven and the last of each month stay.{' '}
        {made ? `The last one was made on ${readableDate(made.at)} and looked through.` : 'The first one is made soon.'}
      </p>
      {told && !make.isPending && (
        <p role="alert" className="font-semibold text-error">
          {told}
        </p>
      )}
      <BackupFolder key={folder} folder={folder} own={answer.own} version={answer.version} onChange={refresh} />
      <div className="flex flex-wrap gap-3">
        <button type="button" className="btn" disabled={make.isPending} onClick={() => make.mutate(undefined)}>
          {make.isPending ? 'Making one …' : 'Make one now'}
        </button>
        <button type="button" className="btn" disabled={drill.isPending} onClick={() => drill.mutate(undefined)}>
          {drill.isPending ? 'Trying …' : 'Could everything be brought back?'}
        </button>
      </div>
      {answer.drill && (
        <p className="border-l-4 border-success pl-3">
          Everything could be brought back: {answer.drill.tables} tables, {answer.drill.rows.toLocaleString('en')} rows, compared
          one by one {isToday(answer.drill.at) ? 'today' : `on ${readableDate(answer.drill.at)}`}.
        </p>
      )}
      <ul className="divide-y divide-base-300">
        {(all ? backups : backups.slice(0, LISTED)).map(({ name, day, size }) => (
          <li key={name} className="py-2">
            <div className="flex flex-wrap items-center gap-3">
              <strong className="flex-1">{readableDate(day)}</strong>
              <span className="quiet">{megabytes(size)}</span>
              <button
                type="button"
                className="btn"
                aria-expanded={looked === name}
                onClick={() => setLooked(looked === name ? undefined : name)}
              >
                What has changed since<span className="sr-only"> {readableDate(day)}</span>
              </button>
            </div>
            {looked === name && <OneBackup name={name} />}
          </li>
        ))}
      </ul>
      {!all && backups.length > LISTED && (
        <button type="button" className="btn btn-ghost" onClick={() => setAll(true)}>
          {counted(backups.length - LISTED, 'older one')}
        </button>
      )}
    </div>
  );
}

function OneBackup({ name }: { name: string }) {
  const { answer, error } = useAsked<Looked>(`/api/backups/${encodeURIComponent(name)}/changes`);
  const restore = useWrite(() => call<BackupCount>('POST', `/api/backups/${encodeURIComponent(name)}/restore`), {
    // All that is shown was of what was there before.
    onSuccess: () => location.reload(),
  });
  const trouble = error ?? restore.error?.message;
  if (trouble) return <p role="alert">{trouble}</p>;
  if (!answer) return <p>Looking …</p>;
  const { count, changes } = answer;
  return (
    <div className="mt-2 border-l-4 border-accent pl-3">
      <p>
        It holds {counted(count.projects, 'project')}, {counted(count.cloths, 'cloth')},{' '}
        {counted(count.log, 'logbook entry', 'logbook entries')}, {counted(count.motifs, 'motif')}.
      </p>
      {changes.length === 0 ? (
        <p>Nothing has changed since.</p>
      ) : (
        <>
          <p className="mt-1">Since then, which bringing it back takes away:</p>
          <ul className="list-disc pl-5">
            {changes.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
      <button
        type="button"
        className="btn btn-primary mt-2"
        disabled={restore.isPending}
        onClick={() => restore.mutate(undefined)}
      >
        {restore.isPending ? 'Bringing it back …' : 'Bring this one back'}
      </button>
      <p className="quiet mt-1 text-[0.95rem]">What is here now stays in a file beside the database.</p>
    </div>
  );
}

/** Where backups are written, and another folder. */
function BackupFolder({
  folder,
  own,
  version,
  onChange,
}: {
  folder: string;
  own: boolean;
  version: number;
  onChange: () => void;
}) {
  const [typed, setTyped] = useState<string>();
  const save = useWrite((to: string | null) => call('PUT', '/api/backups', { folder: to, version }), {
    onSuccess: () => {
      setTyped(undefined);
      onChange();
    },
  });
  if (typed === undefined)
    return (
      <p className="flex flex-wrap items-center gap-x-3">
        <span className="min-w-0 break-all">
          They lie in <strong>{folder}</strong>
        </span>
        <button type="button" className="btn" onClick={() => setTyped(own ? folder : '')}>
          Another folder
        </button>
      </p>
    );
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(typed.trim() === '' ? null : typed.trim());
      }}
    >
      <label className="min-w-60 flex-1 font-semibold">
        Folder, best on another disk
        <input className="input mt-1 w-full" value={typed} maxLength={1000} onChange={(event) => setTyped(event.target.value)} />
      </label>
      <button className="btn btn-primary" disabled={save.isPending}>
        Write there
      </button>
      <button type="button" className="btn" onClick={() => setTyped(undefined)}>
        Leave it
      </button>
      {save.error && (
        <p role="alert" className="w-full font-semibold text-error">
          {save.error.message}
        </p>
      )}
    </form>
  );
}

const isToday = (at: string) => at.slice(0, 10) === new Date().toISOString().slice(0, 10);
const megabytes = (bytes: number) => `${(bytes / 1024 / 1024).toFixed(1)} MB`;
