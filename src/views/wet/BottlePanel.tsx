import { useEffect, useState } from 'react';
import type { Bottle } from '../../core/liquid';
import { plainMessage } from '../../ui/api';
import { TextField } from '../../ui/form/form-fields';
import SavingWords from '../../ui/saving/SavingWords';
import StaleSaver from '../../ui/StaleSaver';
import { counted, readableDate } from '../../ui/text';
import { useSaver } from '../../ui/use-saver';
import type { UsedOn } from '../../server/wet-work';
import { numberIn, pullOf } from './wet-sums';

/** A bottle as it is kept. */
export interface KeptBottle extends Bottle {
  id: string;
  version: number;
  /** Of the liquid. */
  name: string;
}

interface Props {
  start: KeptBottle;
  /** Cloths it was used on, by the logbook. */
  usedOn: readonly UsedOn[];
  /** A pull of a bottle that nobody weighed, ml. */
  usualPull: number;
  onBottle: (bottle: KeptBottle) => void;
}

const PULLS = 20;
/** More cloths than this are not listed. */
const MOST_TOLD = 8;
const toBody = ({ version, mlPerPull, strength, left }: KeptBottle) => ({ version, mlPerPull, strength, left });

const percentOf = (share: number): string => String(+(100 * share).toFixed(2));

/** What is known of one bottle: how strong it is mixed, what is left in it, what a pull gives by weighing. */
export default function BottlePanel({ start, usedOn, usualPull, onBottle }: Props) {
  const own = useSaver<KeptBottle>(start, { base: '/api/bottles', toBody });
  const bottle = own.record;
  useEffect(() => onBottle(bottle), [onBottle, bottle]);
  const [strength, setStrength] = useState(percentOf(bottle.strength ?? 1));
  const [left, setLeft] = useState(bottle.left === undefined ? '' : String(bottle.left));
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  // What another tablet saved in the meantime, and was taken, stands in the fields too.
  const { strength: kept = 1, left: keptLeft } = bottle;
  useEffect(() => setStrength((was) => (numberIn(was, '%') === 100 * kept ? was : percentOf(kept))), [kept]);
  useEffect(
    () => setLeft((was) => (numberIn(was, 'ml') === keptLeft ? was : keptLeft === undefined ? '' : String(keptLeft))),
    [keptLeft],
  );
  const share = numberIn(strength, '%');
  const strengthFault = share !== undefined && share > 0 && share <= 100 ? undefined : 'must be more than 0 and at most 100';
  const rest = left.trim() === '' ? undefined : numberIn(left, 'ml');
  const leftFault =
    left.trim() === '' || (rest !== undefined && rest <= 100_000) ? undefined : 'must be millilitres, such as 250';
  const [first, second] = [numberIn(before, 'g'), numberIn(after, 'g')];
  const both = before.trim() !== '' && after.trim() !== '';
  const found = first !== undefined && second !== undefined ? pullOf(first, second, PULLS) : undefined;
  return (
    <section className="sheet space-y-3 p-4" aria-label={`The bottle of ${bottle.name}`}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="chalk-heading">The bottle of {bottle.name.toLowerCase()}</h2>
        <SavingWords state={own} />
      </div>
      {own.error && (
        <p role="alert" className="font-semibold text-error">
          {plainMessage(own.error)}
        </p>
      )}
      <StaleSaver saver={own} />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Strength, % of concentrate"
          value={strength}
          error={strengthFault}
          hint="100 when it is used as it comes."
          onChange={(typed) => {
            setStrength(typed);
            const percent = numberIn(typed, '%');
            if (percent !== undefined && percent > 0 && percent <= 100) own.change({ strength: percent / 100 });
          }}
        />
        <TextField
          label="Left in the bottle, ml"
          value={left}
          error={leftFault}
          hint="Empty when you do not know."
          onChange={(typed) => {
            setLeft(typed);
            const ml = numberIn(typed, 'ml');
            if (typed.trim() === '' || (ml !== undefined && ml <= 100_000)) own.change({ left: ml });
          }}
        />
      </div>
      <p>
        One pull gives <strong>{(bottle.mlPerPull ?? usualPull).toFixed(2)} ml</strong>
        {bottle.mlPerPull === undefined && ', as trigger bottles usually do'}. Weigh yours before and after {PULLS} pulls.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Before, g" value={before} onChange={setBefore} placeholder="412" />
        <TextField
          label={`After ${PULLS} pulls, g`}
          value={after}
          onChange={setAfter}
          placeholder="394"
          error={both && found === undefined ? 'It must weigh less than before, in grams.' : undefined}
        />
      </div>
      {found !== undefined && (
        <button
          type="button"
          className="btn btn-primary"
          onClick={() => own.change({ mlPerPull: Math.round(found * 1000) / 1000 })}
        >
          Mine gives {found.toFixed(2)} ml a pull
        </button>
      )}
      {usedOn.length > 0 && (
        <div>
          <h3 className="font-semibold">Used on</h3>
          <ul>
            {usedOn.slice(0, MOST_TOLD).map(({ cloth, times, on, outcome }) => (
              <li key={cloth}>
                {cloth}, {times === 1 ? 'once' : `${times} times`}, last on {readableDate(on)}: {outcome}
              </li>
            ))}
            {usedOn.length > MOST_TOLD && <li>and on {counted(usedOn.length - MOST_TOLD, 'cloth')} more, in the logbook</li>}
          </ul>
        </div>
      )}
    </section>
  );
}
