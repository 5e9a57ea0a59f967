import { RotateCcw } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Given, Identified } from '../../core/identify';
import { TextField } from '../../ui/form/form-fields';

/** A question as it is asked. */
interface Asked {
  id: string;
  question: string;
  how: string;
  answers: readonly { id: string; words: string }[];
}

interface Props {
  title: string;
  /** What they are called, and what is said below the field for a name. */
  words: { one: string; many: string; hint: string; placeholder: string };
  things: readonly { id: string; name: string }[];
  questions: readonly Asked[];
  identify: (given: Given) => Identified;
  /** Puts a new one into the cupboard, described like one of them, and goes to its test bench. */
  onKeep: (id: string, name: string, looks: number) => Promise<void>;
}

/** Below this no question is worth asking, bits. */
const WORTH_ASKING = 0.05;

function percent(p: number): string {
  return p >= 0.995 ? 'nearly certain' : p < 0.01 ? 'under 1 %' : `${Math.round(p * 100)} %`;
}

/** Finds what an unknown cloth or layer may be, one look at a time; the most telling look is asked first. */
export default function IdentifyView({ title, words, things, questions, identify, onKeep }: Props) {
  const [given, setGiven] = useState<Record<string, string>>({});
  const [passed, setPassed] = useState<string[]>([]);
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  const found = useMemo(() => identify(given), [identify, given]);
  const asked = Object.keys(given).length;
  const open = found.next.filter(({ id }) => !passed.includes(id));
  const first = open[0];
  const question = first && first.gain > WORTH_ASKING ? questions.find(({ id }) => id === first.id) : undefined;
  const best = found.likely[0];
  const shown = found.likely.filter(({ probability }, i) => i < 8 && (probability > 0.004 || i < 3));

  const answer = (to: Asked, id: string) => setGiven((was) => ({ ...was, [to.id]: id }));
  const keep = async (id: string) => {
    setBusy(true);
    setError(undefined);
    try {
      await onKeep(id, name.trim(), asked);
    } catch (problem) {
      setError((problem as Error).message);
      setBusy(false);
    }
  };
  return (
    <>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href="/cupboard">
          Cupboard
        </a>{' '}
        · identify
      </p>
      <h1 className="text-2xl font-bold">{title}</h1>
      <div className="mt-3 grid items-start gap-5 lg:grid-cols-[1.2fr_1fr]">
        <div className="space-y-4">
          {question ? (
            <section className="sheet p-5" aria-label="The next question">
              <p className="quiet">{asked === 0 ? 'This tells most to begin with:' : 'This tells most now:'}</p>
              <h2 className="text-xl font-bold">{question.question}</h2>
              <p>{question.how}</p>
              <div className="mt-3 grid gap-2 sm:grid-cols-2">
                {question.answers.map(({ id, words }) => (
                  <button
                    key={id}
                    type="button"
                    className="btn h-auto min-h-[52px] justify-start text-left"
                    onClick={() => answer(question, id)}
                  >
                    {words}
                  </button>
                ))}
              </div>
              <button type="button" className="btn btn-ghost mt-2" onClick={() => setPassed((all) => [...all, question.id])}>
                I cannot tell
              </button>
            </section>
          ) : (
            <section className="sheet p-5">
              <h2 className="chalk-heading">There is nothing more worth asking</h2>
              <p className="mt-1">Take the likeliest as a start; the test bench will do the rest.</p>
            </section>
          )}
          {asked > 0 && (
            <section aria-label="What was answered">
              <div className="flex items-center justify-between gap-3">
                <h2 className="chalk-heading">So far</h2>
                <button
                  type="button"
                  className="btn btn-ghost"
                  onClick={() => {
                    setGiven({});
                    setPassed([]);
                  }}
                >
                  <RotateCcw size={18} aria-hidden="true" /> Begin again
                </button>
              </div>
              <ul className="space-y-1">
                {questions
                  .filter(({ id }) => given[id])
                  .map((each) => (
                    <li key={each.id} className="grid items-center gap-2 sm:grid-cols-[1fr_16rem]">
                      <span>{each.question}</span>
                      <select
                        className="select"
                        aria-label={each.question}
                        value={given[each.id]}
                        onChange={(e) => {
                          if (e.target.value === '') {
                            const { [each.id]: _gone, ...rest } = given;
                            setGiven(rest);
                          } else answer(each, e.target.value);
                        }}
                      >
                        {each.answers.map(({ id, words }) => (
                          <option key={id} value={id}>
                            {words}
                          </option>
                        ))}
                        <option value="">take it back</option>
                      </select>
                    </li>
                  ))}
              </ul>
            </section>
          )}
        </div>
        <section className="sheet p-5" aria-label="What it may be" aria-live="polite">
          <h2 className="chalk-heading">What it may be</h2>
          <p className="quiet text-[0.95rem]">
            {asked === 0
              ? `Any of ${things.length} ${words.many}. Each answer narrows them.`
              : `Still as open as among ${Math.max(1, Math.round(2 ** found.entropy))} equally likely ${Math.round(2 ** found.entropy) <= 1 ? words.one : words.many}.`}
          </p>
          {asked > 0 && (
            <ol className="mt-2 space-y-1.5">
              {shown.map(({ id, name: cloth, probability }) => (
                <li key={id} className="grid grid-cols-[1fr_auto] items-center gap-x-3">
                  <div className="min-w-0">
                    <div className="flex justify-between gap-2">
                      <span className={id === best?.id ? 'font-bold' : ''}>{cloth}</span>
                      <span>{percent(probability)}</span>
                    </div>
                    <div className="h-2 rounded-full bg-base-300" aria-hidden="true">
                      <div className="h-2 rounded-full bg-primary" style={{ width: `${Math.max(1, probability * 100)}%` }} />
                    </div>
                  </div>
                  <button
                    type="button"
                    className="btn"
                    disabled={busy}
                    onClick={() => void keep(id)}
                    aria-label={`Take ${cloth} as a start`}
                  >
                    Take it
                  </button>
                </li>
              ))}
            </ol>
          )}
          {asked > 0 && (
            <div className="mt-4">
              <TextField
                label={`Name for your ${words.one}`}
                value={name}
                onChange={setName}
                placeholder={words.placeholder}
                hint={words.hint}
              />
            </div>
          )}
          {error && (
            <p role="alert" className="mt-2 font-semibold text-error">
              {error}
            </p>
          )}
          {open.length > 1 && question && (
            <details className="mt-3">
              <summary className="flex min-h-[44px] cursor-pointer items-center font-semibold text-primary underline decoration-2 underline-offset-4">
                Why this question?
              </summary>
              <p className="text-[0.95rem]">
                For every question it is worked out how much the answer is expected to narrow the list, in bits: one bit halves
                it.
              </p>
              <ul className="mt-1 text-[0.95rem]">
                {open.slice(0, 6).map(({ id, gain }) => (
                  <li key={id} className="flex justify-between gap-3">
                    <span>{questions.find((each) => each.id === id)!.question}</span>
                    <span>{gain.toFixed(1)}</span>
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
      </div>
    </>
  );
}
