import { useState } from 'react';
import type { HoopingRun } from '../../store/hoopings';
import { counted } from '../../ui/text';
import { STOP_WORDS } from './stop-words';

const FACTORS = [1, 10, 60] as const;

interface Props {
  stops: HoopingRun['stops'];
  /** Lets its time run so many times as fast. */
  onHurry: (factor: number) => void;
}

/** How fast the simulated machine's time runs, and where it stopped so far. */
export default function SimulationPanel({ stops, onHurry }: Props) {
  const [factor, setFactor] = useState<number>(FACTORS[0]);
  return (
    <section className="sheet p-4" aria-label="Simulation">
      <h2 className="font-semibold">This is a simulated machine</h2>
      <p className="mt-1 text-[0.95rem] leading-snug">
        It needs no device: it counts as yours would, stops for colours, and breaks its thread now and then.
      </p>
      <div className="join mt-2" role="group" aria-label="Its time runs">
        {FACTORS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={factor === each}
            className={`btn join-item ${factor === each ? 'btn-primary' : ''}`}
            onClick={() => {
              setFactor(each);
              onHurry(each);
            }}
          >
            {each === 1 ? 'as it is' : `× ${each}`}
          </button>
        ))}
      </div>
      {stops.length > 0 && (
        <details className="mt-3">
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-primary underline underline-offset-4">
            {counted(stops.length, 'stop')} so far
          </summary>
          <ul className="mt-1 text-[0.95rem]">
            {stops.slice(-12).map(({ kind, record, at: when }, i) => (
              <li key={i}>
                {STOP_WORDS[kind].toLowerCase()} at record {record.toLocaleString('en')},{' '}
                {new Date(when).toLocaleTimeString('en', { hour: '2-digit', minute: '2-digit', hour12: false })}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
