import { Plus } from 'lucide-react';
import type { PlanAsked, ProjectPlan } from '../../server/plan-project';
import { counted, keepUnits } from '../../ui/text';

interface Props {
  plan: ProjectPlan;
  asked: PlanAsked;
  onChange: (to: Partial<PlanAsked>) => void;
}

/** What one more material would add to the jobs, and what one less would cost them. */
export default function PlanSides({ plan, asked, onChange }: Props) {
  const nameOf = (jobId: string) => plan.jobs.find(({ id }) => id === jobId)?.name ?? 'a job';
  return (
    <>
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
                    onChange({
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
    </>
  );
}
