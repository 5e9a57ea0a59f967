import { Camera, CircleSlash, PencilRuler } from 'lucide-react';
import { useState } from 'react';
import { InputError } from '../../core/input-error';
import { bounds, drawShape, type DrawnShape, type Outline } from '../../core/shape';
import { formatLength, lengthForField, parseLengthBeside } from '../../core/units';
import Field from '../../ui/form/Field';
import { SelectInput, TextInput } from '../../ui/form/form-fields';
import FitsOn from './FitsOn';
import OutlineEditor from '../../ui/outline-editor/OutlineEditor';
import OutlineThumb from '../../ui/OutlineThumb';
import type { AllOf } from '../../ui/form/typed-resolver';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { stockSchema } from '../../schemas/tables';
import { useUnits } from '../../ui/units-context';
import type { Stock } from '../../store/stock';
import { readNumber } from '../../ui/form/reading';
import { counted } from '../../ui/text';
import { WIDTH_HINT } from './draft-parsing';
import { fittedShape, type LeftoverShape } from './leftover-shape';
import LeftoverPhoto from './LeftoverPhoto';
import LeftoverSpots from './LeftoverSpots';
import RecordDialog from '../../ui/form/RecordDialog';

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
  const [drawing, setDrawing] = useState<DrawnShape>();
  const [opened, setOpened] = useState<'photograph' | 'spots'>();
  const materialOf = (of: string) => materials.find((each) => `${each.kind}/${each.id}` === of);
  const kept = useKeptForm({
    key: `stock ${entry?.id ?? 'new'} ${entry?.version ?? 0}`,
    schema: stockSchema,
    start: () => ({
      kind: entry?.kind ?? ('leftover' as Stock['kind']),
      ofId: entry ? `${entry.ofKind}/${entry.ofId}` : '',
      outline: entry?.outline ?? (null as Outline | null),
      spots: entry?.spots ?? ([] as Outline[]),
      width: entry ? lengthForField(entry.width, system) : '',
      length: entry ? lengthForField(entry.length, system) : '',
      count: String(entry?.count ?? 1),
      place: entry?.place ?? '',
      note: entry?.note ?? '',
    }),
    read: (draft): AllOf<typeof stockSchema, 'fromTable' | 'usedBy'> => {
      const material = materialOf(draft.ofId);
      if (!material) throw new InputError('ofId', 'say what it is of');
      return {
        kind: draft.kind,
        ofKind: material.kind,
        ofId: material.id,
        width: positive('width', draft.width, system),
        length: positive('length', draft.length, system),
        count: draft.kind === 'sheet' ? readNumber('count', draft.count, '') : 1,
        outline: draft.kind === 'leftover' ? draft.outline : null,
        spots: draft.kind === 'leftover' ? draft.spots : [],
        place: draft.place.trim(),
        note: draft.note,
      };
    },
  });
  const { field, error, form } = kept;
  const draft = form.watch();
  const { kind, outline, spots } = draft;
  const material = materialOf(draft.ofId);
  /** A field of the size: another size is another shape. */
  const sized = (of: 'width' | 'length') => ({
    ...form.register(of, { onChange: () => form.setValue('outline', null) }),
    error: error(of),
  });
  const lie = (shape: LeftoverShape) => {
    const { minX, minY, maxX, maxY } = bounds(shape.outline);
    form.setValue('width', lengthForField(maxX - minX, system));
    form.setValue('length', lengthForField(maxY - minY, system));
    const fitted = fittedShape(shape, system);
    form.setValue('outline', fitted.outline);
    form.setValue('spots', fitted.spots);
  };
  return (
    <>
      <RecordDialog
        title={entry ? `${material?.name ?? 'Something'}: ${KIND_WORDS[entry.kind]}` : 'A roll, sheets or a leftover'}
        path="/api/stock"
        record={entry}
        of={kept}
        onSaved={onSaved}
        onClose={onClose}
      >
        <div className="grid gap-4 sm:grid-cols-2">
          <SelectInput
            label="It is"
            {...field('kind')}
            options={(['leftover', 'roll', 'sheet'] as const).map((each) => [each, KIND_WORDS[each]] as const)}
          />
          <Field label="Of" id="stock-of" error={error('ofId')}>
            <select
              id="stock-of"
              className="select"
              {...form.register('ofId')}
              {...(error('ofId') ? { 'aria-invalid': true, 'aria-describedby': 'stock-of-error' } : {})}
            >
              <option value="" disabled>
                which cloth or layer?
              </option>
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
          <TextInput
            label="Width"
            {...sized('width')}
            hint={material && material.rollWidth > 0 ? `usually ${formatLength(material.rollWidth, system)}` : WIDTH_HINT[system]}
          />
          <TextInput label={kind === 'roll' ? 'Length that is left' : 'Length'} {...sized('length')} hint="along the grain" />
          {kind === 'sheet' && <TextInput label="How many sheets" {...field('count')} />}
          <TextInput label="Where it is kept" {...field('place')} placeholder="second drawer" maxLength={200} />
          <TextInput label="Note" {...field('note')} maxLength={4000} />
          {kind === 'leftover' && (
            <div className="flex flex-wrap items-center gap-3 sm:col-span-2">
              {(outline || spots.length > 0) && (
                <OutlineThumb
                  outlines={[outline ?? startOutline(draft, system), ...spots]}
                  size={72}
                  label={`Shape of the leftover${spots.length > 0 ? ` with ${counted(spots.length, 'spot')}` : ''}`}
                />
              )}
              <button type="button" className="btn" onClick={() => setOpened('photograph')}>
                <Camera size={18} aria-hidden="true" /> From a photograph
              </button>
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
              <button type="button" className="btn" onClick={() => setOpened('spots')}>
                <CircleSlash size={18} aria-hidden="true" />{' '}
                {spots.length > 0 ? `${counted(spots.length, 'spot')} in it` : 'It has a hole or a stain'}
              </button>
            </div>
          )}
          {(['outline', 'spots'] as const).map(
            (of) =>
              error(of) && (
                <p key={of} className="font-semibold text-error">
                  {error(of)}
                </p>
              ),
          )}
        </div>
        {entry && entry.kind !== 'roll' && <FitsOn pieces={[{ id: entry.id, name: material?.name ?? '' }]} />}
      </RecordDialog>
      {drawing && (
        <OutlineEditor
          shape={drawing}
          name="the leftover"
          onDone={(shape) => lie({ outline: drawShape(shape).outline, spots: [] })}
          onClose={() => setDrawing(undefined)}
        />
      )}
      {opened === 'photograph' && <LeftoverPhoto onTaken={lie} onClose={() => setOpened(undefined)} />}
      {opened === 'spots' && (
        <LeftoverSpots
          shape={{ outline: outline ?? startOutline(draft, system), spots }}
          onDone={(marked) => form.setValue('spots', marked)}
          onClose={() => setOpened(undefined)}
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
