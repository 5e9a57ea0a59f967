import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { ProjectSummary } from '../../store/projects';
import SmallDrawing from '../../ui/SmallDrawing';
import { SortableRow } from '../../ui/Sortable';
import { counted } from '../../ui/text';

/** How far it has come, and of how many of what. */
const MARKS: ['chosen' | 'cut' | 'filed', string, 'jobs' | 'cuts', string][] = [
  ['chosen', 'layers chosen', 'jobs', 'job'],
  ['cut', 'cut', 'cuts', 'cut'],
  ['filed', 'filed', 'jobs', 'job'],
];

interface Props {
  project: ProjectSummary;
  /** Whether it can be put into another place of the list. */
  movable: boolean;
  onRemove: () => void;
}

/** One project with how far its jobs have come. */
export default function ProjectCard({ project, movable, onRemove }: Props) {
  return (
    <SortableRow id={project.id} name={project.name} className="sheet relative flex flex-col p-4">
      {(handle: ReactNode) => (
        <>
          <div className="flex items-start justify-between gap-1">
            <h2 className="min-w-0 flex-1 text-lg leading-snug font-bold">
              <a href={`/projects/${project.id}`} className="after:absolute after:inset-0 hover:underline">
                {project.name}
              </a>
            </h2>
            {movable && <span className="relative z-10 -mt-2">{handle}</span>}
            <button
              type="button"
              className="btn btn-ghost btn-icon relative z-10 -mt-2 -mr-2"
              aria-label={`Delete ${project.name}`}
              onClick={onRemove}
            >
              <Trash2 size={18} aria-hidden="true" />
            </button>
          </div>
          <div className="flex flex-1 items-start gap-3">
            <p className="flex-1">{project.note}</p>
            {project.cuts > 0 && <SmallDrawing of="projects" id={project.id} className="h-20 w-44 object-right-top" />}
          </div>
          {project.cuts === 0 ? (
            <p className="quiet mt-3">No pieces yet.</p>
          ) : (
            <dl className="mt-3 space-y-1.5">
              {MARKS.map(([key, word, all, one]) => (
                <div key={key} className="grid grid-cols-[7.5rem_1fr_auto] items-center gap-3">
                  <dt className="quiet text-[0.95rem]">{word}</dt>
                  <dd className="h-2 rounded-full bg-base-300" aria-hidden="true">
                    <div
                      className={`h-2 rounded-full ${project[key] === project[all] ? 'bg-success' : 'bg-accent'}`}
                      style={{ width: `${(project[key] / Math.max(1, project[all])) * 100}%` }}
                    />
                  </dd>
                  <dd className="text-[0.95rem] font-semibold">
                    {project[key]} of {counted(project[all], one)}
                  </dd>
                </div>
              ))}
            </dl>
          )}
        </>
      )}
    </SortableRow>
  );
}
