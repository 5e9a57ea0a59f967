import { fingerprint } from '../core/cutlist';
import { InputError, within } from '../core/input-error';
import { lengthenEdges, quarterMarksOf, type AtEnd } from '../core/seams';
import type { CutPiece } from '../core/workpiece';
import { cutTables } from '../store/cut-tables';
import { cuts } from '../store/cuts';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { pieces, type Piece } from '../store/pieces';
import { requirePiece } from '../store/rules/piece';
import { seams, type Seam } from '../store/seams';
import { savePiece } from './recipe-follow';
import { judgedSeams, projectSeams, type JudgedSeam } from './seam-work';
import { tableParts } from './sound-table';

/** How a seam that does not fit is mended: one side made as long as the other, or both marked in quarters. */
export type Mending = { how: 'length'; side: 'first' | 'second'; at: AtEnd } | { how: 'quarters' };

/** What was changed by it. */
export interface MendedSeam {
  /** All of the project: a corner that moves bears on the seam beside it. */
  seams: JudgedSeam[];
  /** Its cuts as they are now: what is made from edges of the pieces has followed. */
  cuts: CutPiece[];
  /** Pieces as they are now, and as they were, so that it can be taken back. */
  pieces: Piece[];
  before: Piece[];
  /** What tables were laid out for and have to lay again. */
  tables: string[];
}

/**
 * Mends a seam: what is made from the pieces follows, and it is told which tables have to be laid again.
 *
 * @param versions of the pieces that the person sees, by id
 * @throws {InputError} where it cannot be mended so {StaleError}
 */
export function mendSeam(db: Db, id: string, mending: Mending, versions: ReadonlyMap<string, number>): MendedSeam {
  return db
    .transaction((): MendedSeam => {
      const seam = seams.get(db, id);
      const before = [...new Set([seam.firstCut, seam.secondCut].map((cut) => cuts.get(db, cut).pieceId))].map((piece) =>
        pieces.get(db, piece),
      );
      for (const piece of before) if (versions.get(piece.id) !== piece.version) throw new StaleError(piece);
      const sound = soundTables(db, seam.projectId);
      if (mending.how === 'length') lengthened(db, seam, mending);
      else quartered(db, seam);
      return {
        ...projectSeams(db, seam.projectId),
        before,
        pieces: before.map(({ id: piece }) => pieces.get(db, piece)),
        tables: sound.filter((table) => !table.isSound()).map(({ name }) => name),
      };
    })
    .immediate();
}

function lengthened(db: Db, seam: Seam, { side, at }: Extract<Mending, { how: 'length' }>): void {
  const judged = judgedSeams(db, seam.projectId).find((each) => each.seam.id === seam.id);
  if (!judged?.compared) throw new InputError('side', `cannot be mended: ${judged?.fault ?? 'one of its pieces is gone'}`);
  const [cutId, edges, own] =
    side === 'first' ? [seam.firstCut, seam.firstEdges, judged.first] : [seam.secondCut, seam.secondEdges, judged.second];
  const other = side === 'first' ? judged.second : judged.first;
  const { own: allowances, pieceId } = cuts.get(db, cutId);
  const piece = pieces.get(db, pieceId);
  const by = own.times * (other.length - own.length);
  const { shape, marks } = within('at', () => lengthenEdges({ ...piece, own: allowances }, edges, by, at));
  saved(db, { ...piece, shape, marks: [...marks] });
}

function quartered(db: Db, seam: Seam): void {
  const sides = [[seam.firstCut, seam.firstEdges], [seam.secondCut, seam.secondEdges]] as const; // prettier-ignore
  for (const [cutId, edges] of sides) {
    const piece = pieces.get(db, cuts.get(db, cutId).pieceId);
    const added = quarterMarksOf(piece, edges);
    if (added.length > 0) saved(db, { ...piece, marks: [...piece.marks, ...added] });
  }
}

function saved(db: Db, { id, version, ...fields }: Piece): void {
  savePiece(db, id, requirePiece(db, fields, id), version);
}

interface SoundTable {
  name: string;
  isSound: () => boolean;
}

/** Tables of a project that are laid, not cut yet, and true to its pieces as they are now. */
function soundTables(db: Db, projectId: string): SoundTable[] {
  return cutTables.list(db, 'project_id = ? AND done IS NULL', [projectId], 'created_at, id').flatMap((table): SoundTable[] => {
    const isSound = () => fingerprint(tableParts(db, table).items) === table.fingerprint;
    const laid = table.laid.some(({ placements }) => placements.length > 0);
    return laid && isSound() ? [{ name: tableParts(db, table).material.name, isSound }] : [];
  });
}
