import { useEffect, useMemo, useState } from 'react';
import { sizeOfPiece, type Choice, type RankedStack, type Weights } from '../../core/choose';
import { openPiece } from '../../core/pieces';
import { schoolsOf, type Schools } from '../../core/schools';
import { fabricOf } from '../../core/cloth';
import type { ApiError } from '../../ui/api';
import { call } from '../../ui/api';
import DroopDrawing from '../../ui/DroopDrawing';
import SchoolSelects from '../../ui/SchoolSelects';
import { counted, keepUnits } from '../../ui/text';
import WeightSliders from '../../ui/WeightSliders';
import type { Cloth } from '../../store/cloths';
import type { Part } from '../../store/parts';
import { groupAnswers, keptStack, verdict } from '../choose/answers';
import { START, toQuery, type SentenceState } from '../choose/sentence-state';

interface Props {
  part: Part;
  cloth: Cloth | undefined;
  onSave: (part: Part, change: Partial<Part>) => Promise<boolean>;
  /** How far the person trims layers, mm. */
  trim: number;
  /** The person's ways of working. */
  ways: Partial<Schools>;
  onCloth: () => void;
  onNext: () => void;
}

/** Roles whose parts are sewn in a hoop or under a free needle. */
const STITCHED: readonly Part['wish']['role'][] = ['embroidery', 'badge', 'applique', 'quilt-piece', 'free-stitching'];

/** Chooses the stack of a part: the best of each kind, one tap to take it. */
export default function ChooseStage({ part, cloth, trim, ways, onSave, onCloth, onNext }: Props) {
  const [choice, setChoice] = useState<Choice>();
  const [error, setError] = useState<string>();
  const [all, setAll] = useState(false);
  const [weights, setWeights] = useState<Weights>({});
  const [schools, setSchools] = useState<Partial<Schools>>(part.stack?.schools ?? {});
  const size = useMemo(() => sizeOfPiece(openPiece(part), part.wish.role, part.count, trim), [part, trim]);
  useEffect(() => {
    if (!cloth) return undefined;
    const abort = new AbortController();
    call<Choice>(
      'POST',
      '/api/choose',
      {
        fabric: fabricOf(cloth),
        part: part.wish,
        limit: 80,
        clothId: cloth.id,
        weights,
        schools,
        piece: size,
      },
      abort.signal,
    )
      .then(setChoice)
      .catch((problem: Error) => !abort.signal.aborted && setError(problem.message));
    return () => abort.abort();
  }, [part.wish, size, cloth, weights, schools]);

  if (!cloth) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">Which cloth is “{part.name}” cut from?</h2>
        <p className="mt-1">The layers depend on it.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onCloth}>
          Say which cloth
        </button>
      </div>
    );
  }
  const take = async (stack: RankedStack) => {
    setError(undefined);
    try {
      const saved = await onSave(part, {
        stack: keptStack(stack, schools),
        cutDone: false,
      });
      // A layer that this page has not seen yet has to be fetched with it.
      if (saved) location.assign(`?part=${part.id}&stage=scrap`);
    } catch (problem) {
      setError((problem as ApiError).message);
    }
  };
  const groups = choice ? groupAnswers(choice.ranked) : [];
  return (
    <div className="space-y-4">
      {part.stack && (
        <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
          <div>
            <h2 className="text-xl font-bold">Chosen: {keepUnits(part.stack.title)}</h2>
            <p className="quiet">{part.stack.reasons.slice(0, 2).join(' ')}</p>
          </div>
          <button type="button" className="btn btn-primary" onClick={onNext}>
            On to the scrap
          </button>
        </div>
      )}
      {STITCHED.includes(part.wish.role) && (
        <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
          <p>This part is stitched on: look at its motif stitch by stitch, place it in a hoop, and follow the machine.</p>
          <a className="btn" href={`/hoop?part=${part.id}`}>
            To the hoop
          </a>
        </div>
      )}
      <div>
        <h2 className="chalk-heading">{part.stack ? 'Or take another' : `What to put behind “${part.name}”`}</h2>
        <p className="quiet">
          {cloth.name}, wanted {choice?.hand ?? '…'}. The best of each kind.{' '}
          <a className="font-semibold text-primary underline underline-offset-2" href={`/${toQuery(sentenceOf(part))}`}>
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
            Ways of working for this part:{' '}
            {Object.keys(schools).length > 0 ? counted(Object.keys(schools).length, 'change') : 'as in the settings'}
          </summary>
          <div className="pb-3">
            <SchoolSelects value={schools} base={schoolsOf(ways)} onChange={setSchools} />
            {part.stack && (
              <button
                type="button"
                className="btn mt-3"
                onClick={() => void onSave(part, { stack: { ...part.stack!, schools } })}
              >
                Keep them for the chosen stack
              </button>
            )}
          </div>
        </details>
      </div>
      <ol className="grid gap-3 xl:grid-cols-2">
        {groups.slice(0, all ? undefined : 6).map(({ best }) => (
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
              {best.cautions[0] && <p className="quiet text-[0.92rem] leading-snug">{best.cautions[0]}</p>}
            </div>
            <div className="shrink-0 text-center">
              <p className="text-2xl leading-none font-bold">{Math.round(best.score)}</p>
              <p className="quiet mb-1 text-[0.85rem]">{verdict(best.score)}</p>
              <button type="button" className="btn btn-primary" onClick={() => void take(best)} aria-label={`Take ${best.title}`}>
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
          No layer fits this cloth and these wishes without harm. Change a wish under Parts, or see on the front door what was
          ruled out and why.
        </p>
      )}
    </div>
  );
}

/** The front sentence that asks what this part asks. */
function sentenceOf(part: Part): SentenceState {
  const { wish, clothId } = part;
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
    piece: sizeOfPiece(openPiece(part), part.wish.role, part.count),
  };
}
