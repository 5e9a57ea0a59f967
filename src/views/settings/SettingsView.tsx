import { useState } from 'react';
import { ironSole } from '../../core/press';
import type { ApiError } from '../../ui/api';
import { call, plainMessage } from '../../ui/api';
import { CheckField, SelectField, TextField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import SchoolSelects from '../../ui/SchoolSelects';
import type { Conflict } from '../../ui/saving/saver';
import StaleDialog from '../../ui/StaleDialog';
import { UnitsProvider } from '../../ui/units-context';
import type { Settings } from '../../store/settings';
import BackupPanel from './BackupPanel';
import BinPanel from './BinPanel';

interface Kept {
  settings: Settings;
  version: number;
}

const THEMES: [Settings['theme'], string][] = [
  ['workroom', 'Workroom, light'],
  ['lamplight', 'Lamplight, dark'],
  ['system', 'As this machine is set'],
];

const BOARD: ['boardLength' | 'boardWidth' | 'pressLength' | 'pressWidth', string][] = [
  ['boardLength', 'Length of the ironing board'],
  ['boardWidth', 'Width of the ironing board'],
  ['pressLength', 'Length of the press’s plate'],
  ['pressWidth', 'Width of the press’s plate'],
];

/** Units, look, iron and machine. */
export default function SettingsView({ start }: { start: Kept }) {
  const [kept, setKept] = useState(start);
  const [draft, setDraft] = useState(start.settings);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<string[]>([]);
  const [saved, setSaved] = useState(false);
  const [conflict, setConflict] = useState<Conflict<Kept>>();
  const set = (change: Partial<Settings>) => {
    setDraft((was) => ({ ...was, ...change }));
    setSaved(false);
  };
  const fault = (field: string) => (faulty: boolean) =>
    setFaults((was) => [...was.filter((f) => f !== field), ...(faulty ? [field] : [])]);
  const save = async (settings: Settings, version: number) => {
    setErrors({});
    try {
      const answer = await call<Kept>('PUT', '/api/settings', { settings, version });
      setKept(answer);
      setDraft(answer.settings);
      setSaved(true);
      const root = document.documentElement;
      root.dataset['theme'] =
        answer.settings.theme === 'lamplight' ||
        (answer.settings.theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches)
          ? 'lamplight'
          : 'workroom';
    } catch (problem) {
      const error = problem as ApiError;
      if (error.status === 409) setConflict({ mine: { settings, version }, theirs: error.current as Kept });
      else setErrors({ [error.field?.replace('settings.', '') ?? 'general']: plainMessage(error) });
    }
  };
  const sole = ironSole(draft.soleLength, draft.soleWidth);
  return (
    <UnitsProvider value={kept.settings.units}>
      <h1 className="text-2xl font-bold">Settings</h1>
      <form
        className="mt-4 grid items-start gap-5 lg:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save(draft, kept.version);
        }}
      >
        <section className="sheet space-y-4 p-5">
          <h2 className="chalk-heading">Reading</h2>
          <div className="grid gap-4 sm:grid-cols-2">
            <SelectField
              label="Measures"
              value={draft.units}
              options={[
                ['metric', 'millimetres and metres'],
                ['inch', 'inches with fractions'],
              ]}
              hint="You may type either anywhere."
              onChange={(units) => set({ units })}
            />
            <SelectField label="Look" value={draft.theme} options={THEMES} onChange={(theme) => set({ theme })} />
            <TextField
              label="Currency sign"
              value={draft.currency}
              maxLength={4}
              error={errors['currency']}
              onChange={(currency) => set({ currency })}
            />
          </div>
          <CheckField label="Sound at the bench" checked={draft.sound} onChange={(sound) => set({ sound })} />
        </section>
        <section className="sheet space-y-4 p-5">
          <h2 className="chalk-heading">The iron</h2>
          <div className="grid gap-4 sm:grid-cols-[1fr_9rem]">
            <div className="space-y-4">
              <LengthField
                label="Length of the sole"
                value={draft.soleLength}
                min={50}
                error={errors['soleLength']}
                onChange={(soleLength) => set({ soleLength })}
                onFault={fault('soleLength')}
              />
              <LengthField
                label="Width of the sole"
                value={draft.soleWidth}
                min={30}
                error={errors['soleWidth']}
                onChange={(soleWidth) => set({ soleWidth })}
                onFault={fault('soleWidth')}
              />
              <LengthField
                label="Overlap of neighbouring stops"
                value={draft.stopOverlap}
                error={errors['stopOverlap']}
                onChange={(stopOverlap) => set({ stopOverlap })}
                onFault={fault('stopOverlap')}
              />
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
              <LengthField
                key={name}
                label={label}
                value={draft[name]}
                error={errors[name]}
                onChange={(value) => set({ [name]: value })}
                onFault={fault(name)}
              />
            ))}
          </div>
        </section>
        <section className="sheet space-y-4 p-5">
          <h2 className="chalk-heading">The machine and the seams</h2>
          <div className="grid gap-4 sm:grid-cols-2">
            <LengthField
              label="Clears under the raised foot"
              value={draft.machineClearance}
              min={1}
              hint="Stack cloth under the foot until it touches."
              error={errors['machineClearance']}
              onChange={(machineClearance) => set({ machineClearance })}
              onFault={fault('machineClearance')}
            />
            <LengthField
              label="Trimmed layers stay inside by"
              value={draft.trim}
              hint="So that the stitching still catches them."
              error={errors['trim']}
              onChange={(trim) => set({ trim })}
              onFault={fault('trim')}
            />
          </div>
        </section>
        <section className="sheet space-y-3 p-5 lg:col-span-2">
          <h2 className="chalk-heading">Ways of working</h2>
          <p>Where practitioners disagree, this is what you hold to. Any part can be switched for itself.</p>
          <SchoolSelects value={draft.schools} onChange={(schools) => set({ schools })} />
        </section>
        <div className="flex items-center gap-4 lg:col-span-2">
          <button className="btn btn-primary" disabled={faults.length > 0}>
            Save the settings
          </button>
          <span role="status" className="font-semibold text-success">
            {saved ? 'Saved.' : ''}
          </span>
          {errors['general'] && (
            <span role="alert" className="font-semibold text-error">
              {errors['general']}
            </span>
          )}
        </div>
      </form>
      <div className="mt-5 grid items-start gap-5 lg:grid-cols-2">
        <BackupPanel />
        <BinPanel />
      </div>
      {conflict && (
        <StaleDialog
          conflict={conflict}
          onMine={() => {
            const { version } = conflict.theirs;
            setConflict(undefined);
            void save(draft, version);
          }}
          onTheirs={() => {
            setKept(conflict.theirs);
            setDraft(conflict.theirs.settings);
            setConflict(undefined);
          }}
          onClose={() => setConflict(undefined)}
        />
      )}
    </UnitsProvider>
  );
}
