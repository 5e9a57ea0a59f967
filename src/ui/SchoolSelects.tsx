import { SCHOOLS, type SchoolId, type Schools } from '../core/schools';
import { SelectField } from './form/form-fields';

interface Props {
  /** What is set here; anything else stands as `base` says. */
  value: Partial<Schools>;
  /** What holds where nothing is set here. */
  base?: Partial<Schools>;
  only?: readonly SchoolId[];
  onChange: (value: Partial<Schools>) => void;
}

/** Ways of working on which practitioners disagree, each with the reason for what is chosen. */
export default function SchoolSelects({ value, base = {}, only, onChange }: Props) {
  return (
    <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      {SCHOOLS.filter(({ id }) => !only || only.includes(id)).map(({ id, question, options }) => {
        const usual = base[id] ?? options[0].id;
        const chosen = value[id] ?? usual;
        return (
          <SelectField
            key={id}
            label={question}
            value={chosen}
            options={options.map((option) => [option.id, option.words + (option.id === usual ? ' (usual)' : '')] as const)}
            hint={options.find((option) => option.id === chosen)?.why}
            onChange={(option) => {
              const { [id]: _old, ...rest } = value;
              onChange(option === usual ? rest : { ...rest, [id]: option });
            }}
          />
        );
      })}
    </div>
  );
}
