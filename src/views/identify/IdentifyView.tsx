import { RotateCcw } from 'lucide-react';
import { useMemo, useState } from 'react';
import { identify, QUESTIONS, type Question } from '../../core/identify';
import { fabricOf } from '../../core/cloth';
import type { NamedFabric } from '../../core/measure';
import { call } from '../../ui/api';
import { TextField } from '../../ui/form-fields';

interface Props {
  cloths: NamedFabric[];
}

/** Below this no question is worth asking, bits. */
const WORTH_ASKING = 0.05;

function percent(p: number): string {
  return p >= 0.995 ? 'nearly certain' : p < 0.01 ? 'under 1 %' : `${Math.round(p * 100)} %`;
}

/** Finds what an unknown cloth may be, one look at a time; the most telling look is asked first. */
export default function IdentifyView({ cloths }: Props) {
  const [given, setGiven] = useState<Record<string, string>>({});
  const [passed, setPassed] = useState<string[]>([]);
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  const found = useMemo(() => identify(cloths, given), [cloths, given]);
  const asked = Object.keys(given).length;
  const open = found.next.filter(({ id }) => !passed.includes(id));
  const first = open[0];
  const question = first && first.gain > WORTH_ASKING ? QUESTIONS.find(({ id }) => id === first.id) : undefined;
  const best = found.likely[0];
  const shown = found.likely.filter(({ probability }, i) => i < 8 && (probability > 0.004 || i < 3));

  const answer = (to: Question, id: string) => setGiven((was) => ({ ...was, [to.id]: id }));
  const keep = async (id: string) => {
    const like = cloths.find((cloth) => cloth.id === id);
    if (!like) return;
    setBusy(true);
    setError(undefined);
    try {
      const made = await call<{ id: string }>('POST', '/api/cloths', {
        ...fabricOf(like),
        // These were never measured on this cloth; they are estimated from its description.
        overhang: undefined,
        thickness: undefined,
        name: name.trim() || `Unknown, like ${like.name.toLowerCase()}`,
        note: `Identified by ${asked} looks as like ${like.name}.`,
      });
      location.assign(`/cupboard/cloths/${made.id}`);
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
      <h1 className="text-2xl font-bold">What is this cloth?</h1>
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
                {QUESTIONS.filter(({ id }) => given[id]).map((each) => (
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
              ? `Any of ${cloths.length} cloths. Each answer narrows them.`
              : `Still as open as among ${Math.max(1, Math.round(2 ** found.entropy))} equally likely ${Math.round(2 ** found.entropy) <= 1 ? 'cloth' : 'cloths'}.`}
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
                label="Name for your cloth"
                value={name}
                onChange={setName}
                placeholder="Blue remnant from the market"
                hint="“Take it” puts a new cloth into your cupboard, described like the one beside it, and opens its test bench."
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
                    <span>{QUESTIONS.find((each) => each.id === id)!.question}</span>
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
