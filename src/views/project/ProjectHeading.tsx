import { Archive, ArchiveRestore, Pencil, Repeat } from 'lucide-react';
import { useState } from 'react';
import { CARE_WORDS } from '../../core/choose';
import { useWrite } from '../../ui/query';
import { call, plainMessage } from '../../ui/api';
import type { Conflict } from '../../ui/saving/saver';
import StaleDialog from '../../ui/StaleDialog';
import { counted } from '../../ui/text';
import type { Project } from '../../store/projects';
import Notions from './Notions';
import ProjectFields from './ProjectFields';

interface Props {
  project: Project;
  onSaved: (project: Project) => void;
}

const WORDS = { makes: 'How many are made', variant: 'Variant', care: 'Care', notions: 'Notions', archived: 'Put away' };

/** The project's name, note, variant and how many of it are made, changed in place; and the same thing sewn again. */
export default function ProjectHeading({ project, onSaved }: Props) {
  const [editing, setEditing] = useState(false);
  const [conflict, setConflict] = useState<Conflict<Project>>();
  const saving = useWrite(
    ({ id, createdAt: _created, updatedAt: _updated, ...body }: Project) => call<Project>('PUT', `/api/projects/${id}`, body),
    {
      onSuccess: (saved) => {
        onSaved(saved);
        setEditing(false);
      },
      onError: (problem, mine) => {
        if (problem.status === 409) setConflict({ mine, theirs: problem.current as Project });
      },
    },
  );
  /** Saves it. @returns whether it was */
  const put = (changed: Project): Promise<boolean> =>
    saving.mutateAsync(changed).then(
      () => true,
      () => false,
    );
  const again = useWrite(() => call<{ id: string }>('POST', `/api/projects/${project.id}/again`), {
    onSuccess: ({ id }) => location.assign(`/projects/${id}`),
  });
  const refused = saving.error && saving.error.status !== 409 ? saving.error : again.error;
  return (
    <header className="mb-4">
      {editing ? (
        <ProjectFields
          project={project}
          refused={refused ?? undefined}
          onSave={(fields) => put({ ...project, ...fields })}
          onClose={() => (setEditing(false), saving.reset())}
        />
      ) : (
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-2xl font-bold">{project.name}</h1>
          <p className="quiet min-w-[16rem] flex-1">
            {[
              project.makes > 1 ? `${counted(project.makes, 'piece')} of it are made` : '',
              project.variant,
              project.care ? CARE_WORDS[project.care] : '',
              project.note,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          <button type="button" className="btn btn-ghost" onClick={() => setEditing(true)}>
            <Pencil size={17} aria-hidden="true" /> Rename or make more
          </button>
          <button type="button" className="btn btn-ghost" onClick={() => again.mutate(undefined)}>
            <Repeat size={17} aria-hidden="true" /> Sew it again
          </button>
          <button type="button" className="btn btn-ghost" onClick={() => void put({ ...project, archived: !project.archived })}>
            {project.archived ? <ArchiveRestore size={17} aria-hidden="true" /> : <Archive size={17} aria-hidden="true" />}
            {project.archived ? 'Take it up again' : 'Put it away'}
          </button>
        </div>
      )}
      <Notions notions={project.notions} onChange={async (notions) => void (await put({ ...project, notions }))} />
      {refused && !editing && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {plainMessage(refused)}
        </p>
      )}
      {conflict && (
        <StaleDialog
          conflict={conflict}
          words={WORDS}
          onTheirs={() => {
            onSaved(conflict.theirs);
            setEditing(false);
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
