import { Printer } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { shoppingLine, shoppingQuestion, type ShoppingLine, type ShoppingNeed } from '../../core/cutlist';
import { shopWords } from '../../core/cutplan';
import { formatMoney } from '../../core/units';
import type { OpenSet } from '../../server/hooping-sets';
import type { Shopping } from '../../server/shopping';
import Others from './Others';
import SetLines, { isShort } from './SetLines';
import { useAsked } from '../../ui/query';
import { CheckField } from '../../ui/form/form-fields';
import { GivenUp } from '../../ui/beside';
import { LayoutRunner } from '../../ui/layout-runner';
import { counted } from '../../ui/text';
import { UnitsProvider, useUnits } from '../../ui/units-context';
import type { Settings } from '../../store/settings';

interface Props {
  /** Projects with something to cut, last touched first. */
  projects: { id: string; name: string }[];
  /** What those of `start` and `startSets` need. */
  first: Shopping;
  /** Sets in the hoop that are of no project’s job. */
  hooped: OpenSet[];
  settings: Settings;
  /** Ids of the projects that are shopped for at first. */
  start: string[];
  startSets: string[];
}

/** How far the counting has come, and for which needs. */
interface Answer {
  asked: ShoppingNeed[];
  lines: ShoppingLine[];
  done: boolean;
  error?: string;
}

/** What has to be bought for one project or several, after what the cupboard covers. */
export default function BuyView(props: Props) {
  return (
    <UnitsProvider value={props.settings.units}>
      <ShoppingList {...props} />
    </UnitsProvider>
  );
}

/** Projects that are listed before one is searched for. */
const LISTED = 12;

function ShoppingList({ projects, first, hooped, settings, start, startSets }: Props) {
  const units = useUnits();
  const [chosen, setChosen] = useState<readonly string[]>(start);
  const [chosenSets, setChosenSets] = useState<readonly string[]>(startSets);
  const [search, setSearch] = useState('');
  const [answer, setAnswer] = useState<Answer>();
  const asking = [...chosen.map((id) => ['project', id]), ...chosenSets.map((id) => ['hooping', id])];
  const path = `/api/needs?${new URLSearchParams(asking)}`;
  const { answer: found, error: trouble } = useAsked<Shopping>(path, undefined, { start: first });
  const { needs: asked, sets, others } = found ?? first;
  const listed = useMemo(() => {
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const fits = projects.filter(({ name }) => words.every((word) => name.toLowerCase().includes(word)));
    const ticked = fits.filter(({ id }) => chosen.includes(id));
    return [...ticked, ...fits.filter(({ id }) => !chosen.includes(id)).slice(0, Math.max(0, LISTED - ticked.length))];
  }, [projects, search, chosen]);
  useEffect(() => {
    const runner = new LayoutRunner();
    const lines: ShoppingLine[] = [];
    const tell = (state: Partial<Answer>) => setAnswer({ asked, lines: [...lines], done: false, ...state });
    const work = async () => {
      for (const need of asked) {
        const { question } = shoppingQuestion(need, settings.trim);
        const plan = question && (await runner.lay(question));
        const line = shoppingLine(need, plan, settings.trim, settings.units);
        if (line.pieces > 0 || line.tape > 0) lines.push(line);
        tell({});
      }
      tell({ done: true });
    };
    work().catch((problem: Error) => {
      if (!(problem instanceof GivenUp)) tell({ done: true, error: problem.message });
    });
    return () => runner.close();
  }, [asked, settings]);

  // An answer to an earlier choice of projects is never shown beside the present one.
  const { lines, done, error } = answer?.asked === asked ? answer : { lines: [], done: false, error: undefined };
  const busy = !done;
  const sum = lines.reduce((all, { cost }) => all + cost, 0);
  const buying = lines.filter(({ buy, some }) => buy > 0 && !some);
  const some = lines.filter((line) => line.some);
  /** Of sheets for the hoop no price is counted. */
  const sheets = sets.flatMap(({ sheets: all }) => all).filter(isShort).length;
  const things = buying.length + sheets;
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">What to buy</h1>
        <button type="button" className="btn no-print" disabled={busy} onClick={() => print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </button>
      </div>
      {projects.length === 0 && hooped.length === 0 ? (
        <div className="sheet mt-4 max-w-2xl p-6">
          <h2 className="chalk-heading">Nothing has to be cut</h2>
          <p className="mt-1">Once a project has pieces, what they need is counted here.</p>
          <a className="btn btn-primary mt-4" href="/projects">
            To the projects
          </a>
        </div>
      ) : (
        <div className="mt-4 grid items-start gap-5 lg:grid-cols-[19rem_1fr]">
          <fieldset className="sheet no-print p-4">
            <legend className="sr-only">Projects</legend>
            <h2 className="chalk-heading">For</h2>
            {projects.length > LISTED && (
              <label className="mt-1 block">
                <span className="sr-only">Search projects</span>
                <input
                  type="search"
                  className="input"
                  placeholder={`search ${projects.length} projects …`}
                  value={search}
                  onChange={(e) => setSearch(e.target.value)}
                />
              </label>
            )}
            {listed.map(({ id, name }) => (
              <CheckField
                key={id}
                label={name}
                checked={chosen.includes(id)}
                onChange={(on) => setChosen((was) => (on ? [...was, id] : was.filter((each) => each !== id)))}
              />
            ))}
            {hooped.length > 0 && (
              <>
                <h2 className="chalk-heading mt-3">In the hoop</h2>
                {hooped.map(({ id, name }) => (
                  <CheckField
                    key={id}
                    label={name}
                    checked={chosenSets.includes(id)}
                    onChange={(on) => setChosenSets((was) => (on ? [...was, id] : was.filter((each) => each !== id)))}
                  />
                ))}
              </>
            )}
          </fieldset>
          <div className="min-w-0 space-y-4">
            {(error ?? trouble) && (
              <p role="alert" className="alert alert-error">
                {error ?? trouble}
              </p>
            )}
            <p role="status" className="text-lg">
              {busy
                ? `Laying out ${lines.length + 1} of ${asked.length} …`
                : things === 0
                  ? lines.some(({ misfits }) => misfits > 0)
                    ? 'Some pieces fit on no roll; see below what would help.'
                    : some.length > 0
                      ? `Nothing, if there is enough of ${counted(some.length, 'layer')} that you have.`
                      : 'The cupboard covers everything.'
                  : `${counted(things, 'thing')} to buy, about ${formatMoney(sum, settings.currency)} in all${sheets > 0 || buying.some(({ cost }) => cost === 0) ? ', without those that have no price' : ''}.`}
            </p>
            {lines.length > 0 && (
              <div className="overflow-x-auto">
                <table className="table text-base">
                  <thead>
                    <tr className="border-base-300 text-base text-base-content">
                      <th scope="col">Of</th>
                      <th scope="col">Buy</th>
                      <th scope="col">About</th>
                      <th scope="col">From the cupboard</th>
                      <th scope="col">Left on rolls</th>
                    </tr>
                  </thead>
                  <tbody>
                    {lines.map((line) => (
                      <LineRow key={`${line.material.kind}-${line.material.id}`} line={line} currency={settings.currency} />
                    ))}
                  </tbody>
                </table>
              </div>
            )}
            <SetLines sets={sets} />
            <Others others={others} />
            <p className="quiet text-[0.95rem]">
              Laid out quickly, all pieces of one material together, leftovers first; squaring and shrinking are in it, rounded up
              as shops cut by {units.system === 'metric' ? '10 cm' : '⅛ yd'}. A cutting table may find a shorter layout.
            </p>
          </div>
        </div>
      )}
    </>
  );
}

function LineRow({ line, currency }: { line: ShoppingLine; currency: string }) {
  const units = useUnits();
  const { material, pieces, covered, misfits, tape, buy, some, cost, remains } = line;
  return (
    <tr className="border-base-300">
      <th scope="row" className="font-semibold">
        {material.name}
        {misfits > 0 && (
          <span className="block text-error">
            {counted(misfits, 'piece')} {misfits === 1 ? 'fits' : 'fit'} on no roll {units.length(material.rollWidth)} wide: take
            a wider one, or cut in parts with a seam between
          </span>
        )}
      </th>
      <td className="whitespace-nowrap">
        {some ? (
          <>
            {shopWords(buy, units.system)} needed
            <span className="quiet block">you have some: look</span>
          </>
        ) : buy > 0 ? (
          <>
            <strong>{shopWords(buy, units.system)}</strong>
            <span className="quiet block">{tape > 0 ? 'tape' : `${units.length(material.rollWidth)} wide`}</span>
          </>
        ) : misfits > 0 ? (
          'not to be had from this roll'
        ) : (
          'nothing'
        )}
      </td>
      <td>{cost > 0 ? formatMoney(cost, currency) : buy > 0 && !some ? 'no price' : ''}</td>
      <td>{tape > 0 ? '' : `${covered} of ${counted(pieces, 'piece')}`}</td>
      <td>{remains > 0 ? units.length(remains) : ''}</td>
    </tr>
  );
}
