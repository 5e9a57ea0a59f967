import { useState } from 'react';
import type { Care } from '../../core/choose';
import { LINED_THINGS, type LinedThing } from '../../core/lining';
import { fabricOf } from '../../core/cloth';
import type { OfferedLinings } from '../../server/linings';
import type { Cloth } from '../../store/cloths';
import { CheckField, SelectField } from '../../ui/form/form-fields';
import { useAsked, useSame } from '../../ui/query';

interface Props {
  outer: Cloth;
  care: Care;
  /** Whether it hangs free at its hem. */
  hangs: boolean;
  onHangs: (hangs: boolean) => void;
  chosen: string | null;
  onChoose: (clothId: string) => void;
}

const THING_WORDS: Record<LinedThing, string> = {
  coat: 'a coat',
  jacket: 'a jacket',
  waistcoat: 'a waistcoat',
  skirt: 'a skirt',
  trousers: 'trousers',
  dress: 'a dress or top',
  bag: 'a bag',
};
const SHOWN = 5;

/** Which cloth serves as the lining: what is asked for it, and the best of the cupboard with their reasons. */
export default function LiningAdvice({ outer, care, hangs, onHangs, chosen, onChoose }: Props) {
  const [thing, setThing] = useState<LinedThing>('jacket');
  const [skin, setSkin] = useState(false);
  const asked = useSame({ fabric: fabricOf(outer), thing, skin, hangs, care, limit: SHOWN });
  const { answer, error } = useAsked<OfferedLinings>('/api/choose/lining', asked);
  return (
    <fieldset className="space-y-3 rounded-field border border-base-300 p-3">
      <legend className="chalk-heading">Which cloth for the lining?</legend>
      <div className="grid gap-x-4 sm:grid-cols-2">
        <SelectField
          label="It lines"
          value={thing}
          options={LINED_THINGS.map((each) => [each, THING_WORDS[each]] as const)}
          onChange={setThing}
        />
        <div>
          <CheckField small label="Worn on the skin there" checked={skin} onChange={setSkin} />
          <CheckField small label="Hangs free at the hem" checked={hangs} onChange={onHangs} />
        </div>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      <ul className="divide-y divide-base-300" aria-label="Cloths for the lining">
        {answer?.ranked.map(({ clothId, name, score, reasons, cautions, atHand }) => (
          <li key={clothId} className="grid grid-cols-[1fr_auto_auto] items-center gap-3 py-2">
            <div>
              <p className="font-semibold">
                {name}
                {atHand && <span className="quiet font-normal"> · at hand</span>}
              </p>
              <p>{reasons.join(' ')}</p>
              {cautions.length > 0 && <p className="quiet">{cautions.join(' ')}</p>}
            </div>
            <span className="text-xl font-bold tabular-nums">{Math.round(score)}</span>
            <button
              type="button"
              className={`btn ${chosen === clothId ? 'btn-primary' : ''}`}
              aria-pressed={chosen === clothId}
              onClick={() => onChoose(clothId)}
            >
              {chosen === clothId ? 'Taken' : 'Take it'}
            </button>
          </li>
        ))}
      </ul>
      <p className="quiet">
        A mean of craft rules, not a measurement. Your own cloths and the library, as they are described in the cupboard.
      </p>
    </fieldset>
  );
}
