import { keepUnits } from '../../ui/text';
import type { Worked } from './worked';

/** A stage that has nothing to do: the piece is cut from its layer itself. */
export default function OfLayer({ work }: { work: Worked }) {
  return (
    <div className="sheet p-6">
      <h2 className="chalk-heading">
        “{work.name}” is cut from {keepUnits(work.stack!.title)} itself
      </h2>
      <p className="mt-1">
        There is no cloth that it is put on: nothing has to be chosen, tried or pressed for it. Once it is cut, it is joined to
        its other pieces.
      </p>
    </div>
  );
}
