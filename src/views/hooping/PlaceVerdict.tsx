import type { PlacingTrouble, Proposal } from '../../core/hoop';
import { useUnits } from '../../ui/units-context';

const TROUBLE_WORDS: Record<PlacingTrouble['kind'], (by: string) => string> = {
  'motif-past-cloth': (by) => `The motif reaches ${by} past the edge of the cloth.`,
  'motif-past-field': (by) => `The motif reaches ${by} past what the needle reaches.`,
  'obstacle-under-needle': () => 'A seam, button or zip lies within the motif: the needle would break on it.',
  'clamp-past-cloth': (by) => `The clamp hangs ${by} over the edge: there is no cloth for it to hold.`,
  'obstacle-under-clamp': () => 'A seam, button or zip would lie under the clamp.',
};

interface VerdictProps {
  troubles: readonly PlacingTrouble[];
  hoopName: string | undefined;
  floats: boolean;
  /** A hoop would mark the cloth for good. */
  marks: boolean;
}

/** Whether the motif is held where it lies, and if not why. */
export function PlaceVerdict({ troubles, hoopName, floats, marks }: VerdictProps) {
  const units = useUnits();
  if (!hoopName) return null;
  const mustFloat = marks && !floats;
  if (troubles.length === 0 && !mustFloat)
    return (
      <p role="status" className="sheet border-l-8 border-l-success p-4 font-semibold">
        {floats
          ? `It lies in the field of the ${hoopName.toLowerCase()}, floated on the sheet.`
          : `The ${hoopName.toLowerCase()} holds it here.`}
      </p>
    );
  return (
    <section role="status" className="sheet border-l-8 border-l-error p-4">
      <h2 className="font-semibold">It cannot be hooped here</h2>
      <ul className="mt-1 space-y-1">
        {mustFloat && <li>A hoop would mark this cloth for good.</li>}
        {troubles.map(({ kind, by }) => (
          <li key={kind}>{TROUBLE_WORDS[kind](units.length(Math.max(1, Math.round(by))))}</li>
        ))}
      </ul>
    </section>
  );
}

interface ProposalsProps {
  offered: readonly Proposal[];
  hoopNames: string[];
  frozen: boolean;
  onTake: (proposal: Proposal) => void;
}

/** What can be done where it is not held, best first. */
export function Proposals({ offered, hoopNames, frozen, onTake }: ProposalsProps) {
  const units = useUnits();
  const words = (proposal: Proposal): [what: string, why: string] => {
    switch (proposal.kind) {
      case 'moved':
        return [
          `Move it by ${units.length(Math.round(proposal.by))}`,
          'The nearest place where this hoop holds cloth all round.',
        ];
      case 'other-hoop':
        return [
          `Take the ${hoopNames[proposal.hoopIndex]!.toLowerCase()}`,
          'It holds the cloth here, with the motif where you want it.',
        ];
      case 'strip':
        return [
          `Sew on a strip, ${units.length(proposal.width)} wide`,
          'Waste cloth, basted to the edge so that the clamp has something to hold; taken off again.',
        ];
      case 'float':
        return [
          'Float it',
          proposal.because === 'marks'
            ? 'A hoop would mark this cloth: only the sheet is hooped.'
            : 'Hoop a sticky or sprayed sheet alone and lay the cloth on it; it holds less well.',
        ];
    }
  };
  return (
    <section className="space-y-2" aria-label="What can be done">
      <h2 className="chalk-heading">
        {offered.length > 0 ? 'What can be done' : 'Nothing helps with these hoops: turn the motif, or draw it smaller.'}
      </h2>
      <ol className="space-y-2">
        {offered.map((proposal) => {
          const [what, why] = words(proposal);
          return (
            <li key={proposal.kind}>
              <button
                type="button"
                className="sheet w-full p-3 text-left hover:bg-base-300/40"
                disabled={frozen}
                onClick={() => onTake(proposal)}
              >
                <span className="block font-semibold text-primary">{what}</span>
                <span className="block text-[0.95rem] leading-snug">{why}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
