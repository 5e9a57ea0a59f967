import type { RankedStack } from '../../core/choose';
import { MOST_CANDIDATES } from '../../core/scrap';
import { keepUnits } from '../../ui/text';

interface Props {
  /** The stack of the job, which always lies among them. */
  own: string;
  others: readonly RankedStack[];
  /** Whether the others are still asked for. */
  waiting: boolean;
  /** Ids of those that are taken. */
  taken: readonly string[];
  onTaken: (ids: string[]) => void;
}

/** So many proposals are offered beside the chosen one. */
const OFFERED = 8;

/** The stacks that are tried beside the job's own. */
export default function CandidateList({ own, others, waiting, taken, onTaken }: Props) {
  const full = taken.length >= MOST_CANDIDATES - 1;
  return (
    <fieldset className="mt-2">
      <legend className="font-semibold">Beside {keepUnits(own)}, up to three of these</legend>
      {waiting && <progress className="progress w-40 progress-primary" aria-label="Asking" />}
      {others.slice(0, OFFERED).map(({ id, title, score }) => (
        <label key={id} className="flex min-h-[44px] cursor-pointer items-center gap-3">
          <input
            type="checkbox"
            className="checkbox checkbox-primary"
            checked={taken.includes(id)}
            disabled={full && !taken.includes(id)}
            onChange={(event) => onTaken(event.target.checked ? [...taken, id] : taken.filter((each) => each !== id))}
          />
          <span>
            {keepUnits(title)} <span className="quiet">{Math.round(score)}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
