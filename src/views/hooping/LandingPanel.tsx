import { useState } from 'react';
import { edgeWords, landedBy, nearestStitches, type HoopCard } from '../../core/hoop';
import type { Outline } from '../../core/shape';
import LengthField from '../../ui/LengthField';
import { useUnits } from '../../ui/units-context';
import type { Landing } from '../../store/hoopings';

interface Props {
  hull: Outline;
  /** Of the copy that was sewn, as it would be without any correction. */
  card: HoopCard;
  landed: Landing | null;
  onLanded: (landed: Landing | null) => void;
}

/** Where the first piece came to lie: two readings of a ruler, by which all other cards are corrected. */
export default function LandingPanel({ hull, card, landed, onLanded }: Props) {
  const units = useUnits();
  const expected = nearestStitches(hull, card);
  const [readings, setReadings] = useState(() => landed?.readings ?? expected.map(({ distance }) => distance));
  if (expected.length < 2) return null;
  const read = (i: number, mm: number) => {
    const next = readings.map((each, k) => (k === i ? mm : each));
    setReadings(next);
    const off = landedBy(hull, card, next);
    onLanded(off && Math.hypot(off.right, off.up) > 0.05 ? { copy: card.copy, readings: next, ...off } : null);
  };
  return (
    <section className="sheet p-4" aria-label="Where it landed">
      <h2 className="font-semibold">Where did piece {card.copy + 1} land?</h2>
      <p className="text-[0.95rem]">Lay a ruler from the edge to the stitching that is nearest to it.</p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        {expected.map(({ edge, distance }, i) => (
          <LengthField
            key={edge}
            label={`From the ${edgeWords(card.ground, edge)}`}
            value={Math.round(10 * readings[i]!) / 10}
            hint={`Wanted ${units.length(distance)}.`}
            onChange={(mm) => Math.abs(mm - readings[i]!) > 0.051 && read(i, mm)}
          />
        ))}
      </div>
      <p className="mt-2" role="status">
        {landed
          ? `It lies ${[
              Math.abs(landed.right) < 0.25
                ? ''
                : `${units.length(Math.abs(landed.right))} too far ${landed.right > 0 ? 'right' : 'left'}`,
              Math.abs(landed.up) < 0.25 ? '' : `${units.length(Math.abs(landed.up))} too far ${landed.up > 0 ? 'up' : 'down'}`,
            ]
              .filter(Boolean)
              .join(' and ')} in the hoop: the cards of the other pieces take it back.`
          : readings.every((mm, i) => mm === expected[i]!.distance)
            ? 'Not read yet.'
            : 'It lies where it should.'}
      </p>
    </section>
  );
}
