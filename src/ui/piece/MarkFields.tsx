import { X } from 'lucide-react';
import {
  hasPoint,
  isWide,
  MARK_KINDS,
  MARK_WORDS,
  runsOn,
  SNAP_WORDS,
  snapMark,
  SNAPS,
  type Mark,
  type MarkKind,
  type OpenPiece,
} from '../../core/pieces';
import { bounds, drawShape, type PieceShape, type Point } from '../../core/shape';
import { SelectField } from '../form/form-fields';
import LengthField from '../LengthField';
import { useUnits } from '../units-context';
import { capital } from '../../core/letters';

/** What the next touch of the drawing puts down. */
export type Marking = MarkKind | 'none';

interface Props {
  marks: readonly Mark[];
  onChange: (marks: Mark[]) => void;
  /** The piece opened out, where it can be. */
  piece: OpenPiece | undefined;
  shape: PieceShape;
  marking: Marking;
  onMarking: (marking: Marking) => void;
  /** Mark whose figures are open. */
  chosen: number | null;
  onChosen: (mark: number | null) => void;
  errors: Record<string, string>;
  onFault: (field: string, faulty: boolean) => void;
}

/** Where a mark may lie, mm: also beside its piece, as a fold or a zip may. */
const LEAST = -20_000;

const PLACE_WORDS: Record<MarkKind, string> = {
  notch: 'Touch its place on the edge.',
  drill: 'Touch its place in the drawing.',
  'centre-front': 'Touch near the centre: it goes exactly onto it.',
  'centre-back': 'Touch near the centre: it goes exactly onto it.',
  side: 'Touch its place in the drawing.',
  quarter: 'Touch an edge: it is parted in four.',
  snap: 'Touch its place in the drawing.',
  buttonhole: 'Touch its place in the drawing.',
  dart: 'Touch the edge where its mouth is.',
  'fold-line': 'Touch the height at which it runs across.',
  zip: 'Touch the middle of the window.',
  slash: 'Touch the edge where it begins.',
};

/** The marks of a piece: put down by touch, then typed to the millimetre or drawn to an axis or edge. */
export default function MarkFields(props: Props) {
  const { marks, onChange, marking, onMarking, chosen, onChosen, piece } = props;
  const units = useUnits();
  const { minX, minY } = cornerOf(props.shape);
  const open = chosen === null ? undefined : marks[chosen];
  const set = (mark: Mark) => onChange(marks.map((was, i) => (i === chosen ? mark : was)));
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Marks</legend>
      <div className="flex flex-wrap items-center gap-2">
        <select
          aria-label="Mark to put on the piece"
          className="select w-auto"
          value={marking}
          onChange={(e) => onMarking(e.target.value as Marking)}
        >
          <option value="none">put a mark …</option>
          {MARK_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {kind === 'quarter' ? 'quarter points of an edge' : MARK_WORDS[kind]}
            </option>
          ))}
        </select>
        {marking !== 'none' && <span className="font-semibold text-primary">{PLACE_WORDS[marking]}</span>}
      </div>
      {marks.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-2">
          {marks.map(({ kind, at }, i) => (
            <li
              key={i}
              className={`flex items-center rounded-field border bg-base-100 ${i === chosen ? 'border-primary' : 'border-base-300'}`}
            >
              <button
                type="button"
                className="min-h-11 pl-3 text-left"
                aria-pressed={i === chosen}
                onClick={() => onChosen(i === chosen ? null : i)}
              >
                {capital(MARK_WORDS[kind])}, {units.length(at[0] - minX)} in, {units.length(at[1] - minY)} up
              </button>
              <button
                type="button"
                className="btn btn-ghost btn-icon"
                aria-label={`Take off the mark ${MARK_WORDS[kind]} ${i + 1}`}
                onClick={() => {
                  onChosen(null);
                  onChange(marks.filter((_, k) => k !== i));
                }}
              >
                <X size={18} aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
      )}
      {open && (
        <div key={`${chosen}`} className="sheet mt-3 p-4">
          <p className="mb-3 font-semibold">{capital(MARK_WORDS[open.kind])}, from the lower left of the shape</p>
          <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-3">
            <PlaceFields
              words={open.kind === 'dart' ? 'Mouth' : open.kind === 'slash' ? 'At the edge' : runsOn(open.kind) ? 'One end' : ''}
              field={`marks[${chosen}].at`}
              place={open.at}
              corner={[minX, minY]}
              onChange={(at) => set({ ...open, at })}
              errors={props.errors}
              onFault={props.onFault}
            />
            {isWide(open.kind) && (
              <LengthField
                label={open.kind === 'dart' ? 'Width of its mouth' : 'Width'}
                value={open.width ?? 0}
                min={0.5}
                error={props.errors[`marks[${chosen}].width`]}
                onChange={(width) => set({ ...open, width })}
                onFault={(faulty) => props.onFault(`marks[${chosen}].width`, faulty)}
              />
            )}
            {open.to && (
              <PlaceFields
                words={hasPoint(open.kind) ? 'Point' : 'Other end'}
                field={`marks[${chosen}].to`}
                place={open.to}
                corner={[minX, minY]}
                onChange={(to) => set({ ...open, to })}
                errors={props.errors}
                onFault={props.onFault}
              />
            )}
            {piece && (
              <div className="col-span-full sm:col-span-2">
                <SelectField
                  label="Put it"
                  value="as typed"
                  options={[['as typed', 'as typed'] as const, ...SNAPS.map((snap) => [snap, SNAP_WORDS[snap]] as const)]}
                  onChange={(snap) => snap !== 'as typed' && set(snapMark(open, piece, snap))}
                />
              </div>
            )}
          </div>
        </div>
      )}
    </fieldset>
  );
}

/** How far in and how far up a place lies. */
function PlaceFields({
  words,
  field,
  place,
  corner,
  onChange,
  errors,
  onFault,
}: Pick<Props, 'errors' | 'onFault'> & {
  words: string;
  field: string;
  place: Point;
  corner: Point;
  onChange: (place: Point) => void;
}) {
  const label = (axis: string) => (words === '' ? capital(axis) : `${words}: ${axis}`);
  return (
    <>
      {(['from the left', 'from the bottom'] as const).map((axis, i) => (
        <LengthField
          key={axis}
          label={label(axis)}
          value={place[i]! - corner[i]!}
          min={LEAST}
          error={errors[`${field}[${i}]`] ?? (i === 0 ? errors[field] : undefined)}
          onChange={(mm) => onChange(i === 0 ? [mm + corner[0], place[1]] : [place[0], mm + corner[1]])}
          onFault={(faulty) => onFault(`${field}[${i}]`, faulty)}
        />
      ))}
    </>
  );
}

/** Lower left corner of a shape, at the origin where it cannot be drawn yet. */
function cornerOf(shape: PieceShape): { minX: number; minY: number } {
  try {
    return bounds(drawShape(shape).outline);
  } catch {
    return { minX: 0, minY: 0 };
  }
}
