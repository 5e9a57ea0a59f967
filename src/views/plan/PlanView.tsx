import { useAsked, useWrite, useClient } from '../../ui/query';
import { Check } from 'lucide-react';
import { useState } from 'react';
import type { LengthSystem } from '../../core/units';
import { call } from '../../ui/api';
import { counted } from '../../ui/text';
import { undoToast } from '../../ui/undo-toast';
import { UnitsProvider } from '../../ui/units-context';
import type { PlanAsked, ProjectPlan } from '../../server/plan-project';
import PlanGrid from './PlanGrid';
import PlanSides from './PlanSides';
import { keptStack } from '../choose/answers';

/** What became of giving jobs their stacks. */
interface Given {
  jobs: { id: string; version: number; stack: { title: string } }[];
  undo: object[];
}

/** Whether it could be done with fewer materials; with one that is not asked. */
function fewerWords({ exact, materials }: { exact: boolean; materials: readonly unknown[] }): string {
  if (materials.length < 2) return '';
  return exact ? 'Fewer would leave a job badly served.' : 'The best that was found in time; fewer may be possible.';
}

interface Props {
  project: { id: string; name: string };
  start: ProjectPlan;
  units: LengthSystem;
}

const NOTHING: PlanAsked = { dropped: [], wanted: [], locked: {} };

/** All jobs of a project against the fewest materials that serve them. */
export default function PlanView({ project, start, units }: Props) {
  const [asked, setAsked] = useState(NOTHING);
  /** Jobs whose own stack is given up for the plan's. */
  const [replaced, setReplaced] = useState<readonly string[]>([]);
  const path = `/api/projects/${project.id}/plan`;
  const found = useAsked<ProjectPlan>(path, asked, { start });
  const client = useClient();
  const plan = found.answer ?? start;
  const taking = useWrite(
    () =>
      call<Given>('PUT', `/api/projects/${project.id}/stacks`, {
        stacks: plan.jobs.flatMap(({ id: jobId, version, stack, own }) =>
          stack && (!own || replaced.includes(jobId)) ? [{ jobId, version, stack: keptStack(stack) }] : [],
        ),
      }),
    {
      onSuccess: ({ jobs, undo }) => {
        undoToast(`${counted(jobs.length, 'job')} took what was planned.`, async () => {
          await call('PUT', `/api/projects/${project.id}/stacks`, { stacks: undo });
          taking.reset();
          await found.again();
        });
        client.setQueryData<ProjectPlan>([path, asked], {
          ...plan,
          jobs: plan.jobs.map((job) => {
            const now = jobs.find(({ id }) => id === job.id);
            return now ? { ...job, version: now.version, now: now.stack.title, own: false } : job;
          }),
        });
      },
    },
  );
  const change = (to: Partial<PlanAsked>) => {
    taking.reset();
    setAsked((was) => ({ ...was, ...to }));
  };
  const busy = found.busy || taking.isPending;
  const taken = taking.isSuccess;
  const error =
    taking.error?.status === 409
      ? 'A job was changed in another tab. Open this page anew and take the plan again.'
      : (taking.error?.message ?? found.error);
  const bought = plan.materials.filter(({ atHand }) => !atHand).length;
  return (
    <UnitsProvider value={units}>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href={`/projects/${project.id}`}>
          {project.name}
        </a>{' '}
        · materials
      </p>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">
          {plan.materials.length === 0
            ? 'Nothing to plan yet'
            : `${counted(plan.materials.length, 'material')} for ${counted(plan.jobs.length, 'job')}`}
        </h1>
        <span className="flex flex-wrap items-center gap-3">
          {busy && <progress className="progress w-28 progress-primary" aria-label="Planning" />}
          {taken && (
            <>
              <a className="btn" href={`/buy?project=${project.id}`}>
                What to buy
              </a>
              <a className="btn" href={`/bench?project=${project.id}`}>
                To the bench
              </a>
            </>
          )}
          <button
            type="button"
            className="btn btn-primary"
            disabled={busy || plan.jobs.length === 0}
            onClick={() => taking.mutate(undefined)}
          >
            <Check size={18} aria-hidden="true" /> {taken ? 'Taken' : 'Take the whole plan'}
          </button>
        </span>
      </div>
      {plan.jobs.length > 0 && (
        <p className="quiet" role="status">
          {bought === 0
            ? plan.materials.length === 1
              ? 'It is in the cupboard.'
              : 'All of them are in the cupboard.'
            : `${counted(bought, 'material')} to buy${bought < plan.materials.length ? ', the rest is in the cupboard' : ''}.`}{' '}
          {fewerWords(plan)}
          {plan.waiting.length > 0 && ` Without a cloth and not planned: ${plan.waiting.join(', ')}.`}
        </p>
      )}
      {error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {error}
        </p>
      )}
      {plan.jobs.length === 0 ? (
        <div className="sheet mt-4 p-6">
          <p>Every job of this project is cut, or none has a cloth yet. Describe pieces and say what they are cut from first.</p>
        </div>
      ) : (
        <div className="mt-4 grid items-start gap-5 xl:grid-cols-[1fr_20rem]">
          <PlanGrid
            plan={plan}
            asked={asked}
            replaced={replaced}
            onReplace={(id, on) => setReplaced((was) => (on ? [...was, id] : was.filter((each) => each !== id)))}
            onChange={change}
          />
          <div className="space-y-4">
            <PlanSides plan={plan} asked={asked} onChange={change} />
            {(asked.dropped.length > 0 || asked.wanted.length > 0 || Object.keys(asked.locked).length > 0) && (
              <button type="button" className="btn w-full" onClick={() => setAsked({ ...NOTHING })}>
                Plan it anew, without my changes
              </button>
            )}
          </div>
        </div>
      )}
    </UnitsProvider>
  );
}
