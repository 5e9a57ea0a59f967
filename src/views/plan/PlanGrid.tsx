import { Check, Lock, LockOpen, X } from 'lucide-react';
import { usedOf } from '../../core/layers';
import type { PlanAsked, ProjectPlan } from '../../server/plan-project';
import SmallDrawing from '../../ui/SmallDrawing';
import { counted, keepUnits } from '../../ui/text';

interface Props {
  plan: ProjectPlan;
  asked: PlanAsked;
  /** Jobs whose own stack is given up for the plan's. */
  replaced: readonly string[];
  onReplace: (jobId: string, on: boolean) => void;
  onChange: (to: Partial<PlanAsked>) => void;
}

/** Jobs against materials: what each takes, how well that serves it; a stack can be held, a material left out. */
export default function PlanGrid({ plan, asked, replaced, onReplace, onChange }: Props) {
  const lock = (jobId: string, stackId: string | undefined) => {
    const { [jobId]: _was, ...locked } = asked.locked;
    onChange({ locked: stackId === undefined ? locked : { ...locked, [jobId]: stackId } });
  };
  return (
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
                    onChange({ dropped: [...asked.dropped, id], wanted: asked.wanted.filter((each) => each !== id) })
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
          {plan.jobs.map(({ id, name, clothName, stack, best, others, now, own }) => {
            const held = asked.locked[id] !== undefined;
            const uses = new Set(stack?.layers.map(({ materialId }) => usedOf(materialId).materialId));
            return (
              <tr key={id}>
                <th scope="row" className="min-w-[26rem] leading-snug font-semibold">
                  <span className="flex items-center gap-3">
                    <SmallDrawing of="jobs" id={id} className="h-10 w-16" />
                    <span>
                      {name}
                      <span className="quiet block text-[0.88rem] font-normal">{clothName}</span>
                    </span>
                  </span>
                  <span className="mt-1 flex items-center gap-1">
                    <select
                      className="select w-[22rem] font-normal"
                      aria-label={`Stack of ${name}`}
                      value={stack?.id ?? ''}
                      onChange={(event) => lock(id, event.target.value)}
                    >
                      {stack && !others.some((other) => other.id === stack.id) && <option value={stack.id}>{stack.title}</option>}
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
                  {own && (
                    <label className="mt-1 flex min-h-11 cursor-pointer items-center gap-2 font-normal">
                      <input
                        type="checkbox"
                        className="checkbox"
                        checked={replaced.includes(id)}
                        onChange={(event) => onReplace(id, event.target.checked)}
                      />
                      <span>Put together by hand: {keepUnits(now ?? '')}. It stays, unless this is ticked.</span>
                    </label>
                  )}
                </th>
                {plan.materials.map((material) => (
                  <td key={material.id} className="text-center">
                    {uses.has(material.id) && <Check size={20} className="mx-auto text-success" aria-label={material.name} />}
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
  );
}
