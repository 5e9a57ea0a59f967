import { Check } from 'lucide-react';
import { counted } from '../../ui/text';
import { useTouched } from '../../ui/use-touched';
import { STAGES, STAGE_WORDS, type Stage } from './types';

interface Props {
  stage: Stage;
  /** How many of the jobs have passed each stage; of cutting, how many cuts. */
  done: Record<Stage, number>;
  /** Of how many. */
  totals: Record<Stage, number>;
  onStage: (stage: Stage) => void;
}

/** The measuring tape across a project: the stages in working order, and how far its jobs have come. */
export default function Tape({ stage, done, totals, onStage }: Props) {
  const { shown, touch } = useTouched(stage, onStage);
  return (
    <nav aria-label="Stages of the project" className="tape relative overflow-x-auto">
      <ol className="flex min-w-max md:min-w-0">
        {STAGES.map((each, i) => {
          const total = totals[each];
          const thing = each === 'cut' ? 'cut' : 'job';
          const all = total > 0 && done[each] === total;
          const current = each === shown;
          return (
            <li key={each} className="flex-1">
              <button
                type="button"
                aria-current={current ? 'step' : undefined}
                onClick={() => touch(each)}
                className={`tape-mark relative flex min-h-[64px] w-full flex-col items-start px-3 pt-1.5 text-left ${current ? 'bg-accent text-accent-content' : 'hover:bg-accent/30'}`}
              >
                <span className="flex items-center gap-1.5 font-semibold">
                  <span className="text-[0.85rem] font-normal">{i + 1}</span>
                  {STAGE_WORDS[each]}
                  {all && <Check size={17} aria-hidden="true" className={current ? '' : 'text-success'} />}
                </span>
                <span className="text-[0.85rem]">
                  {total === 0
                    ? 'no pieces yet'
                    : all
                      ? `all ${counted(total, thing)}`
                      : `${done[each]} of ${counted(total, thing)}`}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
