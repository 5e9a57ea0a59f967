import { useMemo, useState } from 'react';
import { sizeOfPiece, type Choice } from '../../core/choose';
import { fabricOf } from '../../core/cloth';
import { keptKey, type Material } from '../../core/layers';
import { openPiece } from '../../core/pieces';
import { schoolsOf } from '../../core/schools';
import {
  candidatesPlan,
  FEWEST_CANDIDATES,
  MOST_ROUNDS,
  scrapPlan,
  SETTING_GRIDS,
  sprayPlan,
  STRIP,
  type Grid,
  type ScrapPlan,
} from '../../core/scrap';
import { call } from '../../ui/api';
import { useAsked, useWrite } from '../../ui/query';
import ScrapDrawing from '../../ui/ScrapDrawing';
import { keepUnits } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import type { KeptStack } from '../../store/jobs';
import type { Scrap } from '../../store/scraps';
import type { Settings } from '../../store/settings';
import { groupAnswers, keptStack } from '../choose/answers';
import type { StageLayer } from '../project/CutStage';
import type { Worked } from '../project/worked';
import CandidateList from './CandidateList';

interface Props {
  work: Worked & { stack: KeptStack };
  cloth: Cloth;
  layers: StageLayer[];
  settings: Settings;
  /** How often the pair was tried before. */
  tried: number;
  onScrap: (scrap: Scrap) => void;
  onChoose: () => void;
  onNext: () => void;
}

const GRID_WORDS: Record<Grid, string> = {
  one: 'one setting, as the leaflet says',
  seconds: 'three times of pressing',
  full: 'three times by the iron settings the cloth bears',
  spray: 'doses of the liquid, by rounds',
  candidates: 'other stacks beside it, hung and felt',
};

type KnownLayer = StageLayer & { material: Material };

/** The plan of a scrap as it would be, or why it cannot be. */
function planned(plan: () => ScrapPlan): { plan?: ScrapPlan; fault?: string } {
  try {
    return { plan: plan() };
  } catch (problem) {
    return { fault: (problem as Error).message.replace(/^[^:]*: /, '') };
  }
}

/** How a scrap test is begun: what is tried on it, and what to cut. */
export default function StartScrap({ work, cloth, layers, settings, tried, onScrap, onChoose, onNext }: Props) {
  const { stack } = work;
  const fabric = useMemo(() => fabricOf(cloth), [cloth]);
  const known = layers.filter((layer): layer is KnownLayer => layer.material !== undefined);
  const pressed = known.some(({ material }) => material.leaflet.seconds > 0);
  const liquid = known.find(({ material }) => material.form === 'liquid')?.base;
  const schools = schoolsOf(settings.schools, stack.schools);
  const [picked, setPicked] = useState<Grid>();
  const [rounds, setRounds] = useState(2);
  const [beside, setBeside] = useState<string[]>([]);
  const usual: Grid = pressed && tried === 0 ? 'seconds' : 'one';
  const grid = picked ?? usual;
  const size = useMemo(
    () => sizeOfPiece(openPiece(work), work.wish.role, work.count, settings.trim, work.place),
    [work, settings],
  );
  const { answer: choice, error: unanswered } = useAsked<Choice>(grid === 'candidates' ? '/api/choose' : undefined, {
    ...{ fabric, part: work.wish, limit: 60, clothId: cloth.id, piece: size, schools: stack.schools ?? {} },
  });
  const own = stack.layers.map(keptKey).join('+');
  const others = (choice ? groupAnswers(choice.ranked) : [])
    .map(({ best }) => best)
    .filter(({ layers: of }) => of.map(({ materialId }) => materialId).join('+') !== own);
  const candidates: KeptStack[] = [
    stack,
    ...others.filter(({ id }) => beside.includes(id)).map((each) => keptStack(each, stack.schools)),
  ];
  const start = useWrite(
    () =>
      call<Scrap>('POST', `/api/jobs/${work.id}/scraps`, {
        grid,
        ...(grid === 'spray' ? { rounds } : {}),
        ...(grid === 'candidates' ? { stacks: candidates } : {}),
      }),
    { onSuccess: onScrap },
  );
  const { plan, fault } = planned(() => {
    if (grid === 'spray') return sprayPlan(fabric, liquid!, rounds);
    // What the others need is looked at when it is started; here only how many pieces are cut.
    if (grid === 'candidates')
      return candidatesPlan(
        fabric,
        Array.from({ length: Math.max(FEWEST_CANDIDATES, candidates.length) }, () => ({ layers: known, schools })),
      );
    return scrapPlan(fabric, known, schools, grid);
  });
  if (fault && grid !== 'spray') {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">This stack cannot be tried</h2>
        <p className="mt-1">It {fault}.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
          Choose the layers
        </button>
      </div>
    );
  }
  const offered: Grid[] = [
    ...SETTING_GRIDS.filter((each) => pressed || each === 'one'),
    ...(liquid ? (['spray'] as const) : []),
    'candidates',
  ];
  const enough = grid !== 'candidates' || candidates.length >= FEWEST_CANDIDATES;
  const error = start.error?.message ?? unanswered ?? (fault && `That cannot be tried: ${fault}.`);
  return (
    <div className="sheet p-5">
      <h2 className="text-xl font-bold">Try it on a scrap</h2>
      <p>
        {keepUnits(stack.title)} on {cloth.name}:{' '}
        {tried === 0
          ? 'a new pair in your logbook. A scrap of a few centimetres saves a spoilt piece.'
          : `tried ${tried === 1 ? 'once' : `${tried} times`} before. One piece is enough to make sure.`}
      </p>
      <div className="mt-4 grid items-start gap-6 md:grid-cols-[1fr_20rem]">
        <div>
          <fieldset>
            <legend className="mb-1 font-semibold">What is tried</legend>
            <div className="space-y-1.5">
              {offered.map((each) => (
                <label key={each} className="flex min-h-[44px] cursor-pointer items-center gap-3">
                  <input
                    type="radio"
                    className="radio radio-primary"
                    name="scrap-grid"
                    checked={grid === each}
                    onChange={() => setPicked(each)}
                  />
                  {GRID_WORDS[each]}
                </label>
              ))}
            </div>
          </fieldset>
          {grid === 'spray' && (
            <label className="mt-2 flex items-center gap-3 font-semibold">
              Rounds of wetting and pressing, at most
              <select className="select w-24" value={rounds} onChange={(event) => setRounds(Number(event.target.value))}>
                {Array.from({ length: MOST_ROUNDS }, (_, k) => k + 1).map((each) => (
                  <option key={each}>{each}</option>
                ))}
              </select>
            </label>
          )}
          {grid === 'candidates' && (
            <CandidateList own={stack.title} others={others} waiting={!choice} taken={beside} onTaken={setBeside} />
          )}
          {plan && <CutWords plan={plan} />}
          {error && (
            <p role="alert" className="mt-2 font-semibold text-error">
              {error}
            </p>
          )}
          <button
            type="button"
            className="btn btn-primary mt-4"
            disabled={start.isPending || !plan || !enough}
            onClick={() => start.mutate(undefined)}
          >
            Start the scrap test
          </button>
          <button type="button" className="btn btn-ghost mt-4" onClick={onNext}>
            Go on without
          </button>
        </div>
        {plan && (
          <ScrapDrawing
            plan={plan}
            titles={candidates.map(({ title }) => title)}
            outcomes={{}}
            chosen={null}
            open=""
            onOpen={() => undefined}
          />
        )}
      </div>
    </div>
  );
}

/** What is cut for a scrap. */
function CutWords({ plan }: { plan: ScrapPlan }) {
  const units = useUnits();
  const { cells, grid } = plan;
  if (grid === 'spray')
    return (
      <p className="mt-3">
        Cut{' '}
        <strong>
          {cells.length} pairs of strips, {units.size(STRIP.width, STRIP.height)}
        </strong>
        : one of each pair along the grain to hang, one on the bias to pull.
      </p>
    );
  return (
    <p className="mt-3">
      Cut{' '}
      <strong>
        {cells.length > 1
          ? `${cells.length} pieces of ${units.size(plan.cellWidth, plan.cellHeight)}`
          : units.size(plan.width, plan.height)}
      </strong>{' '}
      of cloth{grid === 'candidates' ? ', and of the layers of each,' : ' and of each layer,'} along the grain.
    </p>
  );
}
