import { arrayMove } from '@dnd-kit/sortable';
import { toast } from 'sonner';
import { SortableList } from '../../ui/Sortable';
import ProjectCard from './ProjectCard';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { InputError } from '../../core/input-error';
import { useWrite } from '../../ui/query';
import { projectSchema } from '../../schemas/projects';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { useHotkeys } from 'react-hotkeys-hook';
import { useRemoval } from '../../ui/use-removal';
import { call } from '../../ui/api';
import Pager from '../../ui/Pager';
import { counted } from '../../ui/text';
import { usePage, type Page } from '../../ui/use-page';
import type { ProjectSummary } from '../../store/projects';

/** Which one was moved from one order to another. */
function movedIn(before: readonly string[], after: readonly string[]): string {
  const from = before.findIndex((id, i) => id !== after[i]);
  // Moved down it leaves its place to the next one; moved up it takes the place of another.
  return after[from] === before[from + 1] ? before[from]! : after[from]!;
}

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
  const ids = projects.map(({ id }) => id);
  /** Puts a project before the one that follows it now; at once on the screen, back again when it is refused. */
  const moving = useWrite(
    ({ was, now }: { was: string[]; now: string[] }) => {
      const moved = movedIn(was, now);
      // The last of this page comes before what follows it on the next, where there is one.
      return call('PUT', `/api/projects/${moved}/place`, { before: now[now.indexOf(moved) + 1] ?? null });
    },
    {
      onMutate: ({ now }) => list.order(now),
      onError: (problem, { was }) => {
        list.order(was);
        toast.error(`The order could not be kept. ${problem.message}`);
      },
    },
  );
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
        <SortableList grid ids={ids} onMove={(from, to) => moving.mutate({ was: ids, now: arrayMove(ids, from, to) })}>
          <ul className="mt-5 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {projects.map((project) => (
              <ProjectCard
                key={project.id}
                project={project}
                movable={search === '' && projects.length > 1}
                onRemove={() => remove(project)}
              />
            ))}
          </ul>
        </SortableList>
      )}
      {!nothing && projects.length === 0 && <p className="mt-5">No project has all of those words.</p>}
      <Pager page={list.page} pages={list.pages} words={counted(list.total, 'project')} busy={list.busy} onGo={list.go} />
    </>
  );
}
