import { useState } from 'react';
import { ironSole } from '../../core/press';
import { useWrite } from '../../ui/query';
import { ApiError, call } from '../../ui/api';
import { CheckInput, SelectInput, TextInput } from '../../ui/form/form-fields';
import RestoredDraft from '../../ui/form/RestoredDraft';
import { readNumber } from '../../ui/form/reading';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { settingsSchema } from '../../schemas/settings';
import LengthField from '../../ui/LengthField';
import SchoolSelects from '../../ui/SchoolSelects';
import type { Conflict } from '../../ui/saving/saver';
import StaleDialog from '../../ui/StaleDialog';
import { UnitsProvider } from '../../ui/units-context';
import type { Settings } from '../../store/settings';
import BackupPanel from './BackupPanel';
import BinPanel from './BinPanel';
import DevicesPanel from './DevicesPanel';
import PracticePanel from './PracticePanel';

interface Kept {
  settings: Settings;
  version: number;
}

const THEMES: [Settings['theme'], string][] = [
  ['workroom', 'Workroom, light'],
  ['lamplight', 'Lamplight, dark'],
  ['system', 'As this machine is set'],
];

type LengthName =
  | 'soleLength'
  | 'soleWidth'
  | 'stopOverlap'
  | 'machineClearance'
  | 'trim'
  | 'boardLength'
  | 'boardWidth'
  | 'pressLength'
  | 'pressWidth';

const BOARD: [LengthName, string][] = [
  ['boardLength', 'Length of the ironing board'],
  ['boardWidth', 'Width of the ironing board'],
  ['pressLength', 'Length of the press’s plate'],
  ['pressWidth', 'Width of the press’s plate'],
];

/** Units, look, iron and machine. */
export default function SettingsView({
  start,
  practising = false,
}: {
  start: Kept;
  /** This is the practice house. */ practising?: boolean;
}) {
  const [kept, setKept] = useState(start);
  const of = useKeptForm<Settings>({
    key: `settings ${kept.version}`,
    schema: settingsSchema,
    start: () => start.settings,
    read: (settings) => ({ ...settings, ironWeight: readNumber('ironWeight', String(settings.ironWeight), 'g') }),
  });
  const { field, error, form } = of;
  const draft = form.watch();
  const [faults, setFaults] = useState<string[]>([]);
  const [conflict, setConflict] = useState<Conflict<Kept>>();
  const take = (answer: Kept) => {
    of.forget();
    setKept(answer);
    form.reset(answer.settings);
  };
  const saving = useWrite((mine: Kept) => call<Kept>('PUT', '/api/settings', mine), {
    onSuccess: (answer) => {
      take(answer);
      const { theme } = answer.settings;
      const dark = theme === 'lamplight' || (theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
      document.documentElement.dataset['theme'] = dark ? 'lamplight' : 'workroom';
    },
    onError: (problem, mine) => {
      if (problem.status === 409) setConflict({ mine, theirs: problem.current as Kept });
      else of.refuse(new ApiError(problem.message, problem.status, problem.field?.replace('settings.', '') ?? null));
    },
  });
  const save = (version: number) => form.handleSubmit((settings) => saving.mutate({ settings: settings as Settings, version }))();
  /** A length of the settings. */
  const lengthOf = (name: LengthName) => ({
    value: draft[name],
    error: error(name),
    onChange: (mm: number) => form.setValue(name, mm, { shouldDirty: true }),
    onFault: (faulty: boolean) => setFaults((was) => [...was.filter((f) => f !== name), ...(faulty ? [name] : [])]),
  });
  const sole = ironSole(draft.soleLength, draft.soleWidth);
  return (
    <UnitsProvider value={kept.settings.units}>
      <h1 className="text-2xl font-bold">Settings</h1>
      <RestoredDraft draft={of} />
      <form
        className="mt-4 grid items-start gap-5 lg:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void save(kept.version);
        }}
      >
        <section className="sheet space-y-4 p-5">
          <h2 className="chalk-heading">Reading</h2>
          <div className="grid gap-4 sm:grid-cols-2">
            <SelectInput
              label="Measures"
              {...field('units')}
              options={[
                ['metric', 'millimetres and metres'],
                ['inch', 'inches with fractions'],
              ]}
              hint="You may type either anywhere."
            />
            <SelectInput label="Look" {...field('theme')} options={THEMES} />
            <TextInput label="Currency sign" {...field('currency')} maxLength={4} />
          </div>
          <CheckInput label="Sound at the bench" {...field('sound')} />
        </section>
        <section className="sheet space-y-4 p-5 lg:row-span-2">
          <h2 className="chalk-heading">The iron</h2>
          <div className="grid gap-4 sm:grid-cols-[1fr_9rem]">
            <div className="space-y-4">
              <LengthField label="Length of the sole" {...lengthOf('soleLength')} min={50} />
              <LengthField label="Width of the sole" {...lengthOf('soleWidth')} min={30} />
              <LengthField label="Overlap of neighbouring stops" {...lengthOf('stopOverlap')} />
              <TextInput
                label="It weighs, g"
                inputMode="numeric"
                hint="A light iron has to be leaned on."
                {...field('ironWeight')}
              />
              <CheckInput label="It gives steam" {...field('ironSteam')} />
            </div>
            <svg
              viewBox={`${-draft.soleWidth / 2 - 8} ${-draft.soleLength / 2 - 8} ${draft.soleWidth + 16} ${draft.soleLength + 16}`}
              className="max-h-56"
              role="img"
              aria-label="Sole of the iron, seen from above"
            >
              <path
                d={`${sole.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${y} ${-x}`).join('')}Z`}
                fill="var(--color-base-100)"
                stroke="var(--ink)"
                strokeWidth={2.5}
                strokeLinejoin="round"
              />
            </svg>
          </div>
        </section>
        <section className="sheet space-y-4 p-5">
          <h2 className="chalk-heading">The board and the press</h2>
          <p>A sheet larger than the board is pressed in moves. Without a flat press, leave its plate at 0.</p>
          <div className="grid gap-4 sm:grid-cols-2">
            {BOARD.map(([name, label]) => (
              <LengthField key={name} label={label} {...lengthOf(name)} />
            ))}
          </div>
        </section>
        <section className="sheet space-y-4 p-5 lg:col-span-2">
          <h2 className="chalk-heading">The machine and the seams</h2>
          <div className="grid gap-4 sm:grid-cols-2">
            <LengthField
              label="Clears under the raised foot"
              {...lengthOf('machineClearance')}
              min={1}
              hint="Stack cloth under the foot until it touches."
            />
            <LengthField
              label="Trimmed layers stay inside by"
              {...lengthOf('trim')}
              hint="So that the stitching still catches them."
            />
          </div>
        </section>
        <section className="sheet space-y-3 p-5 lg:col-span-2">
          <h2 className="chalk-heading">Ways of working</h2>
          <p>Where practitioners disagree, this is what you hold to. Any part can be switched for itself.</p>
          <SchoolSelects value={draft.schools} onChange={(schools) => form.setValue('schools', schools, { shouldDirty: true })} />
        </section>
        <div className="flex items-center gap-4 lg:col-span-2">
          <button className="btn btn-primary" disabled={faults.length > 0}>
            Save the settings
          </button>
          <span role="status" className="font-semibold text-success">
            {saving.isSuccess && !form.formState.isDirty ? 'Saved.' : ''}
          </span>
          <FormErrors of={of} />
        </div>
      </form>
      <div className="mt-5 grid items-start gap-5 lg:grid-cols-2">
        {!practising && <PracticePanel />}
        {!practising && <DevicesPanel />}
        <BackupPanel />
        <BinPanel />
      </div>
      {conflict && (
        <StaleDialog
          conflict={conflict}
          onMine={() => {
            const { version } = conflict.theirs;
            setConflict(undefined);
            void save(version);
          }}
          onTheirs={() => {
            take(conflict.theirs);
            setConflict(undefined);
          }}
          onClose={() => setConflict(undefined)}
        />
      )}
    </UnitsProvider>
  );
}
