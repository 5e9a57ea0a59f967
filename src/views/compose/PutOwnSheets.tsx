import { Suspense, useState, type ComponentProps } from 'react';
import { fetched } from '../../ui/fetched';

/** What only opens when it is asked for is only fetched then. */
const OwnSheets = fetched(() => import('./OwnSheets'));

/** The way to put sheets of one's own together, shut until it is wanted and shut again when they are taken. */
export default function PutOwnSheets({ onTake, ...asked }: ComponentProps<typeof OwnSheets>) {
  const [open, setOpen] = useState(false);
  return (
    <div className="space-y-3">
      <button type="button" className="btn" aria-expanded={open} onClick={() => setOpen(!open)}>
        Put sheets of your own together
      </button>
      {open && (
        <Suspense fallback={<progress className="progress w-40" aria-label="Opening" />}>
          <OwnSheets
            {...asked}
            onTake={(stack) => {
              setOpen(false);
              onTake(stack);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}
