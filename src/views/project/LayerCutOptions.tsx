import { EXTENTS, EXTENT_WORDS, type Extent } from '../../core/layers';
import type { LayerCut, LayerOutlineOptions } from '../../core/pieces';
import { edgeNames } from '../../core/shape';
import { CheckField, SelectField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import { useUnits } from '../../ui/units-context';
import type { Worked } from './worked';

interface Props {
  work: Worked;
  extent: Extent;
  cut: LayerCut | undefined;
  /** Edges that a strip runs along, chosen or proposed. */
  edges: readonly number[];
  /** The person's usual trim, mm. */
  trim: number;
  /** As it is cut when nothing is said of it, mm. */
  usual: Pick<LayerOutlineOptions, 'width' | 'size'>;
  /** How far a strip reaches past the seam line, mm. */
  past: number;
  /** The next touch of the drawing says where the patch lies. */
  placing: boolean;
  onPlacing: (placing: boolean) => void;
  onChange: (change: { extent?: Extent; cut?: LayerCut }) => void;
}

/** With more edges than this they are not listed one by one. */
const MOST_EDGES = 14;

/** How far a layer reaches on its piece, and what goes with that. */
export default function LayerCutOptions({
  work,
  extent,
  cut = {},
  edges,
  trim,
  usual,
  past,
  placing,
  onPlacing,
  onChange,
}: Props) {
  const set = (change: LayerCut) => onChange({ cut: { ...cut, ...change } });
  const units = useUnits();
  const names = edgeNames(work.shape);
  const besideFold = edges.length === 0;
  return (
    <div className="space-y-3">
      <div className="grid gap-4">
        <SelectField
          label="It reaches"
          value={extent}
          options={EXTENTS.map((each) => [each, EXTENT_WORDS[each]] as const)}
          onChange={(next) => onChange({ extent: next })}
        />
        {extent === 'trimmed' && <LengthField label="Trimmed by" value={cut.trim ?? trim} onChange={(mm) => set({ trim: mm })} />}
        {extent === 'strip' && (
          <LengthField label="Width" value={cut.width ?? usual.width} min={1} onChange={(width) => set({ width })} />
        )}
        {extent === 'strip' && !cut.line && !besideFold && (
          <LengthField
            label="Of that past the seam line"
            value={past}
            hint={past > 0 ? 'So that the stitching catches it.' : 'It begins at the line.'}
            onChange={(mm) => set({ past: mm })}
          />
        )}
        {extent === 'patch' && (
          <LengthField label="Size" value={cut.size ?? usual.size} min={1} onChange={(size) => set({ size })} />
        )}
      </div>
      {extent === 'strip' && cut.line && <p className="quiet text-[0.92rem]">It lies along the line of this job.</p>}
      {extent === 'strip' && !cut.line && names.length > MOST_EDGES && (
        <p className="quiet text-[0.92rem]">Touch the edges that it runs along in the drawing.</p>
      )}
      {extent === 'strip' && !cut.line && names.length <= MOST_EDGES && (
        <fieldset>
          <legend className="font-semibold">Along</legend>
          <div className="flex flex-wrap gap-x-5">
            {names.map((name, i) => (
              <CheckField
                key={name}
                label={name}
                checked={edges.includes(i)}
                onChange={() => set({ edges: toggled(edges, i) })}
              />
            ))}
          </div>
          {!cut.edges?.length && (
            <p className="quiet text-[0.92rem]">
              {edges.length === 0 ? 'Proposed: beside the fold.' : 'Proposed for this job.'} Touch an edge here or in the drawing
              to change it.
            </p>
          )}
        </fieldset>
      )}
      {extent === 'field' && cut.sheet && (
        <p>
          Its sheet is {units.size(cut.sheet.width, cut.sheet.height)}, as its hoop needs it.{' '}
          <button type="button" className="btn" onClick={() => set({ sheet: undefined })}>
            As usual round the motif
          </button>
        </p>
      )}
      {(extent === 'patch' || extent === 'field') && (
        <button type="button" className="btn" aria-pressed={placing} onClick={() => onPlacing(!placing)}>
          {placing
            ? 'Touch its middle in the drawing'
            : cut.at
              ? 'Put it elsewhere'
              : cut.line
                ? 'It lies at the point; put it elsewhere'
                : 'It lies in the middle; put it elsewhere'}
        </button>
      )}
      {(extent === 'full' || extent === 'trimmed') && (
        <CheckField
          label="Clip corners where seams meet, so that they turn"
          checked={cut.clipped ?? false}
          onChange={(clipped) => set({ clipped })}
        />
      )}
    </div>
  );
}

/** The same edges with one more or less; the last one stays. */
export function toggled(edges: readonly number[], edge: number): number[] {
  const next = edges.includes(edge) ? edges.filter((each) => each !== edge) : [...edges, edge];
  return next.length > 0 ? next : [...edges];
}
