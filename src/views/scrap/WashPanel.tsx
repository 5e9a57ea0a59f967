import { isPast, parseISO } from 'date-fns';
import { readableDate } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Scrap } from '../../store/scraps';
import WashForm, { type WashDraft } from './WashForm';

const OUTCOME_WORDS = { good: 'came out well', fair: 'passable', poor: 'went wrong' };

/** The wash of a filed scrap: what came of it, or the form for it. */
export default function WashPanel({
  scrap,
  glued,
  onSave,
}: {
  scrap: Scrap & { washDue: string };
  glued: boolean;
  onSave: (wash: WashDraft) => Promise<void>;
}) {
  const units = useUnits();
  const { wash, washDue } = scrap;
  return (
    <div className="sheet p-5">
      <h2 className="chalk-heading">After the wash</h2>
      {wash ? (
        <p>
          Looked at on {readableDate(wash.doneOn)}: {OUTCOME_WORDS[wash.outcome]}
          {wash.overhang !== null && `, overhang ${units.length(wash.overhang)}`}
          {wash.note && `. ${wash.note}`}
        </p>
      ) : (
        <>
          <p>
            {isPast(parseISO(washDue)) ? (
              <strong>Due since {readableDate(washDue)}.</strong>
            ) : (
              `Due on ${readableDate(washDue)}; you can do it earlier.`
            )}{' '}
            Wash the scrap as the finished thing will be washed, dry it, and look again.
          </p>
          <WashForm scrapId={scrap.id} glued={glued} onSave={onSave} />
        </>
      )}
    </div>
  );
}
