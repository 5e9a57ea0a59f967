import { logUpdateSchema } from '../../schemas/log';
import type { ListedEntry } from '../../store/lists';
import Field from '../../ui/form/Field';
import { SelectInput, TextInput } from '../../ui/form/form-fields';
import RecordDialog from '../../ui/form/RecordDialog';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { readOverhang } from '../../ui/typed-figures';
import { lengthForField } from '../../core/units';
import { useUnits } from '../../ui/units-context';
import HeldChecks from './HeldChecks';
import { OUTCOMES } from './outcomes';

interface Props {
  entry: ListedEntry;
  onSaved: (entry: ListedEntry) => void;
  onClose: () => void;
}

/** Corrects an entry of the logbook: the day, how it came out, what held, what was measured, the note. */
export default function EditEntry({ entry, onSaved, onClose }: Props) {
  const { system } = useUnits();
  const { held, failed } = entry.checks;
  const all = [...held, ...failed];
  const of = useKeptForm({
    key: `entry ${entry.id} ${entry.version}`,
    schema: logUpdateSchema.omit(['version']),
    start: () => ({
      title: entry.title,
      doneOn: entry.doneOn,
      outcome: entry.outcome,
      held,
      overhang: entry.overhang === null ? '' : lengthForField(entry.overhang, system),
      note: entry.note,
    }),
    read: ({ title, doneOn, outcome, held: right, overhang, note }) => {
      const { id: _id, version: _v, createdAt: _c, updatedAt: _u, measuredBendingLength: _m, project: _p, ...kept } = entry;
      return {
        ...kept,
        ...{ title: title.trim(), doneOn, outcome, note },
        checks: { held: all.filter((check) => right.includes(check)), failed: all.filter((check) => !right.includes(check)) },
        overhang: readOverhang(overhang, system, 'overhang'),
      };
    },
  });
  const { field, form } = of;
  return (
    <RecordDialog<ListedEntry, { title: string }>
      title={`Correct “${entry.title}”`}
      path="/api/log"
      record={entry}
      of={of as never}
      onSaved={(saved) => onSaved({ ...entry, ...saved })}
      onClose={onClose}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <TextInput label="What it is" {...field('title')} />
        <TextInput label="Done on" type="date" {...field('doneOn')} />
        <SelectInput label="How did it come out?" {...field('outcome')} options={OUTCOMES} />
        <TextInput label="Overhang, if you took it" {...field('overhang')} hint="On the 41.5° jig." />
      </div>
      {all.length > 0 && <HeldChecks checks={all} register={form.register('held')} />}
      <Field label="Note to yourself" id="entry-note" error={of.error('note')}>
        <textarea id="entry-note" className="textarea min-h-[44px]" rows={3} maxLength={4000} {...form.register('note')} />
      </Field>
    </RecordDialog>
  );
}
