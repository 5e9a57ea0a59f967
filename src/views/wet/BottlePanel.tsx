import { useState } from 'react';
import { TextField } from '../../ui/form/form-fields';
import { pullOf } from './wet-sums';

interface Props {
  mlPerPull: number;
  onCalibrated: (mlPerPull: number) => void;
}

const PULLS = 20;

/** Grams as they are typed: `412`, `412.5 g`. */
function gramsOf(typed: string): number | undefined {
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*g?\s*$/i.exec(typed);
  return match ? Number(match[1]!.replace(',', '.')) : undefined;
}

/** What the person's own bottle gives: weighed before and after twenty pulls. */
export default function BottlePanel({ mlPerPull, onCalibrated }: Props) {
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [first, second] = [gramsOf(before), gramsOf(after)];
  const both = before.trim() !== '' && after.trim() !== '';
  const found = first !== undefined && second !== undefined ? pullOf(first, second, PULLS) : undefined;
  return (
    <section className="sheet space-y-3 p-4" aria-label="The bottle">
      <h2 className="chalk-heading">The bottle</h2>
      <p>
        One pull gives <strong>{mlPerPull.toFixed(2)} ml</strong>. Weigh yours before and after {PULLS} pulls.
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
        <button type="button" className="btn btn-primary" onClick={() => onCalibrated(found)}>
          Mine gives {found.toFixed(2)} ml a pull
        </button>
      )}
    </section>
  );
}
