import { useEffect, useId, useRef, useState } from 'react';
import { InputError } from '../core/input-error';
import { formatLength, lengthForField, parseLengthBeside, type LengthSystem } from '../core/units';
import Field from './form/Field';
import { useUnits } from './units-context';

interface Props {
  label: string;
  /** mm. */
  value: number;
  onChange: (mm: number) => void;
  /** Told when what is typed cannot be read, and when it can again. */
  onFault?: (faulty: boolean) => void;
  error?: string | undefined;
  hint?: string | undefined;
  min?: number;
}

/**
 * A length typed as people write it: `3/8"`, `9.5 mm`, `20cm`; a bare number counts in the unit that stood there. What is typed
 * stays as typed until the field is left; then it is written the way the person's units read, exactly as it is kept.
 */
export default function LengthField({ label, value, onChange, onFault, error, hint, min = 0 }: Props) {
  const { system } = useUnits();
  const id = useId();
  const [text, setText] = useState(() => shown(value, system));
  const [fault, setFault] = useState<string>();
  const [editing, setEditing] = useState(false);
  /** What stood there before it was typed over: a bare number counts in its unit. */
  const beside = useRef(text);
  useEffect(() => {
    // What cannot be read stays as it was typed.
    if (!editing && fault === undefined) setText(shown(value, system));
  }, [value, system, editing, fault]);

  const read = (typed: string) => {
    setText(typed);
    try {
      const mm = parseLengthBeside(typed, beside.current, system);
      if (mm < min) throw new InputError('', `must be at least ${formatLength(min, system)}`);
      setFault(undefined);
      onFault?.(false);
      onChange(mm);
    } catch (problem) {
      setFault((problem as Error).message.replace(/^[^:]*: /, ''));
      onFault?.(true);
    }
  };
  return (
    <Field label={label} id={id} error={fault ?? error} hint={hint}>
      <input
        id={id}
        className={`input ${fault || error ? 'input-error' : ''}`}
        value={text}
        inputMode="text"
        autoComplete="off"
        aria-invalid={fault !== undefined || error !== undefined}
        aria-describedby={fault || error ? `${id}-error` : hint ? `${id}-hint` : undefined}
        onFocus={() => {
          beside.current = text;
          setEditing(true);
        }}
        onBlur={() => setEditing(false)}
        onChange={(event) => read(event.target.value)}
      />
    </Field>
  );
}

/** In inches as a ruler reads, which changes nothing that is kept until it is typed over; in millimetres exactly. */
function shown(mm: number, system: LengthSystem): string {
  return system === 'inch' ? formatLength(mm, system) : lengthForField(mm, system);
}
