import { useCallback, useEffect, useState } from 'react';
import type { RecipeField } from '../../core/recipes';
import { CheckField, TextField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import { useUnits } from '../../ui/units-context';
import { isAsked, keyOf, startOf, type FormKind, type Picked, type Typed } from './recipe-form';

interface Props {
  kind: FormKind;
  values: Typed['values'];
  picked: Picked;
  /** The measure that does not work, and why. */
  field: string | undefined;
  message: string | undefined;
  onChange: (values: Typed['values']) => void;
  /** A measure stands there that cannot be read, or no longer. */
  onFault: (field: string, faulty: boolean) => void;
}

/** All measures that a recipe asks for. */
export default function RecipeMeasures({ kind, values, picked, field, message, onChange, onFault }: Props) {
  const { said } = useUnits();
  const asked = kind.fields.filter((each) => isAsked(kind, each, values, picked));
  const hidden = kind.fields.filter((each) => !asked.includes(each)).map(({ field }) => keyOf(kind, field)).join(); // prettier-ignore
  // What is out of sight stands in nobody's way.
  useEffect(() => hidden.split(',').forEach((key) => onFault(key, false)), [hidden, onFault]);
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      {asked.map((each) => (
        <Measure
          key={keyOf(kind, each.field)}
          of={each}
          value={values[keyOf(kind, each.field)] ?? startOf(each, picked)}
          error={field === each.field && message ? said(message) : undefined}
          onChange={(value) => onChange({ ...values, [keyOf(kind, each.field)]: value })}
          onFault={(faulty) => onFault(keyOf(kind, each.field), faulty)}
        />
      ))}
    </div>
  );
}

interface MeasureProps {
  of: RecipeField;
  value: number | string;
  error: string | undefined;
  onChange: (value: number | string) => void;
  onFault: (faulty: boolean) => void;
}

/** One measure of a recipe. */
function Measure({ of: { words, kind, min }, value, error, onChange, onFault }: MeasureProps) {
  if (kind === 'yes')
    return (
      <div className="col-span-2 -my-1.5">
        <CheckField label={words} checked={Number(value) === 1} onChange={(on) => onChange(on ? 1 : 0)} />
      </div>
    );
  if (kind === 'length') return <LengthField label={words} value={Number(value)} min={min} {...{ error, onChange, onFault }} />;
  return <TextField label={words} value={String(value)} error={error} onChange={onChange} />;
}

/** Whether a measure of a recipe stands there that cannot be read. */
export function useFaults(): [isFaulty: (kind: FormKind) => boolean, onFault: Props['onFault']] {
  const [faults, setFaults] = useState<readonly string[]>([]);
  const onFault = useCallback<Props['onFault']>(
    (field, faulty) => setFaults((was) => [...was.filter((each) => each !== field), ...(faulty ? [field] : [])]),
    [],
  );
  return [(kind) => faults.some((each) => each.startsWith(keyOf(kind, ''))), onFault];
}
