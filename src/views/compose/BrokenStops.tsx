import type { BrokenStop } from '../../core/choose';
import { CheckField } from '../../ui/form/form-fields';

interface Props {
  stops: readonly BrokenStop[];
  /** Words of those that the person takes all the same. */
  accepted: readonly string[];
  onAccept: (accepted: string[]) => void;
}

/** Rules that a stack breaks, each to be taken knowingly; nothing where it breaks none. */
export default function BrokenStops({ stops, accepted, onAccept }: Props) {
  if (stops.length === 0) return null;
  return (
    <fieldset>
      <legend className="font-semibold">It breaks a rule that would harm the cloth or the work</legend>
      {stops.map(({ id, words }, i) => (
        <CheckField
          key={`${id}${i}`}
          label={`${words} I know, and take it all the same.`}
          checked={accepted.includes(words)}
          onChange={(on) => onAccept(on ? [...accepted, words] : accepted.filter((each) => each !== words))}
        />
      ))}
    </fieldset>
  );
}
