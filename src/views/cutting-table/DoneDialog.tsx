import { useEffect, useMemo, useRef, useState } from 'react';
import { sourceOutline, type CutItem, type TableSource } from '../../core/cutlist';
import { remains } from '../../core/cutplan';
import { bounds, polygonArea, transformed, type Outline } from '../../core/shape';
import { call } from '../../ui/api';
import { CheckField } from '../../ui/form/form-fields';
import OutlineThumb from '../../ui/OutlineThumb';
import { today } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { CutTable } from '../../store/cut-tables';

interface Props {
  table: CutTable;
  sources: readonly TableSource[];
  items: readonly CutItem[];
  onDone: (table: CutTable) => void;
  onClose: () => void;
}

/** Smaller leftovers are not offered, mm²: 10 × 8 cm. */
const SMALLEST = 100 * 80;
/** From this size on they are kept unless somebody says otherwise, mm²: about a sheet of writing paper's half. */
const WORTH_KEEPING = 200 * 150;

/** Everything is cut: which leftovers are put away, and where. */
export default function DoneDialog({ table, sources, items, onDone, onClose }: Props) {
  const units = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const found = useMemo(() => leftoversOf(table, sources, items), [table, sources, items]);
  const [kept, setKept] = useState(() => found.leftovers.map((outline) => polygonArea(outline) >= WORTH_KEEPING));
  const [places, setPlaces] = useState<string[]>(() => found.leftovers.map(() => ''));
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  useEffect(() => dialog.current?.showModal(), []);
  const finish = async () => {
    setBusy(true);
    setError(undefined);
    try {
      const keep = found.leftovers.flatMap((outline, i) => (kept[i] ? [{ outline, place: places[i]!.trim() }] : []));
      onDone(await call<CutTable>('POST', `/api/tables/${table.id}/done`, { doneOn: today(), keep, version: table.version }));
    } catch (problem) {
      setError((problem as Error).message);
      setBusy(false);
    }
  };
  return (
    <dialog ref={dialog} className="modal" aria-label="Everything is cut" onClose={onClose}>
      <div className="modal-box max-w-3xl">
        <h2 className="text-xl font-bold">Everything is cut</h2>
        <p className="mt-1">
          Rolls from the cupboard are drawn down and leftovers that were cut from are used up.
          {found.leftovers.length > 0 ? ' What is worth putting away?' : ' Nothing is left that is worth putting away.'}
        </p>
        <ul className="mt-4 space-y-3">
          {found.leftovers.map((outline, i) => {
            const { minX, minY, maxX, maxY } = bounds(outline);
            const size = units.size(maxX - minX, maxY - minY);
            return (
              <li key={i} className="sheet flex flex-wrap items-center gap-4 p-3">
                <OutlineThumb outlines={[outline]} size={72} asLaid label={`Shape of the leftover of ${size}`} />
                <div className="min-w-[11rem] flex-1">
                  <CheckField
                    label={`Keep ${size}`}
                    checked={kept[i]!}
                    onChange={(on) => setKept((was) => was.map((each, k) => (k === i ? on : each)))}
                  />
                  <span className="quiet">{units.area(polygonArea(outline))}</span>
                </div>
                <label className="flex-1">
                  <span className="block font-semibold">Where it is kept</span>
                  <input
                    className="input"
                    value={places[i]}
                    maxLength={200}
                    placeholder="second drawer"
                    disabled={!kept[i]}
                    onChange={(e) => setPlaces((was) => was.map((each, k) => (k === i ? e.target.value : each)))}
                  />
                </label>
              </li>
            );
          })}
        </ul>
        {found.waste > 0 && <p className="quiet mt-3">{units.area(found.waste)} goes to waste.</p>}
        {error && (
          <p role="alert" className="mt-3 font-semibold text-error">
            {error}
          </p>
        )}
        <div className="mt-5 flex flex-wrap gap-3">
          <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void finish()}>
            {busy ? 'Saving …' : 'It is cut'}
          </button>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Not yet
          </button>
        </div>
      </div>
    </dialog>
  );
}

/** What is left of everything that was cut from, over its whole width and as far as it was used. */
function leftoversOf(table: CutTable, sources: readonly TableSource[], items: readonly CutItem[]) {
  const leftovers: Outline[] = [];
  let waste = 0;
  for (const { sourceId, placements, length } of table.laid) {
    const own = sources.find(({ source }) => source.id === sourceId);
    if (!own || table.options.folded) continue;
    const cut = placements.flatMap(({ id, flipped, rotation, x, y }) => {
      const item = items.find((each) => each.id === id);
      return item ? [transformed(item.outline, flipped, rotation, x, y)] : [];
    });
    const left = remains(sourceOutline(own, length), cut, SMALLEST);
    leftovers.push(...left.kept.map(({ outline }) => outline));
    waste += left.waste;
  }
  return { leftovers, waste };
}
