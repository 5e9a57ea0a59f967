import { useEffect, useRef, useState } from 'react';
import type { FieldValues } from 'react-hook-form';
import { flatErrors } from './flat-errors';
import type { KeptForm } from './use-kept-form';

/** What stands below a form that was not saved: what is wrong with all of it, or that a field above is marked. */
export default function FormErrors<T extends FieldValues>({ of }: { of: KeptForm<T> }) {
  const { errors } = of.form.formState;
  const line = useRef<HTMLParagraphElement>(null);
  const [marked, setMarked] = useState(true);
  // What is wrong with something that has no field here marks nothing: it is told by its own name instead.
  useEffect(() => {
    const around = line.current?.closest('form, dialog');
    if (around)
      setMarked([...around.querySelectorAll('[role="alert"], [aria-invalid="true"]')].some((each) => each !== line.current));
  }, [errors]);
  const [first] = Object.entries(flatErrors(errors));
  if (!first) return null;
  return (
    <p ref={line} role="alert" className="font-semibold text-error">
      {of.error('root.server') ??
        (marked
          ? 'Not saved yet: see the field marked above. Everything you typed is still here.'
          : `Not saved yet: ${first[0]} ${first[1]}. Everything you typed is still here.`)}
    </p>
  );
}
