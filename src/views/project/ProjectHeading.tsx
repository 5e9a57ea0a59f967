import { Pencil } from 'lucide-react';
import { useState } from 'react';
import type { ApiError } from '../../ui/api';
import { call } from '../../ui/api';
import type { Conflict } from '../../ui/saving/saver';
import StaleDialog from '../../ui/StaleDialog';

interface Project {
  id: string;
  name: string;
  note: string;
  version: number;
}

/** The project's name and note, changed in place. */
export default function ProjectHeading({ project: start }: { project: Project }) {
  const [project, setProject] = useState(start);
  const [draft, setDraft] = useState<Project>();
  const [error, setError] = useState<string>();
  const [conflict, setConflict] = useState<Conflict<Project>>();
  const save = async (changed: Project) => {
    try {
      setProject(
        await call<Project>('PUT', `/api/projects/${changed.id}`, {
          name: changed.name.trim(),
          note: changed.note,
          version: changed.version,
        }),
      );
      setDraft(undefined);
      setError(undefined);
    } catch (problem) {
      const fault = problem as ApiError;
      if (fault.status === 409) setConflict({ mine: changed, theirs: fault.current as Project });
      else setError(fault.message);
    }
  };
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
            <input
              className="input"
              value={draft.name}
              maxLength={120}
              onChange={(e) => setDraft({ ...draft, name: e.target.value })}
            />
          </label>
          <label className="min-w-60 flex-1 font-semibold">
            Note
            <input
              className="input"
              value={draft.note}
              maxLength={4000}
              onChange={(e) => setDraft({ ...draft, note: e.target.value })}
            />
          </label>
          <button className="btn btn-primary">Save</button>
          <button type="button" className="btn" onClick={() => setDraft(undefined)}>
            Leave it
          </button>
          {error && (
            <p role="alert" className="w-full font-semibold text-error">
              {error}
            </p>
          )}
        </form>
      ) : (
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-2xl font-bold">{project.name}</h1>
          <p className="quiet min-w-0 flex-1">{project.note}</p>
          <button type="button" className="btn btn-ghost" onClick={() => setDraft(project)}>
            <Pencil size={17} aria-hidden="true" /> Rename
          </button>
        </div>
      )}
      {conflict && (
        <StaleDialog
          conflict={conflict}
          onTheirs={() => {
            setProject(conflict.theirs);
            setDraft(undefined);
            setConflict(undefined);
          }}
          onMine={() => {
            const mine = { ...conflict.mine, version: conflict.theirs.version };
            setConflict(undefined);
            void save(mine);
          }}
          onClose={() => setConflict(undefined)}
        />
      )}
    </header>
  );
}
