import { Suspense } from 'react';
import type { Care } from '../../core/choose';
import { fetched } from '../../ui/fetched';
import type { Cloth } from '../../store/cloths';
import type { Cut } from '../../store/cuts';
import type { Piece } from '../../store/pieces';
import type { Project } from '../../store/projects';
import type { RowChange } from './several';
import type { Rows } from './worked';

/** What only opens when it is asked for is only fetched then. */
const AddCutDialog = fetched(() => import('./AddCutDialog'));
const ImportPieces = fetched(() => import('./ImportPieces'));
const SeveralDialog = fetched(() => import('./SeveralDialog'));
const TypedPieces = fetched(() => import('./TypedPieces'));
const RecipeDialog = fetched(() => import('./RecipeDialog'));
const FromEdgeDialog = fetched(() => import('./FromEdgeDialog'));

/** Which dialog of a project is open, and of which piece. */
export type OpenDialog =
  | { kind: 'typed' }
  | { kind: 'file' }
  | { kind: 'recipe' }
  | { kind: 'several' }
  | { kind: 'cut'; piece: Piece }
  | { kind: 'edges'; piece: Piece };

interface Props {
  open: OpenDialog | undefined;
  project: Project;
  rows: Rows;
  cloths: Cloth[];
  /** The cut in hand; none while all pieces are looked at. */
  cut: Cut | undefined;
  /** Care of the job in hand. */
  care: Care | undefined;
  clothName: (id: string | null) => string;
  onCut: (added: Rows) => void;
  onSeveral: (changes: RowChange[], words: string) => void;
  onBrought: (added: Rows) => void;
  onClose: () => void;
}

/** The dialogs that bring pieces into a project, or change several of them. */
export default function ProjectDialogs(props: Props) {
  return <Suspense>{props.open && <Dialog {...props} open={props.open} />}</Suspense>;
}

function Dialog({
  open,
  project,
  rows,
  cloths,
  cut,
  care,
  clothName,
  onCut,
  onSeveral,
  onBrought,
  onClose,
}: Props & { open: OpenDialog }) {
  // What comes new begins with the cloth of the project.
  const clothId = cut?.clothId ?? rows.cuts.find((each) => each.clothId !== null)?.clothId ?? null;
  const common = { projectId: project.id, cloths, onClose };
  switch (open.kind) {
    case 'cut':
      return (
        <AddCutDialog
          piece={open.piece}
          cuts={rows.cuts.filter(({ pieceId }) => pieceId === open.piece.id)}
          cloths={cloths}
          care={project.care ?? care ?? 'wash-warm'}
          onAdded={onCut}
          onClose={onClose}
        />
      );
    case 'several':
      return <SeveralDialog {...{ rows, cloths, clothName, onClose }} onChange={onSeveral} />;
    case 'typed':
      return <TypedPieces {...common} clothId={clothId} onAdded={onBrought} />;
    case 'file':
      return <ImportPieces {...common} clothId={clothId} onAdded={onBrought} />;
    case 'edges':
      return (
        <FromEdgeDialog
          {...common}
          piece={open.piece}
          cut={rows.cuts.find(({ pieceId, duty }) => pieceId === open.piece.id && duty === 'shell') ?? cut}
          care={project.care}
          onAdded={showPiecesOf}
        />
      );
    case 'recipe':
      return <RecipeDialog {...common} clothId={clothId} care={project.care} onAdded={showPiecesOf} />;
  }
}

/** The recipe itself, and layers that this page has not seen yet, come with the page. */
const showPiecesOf = ({ jobs, cuts }: Rows) => location.assign(`?job=${jobs[0]?.id ?? cuts[0]!.id}&stage=pieces`);
