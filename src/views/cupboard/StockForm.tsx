import { PencilRuler } from 'lucide-react';
import { useState } from 'react';
import { InputError } from '../../core/input-error';
import { bounds, drawShape, type DrawnShape, type Outline } from '../../core/shape';
import { formatLength, lengthForField, parseLengthBeside } from '../../core/units';
import Field from '../../ui/Field';
import { SelectField, textBinder, TextField } from '../../ui/form-fields';
import OutlineEditor from '../../ui/outline-editor/OutlineEditor';
import OutlineThumb from '../../ui/OutlineThumb';
import { useDraft } from '../../ui/use-draft';
import { useUnits } from '../../ui/units-context';
import type { Stock } from '../../store/stock';
import { readNumber, WIDTH_HINT } from './draft-parsing';
import RecordDialog from './RecordDialog';

/** A cloth or layer that something can be kept of. */
export interface StockMaterial {
  kind: 'cloth' | 'layer';
  id: string;
  name: string;
  /** Usual width, mm; 0 when it is not known. */
  rollWidth: number;
}

interface Props {
  /** Absent for a new one. */
  entry: Stock | undefined;
  materials: StockMaterial[];
  onSaved: (entry: Stock) => void;
  onClose: () => void;
}

const KIND_WORDS = { roll: 'a roll', sheet: 'sheets', leftover: 'a leftover' } as const;

/** A roll, sheets or a leftover: what it is of, its size or shape, and where it is kept. */
export default function StockForm({ entry, materials, onSaved, onClose }: Props) {
  const { system } = useUnits();
  const [kind, setKind] = useState<Stock['kind']>(entry?.kind ?? 'leftover');
  const [of, setOf] = useState(entry ? `${entry.ofKind}/${entry.ofId}` : `${materials[0]?.kind}/${materials[0]?.id}`);
  const [outline, setOutline] = useState<Outline | null>(entry?.outline ?? null);
  const [drawing, setDrawing] = useState<DrawnShape>();
  const typed = useDraft(`stock ${entry?.id ?? 'new'} ${entry?.version ?? 0}`, () => ({
    width: entry ? lengthForField(entry.width, system) : '',
    length: entry ? lengthForField(entry.length, system) : '',
    count: String(entry?.count ?? 1),
    place: entry?.place ?? '',
    note: entry?.note ?? '',
  }));
  const draft = typed.now;
  const set = (change: Partial<typeof draft>) => {
    typed.set(change);
    // Another size is another shape.
    if ('width' in change || 'length' in change) setOutline(null);
  };
  const material = materials.find((each) => `${each.kind}/${each.id}` === of);
  const read = () => {
    if (!material) throw new InputError('ofId', 'say what it is of');
    return {
      kind,
      ofKind: material.kind,
      ofId: material.id,
      width: positive('width', draft.width, system),
      length: positive('length', draft.length, system),
      count: kind === 'sheet' ? readNumber('count', draft.count, '') : 1,
      outline: kind === 'leftover' ? outline : null,
      place: draft.place.trim(),
      note: draft.note,
    };
  };
  return (
    <>
      <RecordDialog<Stock>
        title={entry ? `${material?.name ?? 'Something'}: ${KIND_WORDS[entry.kind]}` : 'A roll, sheets or a leftover'}
        path="/api/stock"
        record={entry}
        read={read}
        draft={typed}
        onSaved={onSaved}
        onClose={onClose}
      >
        {(errors) => {
          const text = textBinder(draft, set, errors);
          return (
            <div className="grid gap-4 sm:grid-cols-2">
              <SelectField
                label="It is"
                value={kind}
                options={(['leftover', 'roll', 'sheet'] as const).map((each) => [each, KIND_WORDS[each]] as const)}
                onChange={setKind}
              />
              <Field label="Of" id="stock-of" error={errors['ofId']}>
                <select id="stock-of" className="select" value={of} onChange={(e) => setOf(e.target.value)}>
                  {(['cloth', 'layer'] as const).map((group) => (
                    <optgroup key={group} label={group === 'cloth' ? 'Cloth' : 'Layers'}>
                      {materials
                        .filter((each) => each.kind === group)
                        .map((each) => (
                          <option key={each.id} value={`${each.kind}/${each.id}`}>
                            {each.name}
                          </option>
                        ))}
                    </optgroup>
                  ))}
                </select>
              </Field>
              <TextField
                label="Width"
                {...text('width')}
                hint={
                  material && material.rollWidth > 0 ? `usually ${formatLength(material.rollWidth, system)}` : WIDTH_HINT[system]
                }
              />
              <TextField label={kind === 'roll' ? 'Length that is left' : 'Length'} {...text('length')} hint="along the grain" />
              {kind === 'sheet' && <TextField label="How many sheets" {...text('count')} />}
              <TextField label="Where it is kept" {...text('place')} placeholder="second drawer" maxLength={200} />
              <TextField label="Note" {...text('note')} maxLength={4000} />
              {kind === 'leftover' && (
                <div className="flex items-center gap-4">
                  {outline && <OutlineThumb outlines={[outline]} size={72} label="Shape of the leftover" />}
                  <button
                    type="button"
                    className="btn"
                    onClick={() => {
                      const start = outline ?? startOutline(draft, system);
                      setDrawing({ kind: 'drawn', edges: start.map((from) => ({ from })) });
                    }}
                  >
                    <PencilRuler size={18} aria-hidden="true" /> {outline ? 'Change its shape' : 'It is no rectangle: draw it'}
                  </button>
                </div>
              )}
              {errors['outline'] && <p className="font-semibold text-error">{errors['outline']}</p>}
            </div>
          );
        }}
      </RecordDialog>
      {drawing && (
        <OutlineEditor
          shape={drawing}
          name="the leftover"
          onDone={(shape) => {
            const drawn = drawShape(shape).outline;
            const { minX, minY, maxX, maxY } = bounds(drawn);
            set({ width: lengthForField(maxX - minX, system), length: lengthForField(maxY - minY, system) });
            setOutline(fitted(drawn, system));
          }}
          onClose={() => setDrawing(undefined)}
        />
      )}
    </>
  );
}

function positive(field: string, text: string, system: 'metric' | 'inch'): number {
  const mm = parseLengthBeside(text, WIDTH_HINT[system], system, field);
  if (!(mm > 0)) throw new InputError(field, 'must be more than nothing');
  return mm;
}

function startOutline({ width, length }: { width: string; length: string }, system: 'metric' | 'inch'): Outline {
  const size = (text: string, usual: number) => {
    try {
      return parseLengthBeside(text, WIDTH_HINT[system], system) || usual;
    } catch {
      return usual;
    }
  };
  const [w, l] = [size(width, 300), size(length, 250)];
  return [
    [0, 0],
    [w, 0],
    [w, l],
    [0, l],
  ];
}

/** At the origin, and as large as the rounded figures of the form say. */
function fitted(outline: Outline, system: 'metric' | 'inch'): Outline {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const rounded = (mm: number) => parseLengthBeside(lengthForField(mm, system), '', system);
  const [sx, sy] = [rounded(maxX - minX) / (maxX - minX), rounded(maxY - minY) / (maxY - minY)];
  return outline.map(([x, y]): [number, number] => [(x - minX) * sx, (y - minY) * sy]);
}
