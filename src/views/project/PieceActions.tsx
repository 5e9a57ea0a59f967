import { FileUp, Grid3x3, ListChecks, Plus, Shapes, Spline, SquareDashedBottom, TextCursorInput } from 'lucide-react';

interface Props {
  projectId: string;
  /** How many there are: what needs several is only offered for several. */
  cuts: number;
  jobs: number;
  /** The piece in hand. */
  piece: string | undefined;
  onAdd: () => void;
  onSeveral: () => void;
  onTyped: () => void;
  onImport: () => void;
  onRecipe: () => void;
  onEdges: () => void;
}

/** What can be done with the pieces of a project besides the one in hand. */
export default function PieceActions({
  projectId,
  cuts,
  jobs,
  piece,
  onAdd,
  onSeveral,
  onTyped,
  onImport,
  onRecipe,
  onEdges,
}: Props) {
  return (
    <>
      <button type="button" className="btn w-full" onClick={onAdd}>
        <Plus size={18} aria-hidden="true" /> Add a piece
      </button>
      {cuts > 1 && (
        <button type="button" className="btn w-full" onClick={onSeveral}>
          <ListChecks size={18} aria-hidden="true" /> Change several at once
        </button>
      )}
      {jobs > 1 && (
        <a className="btn w-full" href={`/projects/${projectId}/plan`}>
          <Grid3x3 size={18} aria-hidden="true" /> Plan all jobs at once
        </a>
      )}
      {cuts > 1 && (
        <a className="btn w-full" href={`/projects/${projectId}/seams`}>
          <Spline size={18} aria-hidden="true" /> Do the seams fit?
        </a>
      )}
      {piece !== undefined && (
        <button type="button" className="btn h-auto w-full py-1.5" onClick={onEdges}>
          <SquareDashedBottom size={18} aria-hidden="true" /> From the edges of “{piece}”
        </button>
      )}
      <button type="button" className="btn w-full" onClick={onTyped}>
        <TextCursorInput size={18} aria-hidden="true" /> Pieces typed in lines
      </button>
      <button type="button" className="btn w-full" onClick={onRecipe}>
        <Shapes size={18} aria-hidden="true" /> Pieces by a recipe
      </button>
      <button type="button" className="btn w-full" onClick={onImport}>
        <FileUp size={18} aria-hidden="true" /> Pieces from a file or photograph
      </button>
    </>
  );
}
