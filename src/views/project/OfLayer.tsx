import { workedWith } from '../../core/workpiece';
import { keepUnits } from '../../ui/text';
import type { Worked } from './worked';

/** A stage that has nothing to do: the piece is cut from its layer itself. */
export default function OfLayer({ work, works }: { work: Worked; works: readonly Worked[] }) {
  const base = workedWith(work, works);
  return (
    <div className="sheet p-6">
      <h2 className="chalk-heading">
        “{work.name}” is cut from {keepUnits(work.stack!.title)} itself
      </h2>
      <p className="mt-1">Nothing has to be chosen or tried for it. {benchWords(base)}</p>
    </div>
  );
}

function benchWords(base: Worked | undefined): string {
  return base
    ? `At the bench it is put onto “${base.name}”, and the outer cloth over both: begin there.`
    : 'At the bench the outer cloth of the same piece is put onto it, once that is cut from a cloth.';
}
