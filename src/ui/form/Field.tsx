import type { ReactNode } from 'react';
import { inReadersUnit } from '../../core/units';
import { useUnits } from '../units-context';

interface Props {
  label: string;
  /** For the control inside. */
  id: string;
  error?: string | undefined;
  hint?: string | undefined;
  children: ReactNode;
}

/** A labelled control with its error right below it. */
export default function Field({ label, id, error, hint, children }: Props) {
  const { system } = useUnits();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {children}
      {hint && !error && (
        <p id={`${id}-hint`} className="quiet mt-1 text-[0.92rem]">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 font-semibold text-error">
          {inReadersUnit(error, system)}
        </p>
      )}
    </div>
  );
}
