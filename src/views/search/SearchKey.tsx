import { ScanLine, Search } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Found, FoundKind } from '../../server/search';
import { call, type ApiError } from '../../ui/api';
import { useAsked, useRested } from '../../ui/query';
import { keepUnits } from '../../ui/text';

const KINDS: Record<FoundKind, string> = {
  ...{ cloth: 'Cloth', layer: 'Layer', project: 'Project', piece: 'Piece', job: 'Job', motif: 'Motif' },
  ...{ hooping: 'Hooping', log: 'Logbook', remedy: 'Remedy', place: 'Place' },
};
/** Typing rests so long before it is asked, ms. */
const RESTS = 80;

/** Search from anywhere: its field in the bar, or the key `/`. */
export default function SearchKey() {
  const dialog = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const show = () => {
    if (dialog.current?.open || document.querySelector('dialog[open]')) return;
    dialog.current?.showModal();
    setOpen(true);
  };
  useHotkeys('slash', show, { preventDefault: true });
  return (
    <>
      <button type="button" className="btn btn-ghost px-3" onClick={show} aria-keyshortcuts="/">
        <Search size={20} aria-hidden="true" />
        <span className="max-lg:sr-only">Search</span>
      </button>
      <dialog ref={dialog} className="modal modal-top" aria-label="Find anything" onClose={() => setOpen(false)}>
        <div className="modal-box mx-auto mt-[6vh] max-w-3xl rounded-box p-4">{open && <SearchBox />}</div>
        <form method="dialog" className="modal-backdrop">
          <button aria-label="Close">close</button>
        </form>
      </dialog>
    </>
  );
}

function SearchBox() {
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const [trouble, setTrouble] = useState<string>();
  const asked = useRested(typed.trim(), RESTS);
  // Asked once as it opens, so that the index is there when the first words are typed.
  const path = `/api/search?${new URLSearchParams({ q: asked === '' ? 'ready' : asked.slice(0, 200) })}`;
  const { answer, current, error } = useAsked<{ found: Found[] }>(path);
  const found = asked === '' ? [] : (answer?.found ?? []);
  const chosen = Math.min(at, found.length - 1);
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.children[chosen]?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  const again = async (id: string) => {
    try {
      const project = await call<{ id: string }>('POST', `/api/projects/${id}/again`);
      location.assign(`/projects/${project.id}`);
    } catch (problem) {
      setTrouble((problem as ApiError).message);
    }
  };
  const keys: Record<string, () => void> = {
    ArrowDown: () => setAt(Math.min(found.length - 1, chosen + 1)),
    ArrowUp: () => setAt(Math.max(0, chosen - 1)),
    Enter: () => found[chosen] && location.assign(found[chosen].href),
  };
  return (
    <>
      <input
        type="search"
        role="combobox"
        aria-label="Search everything"
        aria-expanded={found.length > 0}
        aria-controls="found"
        aria-activedescendant={found[chosen] ? `found-${chosen}` : undefined}
        autoComplete="off"
        // The dialog was opened to type here.
        autoFocus
        maxLength={200}
        className="input input-lg w-full"
        placeholder="what was behind the blue collar in July"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          const key = keys[event.key];
          if (!key) return;
          event.preventDefault();
          key();
        }}
      />
      {(error ?? trouble) && (
        <p role="alert" className="mt-3 font-semibold text-error">
          {error ?? trouble}
        </p>
      )}
      <p role="status" className="sr-only">
        {asked !== '' && current ? `${found.length} found` : ''}
      </p>
      <ul ref={list} id="found" role="listbox" aria-label="Found" className="mt-3 max-h-[60vh] overflow-y-auto">
        {found.map((each, i) => (
          // An option holds nothing that can be touched by itself: it is opened as a whole.
          <li
            key={each.id}
            id={`found-${i}`}
            role="option"
            aria-selected={i === chosen}
            className={`flex min-h-[52px] cursor-pointer items-center gap-3 rounded-field px-3 py-1 ${i === chosen ? 'bg-base-300' : ''}`}
            onMouseMove={() => setAt(i)}
            onClick={() => location.assign(each.href)}
          >
            <span className="quiet w-20 shrink-0 text-[0.92rem]">{KINDS[each.kind]}</span>
            <span className="min-w-0 flex-1 leading-snug">
              <strong>{keepUnits(each.title)}</strong>
              <span className="quiet block text-[0.95rem]">{keepUnits(each.detail)}</span>
            </span>
          </li>
        ))}
      </ul>
      {found[chosen]?.again && (
        <button type="button" className="btn mt-3" onClick={() => void again(found[chosen]!.again!)}>
          Sew that project again
        </button>
      )}
      {asked !== '' && current && found.length === 0 && (
        <p className="mt-3">
          Nothing has these words. Search cloths, layers, projects, pieces, motifs, the logbook, remedies and settings.
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-center justify-between gap-3">
        <p className="quiet text-[0.92rem]">Arrow keys to choose, Enter to open, Esc to close.</p>
        <a className="btn" href="/scan">
          <ScanLine size={18} aria-hidden="true" /> Scan a label
        </a>
      </div>
    </>
  );
}
