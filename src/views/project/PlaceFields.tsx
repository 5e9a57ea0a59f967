import { patchOf } from '../../core/choose';
import { DEFAULT_LAYER_OUTLINE, MARK_WORDS, type Mark, type Place, type PlaceKind } from '../../core/pieces';
import { bounds, drawShape, edgeNames, type PieceShape, type Point } from '../../core/shape';
import { CheckField, SelectField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import PlaceField from '../../ui/PlaceField';

interface Props {
  place: Place;
  shape: PieceShape;
  /** Marks of the piece, at which a patch can be put. */
  marks: readonly Mark[];
  /** Where the role usually has it, in words. */
  usual: string;
  /** Edges that lie outside: nothing is put along a fold, or along the edge of an opening. */
  outer: readonly number[];
  /** Of the cloth, g/m², where one is chosen. */
  clothWeight: number | null;
  onChange: (place: Place) => void;
}

const WORDS: [PlaceKind, string][] = [
  ['usual', 'where it usually is'],
  ['whole', 'all of the piece'],
  ['edges', 'along edges'],
  ['line', 'along a line, such as a slash'],
  ['patch', 'a patch around a point'],
  ['field', 'a field that is stitched'],
];

/** Middle of a shape, mm. */
function middleOf(shape: PieceShape): { at: Point; height: number } {
  try {
    const { minX, minY, maxX, maxY } = bounds(drawShape(shape).outline);
    return { at: [(minX + maxX) / 2, (minY + maxY) / 2], height: maxY - minY };
  } catch {
    return { at: [0, 0], height: 100 };
  }
}

function start(kind: PlaceKind, { shape, outer, clothWeight }: Pick<Props, 'shape' | 'outer' | 'clothWeight'>): Place {
  const { at, height } = middleOf(shape);
  const { width } = DEFAULT_LAYER_OUTLINE;
  switch (kind) {
    case 'edges':
      return { kind, edges: [outer[0] ?? 0], width };
    case 'line':
      return { kind, line: [at, [at[0], at[1] + height / 4]], width };
    case 'patch':
      return { kind, at, size: patchOf(clothWeight) };
    case 'field':
      return { kind, at };
    default:
      return { kind };
  }
}

/** Where something is put that belongs to a mark: at the point of a dart, in the middle of a line. */
function middleOfMark({ kind, at, to }: Mark): Point {
  if (kind === 'dart' && to) return to;
  return to ? [(at[0] + to[0]) / 2, (at[1] + to[1]) / 2] : at;
}

/** Closer than this it is at the mark, mm. */
const AT = 0.05;

function isAt(mark: Mark, at: Point): boolean {
  const [x, y] = middleOfMark(mark);
  return Math.hypot(x - at[0], y - at[1]) < AT;
}

/** Marks by kind, numbered where there are several. */
function markOptions(marks: readonly Mark[]): [string, string][] {
  return marks.map(({ kind }, i) => {
    const alike = marks.filter((mark) => mark.kind === kind);
    const number = alike.length > 1 ? ` ${marks.slice(0, i + 1).filter((mark) => mark.kind === kind).length}` : '';
    return [String(i), `${MARK_WORDS[kind]}${number}`];
  });
}

/** Where a job is done on its piece: chosen by kind, the measures typed. */
export default function PlaceFields(props: Props) {
  const { place, shape, outer, marks, usual, onChange } = props;
  const names = edgeNames(shape);
  const point = (label: string, at: Point, set: (to: Point) => void) => (
    <>
      <PlaceField label={`${label}, to the right`} value={at[0]} onChange={(x) => set([x, at[1]])} />
      <PlaceField label={`${label}, up`} value={at[1]} onChange={(y) => set([at[0], y])} />
    </>
  );
  return (
    <fieldset className="space-y-3">
      <legend className="sr-only">Where on the piece</legend>
      <SelectField
        label="Where"
        value={place.kind}
        options={WORDS.map(([kind, words]) => [kind, kind === 'usual' ? `${words}: ${usual}` : words] as const)}
        onChange={(kind) => onChange(start(kind, props))}
      />
      {place.kind === 'edges' && (
        <>
          <div className="flex flex-wrap gap-x-5">
            {names.map((name, i) =>
              // One that is kept from before is shown, so that it can be taken away.
              outer.includes(i) || place.edges.includes(i) ? (
                <CheckField
                  key={name}
                  label={name}
                  checked={place.edges.includes(i)}
                  onChange={(on) => {
                    const edges = on ? [...place.edges, i] : place.edges.filter((edge) => edge !== i);
                    // The last edge stays: a job along no edge is nowhere.
                    if (edges.length > 0) onChange({ ...place, edges });
                  }}
                />
              ) : null,
            )}
          </div>
          <LengthField label="How wide" value={place.width} min={1} onChange={(width) => onChange({ ...place, width })} />
        </>
      )}
      {place.kind === 'line' && (
        <div className="grid grid-cols-2 gap-4">
          {point('From', place.line[0], (from) => onChange({ ...place, line: [from, place.line[1]] }))}
          {point('To', place.line[1], (to) => onChange({ ...place, line: [place.line[0], to] }))}
          <LengthField label="How wide" value={place.width} min={1} onChange={(width) => onChange({ ...place, width })} />
        </div>
      )}
      {(place.kind === 'patch' || place.kind === 'field') && marks.length > 0 && (
        <SelectField
          label="At the mark"
          value={String(marks.findIndex((mark) => isAt(mark, place.at)))}
          options={[['-1', 'where it is typed below'], ...markOptions(marks)]}
          onChange={(i) => marks[Number(i)] && onChange({ ...place, at: middleOfMark(marks[Number(i)]!) })}
        />
      )}
      {place.kind === 'patch' && (
        <div className="grid grid-cols-2 gap-4">
          {point('Middle', place.at, (at) => onChange({ ...place, at }))}
          <LengthField label="Size" value={place.size} min={1} onChange={(size) => onChange({ ...place, size })} />
        </div>
      )}
      {place.kind === 'field' && (
        <div className="grid grid-cols-2 gap-4">{point('Middle', place.at, (at) => onChange({ ...place, at }))}</div>
      )}
    </fieldset>
  );
}
