import { Archive, ArchiveRestore, Pencil, Repeat } from 'lucide-react';
import { useState } from 'react';
import { CARES, CARE_WORDS, type Care } from '../../core/choose';
import type { ApiError } from '../../ui/api';
import { call, plainMessage } from '../../ui/api';
import type { Conflict } from '../../ui/saving/saver';
import StaleDialog from '../../ui/StaleDialog';
import { counted } from '../../ui/text';
import type { Project } from '../../store/projects';
import Notions from './Notions';

interface Props {
  project: Project;
  onSaved: (project: Project) => void;
}

interface Draft {
  name: string;
  note: string;
  makes: string;
  variant: string;
  care: Care | 'unsaid';
  version: number;
}

const WORDS = { makes: 'How many are made', variant: 'Variant', care: 'Care', notions: 'Notions', archived: 'Put away' };

/** The project's name, note, variant and how many of it are made, changed in place; and the same thing sewn again. */
export default function ProjectHeading({ project, onSaved }: Props) {
  const [draft, setDraft] = useState<Draft>();
  const [error, setError] = useState<string>();
  const [conflict, setConflict] = useState<Conflict<Project>>();
  const put = async (changed: Project) => {
    const { id, createdAt: _created, updatedAt: _updated, ...body } = changed;
    try {
      onSaved(await call<Project>('PUT', `/api/projects/${id}`, body));
      setDraft(undefined);
      setError(undefined);
    } catch (problem) {
      const fault = problem as ApiError;
      if (fault.status === 409) setConflict({ mine: changed, theirs: fault.current as Project });
      else setError(plainMessage(fault));
    }
  };
  const save = async ({ name, note, makes, variant, care, version }: Draft) => {
    const count = Number(makes);
    if (!Number.isInteger(count) || count < 1 || count > 1000) {
      setError('How many are made is a whole number from 1 to 1000.');
      return;
    }
    const fields = { name: name.trim(), note, variant: variant.trim(), care: care === 'unsaid' ? null : care, makes: count };
    await put({ ...project, ...fields, version });
  };
  const again = async () => {
    try {
      const { id } = await call<{ id: string }>('POST', `/api/projects/${project.id}/again`);
      location.assign(`/projects/${id}`);
    } catch (problem) {
      setError((problem as ApiError).message);
    }
  };
  const set = (change: Partial<Draft>) => setDraft({ ...draft!, ...change });
  return (
    <header className="mb-4">
      {draft ? (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void save(draft);
          }}
        >
          <label className="w-72 font-semibold">
            Name
            <input className="input" value={draft.name} maxLength={120} onChange={(e) => set({ name: e.target.value })} />
          </label>
          <label className="w-28 font-semibold">
            How many
            <input
              className="input"
              type="number"
              min={1}
              max={1000}
              value={draft.makes}
              onChange={(e) => set({ makes: e.target.value })}
            />
          </label>
          <label className="w-56 font-semibold">
            Variant
            <input
              className="input"
              value={draft.variant}
              maxLength={120}
              placeholder="with three tabs"
              onChange={(e) => set({ variant: e.target.value })}
            />
          </label>
          <label className="w-52 font-semibold">
            Care
            <select className="select" value={draft.care} onChange={(e) => set({ care: e.target.value as Draft['care'] })}>
              <option value="unsaid">not said yet</option>
              {CARES.map((care) => (
                <option key={care} value={care}>
                  {CARE_WORDS[care]}
                </option>
              ))}
            </select>
          </label>
          <label className="min-w-60 flex-1 font-semibold">
            Note
            <input className="input" value={draft.note} maxLength={4000} onChange={(e) => set({ note: e.target.value })} />
          </label>
          <button className="btn btn-primary">Save</button>
          <button type="button" className="btn" onClick={() => (setDraft(undefined), setError(undefined))}>
            Leave it
          </button>
        </form>
      ) : (
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-2xl font-bold">{project.name}</h1>
          <p className="quiet min-w-0 flex-1">
            {[
              project.makes > 1 ? `${counted(project.makes, 'piece')} of it are made` : '',
              project.variant,
              project.care ? CARE_WORDS[project.care] : '',
              project.note,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          <button
            type="button"
            className="btn btn-ghost"
            onClick={() =>
              setDraft({
                ...{ name: project.name, note: project.note, variant: project.variant, version: project.version },
                care: project.care ?? 'unsaid',
                makes: String(project.makes),
              })
            }
          >
            <Pencil size={17} aria-hidden="true" /> Rename or make more
          </button>
          <button type="button" className="btn btn-ghost" onClick={() => void again()}>
            <Repeat size={17} aria-hidden="true" /> Sew it again
          </button>
          <button type="button" className="btn btn-ghost" onClick={() => void put({ ...project, archived: !project.archived })}>
            {project.archived ? <ArchiveRestore size={17} aria-hidden="true" /> : <Archive size={17} aria-hidden="true" />}
            {project.archived ? 'Take it up again' : 'Put it away'}
          </button>
        </div>
      )}
      <Notions notions={project.notions} onChange={(notions) => put({ ...project, notions })} />
      {error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {error}
        </p>
      )}
      {conflict && (
        <StaleDialog
          conflict={conflict}
          words={WORDS}
          onTheirs={() => {
            onSaved(conflict.theirs);
            setDraft(undefined);
            setConflict(undefined);
          }}
          onMine={() => {
            const mine = { ...conflict.mine, version: conflict.theirs.version };
            setConflict(undefined);
            void put(mine);
          }}
          onClose={() => setConflict(undefined)}
        />
      )}
    </header>
  );
}
