import { ChevronDown } from 'lucide-react';
import { useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import VirtualRows from './VirtualRows';

export interface ComboOption {
  id: string;
  words: string;
}

interface Props {
  /** Of the field, for its label. */
  id?: string;
  /** What is chosen, for those who hear it, where it is a word within a sentence and has no label of its own. */
  word?: string;
  value: string | null;
  groups: readonly { label: string; options: readonly ComboOption[] }[];
  /** Words for nothing chosen; without them one has to be picked. */
  none?: string | undefined;
  /** What is offered where nothing that is typed is found. */
  nothing?: ReactNode;
  onChange: (id: string | null) => void;
}

/** Height of a row of the list, px. */
const ROW = 44;

function rowKey(row: { heading: string } | { option: ComboOption }): string {
  return 'heading' in row ? `heading ${row.heading}` : row.option.id;
}

/** Whether every word that was typed occurs. @example matches('blue lin', 'Harbour-blue linen') // true */
export function matches(typed: string, words: string): boolean {
  const text = words.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/** Place of the option that is meant by what is typed, among those that fit: the very name before one that begins so, that before others. */
function bestOf(typed: string, all: readonly ComboOption[]): number {
  const text = typed.trim().toLowerCase();
  const fits = all.filter(({ words }) => !typed || matches(typed, words));
  const exact = fits.findIndex(({ words }) => words.toLowerCase() === text);
  return Math.max(0, exact >= 0 ? exact : fits.findIndex(({ words }) => words.toLowerCase().startsWith(text)));
}

/** Options that have at least one of the words, where none has all. */
function near(typed: string, all: readonly ComboOption[]): ComboOption[] {
  const words = typed
    .toLowerCase()
    .split(/\s+/)
    .filter(({ length }) => length > 2);
  return all.filter((option) => words.some((word) => matches(word, option.words))).slice(0, 4);
}

/** A choice from a long list: typed, or looked through in its groups. */
export default function Combobox({ id, word, value, groups, none, nothing, onChange }: Props) {
  const list = useId();
  /** What is typed; undefined while the list is closed. */
  const [typed, setTyped] = useState<string>();
  const [active, setActive] = useState(0);
  const field = useRef<HTMLInputElement>(null);
  const all = groups.flatMap(({ options }) => options);
  const chosen = all.find((option) => option.id === value)?.words ?? none ?? '';
  const open = typed !== undefined;
  const found = groups.map(({ label, options }) => ({
    label,
    options: options.filter(({ words }) => !typed || matches(typed, words)),
  }));
  const empty = none === undefined || typed ? [] : [{ id: '', words: none }];
  const shown = [...empty, ...found.flatMap(({ options }) => options)];
  /** Rows of the list: names of groups stand between the options. */
  const rows: ({ heading: string } | { option: ComboOption; at: number })[] = [
    ...empty.map((option, at) => ({ option, at })),
    ...found.flatMap(({ label, options }, g) => {
      const first = empty.length + found.slice(0, g).reduce((sum, group) => sum + group.options.length, 0);
      return options.length === 0 ? [] : [{ heading: label }, ...options.map((option, i) => ({ option, at: first + i }))];
    }),
  ];
  const activeRow = rows.findIndex((row) => 'at' in row && row.at === active);
  const close = () => setTyped(undefined);
  const start = () => {
    setTyped('');
    setActive(
      Math.max(
        0,
        [...empty, ...all].findIndex((option) => option.id === (value ?? '')),
      ),
    );
    field.current?.select();
  };
  const take = (option: ComboOption | undefined) => {
    close();
    if (option && option.id !== (value ?? '')) onChange(option.id || null);
  };
  const onKey = (event: KeyboardEvent) => {
    const moves: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };
    const by = moves[event.key];
    if (by !== undefined) {
      event.preventDefault();
      if (open) setActive((was) => Math.max(0, Math.min(shown.length - 1, was + by)));
      else start();
    } else if (event.key === 'Enter' && open) {
      event.preventDefault();
      take(shown[active]);
    } else if (event.key === 'Escape' && open) {
      // The list is closed, not the dialog in which it stands.
      event.preventDefault();
      event.stopPropagation();
      close();
    }
  };
  return (
    <span className={word ? 'relative inline-block max-w-full' : 'relative block'}>
      <input
        ref={field}
        id={id}
        role="combobox"
        autoComplete="off"
        className={word ? 'chalk-word' : 'input w-full pr-10'}
        aria-label={word}
        aria-expanded={open}
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={open && shown.length > 0 ? `${list}-${active}` : undefined}
        placeholder={chosen || 'not said yet'}
        value={typed || (open ? '' : chosen)}
        onClick={() => !open && start()}
        // A word of a sentence is read before it is changed: it opens when it is touched or typed into.
        onFocus={() => !word && !open && start()}
        onBlur={close}
        onChange={(event) => {
          setTyped(event.target.value);
          setActive(bestOf(event.target.value, all));
        }}
        onKeyDown={onKey}
      />
      {!word && <ChevronDown size={18} aria-hidden="true" className="pointer-events-none absolute top-3 right-3" />}
      <div
        id={list}
        role="listbox"
        aria-label="What can be chosen"
        hidden={!open}
        className="absolute z-30 left-0 mt-1 w-full min-w-72 rounded-box border-2 border-primary bg-base-100 p-1 text-left text-base font-normal shadow-lg"
        // The field keeps the focus while the list is touched.
        onMouseDown={(event) => event.preventDefault()}
      >
        {open && (
          <VirtualRows
            className="max-h-76"
            count={rows.length}
            height={ROW}
            active={activeRow < 0 ? undefined : activeRow}
            keyOf={(i) => rowKey(rows[i]!)}
          >
            {(i) => {
              const row = rows[i]!;
              if ('heading' in row)
                return (
                  <p className="quiet px-3 pt-2 text-[0.88rem] font-semibold" aria-hidden="true">
                    {row.heading}
                  </p>
                );
              const { option, at } = row;
              return (
                // The keyboard moves through the list from the field.
                <div
                  id={`${list}-${at}`}
                  role="option"
                  tabIndex={-1}
                  aria-selected={option.id === (value ?? '')}
                  className={`flex min-h-[44px] cursor-pointer items-center rounded-field px-3 leading-snug ${
                    at === active ? 'bg-primary text-primary-content' : 'hover:bg-base-200'
                  } ${option.id === (value ?? '') ? 'font-bold' : ''}`}
                  onClick={() => take(option)}
                >
                  {option.words}
                </div>
              );
            }}
          </VirtualRows>
        )}
        {shown.length === 0 && (
          <div className="p-3">
            <p>Nothing is called so.</p>
            {near(typed ?? '', all).map((option) => (
              <button key={option.id} type="button" className="btn mt-1 w-full justify-start" onClick={() => take(option)}>
                Like {option.words}
              </button>
            ))}
            {nothing}
          </div>
        )}
      </div>
    </span>
  );
}
