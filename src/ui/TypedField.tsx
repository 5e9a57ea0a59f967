import { useId, useRef, useState } from 'react';
import Field from './form/Field';

/** A figure that stays as it is typed until the field is left. */
export default function TypedField({
  label,
  shown,
  read,
  onChange,
}: {
  label: string;
  shown: string;
  /** @param beside what stood there when it was begun */
  read: (text: string, beside: string) => number | undefined;
  onChange: (value: number) => void;
}) {
  const id = useId();
  const [text, setText] = useState<string>();
  const beside = useRef(shown);
  const faulty = text !== undefined && read(text, beside.current) === undefined;
  return (
    <Field label={label} id={id} error={faulty ? 'cannot be read' : undefined}>
      <input
        id={id}
        className={`input ${faulty ? 'input-error' : ''}`}
        autoComplete="off"
        value={text ?? shown}
        onFocus={() => {
          beside.current = shown;
          setText(shown);
        }}
        onBlur={() => setText(undefined)}
        onChange={(event) => {
          setText(event.target.value);
          const value = read(event.target.value, beside.current);
          if (value !== undefined) onChange(value);
        }}
      />
    </Field>
  );
}
