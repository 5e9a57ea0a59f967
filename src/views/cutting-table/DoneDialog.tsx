import { useEffect, useMemo, useRef } from 'react';
import { sourceOutline, type CutItem, type TableSource } from '../../core/cutlist';
import { useWrite } from '../../ui/query';
import { remains, spotsWithin } from '../../core/cutplan';
import { bounds, polygonArea, transformed, type Outline } from '../../core/shape';
import { call } from '../../ui/api';
import { tableDoneSchema } from '../../schemas/tables';
import FormErrors from '../../ui/form/FormErrors';
import { CheckInput, TextInput } from '../../ui/form/form-fields';
import { useKeptForm } from '../../ui/form/use-kept-form';
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
  const of = useKeptForm({
    key: `cut ${table.id} ${table.version}`,
    schema: tableDoneSchema,
    start: () => ({
      leftovers: found.leftovers.map(({ outline }) => ({ keep: polygonArea(outline) >= WORTH_KEEPING, place: '' })),
    }),
    read: ({ leftovers }) => ({
      doneOn: today(),
      keep: found.leftovers.flatMap((each, i) => (leftovers[i]?.keep ? [{ ...each, place: leftovers[i].place.trim() }] : [])),
      version: table.version,
    }),
  });
  const { form } = of;
  const kept = form.watch('leftovers');
  useEffect(() => dialog.current?.showModal(), []);
  const finishing = useWrite((done: object) => call<CutTable>('POST', `/api/tables/${table.id}/done`, done), {
    onSuccess: (cut) => {
      of.forget();
      onDone(cut);
    },
    onError: of.refuse,
  });
  return (
    <dialog ref={dialog} className="modal" aria-label="Everything is cut" onClose={onClose}>
      <div className="modal-box max-w-3xl">
        <h2 className="text-xl font-bold">Everything is cut</h2>
        <p className="mt-1">
          Rolls from the cupboard are drawn down and leftovers that were cut from are used up.
          {found.leftovers.length > 0 ? ' What is worth putting away?' : ' Nothing is left that is worth putting away.'}
        </p>
        <ul className="mt-4 space-y-3">
          {found.leftovers.map(({ outline, spots }, i) => {
            const { minX, minY, maxX, maxY } = bounds(outline);
            const size = units.size(maxX - minX, maxY - minY);
            return (
              <li key={i} className="sheet flex flex-wrap items-center gap-4 p-3">
                <OutlineThumb outlines={[outline, ...spots]} size={72} asLaid label={`Shape of the leftover of ${size}`} />
                <div className="min-w-[11rem] flex-1">
                  <CheckInput label={`Keep ${size}`} {...form.register(`leftovers.${i}.keep`)} />
                  <span className="quiet">{units.area(polygonArea(outline))}</span>
                </div>
                <div className="flex-1">
                  <TextInput
                    label="Where it is kept"
                    placeholder="second drawer"
                    maxLength={200}
                    readOnly={!kept[i]?.keep}
                    {...form.register(`leftovers.${i}.place`)}
                  />
                </div>
              </li>
            );
          })}
        </ul>
        {found.waste > 0 && <p className="quiet mt-3">{units.area(found.waste)} goes to waste.</p>}
        <FormErrors of={of} />
        <div className="mt-5 flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-primary"
            disabled={finishing.isPending}
            onClick={() => void form.handleSubmit((done) => finishing.mutate(done))()}
          >
            {finishing.isPending ? 'Saving …' : 'It is cut'}
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
  const leftovers: { outline: Outline; spots: Outline[] }[] = [];
  let waste = 0;
  for (const { sourceId, placements, length } of table.laid) {
    const own = sources.find(({ source }) => source.id === sourceId);
    if (!own || table.options.folded) continue;
    const cut = placements.flatMap(({ id, flipped, rotation, x, y }) => {
      const item = items.find((each) => each.id === id);
      return item ? [transformed(item.outline, flipped, rotation, x, y)] : [];
    });
    const left = remains(sourceOutline(own, length), cut, SMALLEST);
    leftovers.push(...left.kept.map(({ outline }) => ({ outline, spots: spotsWithin(outline, own.source.spots ?? []) })));
    waste += left.waste;
  }
  return { leftovers, waste };
}
