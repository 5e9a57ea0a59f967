import { useEffect, useState } from 'react';
import type { Choice, RankedStack } from '../../core/choose';
import { fabricOf } from '../../core/cloth';
import type { ApiError } from '../../ui/api';
import { call } from '../../ui/api';
import DroopDrawing from '../../ui/DroopDrawing';
import { keepUnits } from '../../ui/text';
import type { Cloth } from '../../store/cloths';
import type { Part } from '../../store/parts';
import { groupAnswers, keptStack, verdict } from '../choose/answers';

interface Props {
  part: Part;
  cloth: Cloth | undefined;
  onSave: (part: Part) => Promise<boolean>;
  onCloth: () => void;
  onNext: () => void;
}

/** Chooses the stack of a part: the best of each kind, one tap to take it. */
export default function ChooseStage({ part, cloth, onSave, onCloth, onNext }: Props) {
  const [choice, setChoice] = useState<Choice>();
  const [error, setError] = useState<string>();
  const [all, setAll] = useState(false);
  useEffect(() => {
    if (!cloth) return undefined;
    const abort = new AbortController();
    call<Choice>('POST', '/api/choose', { fabric: fabricOf(cloth), part: part.wish, limit: 80, clothId: cloth.id }, abort.signal)
      .then(setChoice)
      .catch((problem: Error) => !abort.signal.aborted && setError(problem.message));
    return () => abort.abort();
  }, [part.wish, cloth]);

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
      const saved = await onSave({
        ...part,
        stack: keptStack(stack),
        cutDone: false,
      });
      // A layer that this page has not seen yet has to be fetched with it.
      if (saved) location.assign(`?part=${part.id}&stage=cut`);
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
            On to cutting
          </button>
        </div>
      )}
      <div>
        <h2 className="chalk-heading">{part.stack ? 'Or take another' : `What to put behind “${part.name}”`}</h2>
        <p className="quiet">
          {cloth.name}, wanted {choice?.hand ?? '…'}. The best of each kind; the front door shows all the reasons.
        </p>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
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
