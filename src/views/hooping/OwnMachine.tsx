import { useState } from 'react';
import { counted } from '../../ui/text';
import type { SewnCopy } from '../../store/hoopings';

interface Props {
  /** The copy that is told. */
  copy: number;
  colours: readonly string[];
  /** What is told of it already. */
  sewn: SewnCopy | undefined;
  /** Thread breaks of the whole set, by colour. */
  breaks: ReadonlyMap<number, number>;
  onSewn: (sewn: SewnCopy) => void;
  /** It was not sewn after all. */
  onTakeBack: () => void;
}

/** So many breaks of one colour are no accident. */
const TOO_MANY = 2;

/** A piece that was sewn on a machine of one's own: how long, what broke, what was changed. */
export default function OwnMachine({ copy, colours, sewn, breaks, onSewn, onTakeBack }: Props) {
  const now: SewnCopy = sewn ?? { copy, minutes: null, breaks: [], needles: 0, note: '' };
  const [minutes, setMinutes] = useState(now.minutes === null ? '' : String(now.minutes));
  const typed = /^\s*\d{1,4}([.,]\d+)?\s*$/.test(minutes) ? Number(minutes.replace(',', '.')) : null;
  const often = [...breaks].filter(([, times]) => times > TOO_MANY);
  const broke = (colour: number, by: number) => {
    const times = Math.max(0, (now.breaks.find((each) => each.colour === colour)?.times ?? 0) + by);
    const others = now.breaks.filter((each) => each.colour !== colour);
    onSewn({ ...now, breaks: times === 0 ? others : [...others, { colour, times }].sort((a, b) => a.colour - b.colour) });
  };
  return (
    <section className="sheet space-y-3 p-4" aria-label={`Piece ${copy + 1} on my machine`}>
      <h2 className="font-semibold">Piece {copy + 1} on your machine</h2>
      <label className="block">
        <span className="font-semibold">Minutes at the machine</span>
        <input
          className="input"
          inputMode="decimal"
          value={minutes}
          aria-invalid={minutes.trim() !== '' && typed === null}
          onChange={(event) => {
            setMinutes(event.target.value);
            const value = event.target.value;
            if (value.trim() === '') onSewn({ ...now, minutes: null });
            else if (/^\s*\d{1,4}([.,]\d+)?\s*$/.test(value)) onSewn({ ...now, minutes: Number(value.replace(',', '.')) });
          }}
        />
      </label>
      <fieldset>
        <legend className="font-semibold">Thread broke</legend>
        <ul className="space-y-1">
          {colours.map((colour, i) => {
            const times = now.breaks.find((each) => each.colour === i + 1)?.times ?? 0;
            return (
              <li key={i} className="flex items-center gap-2">
                <span
                  className="inline-block size-5 rounded-full border border-base-content"
                  style={{ background: colour }}
                  aria-hidden="true"
                />
                <span className="flex-1">
                  Colour {i + 1}
                  {times > 0 && `: ${counted(times, 'time')}`}
                </span>
                <button
                  type="button"
                  className="btn"
                  aria-label={`Colour ${i + 1} broke once less`}
                  disabled={times === 0}
                  onClick={() => broke(i + 1, -1)}
                >
                  −
                </button>
                <button type="button" className="btn" aria-label={`Colour ${i + 1} broke`} onClick={() => broke(i + 1, 1)}>
                  +
                </button>
              </li>
            );
          })}
        </ul>
      </fieldset>
      <div className="flex items-center justify-between gap-2">
        <span>{now.needles === 0 ? 'No needle was changed' : `${counted(now.needles, 'needle')} changed`}</span>
        <button type="button" className="btn" onClick={() => onSewn({ ...now, needles: now.needles + 1 })}>
          Needle changed
        </button>
      </div>
      <label className="block">
        <span className="font-semibold">Note</span>
        <textarea
          className="textarea"
          rows={2}
          maxLength={1000}
          value={now.note}
          onChange={(event) => onSewn({ ...now, note: event.target.value })}
        />
      </label>
      {often.length > 0 && (
        <p className="border-l-4 border-accent pl-2">
          {often.map(([colour, times]) => `Colour ${colour} broke ${times} times`).join(', ')}. Before the next one: a new needle,
          one size larger for thick thread; thread it anew with the foot up; slower by a third; wipe glue off the needle.
        </p>
      )}
      <button type="button" className="btn w-full" onClick={onTakeBack}>
        Not sewn after all
      </button>
    </section>
  );
}
