import { Droplets } from 'lucide-react';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import { volume, waiting, type WetPlan } from './wet-sums';

const METHOD_WORDS = { mist: 'misted, half on each face', damp: 'sprayed damp', soak: 'wet through' } as const;
const WATER_WORDS = {
  safe: '',
  spots: 'Water marks this cloth: no liquid, unless a test on a scrap says otherwise.',
  resists: 'This cloth hardly drinks: try a drop on a scrap first.',
} as const;

/** What one liquid is needed for: how much, in which order, how long it hangs. */
export default function WetResult({ plan }: { plan: WetPlan }) {
  const units = useUnits();
  const { liquid, bottle, method, lines, millilitres, pulls, bags, concentrate, water } = plan;
  return (
    <section className="sheet p-4" aria-label={`${liquid}, ${METHOD_WORDS[method]}`}>
      <h2 className="flex items-center gap-2 text-xl font-bold">
        <Droplets size={22} aria-hidden="true" /> {liquid}
      </h2>
      <p className="mt-1">
        {METHOD_WORDS[method].charAt(0).toUpperCase() + METHOD_WORDS[method].slice(1)}:{' '}
        <strong>{volume(millilitres)} in all</strong>
        {method !== 'soak' && `, ${counted(pulls, 'pull')} of the bottle`}
        {bags > 0 && `, in ${counted(bags, 'bag or basin', 'bags or basins')}`}.
        {(bottle.strength ?? 1) < 1 && ` That is ${volume(concentrate)} of concentrate in ${volume(water)} of water.`}
      </p>
      <ol className="mt-3 space-y-2">
        {lines.map(({ thing, millilitres: own, pulls: ownPulls, minutesToDamp, minutesToDry }, i) => (
          <li key={thing.id} className="grid grid-cols-[2rem_1fr_auto] items-start gap-x-2 border-t border-base-300 pt-2">
            <span className="text-lg font-bold text-primary">{i + 1}</span>
            <div className="min-w-0">
              <p className="leading-snug font-semibold">
                {thing.name}
                {thing.count > 1 && `, ${counted(thing.count, 'piece')}`}
              </p>
              <p className="quiet text-[0.92rem] leading-snug">
                {thing.of}, {units.area(thing.area)}, {thing.cloth.tone}
              </p>
              {WATER_WORDS[thing.cloth.water] && (
                <p className="text-[0.95rem] font-semibold text-error">{WATER_WORDS[thing.cloth.water]}</p>
              )}
            </div>
            <div className="text-right whitespace-nowrap">
              <p className="font-bold">
                {volume(own)}
                {method !== 'soak' && ` · ${counted(ownPulls, 'pull')}`}
              </p>
              <p className="text-[0.95rem]">
                {minutesToDamp >= 1 ? `damp in ${waiting(minutesToDamp)}, ` : ''}dry in {waiting(minutesToDry)}
              </p>
            </div>
          </li>
        ))}
      </ol>
      {lines.length > 1 && (
        <p className="quiet mt-3 text-[0.95rem]">
          Light colours come before dark: what runs out of one serves the next.
          {method === 'soak' && ' Press each while it is damp; then the wrinkles go.'}
        </p>
      )}
    </section>
  );
}
