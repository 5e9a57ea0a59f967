import { jobRegion, laidCut, workpieceOf } from '../core/workpiece';
import { laidSvg, type DrawnCut } from '../formats/svg';
import { cloths } from '../store/cloths';
import { cuts } from '../store/cuts';
import type { Cut } from '../store/cuts';
import type { Db } from '../store/database';
import { jobs, type Job } from '../store/jobs';
import { logOfJob } from '../store/log';
import { findMaterial } from '../store/materials';
import { pieces, type Piece } from '../store/pieces';
import { readSettings } from '../store/settings';
import { piecesOf } from '../store/workpieces';

/** Of a project so many cuts are drawn: more of them are dots. */
const MOST_DRAWN = 24;
const WIDE = 2.4;
const PIECE = 1.6;

/** The pieces of a project as one small picture. */
export function projectDrawing(db: Db, projectId: string): string {
  const rows = piecesOf(db, [projectId]);
  const drawn = rows.pieces.flatMap((piece) =>
    rows.cuts
      .filter(({ pieceId }) => pieceId === piece.id)
      .flatMap((cut) =>
        cutDrawn(
          db,
          piece,
          cut,
          rows.jobs.filter(({ cutId }) => cutId === cut.id),
        ),
      ),
  );
  return laidSvg(drawn.slice(0, MOST_DRAWN), WIDE);
}

/** One job on its piece as a small picture. */
export function jobDrawing(db: Db, jobId: string): string {
  const job = jobs.get(db, jobId);
  const cut = cuts.get(db, job.cutId);
  return laidSvg(cutDrawn(db, pieces.get(db, cut.pieceId), cut, [job]), PIECE);
}

function cutDrawn(db: Db, piece: Piece, cut: Cut, on: readonly Job[]): DrawnCut[] {
  const laid = laidCut(piece, cut);
  if (!laid) return [];
  const { trim } = readSettings(db).settings;
  const cloth = cut.clothId ? cloths.find(db, cut.clothId) : undefined;
  const regions = on.map((job) => {
    const layers = (job.stack?.layers ?? []).flatMap((layer) => {
      const material = findMaterial(db, layer.materialId);
      return material ? [{ ...layer, material }] : [];
    });
    return {
      layers: jobRegion({ ...workpieceOf(piece, cut, job, 1, cloth ? [cloth] : []), layers }, laid.open, trim),
      // As on the project's board: green is what is filed.
      ...{ chosen: job.stack !== null, done: logOfJob(db, job.id).some(({ kind }) => kind === 'piece') },
    };
  });
  return [{ ...laid, tone: cloth?.tone ?? null, regions }];
}
