import { EXTENTS, EXTENT_WORDS, type Extent } from '../../core/layers';
import { DEFAULT_LAYER_OUTLINE, type LayerCut } from '../../core/pieces';
import { edgeNames } from '../../core/shape';
import { CheckField, SelectField } from '../../ui/form-fields';
import LengthField from '../../ui/LengthField';
import type { Part } from '../../store/parts';

interface Props {
  part: Part;
  extent: Extent;
  cut: LayerCut | undefined;
  /** The person's usual trim, mm. */
  trim: number;
  /** The next touch of the drawing says where the patch lies. */
  placing: boolean;
  onPlacing: (placing: boolean) => void;
  onChange: (change: { extent?: Extent; cut?: LayerCut }) => void;
}

/** With more edges than this they are not listed one by one. */
const MOST_EDGES = 14;

/** How far a layer reaches on its piece, and what goes with that. */
export default function LayerCutOptions({ part, extent, cut = {}, trim, placing, onPlacing, onChange }: Props) {
  const set = (change: LayerCut) => onChange({ cut: { ...cut, ...change } });
  const names = edgeNames(part.shape);
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
          <LengthField
            label="Width"
            value={cut.width ?? DEFAULT_LAYER_OUTLINE.width}
            min={1}
            onChange={(width) => set({ width })}
          />
        )}
        {extent === 'patch' && (
          <LengthField label="Size" value={cut.size ?? DEFAULT_LAYER_OUTLINE.size} min={1} onChange={(size) => set({ size })} />
        )}
      </div>
      {extent === 'strip' && names.length <= MOST_EDGES && (
        <fieldset>
          <legend className="font-semibold">Along</legend>
          <div className="flex flex-wrap gap-x-5">
            {names.map((name, i) => (
              <CheckField
                key={name}
                label={name}
                checked={cut.edges?.includes(i) ?? false}
                onChange={(on) => set({ edges: on ? [...(cut.edges ?? []), i] : (cut.edges ?? []).filter((edge) => edge !== i) })}
              />
            ))}
          </div>
          {!cut.edges?.length && <p className="quiet text-[0.92rem]">None chosen: it runs along the top.</p>}
        </fieldset>
      )}
      {(extent === 'patch' || extent === 'field') && (
        <button type="button" className="btn" aria-pressed={placing} onClick={() => onPlacing(!placing)}>
          {placing ? 'Touch its middle in the drawing' : cut.at ? 'Put it elsewhere' : 'It lies in the middle; put it elsewhere'}
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
