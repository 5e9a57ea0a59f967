import { CRITERIA, type CriterionId, type Weights } from '../core/choose';

interface Props {
  /** Criteria that count for the question in hand. */
  shown: readonly CriterionId[];
  weights: Weights;
  onChange: (weights: Weights) => void;
}

/** What the five places of a slider stand for. */
const STEPS = [0, 0.5, 1, 2, 4];
const WORDS = ['left out', 'matters less', 'as usual', 'matters more', 'matters most'];

/** How much each criterion matters to this person; the answers follow at once. */
export default function WeightSliders({ shown, weights, onChange }: Props) {
  const set = (id: CriterionId, step: number) => {
    const { [id]: _old, ...rest } = weights;
    onChange(STEPS[step] === 1 ? rest : { ...rest, [id]: STEPS[step]! });
  };
  return (
    <div className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
      {CRITERIA.filter(({ id }) => shown.includes(id)).map(({ id, name }) => {
        const step = STEPS.indexOf(weights[id] ?? 1);
        return (
          <label key={id} className="grid grid-cols-[1fr_7rem] items-center gap-x-3 py-0.5">
            <span className="font-semibold">{name}</span>
            <span className="text-right text-[0.92rem]">{WORDS[step]}</span>
            <input
              type="range"
              className="slider col-span-2 w-full"
              min={0}
              max={4}
              value={step}
              aria-valuetext={WORDS[step]}
              onChange={(e) => set(id, Number(e.target.value))}
            />
          </label>
        );
      })}
    </div>
  );
}
