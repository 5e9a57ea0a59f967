import type { FieldValues } from 'react-hook-form';
import type { KeptForm } from './use-kept-form';

/** What stands below a form that was not saved: what is wrong with all of it, or that a field above is marked. */
export default function FormErrors<T extends FieldValues>({ of }: { of: KeptForm<T> }) {
  const { errors } = of.form.formState;
  if (Object.keys(errors).length === 0) return null;
  return (
    <p role="alert" className="font-semibold text-error">
      {of.error('root.server') ?? 'Not saved yet: see the field marked above. Everything you typed is still here.'}
    </p>
  );
}
