import { useState } from 'react';
import { convertLength } from '../../core/cutplan';
import LengthField from '../../ui/LengthField';
import { useUnits } from '../../ui/units-context';

/** A pattern asks for a length at one width: how much that is at the width at hand. */
export default function WidthConverter({ width }: { width: number }) {
  const units = useUnits();
  const [asked, setAsked] = useState({ length: 1000, width: 500 });
  const safe = asked.length > 0 && asked.width > 0 && width > 0;
  const found = safe ? convertLength(asked.length, asked.width, width) : undefined;
  return (
    <details>
      <summary className="inline-flex min-h-[44px] cursor-pointer items-center font-semibold text-primary underline underline-offset-4">
        The pattern asks for another width
      </summary>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <LengthField label="It asks for" value={asked.length} min={1} onChange={(length) => setAsked({ ...asked, length })} />
        <LengthField label="At a width of" value={asked.width} min={1} onChange={(mm) => setAsked({ ...asked, width: mm })} />
      </div>
      {found && (
        <p className="mt-2">
          About <strong>{units.length(Math.ceil(found.length / 10) * 10)}</strong> at {units.length(width)}, by area and{' '}
          {Math.round(found.margin * 100)} % more. The layout beside this knows the pieces; believe it first.
        </p>
      )}
    </details>
  );
}
