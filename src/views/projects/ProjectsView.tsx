import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { InputError } from '../../core/input-error';
import { useWrite } from '../../ui/query';
import { projectSchema } from '../../schemas/records';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { useHotkeys } from 'react-hotkeys-hook';
import { useRemoval } from '../../ui/use-removal';
import { call } from '../../ui/api';
import Pager from '../../ui/Pager';
import { counted } from '../../ui/text';
import { usePage, type Page } from '../../ui/use-page';
import type { ProjectSummary } from '../../store/projects';

const MARKS: ['chosen' | 'cut' | 'filed', string][] = [
  ['chosen', 'layers chosen'],
  ['cut', 'cut'],
  ['filed', 'filed'],
];

/** All projects, each with how far its jobs have come. */
export default function ProjectsView({ start }: { start: Page<ProjectSummary> }) {
  const [search, setSearch] = useState('');
  const list = usePage('/api/projects', start, { search });
  const projects = list.rows;
  const nothing = start.total === 0 && projects.length === 0 && search === '';
  const of = useKeptForm({
    schema: projectSchema,
    start: () => ({ name: '' }),
    read: ({ name }) => {
      if (name.trim() === '') throw new InputError('name', 'Give the project a name, such as “Lantern banner”.');
      return { name: name.trim() };
    },
  });
  const { form } = of;
  useHotkeys('n', () => form.setFocus('name'), { preventDefault: true });
  const adding = useWrite((project: object) => call<{ id: string }>('POST', '/api/projects', project), {
    onSuccess: ({ id }) => location.assign(`/projects/${id}?stage=pieces`),
    onError: of.refuse,
  });
  const remove = useRemoval<ProjectSummary>({
    address: ({ id }) => `/api/projects/${id}`,
    gone: ({ name: what }) => `“${what}” is deleted.`,
    failed: () => 'The project could not be deleted',
    drop: ({ id }) => list.drop(id),
    put: list.put,
  });
  const demo = useWrite(() => call('POST', '/api/demo'), { onSuccess: () => location.reload() });
  const error = of.error('name') ?? of.error('root.server') ?? demo.error?.message;
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div className="flex items-center gap-4">
          <h1 className="text-2xl font-bold">Projects</h1>
          {!nothing && (
            <a className="btn" href="/buy">
              What to buy
            </a>
          )}
        </div>
        <form
          className="flex flex-wrap items-end gap-3"
          noValidate
          onSubmit={(event) => void form.handleSubmit(({ name }) => adding.mutate({ name: name as string }))(event)}
        >
          <label className="font-semibold">
            New project
            <input
              className={`input w-72 ${error ? 'input-error' : ''}`}
              maxLength={120}
              placeholder="What are you making?"
              autoComplete="off"
              {...form.register('name')}
            />
          </label>
          <button className="btn btn-primary">
            <Plus size={18} aria-hidden="true" /> Start it
          </button>
        </form>
      </div>
      {error && (
        <p role="alert" className="mt-2 text-right font-semibold text-error">
          {error}
        </p>
      )}
      {start.total > start.size && (
        <label className="mt-3 block w-fit font-semibold">
          Search
          <input type="search" className="input w-72" value={search} onChange={(e) => setSearch(e.target.value)} />
        </label>
      )}
      {list.error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {list.error}
        </p>
      )}
      {nothing ? (
        <div className="sheet mt-6 max-w-2xl p-6">
          <h2 className="chalk-heading">Nothing on the table yet</h2>
          <p className="mt-1">
            A project holds the pieces of one thing, from the cloth to the finished, logged piece. Start one above, or begin with
            the question on the front door and put the answer to a project.
          </p>
          <div className="mt-4 flex flex-wrap gap-3">
            <a className="btn btn-primary" href="/">
              What to put behind this?
            </a>
            <button type="button" className="btn" onClick={() => demo.mutate(undefined)}>
              Show me the demo projects
            </button>
          </div>
        </div>
      ) : (
        <ul className="mt-5 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
          {projects.map((project) => (
            <li key={project.id} className="sheet relative flex flex-col p-4">
              <div className="flex items-start justify-between gap-2">
                <h2 className="text-lg leading-snug font-bold">
                  <a href={`/projects/${project.id}`} className="after:absolute after:inset-0 hover:underline">
                    {project.name}
                  </a>
                </h2>
                <button
                  type="button"
                  className="btn btn-ghost btn-icon relative z-10 -mt-2 -mr-2"
                  aria-label={`Delete ${project.name}`}
                  onClick={() => remove(project)}
                >
                  <Trash2 size={18} aria-hidden="true" />
                </button>
              </div>
              <p className="flex-1">{project.note}</p>
              {project.jobs === 0 ? (
                <p className="quiet mt-3">No pieces yet.</p>
              ) : (
                <dl className="mt-3 space-y-1.5">
                  {MARKS.map(([key, word]) => (
                    <div key={key} className="grid grid-cols-[7.5rem_1fr_auto] items-center gap-3">
                      <dt className="quiet text-[0.95rem]">{word}</dt>
                      <dd className="h-2 rounded-full bg-base-300" aria-hidden="true">
                        <div
                          className={`h-2 rounded-full ${project[key] === project.jobs ? 'bg-success' : 'bg-accent'}`}
                          style={{ width: `${(project[key] / project.jobs) * 100}%` }}
                        />
                      </dd>
                      <dd className="text-[0.95rem] font-semibold">
                        {project[key]} of {counted(project.jobs, 'job')}
                      </dd>
                    </div>
                  ))}
                </dl>
              )}
            </li>
          ))}
        </ul>
      )}
      {!nothing && projects.length === 0 && <p className="mt-5">No project has all of those words.</p>}
      <Pager page={list.page} pages={list.pages} words={counted(list.total, 'project')} busy={list.busy} onGo={list.go} />
    </>
  );
}
