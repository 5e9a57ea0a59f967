import { useEffect, useState } from 'react';

interface Props {
  /** Degrees. */
  value: number;
  frozen: boolean;
  onChange: (angle: number) => void;
}

/** A turn typed in degrees; what cannot be read stays as typed and changes nothing. */
export default function AngleField({ value, frozen, onChange }: Props) {
  const [text, setText] = useState('');
  useEffect(() => setText(String(Math.round(value * 10) / 10)), [value]);
  const read = Number(text.replace(',', '.').replace('°', ''));
  const faulty = text.trim() === '' || !Number.isFinite(read) || Math.abs(read) > 360;
  return (
    <label className="block">
      <span className="font-semibold">Turned by, degrees</span>
      <input
        className={`input ${faulty ? 'input-error' : ''}`}
        value={text}
        inputMode="decimal"
        disabled={frozen}
        aria-invalid={faulty}
        onChange={(event) => {
          setText(event.target.value);
          const next = Number(event.target.value.replace(',', '.').replace('°', ''));
          if (event.target.value.trim() !== '' && Number.isFinite(next) && Math.abs(next) <= 360)
            onChange(((next % 360) + 360) % 360);
        }}
      />
      {faulty && <span className="text-[0.95rem] font-semibold text-error">must be from −360 to 360</span>}
    </label>
  );
}
