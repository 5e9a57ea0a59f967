import { FORM_WORDS, type Form } from '../../core/layers';
import type { Choice, RankedStack } from '../../core/choose';
import DroopDrawing from '../../ui/DroopDrawing';
import { keepUnits } from '../../ui/text';
import { buyingWords, minutesWords, verdict, type AnswerGroup, type Buying } from './answers';

interface Props {
  groups: AnswerGroup[];
  choice: Choice;
  openId: string | undefined;
  currency: string;
  compared: readonly string[];
  /** What has to be bought for an answer; undefined until it is known. */
  bought: (stack: RankedStack) => Buying | undefined;
  onOpen: (stack: RankedStack) => void;
  onCompare: (stack: RankedStack) => void;
}

/** Most that are compared at once. */
const MOST_COMPARED = 4;

/** A reason for each answer that none before it has given, as far as there is one: what they have in common tells nothing. */
export function apart(stacks: readonly Pick<RankedStack, 'reasons'>[]): string[] {
  const given = new Set<string>();
  return stacks.map(({ reasons }) => {
    const own = reasons.filter((reason) => !/^(Hangs|Helps) /.test(reason));
    const found = own.find((reason) => !given.has(reason)) ?? own[0] ?? reasons[0] ?? '';
    given.add(found);
    return found;
  });
}

/** On which side it is fused the opened answer says. */
const putOn = (form: Form): string => (form === 'fusible' ? 'fused' : FORM_WORDS[form]);

/** The kinds of answer, best first, each with its droop and its first reason. */
export default function AnswerList({ groups, choice, openId, currency, compared, bought, onOpen, onCompare }: Props) {
  // What is stitched on is judged by what it carries, not by its feel.
  const stitched = choice.ranked[0]?.criteria.some((criterion) => criterion.name === 'Carries the stitches') ?? false;
  const told = apart(groups.map(({ best }) => best));
  return (
    <ol className="space-y-2" aria-label="Answers, best first">
      {groups.map(({ best, others }, i) => {
        const open = best.id === openId || others.some((stack) => stack.id === openId);
        const first = best.layers[0]!;
        return (
          <li key={best.id} className="relative">
            <button
              type="button"
              data-answer={i}
              aria-pressed={open}
              onClick={() => onOpen(best)}
              className={`flex w-full items-center gap-3 rounded-box border-2 px-3 py-2 text-left ${open ? 'border-primary bg-base-200' : 'border-base-300 hover:border-primary'}`}
            >
              <DroopDrawing
                size="thumb"
                stack={best.predicted}
                bare={choice.bare.predicted.bendingLength}
                band={stitched ? undefined : choice.band}
                label={`Droop: bending length about ${Math.round(best.predicted.bendingLength)} mm`}
              />
              <span className="min-w-0 flex-1">
                <span className="block leading-snug font-semibold">{keepUnits(best.title)}</span>
                {best.memory && (
                  <span className="mt-0.5 block text-[0.92rem] leading-snug font-semibold text-success">
                    in your logbook: tried {best.memory.tried === 1 ? 'once' : `${best.memory.tried} times`} on this cloth
                  </span>
                )}
                <span className="quiet block text-[0.92rem] leading-snug">
                  {keepUnits(
                    [
                      best.layers.length === 1 ? putOn(first.form) : `${best.layers.length} layers`,
                      minutesWords(best.needs.minutes),
                      ...buyingWords(bought(best), currency),
                    ]
                      .filter(Boolean)
                      .join(' · '),
                  )}
                </span>
                <span className="mt-0.5 block pr-6 text-[0.95rem] leading-snug">{told[i]}</span>
              </span>
              <span className="shrink-0 self-start text-right">
                <span className="block text-2xl leading-none font-bold">{Math.round(best.score)}</span>
                <span className="quiet block text-[0.85rem]">{verdict(best.score)}</span>
              </span>
            </button>
            <label
              className="absolute right-1 bottom-0 flex min-h-[44px] cursor-pointer items-center gap-2 px-2 text-[0.92rem]"
              title={compared.length >= MOST_COMPARED && !compared.includes(best.id) ? 'Four are compared already' : undefined}
            >
              <input
                type="checkbox"
                className="checkbox checkbox-primary checkbox-sm"
                aria-label={`Compare ${best.title}`}
                checked={compared.includes(best.id)}
                disabled={compared.length >= MOST_COMPARED && !compared.includes(best.id)}
                onChange={() => onCompare(best)}
              />
              compare
            </label>
          </li>
        );
      })}
    </ol>
  );
}
