import { PencilRuler } from 'lucide-react';
import { useId, useState } from 'react';
import { CUTS, CUT_WORDS, type CutGrain } from '../../core/choose';
import { grainLine, movedMark, newMark, pieceSize, quarterMarks } from '../../core/pieces';
import { asDrawn, edgeNames, SHAPE_KINDS, type DrawnShape, type PieceShape, type Point } from '../../core/shape';
import Field from '../form/Field';
import { CheckField, SelectField } from '../form/form-fields';
import OutlineEditor from '../outline-editor/OutlineEditor';
import { inReadersUnit } from '../../core/units';
import { useUnits } from '../units-context';
import AllowanceFields from './AllowanceFields';
import MarkFields, { type Marking } from './MarkFields';
import ShapeMeasures from './ShapeMeasures';
import PieceDrawing from './PieceDrawing';
import { tryOpen, withKind, withShape, type PieceDraft } from './piece-draft';

interface Props {
  draft: PieceDraft;
  onChange: (draft: PieceDraft) => void;
  /** Errors by field path, as the server names them. */
  errors: Record<string, string>;
  onFault: (field: string, faulty: boolean) => void;
}

/** A place that was touched is kept to a tenth of a millimetre: no finger is finer. */
const toTenth = ([x, y]: Point): Point => [Math.round(x * 10) / 10, Math.round(y * 10) / 10];

/** Name, shape, how many, seam allowances, fold, grain and marks of a piece, with a drawing that can be touched. */
export default function PieceForm({ draft, onChange, errors, onFault }: Props) {
  const id = useId();
  const units = useUnits();
  const { shape } = draft;
  const [edge, setEdge] = useState<number | null>(null);
  const [marking, setMarking] = useState<Marking>('none');
  const [mark, setMark] = useState<number | null>(null);
  const [drawing, setDrawing] = useState<DrawnShape>();
  const set = (change: Partial<PieceDraft>) => onChange({ ...draft, ...change });
  const setMeasure = (field: string, value: unknown) => set({ shape: { ...shape, [field]: value } as PieceShape });
  const opened = tryOpen(draft);
  const error = (field: string) =>
    (opened.field === field ? opened.message : undefined) ?? errors[field] ?? errors[`shape.${field}`];
  const names = edgeNames(shape);
  // The count belongs to the cut of the piece.
  const countFault = errors['count'] ?? errors['cuts[0].count'];
  return (
    <div className="grid gap-6 lg:grid-cols-[1fr_minmax(18rem,26rem)]">
      <div className="space-y-5">
        <div className="grid gap-4 sm:grid-cols-[1fr_7rem]">
          <Field label="Name of the piece" id={`${id}-name`} error={errors['name']}>
            <input
              id={`${id}-name`}
              className={`input ${errors['name'] ? 'input-error' : ''}`}
              value={draft.name}
              maxLength={120}
              placeholder="Left front, outer collar …"
              onChange={(e) => set({ name: e.target.value })}
            />
          </Field>
          <Field label="How many" id={`${id}-count`} error={countFault}>
            <input
              id={`${id}-count`}
              className={`input ${countFault ? 'input-error' : ''}`}
              type="number"
              min={1}
              max={1000}
              value={draft.count}
              onChange={(e) => set({ count: Number(e.target.value) })}
            />
          </Field>
        </div>
        <div className="flex flex-wrap gap-x-6">
          <CheckField label="Half of them mirrored (left and right)" checked={draft.pairs} onChange={(pairs) => set({ pairs })} />
          <CheckField label="One way up (print or nap)" checked={draft.oneWay} onChange={(oneWay) => set({ oneWay })} />
        </div>
        <div className="grid gap-4 sm:grid-cols-[1fr_auto] sm:items-end">
          <SelectField
            label="Shape"
            value={shape.kind}
            options={SHAPE_KINDS.map(({ kind, words }) => [kind, words] as const)}
            onChange={(kind) => {
              setEdge(null);
              if (kind === 'drawn') {
                const { shape: drawn, sources } = asDrawn(shape);
                onChange(withShape(draft, drawn, sources));
              } else onChange(withKind(draft, kind));
            }}
          />
          <button
            type="button"
            className="btn"
            onClick={() => setDrawing(asDrawn(shape).shape)}
            disabled={opened.piece === undefined && shape.kind !== 'drawn'}
          >
            <PencilRuler size={18} aria-hidden="true" /> {shape.kind === 'drawn' ? 'Change the outline' : 'Draw it yourself'}
          </button>
        </div>
        <ShapeMeasures shape={shape} error={error} onMeasure={setMeasure} onFault={onFault} />
        <AllowanceFields draft={draft} edge={edge} error={error} onChange={set} onFault={onFault} />
        <div className="grid grid-cols-2 gap-4">
          <Field label="On the fold" id={`${id}-fold`} error={error('fold')}>
            <select
              id={`${id}-fold`}
              className="select"
              value={draft.fold ?? 'none'}
              onChange={(e) => {
                const fold = e.target.value === 'none' ? null : Number(e.target.value);
                set({ fold, allowances: draft.allowances.map((was, k) => (k === fold ? 0 : was)) });
              }}
            >
              <option value="none">not on a fold</option>
              {names.map((word, i) => (
                <option key={word} value={i}>
                  {word}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Grain line leans (°)" id={`${id}-grain`} error={error('grain')}>
            <input
              id={`${id}-grain`}
              className="input"
              type="number"
              min={-180}
              max={180}
              value={draft.grain}
              onChange={(e) => set({ grain: Math.max(-180, Math.min(180, Number(e.target.value))) })}
            />
          </Field>
          <div className="col-span-2">
            <Field label="Cut" id={`${id}-cut`}>
              <select
                id={`${id}-cut`}
                className="select"
                value={draft.cut}
                onChange={(e) => set({ cut: e.target.value as CutGrain })}
              >
                {CUTS.map((cut) => (
                  <option key={cut} value={cut}>
                    {CUT_WORDS[cut]}
                  </option>
                ))}
              </select>
            </Field>
          </div>
        </div>
        <MarkFields
          marks={draft.marks}
          onChange={(marks) => set({ marks })}
          piece={opened.piece}
          shape={shape}
          marking={marking}
          onMarking={setMarking}
          chosen={mark}
          onChosen={setMark}
          errors={errors}
          onFault={onFault}
        />
      </div>
      <div className="sheet h-fit p-4 lg:sticky lg:top-4">
        {opened.piece ? (
          <PieceDrawing
            piece={opened.piece}
            grain={grainLine(draft)}
            height="24rem"
            label={`The piece ${draft.name || 'without a name yet'}, cut line and seam line`}
            edge={edge}
            onEdge={marking === 'none' ? setEdge : undefined}
            onPlace={
              marking === 'none'
                ? undefined
                : (place) => {
                    const piece = opened.piece!;
                    const put = marking === 'quarter' ? quarterMarks(piece, place) : [newMark(marking, piece, place)];
                    set({ marks: [...draft.marks, ...put.map((each) => movedMark(each, toTenth))] });
                    setMark(marking === 'quarter' ? null : draft.marks.length);
                    setMarking('none');
                  }
            }
            chosen={mark}
            written
          />
        ) : (
          <p className="font-semibold text-error">
            The piece cannot be drawn yet: {opened.field} {inReadersUnit(opened.message ?? '', units.system)}.
          </p>
        )}
        <p className="quiet mt-2 text-[0.92rem]">
          Full line: cut. Dashed: seam. Arrow: grain{draft.fold !== null ? '. Dash-dot: the fold; shown opened out' : ''}. Touch
          an edge
          {edge !== null && names[edge] ? `; ${names[edge]} is chosen` : ' to choose it'}.
        </p>
        {opened.piece && (
          <p className="mt-1 font-semibold">
            {units.size(pieceSize(opened.piece).width, pieceSize(opened.piece).height)} as it is cut
          </p>
        )}
      </div>
      {drawing && (
        <OutlineEditor
          shape={drawing}
          name={draft.name || 'the piece'}
          onDone={(changed, sources) => {
            const before = asDrawn(shape).sources;
            setEdge(null);
            onChange(
              withShape(
                draft,
                changed,
                sources.map((i) => before[i] ?? i),
              ),
            );
          }}
          onClose={() => setDrawing(undefined)}
        />
      )}
    </div>
  );
}
