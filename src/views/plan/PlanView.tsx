import { usedOf } from '../../core/layers';
import { useAsked, useWrite, client } from '../../ui/query';
import { Check, Lock, LockOpen, Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { LengthSystem } from '../../core/units';
import { call } from '../../ui/api';
import { counted, keepUnits } from '../../ui/text';
import { UnitsProvider } from '../../ui/units-context';
import type { PlanAsked, ProjectPlan } from '../../server/plan-project';
import { keptStack } from '../choose/answers';

interface Props {
  project: { id: string; name: string };
  start: ProjectPlan;
  units: LengthSystem;
}

const NOTHING: PlanAsked = { dropped: [], wanted: [], locked: {} };

/** All jobs of a project against the fewest materials that serve them. */
export default function PlanView({ project, start, units }: Props) {
  const [asked, setAsked] = useState(NOTHING);
  const path = `/api/projects/${project.id}/plan`;
  const found = useAsked<ProjectPlan>(path, asked, { start });
  const plan = found.answer ?? start;
  const taking = useWrite(
    () =>
      call<{ jobs: { id: string; version: number; stack: { title: string } }[] }>('PUT', `/api/projects/${project.id}/stacks`, {
        stacks: plan.jobs.flatMap(({ id: jobId, version, stack }) =>
          stack ? [{ jobId, version, stack: keptStack(stack) }] : [],
        ),
      }),
    {
      onSuccess: ({ jobs }) =>
        client.setQueryData<ProjectPlan>([path, asked], {
          ...plan,
          jobs: plan.jobs.map((job) => {
            const now = jobs.find(({ id }) => id === job.id);
            return now ? { ...job, version: now.version, now: now.stack.title } : job;
          }),
        }),
    },
  );
  const change = (to: Partial<PlanAsked>) => {
    taking.reset();
    setAsked((was) => ({ ...was, ...to }));
  };
  const lock = (jobId: string, stackId: string | undefined) => {
    const { [jobId]: _was, ...locked } = asked.locked;
    change({ locked: stackId === undefined ? locked : { ...locked, [jobId]: stackId } });
  };
  const busy = found.busy || taking.isPending;
  const taken = taking.isSuccess;
  const error =
    taking.error?.status === 409
      ? 'A job was changed in another tab. Open this page anew and take the plan again.'
      : (taking.error?.message ?? found.error);
  const nameOf = (jobId: string) => plan.jobs.find(({ id }) => id === jobId)?.name ?? 'a job';
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
            <a className="btn" href={`/buy?project=${project.id}`}>
              What to buy
            </a>
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
          {plan.exact ? 'Fewer would leave a job badly served.' : 'The best that was found in time; fewer may be possible.'}
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
          <div
            className="overflow-x-auto rounded-box border border-base-300"
            tabIndex={0}
            role="region"
            aria-label="Jobs and materials"
          >
            <table className="table text-base">
              <thead>
                <tr className="align-bottom text-base text-base-content">
                  <th scope="col">Job</th>
                  {plan.materials.map(({ id, name, atHand, jobs }) => (
                    <th key={id} scope="col" className="w-36 min-w-28 text-center whitespace-normal leading-snug font-semibold">
                      {keepUnits(name)}
                      <span className="quiet block text-[0.85rem] font-normal">
                        {counted(jobs.length, 'job')}, {atHand ? 'in the cupboard' : 'to buy'}
                      </span>
                      <button
                        type="button"
                        className="btn btn-ghost btn-icon"
                        aria-label={`Do without ${name}`}
                        title="Do without it"
                        onClick={() =>
                          change({ dropped: [...asked.dropped, id], wanted: asked.wanted.filter((each) => each !== id) })
                        }
                      >
                        <X size={17} aria-hidden="true" />
                      </button>
                    </th>
                  ))}
                  <th scope="col">Score</th>
                </tr>
              </thead>
              <tbody>
                {plan.jobs.map(({ id, name, clothName, stack, best, others }) => {
                  const held = asked.locked[id] !== undefined;
                  const uses = new Set(stack?.layers.map(({ materialId }) => usedOf(materialId).materialId));
                  return (
                    <tr key={id}>
                      <th scope="row" className="min-w-[26rem] leading-snug font-semibold">
                        {name}
                        <span className="quiet block text-[0.88rem] font-normal">{clothName}</span>
                        <span className="mt-1 flex items-center gap-1">
                          <select
                            className="select w-[22rem] font-normal"
                            aria-label={`Stack of ${name}`}
                            value={stack?.id ?? ''}
                            onChange={(event) => lock(id, event.target.value)}
                          >
                            {stack && !others.some((other) => other.id === stack.id) && (
                              <option value={stack.id}>{stack.title}</option>
                            )}
                            {others.map((other) => (
                              <option key={other.id} value={other.id}>
                                {other.title}, {Math.round(other.score)}
                              </option>
                            ))}
                          </select>
                          <button
                            type="button"
                            className="btn btn-ghost btn-icon"
                            aria-pressed={held}
                            aria-label={held ? `Let ${name} be chosen again` : `Hold the stack of ${name}`}
                            onClick={() => lock(id, held ? undefined : stack?.id)}
                          >
                            {held ? <Lock size={18} aria-hidden="true" /> : <LockOpen size={18} aria-hidden="true" />}
                          </button>
                        </span>
                      </th>
                      {plan.materials.map((material) => (
                        <td key={material.id} className="text-center">
                          {uses.has(material.id) && (
                            <Check size={20} className="mx-auto text-success" aria-label={material.name} />
                          )}
                        </td>
                      ))}
                      <td className="leading-snug">
                        <strong>{stack ? Math.round(stack.score) : '–'}</strong>
                        {stack && best - stack.score >= 0.5 && (
                          <span className="quiet block text-[0.85rem]">best {Math.round(best)}</span>
                        )}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          <div className="space-y-4">
            <section className="sheet p-4" aria-label="One more material">
              <h2 className="chalk-heading">One more would add</h2>
              {plan.gains.length === 0 ? (
                <p className="mt-1">Nothing: every job has the best there is.</p>
              ) : (
                <ul className="mt-2 space-y-2">
                  {plan.gains.map(({ material, name, atHand, gain, jobs }) => (
                    <li key={material} className="flex items-start gap-2">
                      <span className="min-w-0 flex-1 leading-snug">
                        <strong>{keepUnits(name)}</strong>
                        {atHand ? ', in the cupboard' : ''}: {Math.max(1, Math.round(gain))}{' '}
                        {Math.round(gain) <= 1 ? 'point' : 'points'} for {jobs.map(nameOf).join(', ')}
                      </span>
                      <button
                        type="button"
                        className="btn btn-icon"
                        aria-label={`Take ${name} too`}
                        onClick={() =>
                          change({
                            wanted: [...new Set([...plan.materials.map(({ id }) => id), material])],
                            dropped: asked.dropped.filter((each) => each !== material),
                          })
                        }
                      >
                        <Plus size={18} aria-hidden="true" />
                      </button>
                    </li>
                  ))}
                </ul>
              )}
            </section>
            <section className="sheet p-4" aria-label="One less material">
              <h2 className="chalk-heading">One less would cost</h2>
              <ul className="mt-2 space-y-1">
                {plan.losses.map(({ material, loss, unserved }) => (
                  <li key={material} className="leading-snug">
                    Without <strong>{keepUnits(plan.materials.find(({ id }) => id === material)?.name ?? '')}</strong>:{' '}
                    {unserved.length > 0
                      ? `nothing here would serve ${unserved.map(nameOf).join(', ')}`
                      : `${counted(Math.max(1, Math.round(loss)), 'point')} in all`}
                    .
                  </li>
                ))}
              </ul>
            </section>
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
