import type { FieldValues } from 'react-hook-form';
import { flatErrors } from './flat-errors';
import type { KeptForm } from './use-kept-form';

/** What stands below a form that was not saved: what is wrong with all of it, or that a field above is marked. */
export default function FormErrors<T extends FieldValues>({ of }: { of: KeptForm<T> }) {
  const { errors } = of.form.formState;
  if (Object.keys(errors).length === 0) return null;
  const fields = Object.keys(of.form.getValues());
  // What is wrong with something that has no field here is told by its own name: nothing above is marked.
  const [unseen] = Object.entries(flatErrors(errors)).filter(([path]) => !fields.includes(path.replace(/[.[].*$/, '')));
  return (
    <p role="alert" className="font-semibold text-error">
      {of.error('root.server') ??
        (unseen
          ? `Not saved yet: ${unseen[0]} ${unseen[1]}. Everything you typed is still here.`
          : 'Not saved yet: see the field marked above. Everything you typed is still here.')}
    </p>
  );
}
