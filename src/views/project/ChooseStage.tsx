import { Blocks } from 'lucide-react';
import { Suspense, useMemo, useState } from 'react';
import { sizeOfPiece, type Choice, type RankedStack, type Weights } from '../../core/choose';
import { fetched } from '../../ui/fetched';
import { useAsked } from '../../ui/query';
import { openPiece } from '../../core/pieces';
import { schoolsOf, type Schools } from '../../core/schools';
import { fabricOf } from '../../core/cloth';
import type { ApiError } from '../../ui/api';
import AskDialog from '../../ui/AskDialog';
import DroopDrawing from '../../ui/DroopDrawing';
import { useUnits } from '../../ui/units-context';
import SchoolSelects from '../../ui/SchoolSelects';
import { counted, keepUnits } from '../../ui/text';
import WeightSliders from '../../ui/WeightSliders';
import type { Cloth } from '../../store/cloths';
import { groupAnswers, keptStack, minutesWords, verdict } from '../choose/answers';
import { keptJob, lostBy, offerStackBack } from '../choose/take-stack';
import { useBought } from '../choose/use-bought';
import { START, toQuery, type SentenceState } from '../choose/sentence-state';
import type { KeptStack } from '../../store/jobs';
import { addableOf, composedFrom } from '../compose/composed';
import type { Material } from '../../core/layers';
import type { WorkChange, Worked } from './worked';

/** What only opens when it is asked for is only fetched then. */
const ComposeStack = fetched(() => import('../compose/ComposeStack'));

interface Props {
  work: Worked;
  cloth: Cloth | undefined;
  cloths: Cloth[];
  /** Every layer that the project uses. */
  materials: Material[];
  onSave: (work: Worked, change: WorkChange) => Promise<boolean>;
  /** How far the person trims layers, mm. */
  trim: number;
  /** The person's ways of working. */
  ways: Partial<Schools>;
  onCloth: () => void;
  onNext: () => void;
}

/** Roles whose parts are sewn in a hoop or under a free needle. */
const STITCHED: readonly Worked['wish']['role'][] = ['embroidery', 'badge', 'applique', 'quilt-piece', 'free-stitching'];

/** Chooses the stack of a job: the best of each kind, one tap to take it. */
export default function ChooseStage({ work, cloth, cloths, materials, trim, ways, onSave, onCloth, onNext }: Props) {
  const [refused, setRefused] = useState<string>();
  /** A stack that would cost work, and what. */
  const [asked, setAsked] = useState<{ stack: KeptStack; lost: string }>();
  const [all, setAll] = useState(false);
  const [composing, setComposing] = useState(false);
  const [weights, setWeights] = useState<Weights>({});
  const [schools, setSchools] = useState<Partial<Schools>>(work.stack?.schools ?? {});
  const size = useMemo(() => sizeOfPiece(openPiece(work), work.wish.role, work.count, trim, work.place), [work, trim]);
  const fabric = useMemo(() => cloth && fabricOf(cloth), [cloth]);
  const question = useMemo(() => cloth && { clothId: cloth.id, weights, schools, piece: size }, [cloth, weights, schools, size]);
  const known = useMemo(() => new Map(materials.map((material) => [material.id, addableOf(material)])), [materials]);
  const { answer: choice, error: unanswered } = useAsked<Choice>(fabric && question ? '/api/choose' : undefined, {
    ...{ fabric, part: work.wish, limit: 80 },
    ...question,
  });
  const error = refused ?? unanswered;
  const groups = useMemo(() => (choice ? groupAnswers(choice.ranked) : []), [choice]);
  const { bought } = useBought({ jobId: work.id, groups, schools, trim, system: useUnits().system });

  if (!cloth || !fabric || !question) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">Which cloth is “{work.name}” cut from?</h2>
        <p className="mt-1">The layers depend on it.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onCloth}>
          Say which cloth
        </button>
      </div>
    );
  }
  const give = async (stack: KeptStack) => {
    setRefused(undefined);
    const before = { stack: work.stack, cutDone: work.cutDone };
    try {
      if (!(await onSave(work, { stack, cutDone: false }))) return;
      if (before.stack) offerStackBack(work.name, before, await keptJob(work.id));
      // A layer that this page has not seen yet has to be fetched with it.
      location.assign(`?job=${work.id}&stage=scrap`);
    } catch (problem) {
      setRefused((problem as ApiError).message);
    }
  };
  /** Asks first where work would be lost by it. */
  const takeOwn = (stack: KeptStack) => {
    const lost = lostBy(work);
    if (lost === undefined) return void give(stack);
    return setAsked({ stack, lost });
  };
  const take = (stack: RankedStack) => takeOwn(keptStack(stack, schools));
  return (
    <div className="space-y-4">
      {asked && (
        <AskDialog
          title={`Another stack for “${work.name}”?`}
          words={asked.lost}
          yes="Take it all the same"
          onYes={() => void give(asked.stack)}
          onClose={() => setAsked(undefined)}
        />
      )}
      {work.stack && (
        <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
          <div>
            <h2 className="text-xl font-bold">Chosen: {keepUnits(work.stack.title)}</h2>
            <p className="quiet">{work.stack.reasons.slice(0, 2).join(' ')}</p>
          </div>
          <span className="flex flex-wrap gap-2">
            <button type="button" className="btn" onClick={() => setComposing(true)}>
              Change its layers
            </button>
            <button type="button" className="btn btn-primary" onClick={onNext}>
              On to the scrap
            </button>
          </span>
        </div>
      )}
      {STITCHED.includes(work.wish.role) && (
        <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
          <p>This is stitched on: look at its motif stitch by stitch, place it in a hoop, and follow the machine.</p>
          <a className="btn" href={`/hoop?job=${work.id}`}>
            To the hoop
          </a>
        </div>
      )}
      <div>
        <h2 className="chalk-heading">{work.stack ? 'Or take another' : `What to put behind “${work.name}”`}</h2>
        <p className="quiet">
          {cloth.name}, wanted {choice?.hand ?? '…'}. The best of each kind.{' '}
          <a
            className="font-semibold text-primary underline underline-offset-2"
            href={`/${toQuery(sentenceOf(work))}&job=${work.id}`}
          >
            All reasons, comparison and drape
          </a>
        </p>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      <div className="space-y-1">
        <details className="rounded-field border border-base-300 px-3">
          <summary className="flex min-h-[44px] cursor-pointer items-center font-semibold">
            What matters: {Object.keys(weights).length > 0 ? counted(Object.keys(weights).length, 'change') : 'as usual'}
          </summary>
          <WeightSliders shown={choice?.ranked[0]?.criteria.map(({ id }) => id) ?? []} weights={weights} onChange={setWeights} />
        </details>
        <details className="rounded-field border border-base-300 px-3 pb-1">
          <summary className="flex min-h-[44px] cursor-pointer items-center font-semibold">
            Ways of working for this job:{' '}
            {Object.keys(schools).length > 0 ? counted(Object.keys(schools).length, 'change') : 'as in the settings'}
          </summary>
          <div className="pb-3">
            <SchoolSelects value={schools} base={schoolsOf(ways)} onChange={setSchools} />
            {work.stack && (
              <button
                type="button"
                className="btn mt-3"
                onClick={() => void onSave(work, { stack: { ...work.stack!, schools } })}
              >
                Keep them for the chosen stack
              </button>
            )}
          </div>
        </details>
      </div>
      {composing ? (
        <Suspense fallback={<progress className="progress w-40 progress-primary" aria-label="Opening" />}>
          <ComposeStack
            fabric={fabric}
            part={work.wish}
            asked={question}
            cloths={cloths.map(({ id, name, origin }) => ({ id, name, own: origin === 'own' }))}
            start={composedFrom(work.stack, known)}
            onTake={(stack) => takeOwn(stack)}
          />
        </Suspense>
      ) : (
        <button type="button" className="btn" onClick={() => setComposing(true)}>
          <Blocks size={18} aria-hidden="true" /> Put a stack of your own together
        </button>
      )}
      <ol className="grid gap-3 xl:grid-cols-2">
        {groups.slice(0, all ? undefined : 6).map(({ best, others }) => (
          <li key={best.id} className="sheet flex items-center gap-3 p-3">
            <DroopDrawing
              size="thumb"
              stack={best.predicted}
              bare={choice?.bare.predicted.bendingLength}
              band={choice?.band}
              label={`Droop, bending length about ${Math.round(best.predicted.bendingLength)} mm`}
            />
            <div className="min-w-0 flex-1">
              <p className="leading-snug font-semibold">{keepUnits(best.title)}</p>
              <p className="text-[0.95rem] leading-snug">{best.reasons.slice(0, 2).join(' ')}</p>
              <p className="quiet text-[0.95rem] leading-snug">
                {[minutesWords(best.needs.minutes), bought(best)?.lengths].filter(Boolean).join(' · ')}
              </p>
              {best.cautions[0] && <p className="quiet text-[0.92rem] leading-snug">{best.cautions[0]}</p>}
              {others.length > 0 && (
                <select
                  className="select mt-1"
                  aria-label={`Another weight instead of ${best.title}`}
                  value=""
                  onChange={(event) => {
                    const other = others.find(({ id }) => id === event.target.value);
                    if (other) take(other);
                  }}
                >
                  <option value="">or another weight: {others.length}</option>
                  {others.map((other) => (
                    <option key={other.id} value={other.id}>
                      {other.title}, {Math.round(other.score)}
                    </option>
                  ))}
                </select>
              )}
            </div>
            <div className="shrink-0 text-center">
              <p className="text-2xl leading-none font-bold">{Math.round(best.score)}</p>
              <p className="quiet mb-1 text-[0.85rem]">{verdict(best.score)}</p>
              <button type="button" className="btn btn-primary" onClick={() => take(best)} aria-label={`Take ${best.title}`}>
                Take it
              </button>
            </div>
          </li>
        ))}
      </ol>
      {groups.length > 6 && (
        <button type="button" className="btn" onClick={() => setAll(!all)}>
          {all ? 'Only the first six' : `Show all ${groups.length} kinds`}
        </button>
      )}
      {choice && groups.length === 0 && (
        <p className="sheet p-5">
          No layer fits this cloth and these wishes without harm. Change a wish under Pieces, or see on the front door what was
          ruled out and why.
        </p>
      )}
    </div>
  );
}

/** The front sentence that asks what this job asks. */
function sentenceOf(work: Worked): SentenceState {
  const { wish, clothId } = work;
  return {
    ...START,
    clothId: clothId ?? START.clothId,
    role: wish.role,
    hand: wish.hand ?? 'usual',
    stretch: wish.stretch,
    care: wish.care,
    cut: wish.cut,
    cutAlready: wish.cutAlready === true,
    avoid: wish.avoid ?? [],
    ...(wish.embroidery
      ? { stitches: wish.embroidery.stitches, width: wish.embroidery.width, height: wish.embroidery.height }
      : {}),
    schools: work.stack?.schools ?? {},
    piece: sizeOfPiece(openPiece(work), work.wish.role, work.count),
  };
}
