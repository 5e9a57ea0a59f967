import { grainLine, openPiece, type OpenPiece } from '../../core/pieces';
import { edgeNames } from '../../core/shape';
import type { CutPiece } from '../../core/workpiece';
import { CheckField } from '../../ui/form/form-fields';
import PieceDrawing from '../../ui/piece/PieceDrawing';

interface Props {
  label: string;
  cuts: CutPiece[];
  cutId: string;
  edges: number[];
  onCut: (id: string) => void;
  onEdges: (edges: number[]) => void;
}

/** With more edges than this they are touched in the drawing alone. */
const MOST_LISTED = 8;

function opened(cut: CutPiece): OpenPiece | undefined {
  try {
    return openPiece(cut);
  } catch {
    return undefined;
  }
}

/** One side of a seam: a cut, and the edges of it that are sewn, touched in the drawing or ticked. */
export default function EdgePicker({ label, cuts, cutId, edges, onCut, onEdges }: Props) {
  const cut = cuts.find(({ id }) => id === cutId);
  const piece = cut && opened(cut);
  const names = cut ? edgeNames(cut.shape) : [];
  const toggle = (edge: number) => onEdges(edges.includes(edge) ? edges.filter((each) => each !== edge) : [...edges, edge]);
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">{label}</legend>
      <select className="select" aria-label={`${label}: piece`} value={cutId} onChange={(event) => onCut(event.target.value)}>
        <option value="">which piece?</option>
        {cuts.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {cut && piece && (
        <>
          <PieceDrawing
            piece={piece}
            grain={grainLine({ cut: cut.wish.cut, grain: cut.grain })}
            height="12rem"
            label={`Edges of ${cut.name}`}
            marked={edges}
            onEdge={toggle}
          />
          {names.length <= MOST_LISTED ? (
            <div className="flex flex-wrap gap-x-4">
              {names.map((name, i) => (
                <CheckField key={name} small label={name} checked={edges.includes(i)} onChange={() => toggle(i)} />
              ))}
            </div>
          ) : (
            <p className="quiet text-[0.92rem]">Touch the edges in the drawing.</p>
          )}
        </>
      )}
    </fieldset>
  );
}
