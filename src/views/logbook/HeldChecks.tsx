import type { UseFormRegisterReturn } from 'react-hook-form';
import { useUnits } from '../../ui/units-context';

interface Props {
  checks: readonly string[];
  /** The list of those that held, as the form keeps it. */
  register: UseFormRegisterReturn;
}

/** What was to be checked, each to be ticked where it is right. */
export default function HeldChecks({ checks, register }: Props) {
  const { said } = useUnits();
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">What is right</legend>
      <div className="grid gap-x-6 sm:grid-cols-2">
        {checks.map((check) => (
          <label key={check} className="flex min-h-[44px] cursor-pointer items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-primary" value={check} {...register} />
            {said(check)}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
