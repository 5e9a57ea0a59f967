import { ChevronDown, Plus, X } from 'lucide-react';
import { InputError } from '../../core/input-error';
import { notionSchema } from '../../schemas/projects';
import { TextInput } from '../../ui/form/form-fields';
import { readNumber } from '../../ui/form/reading';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { counted } from '../../ui/text';
import type { Notion } from '../../store/projects';

interface Props {
  notions: readonly Notion[];
  onChange: (notions: Notion[]) => void;
}

/** What a project needs besides cloth and layers: zips, rings, thread; ticked when it is there. */
export default function Notions({ notions, onChange }: Props) {
  const of = useKeptForm({
    schema: notionSchema,
    start: () => ({ name: '', count: '1' }),
    read: ({ name, count }) => {
      if (name.trim() === '') throw new InputError('name', 'Say what it is.');
      return { name: name.trim(), count: readNumber('count', count, ''), there: false };
    },
  });
  const { field, form } = of;
  const there = notions.filter((notion) => notion.there).length;
  return (
    <details className="mt-1">
      <summary className="flex min-h-11 w-fit cursor-pointer items-center gap-1 font-semibold">
        <ChevronDown size={18} aria-hidden="true" />
        {notions.length === 0 ? 'Notions: none noted' : `${counted(notions.length, 'notion')}, ${there} there`}
      </summary>
      <div className="sheet flex flex-wrap items-start gap-x-8 gap-y-3 p-4">
        {notions.length > 0 && (
          <ul className="grid gap-x-8 sm:grid-cols-2">
            {notions.map((notion, i) => (
              <li key={i} className="flex items-center gap-2">
                <label className="flex min-h-11 flex-1 cursor-pointer items-center gap-3">
                  <input
                    type="checkbox"
                    className="checkbox"
                    checked={notion.there}
                    onChange={(event) =>
                      onChange(notions.map((each, k) => (k === i ? { ...each, there: event.target.checked } : each)))
                    }
                  />
                  {notion.count} × {notion.name}
                </label>
                <button
                  type="button"
                  className="btn btn-ghost btn-icon"
                  aria-label={`Take ${notion.name} off the list`}
                  onClick={() => onChange(notions.filter((_, k) => k !== i))}
                >
                  <X size={18} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ul>
        )}
        <form
          className="flex flex-wrap items-start gap-3"
          noValidate
          onSubmit={(event) =>
            void form.handleSubmit((notion) => {
              onChange([...notions, notion as Notion]);
              form.reset();
            })(event)
          }
        >
          <div className="w-24">
            <TextInput label="Number" inputMode="numeric" {...field('count')} />
          </div>
          <div className="w-64">
            <TextInput label="Notion" placeholder="zip, 30 cm" {...field('name')} />
          </div>
          <button className="btn mt-7">
            <Plus size={18} aria-hidden="true" /> Add it
          </button>
        </form>
      </div>
    </details>
  );
}
