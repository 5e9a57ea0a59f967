import { PackageCheck, Printer } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { kitCount, kitMoved, type KitItem, type KitMove, type KitStanding, type KitState } from '../../core/kit';
import { capital } from '../../core/letters';
import type { ShownKit } from '../../server/kits';
import { useMoves } from '../../ui/use-moves';
import { kitWords } from './kit-words';

interface Props {
  start: ShownKit;
  paper: string;
}

const GROUPS = [
  ['cloth', 'Cloth'],
  ['layer', 'Layers'],
  ['notion', 'Notions'],
  ['pattern', 'Patterns'],
] as const;

const STATES: readonly (readonly [KitState, string])[] = [
  ['packed', 'packed'],
  ['missing', 'missing'],
  ['taken', 'taken out'],
];

/** Other tablets are asked this often, ms. */
const EVERY = 5000;

const standingOf = ({ states, place }: ShownKit['kept']): KitStanding => ({ states, place });

/** The bag of one thing: what belongs into it, and what of it is in there. Every touch is kept at once, on any tablet. */
export default function KitView({ start, paper }: Props) {
  const { project, copy, items } = start;
  const { now, make, trouble } = useMoves<ShownKit['kept'], KitStanding, KitMove>({
    ...{ path: `/api/projects/${project.id}/kits/${copy}`, start: start.kept, standing: standingOf },
    ...{ moved: kitMoved, every: EVERY },
  });
  const put = useCallback((keys: string[], state: KitState | null) => make({ kind: 'put', keys, state }), [make]);
  const count = kitCount(items, now);
  const open = items.filter(({ key }) => !Object.hasOwn(now.states, key));
  const several = project.makes > 1;
  return (
    <>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href={`/projects/${project.id}`}>
          {project.name}
        </a>{' '}
        ·{' '}
        <a className="font-semibold text-primary underline underline-offset-2" href={`/projects/${project.id}/kits`}>
          bags
        </a>
      </p>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">
          {several ? `Bag ${copy} of ${project.makes}` : 'The bag'}
          {project.variant && `, ${project.variant}`}
        </h1>
        <div className="flex flex-wrap gap-2">
          {several && copy < project.makes && (
            <a className="btn" href={`/projects/${project.id}/kits/${copy + 1}`}>
              The next bag
            </a>
          )}
          <a className="btn" href={`/api/projects/${project.id}/kits/labels.pdf?paper=${paper}&copy=${copy}`} download>
            <Printer size={18} aria-hidden="true" /> Print its label
          </a>
        </div>
      </div>
      <p className="text-lg" role="status">
        {items.length === 0 ? 'Nothing belongs into it yet: describe the pieces first.' : `${capital(kitWords(count))}.`}
      </p>
      {trouble && (
        <p role="alert" className="font-semibold text-error">
          {trouble}
        </p>
      )}
      <div className="mt-3 grid items-start gap-5 lg:grid-cols-[1fr_18rem]">
        <div className="space-y-5">
          {GROUPS.map(([group, words]) => (
            <Group key={group} words={words} items={items.filter((item) => item.group === group)} standing={now} onPut={put} />
          ))}
        </div>
        <aside className="sheet space-y-4 p-4">
          {open.length > 0 && (
            <button
              type="button"
              className="btn btn-primary w-full"
              onClick={() =>
                put(
                  open.map(({ key }) => key),
                  'packed',
                )
              }
            >
              <PackageCheck size={18} aria-hidden="true" /> All the rest is packed
            </button>
          )}
          <Place place={now.place} onPlace={(place) => make({ kind: 'place', place })} />
          <p className="quiet">The code on the label leads here; scan it under Search.</p>
        </aside>
      </div>
    </>
  );
}

interface GroupProps {
  words: string;
  items: KitItem[];
  standing: KitStanding;
  onPut: (keys: string[], state: KitState | null) => void;
}

function Group({ words, items, standing, onPut }: GroupProps) {
  if (items.length === 0) return null;
  return (
    <section aria-label={words}>
      <h2 className="chalk-heading">{words}</h2>
      <ul className="sheet divide-y divide-base-300">
        {items.map(({ key, name, count, of, ready }) => {
          const state = Object.hasOwn(standing.states, key) ? standing.states[key] : undefined;
          return (
            <li key={key} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2 p-3">
              <div className="min-w-0">
                <p className="font-semibold">
                  {count} × {name}
                </p>
                <p className="quiet">
                  {of}
                  {!ready && state === undefined && `${of ? ', ' : ''}not there yet`}
                </p>
              </div>
              <div className="join" role="group" aria-label={name}>
                {STATES.map(([id, said]) => (
                  <button
                    key={id}
                    type="button"
                    className={`btn join-item ${state === id ? (id === 'packed' ? 'btn-success' : 'btn-warning') : ''}`}
                    aria-pressed={state === id}
                    onClick={() => onPut([key], state === id ? null : id)}
                  >
                    {said}
                  </button>
                ))}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Where the bag lies; kept when the field is left. */
function Place({ place, onPlace }: { place: string; onPlace: (place: string) => void }) {
  const [typed, setTyped] = useState(place);
  useEffect(() => setTyped(place), [place]);
  const keep = () => {
    if (typed.trim() !== place) onPlace(typed.trim());
  };
  return (
    <label className="block">
      <span className="font-semibold">Where it lies</span>
      <input
        className="input mt-1 w-full"
        value={typed}
        maxLength={200}
        placeholder="blue basket"
        onChange={(event) => setTyped(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => event.key === 'Enter' && keep()}
      />
    </label>
  );
}
