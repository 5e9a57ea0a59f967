import { capital } from '../../core/letters';
import type { Material } from '../../core/layers';
import { DUTY_WORDS, type Duty } from '../../core/workpiece';
import type { Cloth } from '../../store/cloths';
import Field from '../../ui/form/Field';
import { SelectField } from '../../ui/form/form-fields';
import ClothSelect from './ClothSelect';
import type { LayerChoice, Typed } from './recipe-form';
import { OF_LAYERS } from './recipe-pieces';

interface Props {
  typed: Typed;
  duties: ReadonlySet<Duty>;
  cloths: Cloth[];
  layers: LayerChoice;
  onChange: (field: 'clothId' | 'liningId' | 'baseId' | 'interliningId', value: string | null) => void;
}

/** What each duty is cut from. */
export default function RecipeCutFrom({ typed, duties, cloths, layers, onChange }: Props) {
  const options = (list: Material[]) => [['', 'not said yet'] as const, ...list.map(({ id, name }) => [id, name] as const)];
  return (
    <div className="space-y-3">
      <Field label="Cut from" id="recipe-cloth">
        <ClothSelect id="recipe-cloth" value={typed.clothId} cloths={cloths} onChange={(id) => onChange('clothId', id)} />
      </Field>
      {duties.has('lining') && (
        <Field label="Lining from" id="recipe-lining">
          <ClothSelect
            id="recipe-lining"
            value={typed.liningId}
            cloths={cloths}
            none="not said yet"
            onChange={(id) => onChange('liningId', id)}
          />
        </Field>
      )}
      {OF_LAYERS.filter((duty) => duties.has(duty)).map((duty) => (
        <SelectField
          key={duty}
          label={`${capital(DUTY_WORDS[duty])} from`}
          value={duty === 'base' ? typed.baseId : typed.interliningId}
          options={options(duty === 'base' ? layers.bases : layers.interlinings)}
          onChange={(id) => onChange(duty === 'base' ? 'baseId' : 'interliningId', id)}
        />
      ))}
    </div>
  );
}
