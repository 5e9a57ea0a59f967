import { Archive, ArchiveRestore, Package, Pencil, Repeat } from 'lucide-react';
import { useEffect, useState } from 'react';
import { CARE_WORDS } from '../../core/choose';
import { useWrite } from '../../ui/query';
import { call, plainMessage } from '../../ui/api';
import SavingWords from '../../ui/saving/SavingWords';
import StaleSaver from '../../ui/StaleSaver';
import { counted } from '../../ui/text';
import { useSaver } from '../../ui/use-saver';
import type { Project } from '../../store/projects';
import Notions from './Notions';
import ProjectFields from './ProjectFields';

interface Props {
  project: Project;
  /** Told what the project is like now. */
  onChange: (project: Project) => void;
}

/** What is sent of a project. */
const toBody = ({ name, note, makes, variant, care, notions, archived, version }: Project) => ({
  ...{ name, note, makes, variant, care, notions, archived, version },
});

/** The project's name, note, variant and how many of it are made, changed in place; and the same thing sewn again. */
export default function ProjectHeading({ project: start, onChange }: Props) {
  const [editing, setEditing] = useState(false);
  const own = useSaver(start, { base: '/api/projects', toBody });
  const project = own.record;
  useEffect(() => onChange(project), [project, onChange]);
  /** Saves it at once. @returns whether it was */
  const put = async (fields: Partial<Project>): Promise<boolean> => {
    own.change(fields);
    return (await own.save()) !== undefined;
  };
  const again = useWrite(() => call<{ id: string }>('POST', `/api/projects/${project.id}/again`), {
    onSuccess: ({ id }) => location.assign(`/projects/${id}`),
  });
  const refused = own.error ?? again.error ?? undefined;
  return (
    <header className="mb-4">
      {editing ? (
        <ProjectFields
          project={project}
          refused={refused}
          onSave={async (fields) => {
            const saved = await put(fields);
            if (saved) setEditing(false);
            return saved;
          }}
          onClose={() => {
            setEditing(false);
            if (own.error) own.drop();
          }}
        />
      ) : (
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-2xl font-bold">{project.name}</h1>
          <p className="quiet min-w-[10rem] flex-1">
            {[
              project.makes > 1 ? `${counted(project.makes, 'piece')} of it are made` : '',
              project.variant,
              project.care ? CARE_WORDS[project.care] : '',
              project.note,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          <div className="flex flex-wrap">
            <button type="button" className="btn btn-ghost" onClick={() => setEditing(true)}>
              <Pencil size={17} aria-hidden="true" /> Rename or make more
            </button>
            <a className="btn btn-ghost" href={`/projects/${project.id}/kits${project.makes > 1 ? '' : '/1'}`}>
              <Package size={17} aria-hidden="true" /> {project.makes > 1 ? 'Bags' : 'Bag'}
            </a>
            <button type="button" className="btn btn-ghost" onClick={() => again.mutate(undefined)}>
              <Repeat size={17} aria-hidden="true" /> Sew it again
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => own.change({ archived: !project.archived })}>
              {project.archived ? <ArchiveRestore size={17} aria-hidden="true" /> : <Archive size={17} aria-hidden="true" />}
              {project.archived ? 'Take it up again' : 'Put it away'}
            </button>
          </div>
        </div>
      )}
      <Notions notions={project.notions} onChange={(notions) => own.change({ notions })} />
      {own.away && <SavingWords state={own} />}
      {refused && !editing && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {plainMessage(refused)}
        </p>
      )}
      <StaleSaver saver={own} />
    </header>
  );
}
