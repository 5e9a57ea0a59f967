import type { Paces } from '../../core/learn';
import type { Air } from '../../core/liquid';
import { SelectField } from '../../ui/form/form-fields';
import { counted } from '../../ui/text';

interface Props {
  air: Air;
  /** How fast cloth dries by the person's own times. */
  drying: Paces['drying'];
  sides: 1 | 2;
  onAir: (air: Air) => void;
  onSides: (sides: 1 | 2) => void;
}

const AIRS: [id: string, words: string, air: Air][] = [
  ['room', 'a still room, 20 °C', { temperature: 20, humidity: 50, airSpeed: 0 }],
  ['warm', 'a warm room, 24 °C', { temperature: 24, humidity: 40, airSpeed: 0.1 }],
  ['fan', 'a room with a fan', { temperature: 21, humidity: 50, airSpeed: 1.5 }],
  ['damp', 'a damp room', { temperature: 20, humidity: 70, airSpeed: 0 }],
  ['out', 'outdoors, mild and windy', { temperature: 18, humidity: 60, airSpeed: 2 }],
  ['summer', 'outdoors, a summer day', { temperature: 25, humidity: 40, airSpeed: 2 }],
];

const FIGURES: ['temperature' | 'humidity' | 'airSpeed', string, number, number, number][] = [
  ['temperature', 'Temperature, °C', 0, 60, 1],
  ['humidity', 'Humidity, %', 0, 99, 1],
  ['airSpeed', 'Air moves, m/s', 0, 20, 0.1],
];

/** Where it hangs: as one of a few airs, or as it is measured. */
export default function AirPanel({ air, drying, sides, onAir, onSides }: Props) {
  const known = AIRS.find(([, , each]) => FIGURES.every(([field]) => each[field] === air[field]))?.[0] ?? 'own';
  return (
    <section className="sheet space-y-3 p-4" aria-label="Where it dries">
      <h2 className="chalk-heading">Where it dries</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label="In"
          value={known}
          options={[
            ...AIRS.map(([id, words]) => [id, words] as const),
            ...(known === 'own' ? [['own', 'air as measured'] as const] : []),
          ]}
          onChange={(id) => {
            const found = AIRS.find(([each]) => each === id);
            if (found) onAir(found[2]);
          }}
        />
        <SelectField
          label="It lies"
          value={String(sides) as '1' | '2'}
          options={[
            ['2', 'on a line, both faces free'],
            ['1', 'flat, one face free'],
          ]}
          onChange={(free) => onSides(free === '1' ? 1 : 2)}
        />
      </div>
      <div className="grid grid-cols-3 gap-3">
        {FIGURES.map(([field, label, min, max, step]) => (
          <label key={field} className="font-semibold">
            {label}
            <input
              type="number"
              className="input mt-1 w-full"
              value={air[field]}
              {...{ min, max, step }}
              onChange={(event) => {
                const value = Number(event.target.value);
                if (value >= min && value <= max) onAir({ ...air, [field]: value });
              }}
            />
          </label>
        ))}
      </div>
      <p className="quiet text-[0.95rem]">
        {drying.times === 0
          ? 'The bench asks how damp it is; your own times then correct these.'
          : `By your own times (${counted(drying.times, 'time')}) it dries in ${Math.round(100 * drying.factor)} % of what is computed; that is reckoned in.`}
      </p>
    </section>
  );
}
