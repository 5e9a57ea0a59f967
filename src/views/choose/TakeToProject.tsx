import { useEffect, useRef, useState } from 'react';
import { ROLE_WORDS, type Part, type PieceSize, type RankedStack } from '../../core/choose';
import { useWrite } from '../../ui/query';
import { useAsked } from '../../ui/query';
import type { Fabric } from '../../core/cloth';
import type { Schools } from '../../core/schools';
import { call } from '../../ui/api';
import Field from '../../ui/form/Field';
import { InputError } from '../../core/input-error';
import { pieceSchemaNew } from '../../schemas/projects';
import { flatErrors } from '../../ui/form/flat-errors';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { keptStack } from './answers';
import { sizedPiece, tryOpen, type PieceDraft } from '../../ui/piece/piece-draft';
import PieceForm from '../../ui/piece/PieceForm';
import { capital } from '../../core/letters';

interface Props {
  stack: RankedStack;
  clothId: string;
  /** A cloth that is only described, and comes into the cupboard with the piece. */
  newCloth: (Fabric & { name: string }) | undefined;
  wish: Part;
  /** Ways of working that were switched for this choice. */
  schools: Partial<Schools>;
  /** The pieces that the answer was told for. */
  size: PieceSize;
  onClose: () => void;
}

const NEW = 'new';

interface Typed {
  /** Empty until another than the first is picked. */
  projectId: string;
  projectName: string;
  draft: PieceDraft;
}

/** Puts an answer to a project as the stack of a job on a new piece. */
export default function TakeToProject({ stack, clothId, newCloth, wish, schools, size, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const { answer, error: unread } = useAsked<{ projects: { id: string; name: string }[] }>('/api/projects?names=yes');
  const projects = answer?.projects ?? [];
  const word = ROLE_WORDS[wish.role];
  const of = useKeptForm<Typed>({
    schema: pieceSchemaNew,
    start: () => ({
      projectId: '',
      projectName: '',
      draft: {
        ...sizedPiece(size.width, size.height),
        count: size.count,
        name: capital(word),
        cut: wish.cut,
      },
    }),
    read: ({ projectName, draft }) => {
      if (projectId === NEW && projectName.trim() === '') throw new InputError('projectName', 'Give the project a name.');
      if (draft.name.trim() === '') throw new InputError('name', 'Give the piece a name.');
      const { cut: orientation, count, pairs, oneWay, ...piece } = draft;
      const { cut: _cut, ...wished } = wish;
      const job = { place: { kind: 'usual' }, wish: wished, stack: keptStack(stack, schools) };
      return { ...piece, name: draft.name.trim(), cuts: [{ clothId, count, pairs, oneWay, orientation, jobs: [job] }] };
    },
  });
  const { form } = of;
  const { projectId: picked, draft } = form.watch();
  const projectId = picked || (projects[0]?.id ?? NEW);
  const errors = flatErrors(form.formState.errors);
  const [faults, setFaults] = useState<Set<string>>(new Set());
  useEffect(() => dialog.current?.showModal(), []);
  // A project that was made before its piece was refused is not made again.
  const made = useRef<string>(undefined);
  const madeCloth = useRef<string>(undefined);
  const taking = useWrite(
    async (piece: object) => {
      if (newCloth) madeCloth.current ??= (await call<{ id: string }>('POST', '/api/cloths', newCloth)).id;
      const { cuts } = piece as { cuts: object[] };
      const cut = madeCloth.current ? { cuts: cuts.map((each) => ({ ...each, clothId: madeCloth.current })) } : {};
      const name = form.getValues('projectName').trim();
      if (projectId === NEW) made.current ??= (await call<{ id: string }>('POST', '/api/projects', { name })).id;
      const project = projectId === NEW ? made.current! : projectId;
      const added = await call<{ jobs: { id: string }[] }>('POST', `/api/projects/${project}/pieces`, { ...piece, ...cut });
      return `/projects/${project}?job=${added.jobs[0]!.id}&stage=cut`;
    },
    { onSuccess: (address) => location.assign(address), onError: of.refuse },
  );
  return (
    <dialog ref={dialog} className="modal" aria-label="Put it to a project" onClose={onClose}>
      <div className="modal-box max-w-5xl">
        <h2 className="text-xl font-bold">Put “{stack.title}” to a project</h2>
        <form
          className="mt-4 space-y-5"
          noValidate
          onSubmit={(event) => void form.handleSubmit((piece) => taking.mutate(piece))(event)}
        >
          <div className="grid gap-4 md:grid-cols-2">
            <Field label="Project" id="take-project">
              <select
                id="take-project"
                className="select"
                value={projectId}
                onChange={(e) => form.setValue('projectId', e.target.value)}
              >
                {projects.map((project) => (
                  <option key={project.id} value={project.id}>
                    {project.name}
                  </option>
                ))}
                <option value={NEW}>A new project …</option>
              </select>
            </Field>
            {projectId === NEW && (
              <Field label="Name of the new project" id="take-name" error={errors['projectName']}>
                <input
                  id="take-name"
                  className="input"
                  maxLength={120}
                  placeholder="Stewards’ waistcoats"
                  {...form.register('projectName')}
                />
              </Field>
            )}
          </div>
          <PieceForm
            draft={draft}
            onChange={(next) => form.setValue('draft', next)}
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
          <FormErrors of={of} />
          {unread && (
            <p role="alert" className="font-semibold text-error">
              {unread}
            </p>
          )}
          <div className="flex gap-3">
            <button
              type="submit"
              className="btn btn-primary"
              disabled={taking.isPending || faults.size > 0 || tryOpen(draft).piece === undefined}
            >
              {taking.isPending ? 'Saving …' : 'Put it there'}
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
