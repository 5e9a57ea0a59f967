import { capital } from '../../core/letters';
import type { Material } from '../../core/layers';
import { DUTY_WORDS, OF_LAYERS, type Duty } from '../../core/workpiece';
import type { Cloth } from '../../store/cloths';
import { SelectField } from '../../ui/form/form-fields';
import { ClothField } from './ClothSelect';
import { fromOf, type LayerChoice, type Typed } from './recipe-form';

interface Props {
  typed: Typed;
  duties: ReadonlySet<Duty>;
  cloths: Cloth[];
  layers: LayerChoice;
  onChange: (field: 'clothId' | 'liningId' | 'baseId' | 'interliningId', value: string | null) => void;
}

/** What each duty is cut from. */
export default function RecipeCutFrom({ typed, duties, cloths, layers, onChange }: Props) {
  const { layers: picked } = fromOf(typed, layers);
  const options = (list: Material[]) => list.map(({ id, name }) => [id, name] as const);
  return (
    <div className="space-y-3">
      <ClothField
        label="Cut from"
        id="recipe-cloth"
        value={typed.clothId}
        cloths={cloths}
        onChange={(id) => onChange('clothId', id)}
      />
      {duties.has('lining') && (
        <ClothField
          label="Lining from"
          id="recipe-lining"
          value={typed.liningId}
          cloths={cloths}
          onChange={(id) => onChange('liningId', id)}
        />
      )}
      {OF_LAYERS.filter((duty) => duties.has(duty)).map((duty) => (
        <SelectField
          key={duty}
          label={`${capital(DUTY_WORDS[duty])} from`}
          value={picked[duty]?.id ?? ''}
          options={options(duty === 'base' ? layers.bases : layers.interlinings)}
          onChange={(id) => onChange(duty === 'base' ? 'baseId' : 'interliningId', id)}
        />
      ))}
    </div>
  );
}
