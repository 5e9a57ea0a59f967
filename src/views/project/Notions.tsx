import { ChevronDown, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { counted } from '../../ui/text';
import type { Notion } from '../../store/projects';

interface Props {
  notions: readonly Notion[];
  /** Saves them; a change shows at once, and goes again where it cannot be kept. */
  onChange: (notions: Notion[]) => Promise<void>;
}

interface Values {
  name: string;
  count: number;
}

/** What a project needs besides cloth and layers: zips, rings, thread; ticked when it is there. */
export default function Notions({ notions: kept, onChange }: Props) {
  const [pending, setPending] = useState<Notion[]>();
  const notions = pending ?? kept;
  // One change after the other: each is of the version that the last one made.
  const busy = pending !== undefined;
  const change = async (next: Notion[]) => {
    setPending(next);
    await onChange(next);
    setPending(undefined);
  };
  const { register, handleSubmit, reset, formState } = useForm<Values>({ defaultValues: { name: '', count: 1 } });
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
                    disabled={busy}
                    onChange={(event) =>
                      void change(notions.map((each, k) => (k === i ? { ...each, there: event.target.checked } : each)))
                    }
                  />
                  {notion.count} × {notion.name}
                </label>
                <button
                  type="button"
                  className="btn btn-ghost btn-icon"
                  aria-label={`Take ${notion.name} off the list`}
                  disabled={busy}
                  onClick={() => void change(notions.filter((_, k) => k !== i))}
                >
                  <X size={18} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ul>
        )}
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) =>
            void handleSubmit(({ name, count }) => {
              void change([...notions, { name: name.trim(), count, there: false }]);
              reset();
            })(event)
          }
        >
          <label className="w-24 font-semibold">
            Number
            <input
              type="number"
              className={`input ${formState.errors.count ? 'input-error' : ''}`}
              min={1}
              max={1000}
              {...register('count', {
                valueAsNumber: true,
                validate: (count) => Number.isInteger(count) && count >= 1 && count <= 1000,
              })}
            />
          </label>
          <label className="w-64 font-semibold">
            Notion
            <input
              className={`input ${formState.errors.name ? 'input-error' : ''}`}
              maxLength={120}
              placeholder="zip, 30 cm"
              {...register('name', { validate: (name) => name.trim() !== '' })}
            />
          </label>
          <button className="btn" disabled={busy}>
            <Plus size={18} aria-hidden="true" /> Add it
          </button>
          {(formState.errors.name ?? formState.errors.count) && (
            <p role="alert" className="w-full font-semibold text-error">
              {formState.errors.name ? 'Say what it is.' : 'The number is a whole one from 1 to 1000.'}
            </p>
          )}
        </form>
      </div>
    </details>
  );
}
