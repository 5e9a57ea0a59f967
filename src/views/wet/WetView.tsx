import { useCallback, useMemo, useState } from 'react';
import type { Paces } from '../../core/learn';
import type { Air } from '../../core/liquid';
import { plainMessage } from '../../ui/api';
import SavingWords from '../../ui/saving/SavingWords';
import StaleSaver from '../../ui/StaleSaver';
import { counted, keepUnits } from '../../ui/text';
import { useSaver } from '../../ui/use-saver';
import { UnitsProvider } from '../../ui/units-context';
import type { UsedOn, WetJob } from '../../server/wet-work';
import type { Cloth } from '../../store/cloths';
import type { Settings } from '../../store/settings';
import AirPanel from './AirPanel';
import BottlePanel, { type KeptBottle } from './BottlePanel';
import LengthRows, { type ClothLength } from './LengthRows';
import WetResult from './WetResult';
import { lacking, volume, wetPlans, type WetThing } from './wet-sums';

interface Props {
  jobs: WetJob[];
  cloths: Cloth[];
  settings: { settings: Settings; version: number };
  /** How fast cloth dries by the person's own times. */
  drying: Paces['drying'];
  /** How many times longer than computed cloths take that were timed, by their ids. */
  clothPaces: Readonly<Record<string, number>>;
  /** What each liquid was used on. */
  usedOn: Readonly<Record<string, readonly UsedOn[]>>;
  /** Of every liquid that there is. */
  bottles: KeptBottle[];
  /** Jobs that are ticked to begin with. */
  start: string[];
}

/** What is sprayed, starched and soaked: how much it takes, in which order, how long it hangs. */
export default function WetView(props: Props) {
  return (
    <UnitsProvider value={props.settings.settings.units}>
      <Wet {...props} />
    </UnitsProvider>
  );
}

function jobThing({
  id,
  name,
  project,
  liquid,
  liquidId,
  method,
  area,
  pickUp,
  count,
  clothName,
  pace,
  ...cloth
}: WetJob): WetThing {
  return { id, name, of: `${project}: ${clothName}`, liquid, liquidId, method, area, pickUp, count, cloth, pace };
}

function lengthThing(
  { key, clothId, length, width, liquidId, method }: ClothLength,
  cloths: readonly Cloth[],
  bottles: readonly KeptBottle[],
  paces: Readonly<Record<string, number>>,
): WetThing[] {
  const cloth = cloths.find(({ id }) => id === clothId);
  if (!cloth) return [];
  return [
    {
      ...{
        id: key,
        name: cloth.name,
        of: 'a length',
        method,
        area: length * width,
        count: 1,
        cloth,
        liquidId,
        pace: paces[clothId],
      },
      liquid: bottles.find(({ id }) => id === liquidId)?.name ?? 'What is in the bottle',
    },
  ];
}

/** The settings as a record that is saved. */
interface KeptSettings {
  id: string;
  version: number;
  settings: Settings;
}

function Wet({ jobs, cloths, settings: kept, drying, clothPaces, start, bottles: found, usedOn }: Props) {
  const own = useSaver<KeptSettings>(
    { id: 'settings', ...kept },
    { base: '/api', toBody: ({ settings, version }) => ({ settings, version }) },
  );
  const settings = own.record;
  const [chosen, setChosen] = useState(start.length > 0 ? start : jobs.map(({ id }) => id));
  const [lengths, setLengths] = useState<ClothLength[]>([]);
  const [sides, setSides] = useState<1 | 2>(2);
  const [bottles, setBottles] = useState(found);
  const onBottle = useCallback(
    (bottle: KeptBottle) => setBottles((all) => all.map((each) => (each.id === bottle.id ? bottle : each))),
    [],
  );
  const { mlPerPull, airTemperature, airHumidity, airSpeed } = settings.settings;
  const air: Air = { temperature: airTemperature, humidity: airHumidity, airSpeed };
  const plans = useMemo(() => {
    const things = [
      ...jobs.filter(({ id }) => chosen.includes(id)).map(jobThing),
      ...lengths.flatMap((row) => lengthThing(row, cloths, bottles, clothPaces)),
    ];
    return wetPlans(things, (liquidId) => bottles.find(({ id }) => id === liquidId) ?? {}, {
      ...{ mlPerPull, sides },
      air: { temperature: airTemperature, humidity: airHumidity, airSpeed, pace: drying.factor },
    });
  }, [jobs, chosen, lengths, cloths, bottles, mlPerPull, sides, airTemperature, airHumidity, airSpeed, drying, clothPaces]);
  const used = found.filter(({ id }) =>
    [
      ...jobs.filter((job) => chosen.includes(job.id)).map(({ liquidId }) => liquidId),
      ...lengths.map(({ liquidId }) => liquidId),
    ].includes(id),
  );
  const short = lacking(plans);
  /** The air is the person's own: kept for the next time, and for the bench. */
  const keep = (change: Partial<Settings>) => own.change({ settings: { ...settings.settings, ...change } });
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">Sprays, starch and soaking</h1>
        <SavingWords state={own} />
      </div>
      {own.error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {plainMessage(own.error)}
        </p>
      )}
      <StaleSaver saver={own} />
      <div className="mt-3 grid items-start gap-5 lg:grid-cols-[1fr_1.25fr]">
        <div className="space-y-5">
          <section className="sheet space-y-3 p-4" aria-label="What is made wet">
            <h2 className="chalk-heading">What is made wet</h2>
            {jobs.length === 0 && <p>No open project has a job with a spray, starch or stabilizer.</p>}
            <ul className="space-y-1">
              {jobs.map(({ id, name, project, liquid, count }) => (
                <li key={id}>
                  <label className="flex min-h-[48px] cursor-pointer items-center gap-3">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-primary"
                      checked={chosen.includes(id)}
                      onChange={() => setChosen((all) => (all.includes(id) ? all.filter((each) => each !== id) : [...all, id]))}
                    />
                    <span className="leading-snug">
                      <strong>{name}</strong>, {counted(count, 'piece')}
                      <span className="quiet block text-[0.92rem]">
                        {project}: {keepUnits(liquid)}
                      </span>
                    </span>
                  </label>
                </li>
              ))}
            </ul>
            <LengthRows rows={lengths} cloths={cloths} liquids={bottles} onChange={setLengths} />
          </section>
          {used.map((bottle) => (
            <BottlePanel
              key={bottle.id}
              start={bottle}
              usedOn={usedOn[bottle.id] ?? []}
              usualPull={mlPerPull}
              onBottle={onBottle}
            />
          ))}
          <AirPanel
            air={air}
            drying={drying}
            sides={sides}
            onSides={setSides}
            onAir={({ temperature, humidity, airSpeed: speed }) =>
              keep({ airTemperature: temperature, airHumidity: humidity, airSpeed: speed })
            }
          />
        </div>
        <div className="space-y-4">
          <div className="space-y-4" aria-live="polite">
            {plans.length === 0 ? (
              <p className="sheet p-5">Tick a job, or add a length of cloth.</p>
            ) : (
              plans.map((plan) => <WetResult key={`${plan.liquid} ${plan.method}`} plan={plan} />)
            )}
            {short.map(({ liquid, needed, left, short: missing }) => (
              <p key={liquid} className={missing > 0 ? 'font-semibold text-error' : ''}>
                {missing > 0
                  ? `The bottle of ${liquid.toLowerCase()} is ${volume(missing)} short of ${volume(needed)}: buy another.`
                  : `The bottle of ${liquid.toLowerCase()} holds enough; ${volume(left - needed)} stay in it.`}
              </p>
            ))}
          </div>
          <p className="quiet text-[0.95rem]">
            Taken up: misted about 20 % of the dry cloth’s mass, damp 50 %, wet through 100 % for cotton and linen, more for
            viscose, less for wool and polyester; a third more or less is common. Drying is right within a quarter in air as told.
            Fresh air, away from flames, never over a hot iron; the bottle’s own leaflet goes before what is said here.
          </p>
        </div>
      </div>
    </>
  );
}
