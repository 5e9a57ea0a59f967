import type { ReactNode } from 'react';
import { testReadingsSchema } from '../../schemas/cloths';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { useWrite } from '../../ui/query';
import { toast } from 'sonner';
import { undoToast } from '../../ui/undo-toast';
import type { Figure, HomeTest, Readings, TestId, TestResult } from '../../core/measure';
import { InputError } from '../../core/input-error';
import type { LengthSystem } from '../../core/units';
import { call } from '../../ui/api';
import TestDrawing from '../../ui/TestDrawing';
import { readableDate, today } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import Why from '../../ui/Why';
import { useFigureWords } from './figure-words';
import PhotoReading from './PhotoReading';
import ReadingField, { readTyped, writeReading } from './ReadingField';

/** Anything that home tests are done on. */
interface Tested {
  version: number;
  tests: Partial<Record<string, { readings: Readings; doneOn: string }>>;
}

interface Props<T extends Tested> {
  /** Where its tests are kept, such as `/api/cloths/ID/tests`. */
  path: string;
  record: T;
  test: Omit<HomeTest<TestId, unknown>, 'settles'>;
  onSaved: (record: T) => void;
  onStale: (record: T) => void;
  /** What stands beside the readings: what others read. */
  children?: (figures: Figure[] | undefined) => ReactNode;
}

/** One test: how it is done, what was read, what it means, what similar cloths read. */
export default function TestPanel<T extends Tested>({ path, record, test, onSaved, onStale, children }: Props<T>) {
  const { system } = useUnits();
  const kept = record.tests[test.id];
  const write = useFigureWords();
  const start = (readings: Readings | undefined): Record<string, string> =>
    Object.fromEntries(
      test.fields.map((field) => {
        // Readings from before a test could be done in several ways say nothing of the way: it is the first.
        const kept = field.kind === 'choice' ? (readings?.[field.id] ?? field.start) : readings?.[field.id];
        return [field.id, writeReading(field, readings ? kept : field.start, system)];
      }),
    );
  /** Readings as they are typed. @throws {InputError} naming the field that cannot be read */
  const readingsOf = (typed: Record<string, string>): Readings => {
    const readings: Readings = {};
    for (const field of test.fields) {
      if (field.when && typed[field.when[0]] !== field.when[1]) continue;
      const value = readTyped(field, typed[field.id] ?? '', system);
      if (value !== undefined) readings[field.id] = value;
    }
    return readings;
  };
  const of = useKeptForm<Record<string, string>>({
    key: `test ${path} ${test.id} ${record.version}`,
    schema: testReadingsSchema,
    start: () => start(kept?.readings),
    read: (typed) => {
      const readings = readingsOf(typed);
      // What a test makes no sense of is told under its field.
      test.read(readings);
      return { readings };
    },
  });
  const { form } = of;
  const typed = form.watch();
  const shown = test.fields.filter((field) => !field.when || typed[field.when[0]] === field.when[1]);
  let result: TestResult<unknown> | undefined;
  let fault: InputError | undefined;
  try {
    result = test.read(readingsOf(typed));
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    fault = problem;
  }
  const saving = useWrite(
    (readings: Readings | null) => call<T>('PUT', `${path}/${test.id}`, { readings, doneOn: today(), version: record.version }),
    {
      onSuccess: (saved, readings) => {
        of.forget();
        onSaved(saved);
        if (readings !== null) return void toast('Kept.');
        form.reset(start(undefined));
        if (!kept) return;
        undoToast(`“${test.title}” is taken back.`, async () => {
          const back = await call<T>('PUT', `${path}/${test.id}`, { ...kept, version: saved.version });
          onSaved(back);
          form.reset(start(back.tests[test.id]?.readings));
        });
      },
      onError: (problem) => {
        if (problem.status === 409) onStale(problem.current as T);
        else of.refuse(problem);
      },
    },
  );
  // A field that is only missing is not called wrong until the person asks to keep the readings.
  const errorOf = (id: string) =>
    of.error(id) ??
    (fault?.field === id && !/is missing/.test(fault.message) ? fault.message.replace(/^[^:]*: /, '') : undefined);
  const groups = [...new Set(shown.map(({ group }) => group))];
  const fieldsOf = (group: string | undefined) => shown.filter((field) => field.group === group);
  return (
    <article className="sheet p-4 md:p-5" aria-label={test.title}>
      <div className="grid gap-5 md:grid-cols-[15rem_1fr]">
        <TestDrawing test={test.id} />
        <div>
          <h2 className="text-xl font-bold">{test.title}</h2>
          <p className="quiet">{test.purpose}</p>
          <ol className="mt-2 list-decimal space-y-0.5 pl-5">
            {test.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </div>
      </div>
      <form
        className="mt-4 grid gap-5 border-t border-base-300 pt-4 lg:grid-cols-[1fr_20rem]"
        noValidate
        onSubmit={(event) => void form.handleSubmit((fields) => saving.mutate(fields['readings'] as Readings))(event)}
      >
        <div className="space-y-4">
          {groups.map((group) => {
            const fields = fieldsOf(group);
            const bind = (field: (typeof fields)[number]) => (
              <ReadingField
                key={field.id}
                field={field.id.startsWith('length-') || field.id.startsWith('cross-') ? dropLabel(field, typed['way']) : field}
                value={typed[field.id] ?? ''}
                error={errorOf(field.id)}
                onChange={(value) => form.setValue(field.id, value, { shouldValidate: form.formState.isSubmitted })}
              />
            );
            const choices = fields.every(({ kind }) => kind === 'choice');
            const grid = choices ? 'space-y-4' : `grid gap-3 sm:grid-cols-2 ${fields.length > 2 ? 'xl:grid-cols-4' : ''}`;
            return group ? (
              <fieldset key={group}>
                <legend className="mb-1 chalk-heading">{group}</legend>
                <div className={grid}>{fields.map(bind)}</div>
              </fieldset>
            ) : (
              <div key="own" className={grid}>
                {fields.map(bind)}
              </div>
            );
          })}
          {(test.id === 'overhang' || (test.id === 'see-through' && typed['way'] === 'photo')) && (
            <PhotoReading
              test={test.id}
              fields={test.fields}
              readings={() => wayOf(test.fields, typed, system)}
              empty={(field) => (typed[field] ?? '').trim() === ''}
              onRead={(read) => {
                for (const [field, value] of Object.entries(read))
                  form.setValue(field, value, { shouldDirty: true, shouldValidate: form.formState.isSubmitted });
              }}
            />
          )}
          <FormErrors of={of} />
          <div className="flex flex-wrap items-center gap-3">
            <button className="btn btn-primary" disabled={saving.isPending}>
              Keep these readings
            </button>
            {kept && (
              <>
                <button type="button" className="btn" disabled={saving.isPending} onClick={() => saving.mutate(null)}>
                  Take the test back
                </button>
                <span className="quiet">done on {readableDate(kept.doneOn)}</span>
              </>
            )}
          </div>
        </div>
        <div className="space-y-3" aria-live="polite">
          {result ? (
            <div className="border-l-4 border-accent pl-3">
              {result.figures.map((figure, i) => (
                <p key={figure.label} className={i === 0 ? 'text-lg' : ''}>
                  {figure.label}: <strong>{write(figure.value, figure.unit)}</strong>
                  {figure.give !== undefined && figure.give > 0 && <span className="quiet"> ± {giveWords(figure, write)}</span>}
                </p>
              ))}
              <p className="mt-1">{result.meaning}</p>
              <Why title="Why?">
                <p>{test.why}</p>
              </Why>
            </div>
          ) : (
            <p className="quiet border-l-4 border-base-300 pl-3">What it means is told here as soon as the readings are in.</p>
          )}
          {children?.(result?.figures)}
        </div>
      </form>
    </article>
  );
}

/** How a test is read, without what was read. @throws {InputError} naming the field that cannot be read */
function wayOf(fields: HomeTest<TestId, unknown>['fields'], typed: Record<string, string>, system: LengthSystem): Readings {
  return Object.fromEntries(
    fields
      .filter(({ id, when }) => ['way', 'angle', 'length'].includes(id) && (!when || typed[when[0]] === when[1]))
      .flatMap((field) => {
        const value = readTyped(field, typed[field.id] ?? '', system);
        return value === undefined ? [] : [[field.id, value] as const];
      }),
  );
}

/** In the fixed-length test the reading is a drop, and the label says so. */
function dropLabel(field: HomeTest<TestId, unknown>['fields'][number], way: string | undefined) {
  return way === 'fixed' ? { ...field, label: `Drop: ${field.label.toLowerCase()}` } : field;
}

/** A give without the unit that stands before it already. */
function giveWords(figure: Figure, write: (value: number, unit: Figure['unit']) => string): string {
  if (figure.unit === 'g/m²') return write(figure.give!, figure.unit);
  if (figure.unit === '%') return `${Math.max(1, Math.round(figure.give!))} %`;
  return figure.value < 3 ? `${figure.give!.toFixed(2)} mm` : `${Math.max(1, Math.round(figure.give!))} mm`;
}
