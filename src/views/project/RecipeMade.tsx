import { grainLine, openPiece } from '../../core/pieces';
import type { Recipe, RecipePiece } from '../../core/recipes';
import { DUTY_WORDS } from '../../core/workpiece';
import PieceDrawing from '../../ui/piece/PieceDrawing';
import { useUnits } from '../../ui/units-context';

/** What it is cut for is said where pieces of one name are made for several layers. */
function nameOf({ name, cuts }: RecipePiece): string {
  return cuts.length === 1 && cuts[0]!.duty !== 'shell' ? `${name}, ${DUTY_WORDS[cuts[0]!.duty]}` : name;
}

/** The pieces drawn, the figures that go with them, and how they are sewn; none while a measure does not work. */
export default function RecipeMade({ recipe }: { recipe: Recipe | undefined }) {
  const units = useUnits();
  if (!recipe) return <p className="sheet p-5">Once the measures can be sewn, the pieces are drawn here.</p>;
  const { pieces, facts, notes, notions = [] } = recipe;
  return (
    <div className="min-w-0 space-y-4">
      <dl className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {facts.map(({ words, length, value }) => (
          <div key={words} className="flex justify-between gap-3 border-b border-base-300 py-1">
            <dt>{words}</dt>
            <dd className="font-semibold whitespace-nowrap">{length === undefined ? value : units.length(length)}</dd>
          </div>
        ))}
      </dl>
      <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {pieces.map((piece) => (
          <li key={nameOf(piece)} className="sheet p-2">
            <p className="text-[0.95rem] leading-snug font-semibold">
              {nameOf(piece)}
              {piece.cuts[0]!.count > 1 ? `, ${piece.cuts[0]!.count} times` : ''}
            </p>
            <PieceDrawing
              piece={openPiece({ ...piece, line: 'sew', fold: null })}
              grain={grainLine({ cut: piece.cuts[0]!.orientation, grain: piece.grain })}
              height="9rem"
              label={`Outline of ${nameOf(piece)}`}
            />
          </li>
        ))}
      </ul>
      {notions.length > 0 && (
        <p>
          <strong>Into its kit:</strong> {notions.map(({ name, count }) => `${count} × ${units.said(name)}`).join(', ')}
        </p>
      )}
      <div>
        <h3 className="chalk-heading">How it is sewn</h3>
        <ol className="list-decimal space-y-1 pl-6">
          {notes.map((note) => (
            <li key={note}>{units.said(note)}</li>
          ))}
        </ol>
      </div>
    </div>
  );
}
