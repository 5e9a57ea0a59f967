import { useEffect,useRef,useState } from 'react';
import { ROLE_WORDS,type Part,type PieceSize,type RankedStack } from '../../core/choose';
import { useAsked } from '../../ui/query';
import type { Schools } from '../../core/schools';
import type { ApiError } from '../../ui/api';
import { call,plainMessage } from '../../ui/api';
import Field from '../../ui/form/Field';
import { keptStack } from './answers';
import { NEW_PIECE,sizedPiece,tryOpen,type PieceDraft } from '../../ui/piece/piece-draft';
import PieceForm from '../../ui/piece/PieceForm';
import { capital } from '../../core/letters';

interface Props {
  stack: RankedStack;
  clothId: string;
  wish: Part;
  /** Ways of working that were switched for this choice. */
  schools: Partial<Schools>;
  /** Size that was asked for. */
  size: PieceSize | undefined;
  onClose: () => void;
}

const NEW = 'new';

/** Puts an answer to a project as the stack of a job on a new piece. */
export default function TakeToProject({ stack, clothId, wish, schools, size, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const { answer, error: unread } = useAsked<{ projects: { id: string; name: string }[] }>('/api/projects?names=yes');
  const projects = answer?.projects ?? [];
  const [picked, setProjectId] = useState<string>();
  const projectId = picked ?? projects[0]?.id ?? NEW;
  const [projectName, setProjectName] = useState('');
  const word = ROLE_WORDS[wish.role];
  const [draft, setDraft] = useState<PieceDraft>({
    ...(size ? { ...sizedPiece(size.width, size.height), count: size.count } : NEW_PIECE),
    name: capital(word),
    cut: wish.cut,
  });
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<Set<string>>(new Set());
  const [busy, setBusy] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);

  const save = async () => {
    if (projectId === NEW && projectName.trim() === '') {
      setErrors({ project: 'Give the project a name.' });
      return;
    }
    if (draft.name.trim() === '') {
      setErrors({ name: 'Give the piece a name.' });
      return;
    }
    setBusy(true);
    try {
      const project =
        projectId === NEW ? (await call<{ id: string }>('POST', '/api/projects', { name: projectName.trim() })).id : projectId;
      const { cut: orientation, count, pairs, oneWay, ...piece } = draft;
      const { cut: _cut, ...wished } = wish;
      const job = { place: { kind: 'usual' }, wish: wished, stack: keptStack(stack, schools) };
      const added = await call<{ jobs: { id: string }[] }>('POST', `/api/projects/${project}/pieces`, {
        ...piece,
        name: draft.name.trim(),
        cuts: [{ clothId, count, pairs, oneWay, orientation, jobs: [job] }],
      });
      location.assign(`/projects/${project}?job=${added.jobs[0]!.id}&stage=cut`);
    } catch (error) {
      const problem = error as ApiError;
      setErrors({ [problem.field ?? 'general']: plainMessage(problem) });
      setBusy(false);
    }
  };
  return (
    <dialog ref={dialog} className="modal" aria-label="Put it to a project" onClose={onClose}>
      <div className="modal-box max-w-5xl">
        <h2 className="text-xl font-bold">Put “{stack.title}” to a project</h2>
        <form
          className="mt-4 space-y-5"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <div className="grid gap-4 md:grid-cols-2">
            <Field label="Project" id="take-project">
              <select id="take-project" className="select" value={projectId} onChange={(e) => setProjectId(e.target.value)}>
                {projects.map((project) => (
                  <option key={project.id} value={project.id}>
                    {project.name}
                  </option>
                ))}
                <option value={NEW}>A new project …</option>
              </select>
            </Field>
            {projectId === NEW && (
              <Field label="Name of the new project" id="take-name" error={errors['project']}>
                <input
                  id="take-name"
                  className="input"
                  value={projectName}
                  maxLength={120}
                  placeholder="Stewards’ waistcoats"
                  onChange={(e) => setProjectName(e.target.value)}
                />
              </Field>
            )}
          </div>
          <PieceForm
            draft={draft}
            onChange={setDraft}
            errors={errors}
            onFault={(field, faulty) =>
              setFaults((was) => {
                const next = new Set(was);
                if (faulty) next.add(field);
                else next.delete(field);
                return next;
              })
            }
          />
          {(errors['general'] ?? unread) && (
            <p role="alert" className="font-semibold text-error">
              {errors['general'] ?? unread}
            </p>
          )}
          <div className="flex gap-3">
            <button
              type="submit"
              className="btn btn-primary"
              disabled={busy || faults.size > 0 || tryOpen(draft).piece === undefined}
            >
              {busy ? 'Saving …' : 'Put it there'}
            </button>
            <button type="button" className="btn" onClick={() => dialog.current?.close()}>
              Not now
            </button>
          </div>
        </form>
      </div>
    </dialog>
  );
}
