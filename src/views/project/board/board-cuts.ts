import type { Material } from '../../../core/layers';
import { DEFAULT_LAYER_OUTLINE, edgeRuns, type OpenPiece, type Place } from '../../../core/pieces';
import type { Tone } from '../../../core/cloth';
import { cornerSquare } from '../../../core/choose';
import { edgeNames, type Outline, type Point } from '../../../core/shape';
import { DUTY_WORDS, jobRegion, laidCut, type LaidCut } from '../../../core/workpiece';
import type { Cloth } from '../../../store/cloths';
import type { Cut } from '../../../store/cuts';
import type { LogEntry } from '../../../store/log';
import type { Piece } from '../../../store/pieces';
import type { Scrap } from '../../../store/scraps';
import { passed, type Stage } from '../types';
import { tree, type Rows, type Worked } from '../worked';

/** A job on the board: where it is done, and the stage that waits for it; null once it is filed. */
export interface BoardJob {
  work: Worked;
  /** Layer by layer. */
  region: Outline[][];
  next: Stage | null;
}

/** A cut on the board, mm. */
export interface BoardCut extends LaidCut {
  cut: Cut;
  piece: Piece;
  tone: Tone | null;
  jobs: BoardJob[];
}

/** What is touched: a whole piece, one of its edges, or a corner by its sewn point. */
export type Touched =
  { cutId: string; on: 'piece' } | { cutId: string; on: 'edge'; edge: number } | { cutId: string; on: 'corner'; at: Point };

/** Stages that a job waits for; a scrap is tried when it is wanted. */
const WAITS: readonly Stage[] = ['cloth', 'choose', 'cut', 'apply'];

interface Known {
  rows: Rows;
  works: readonly Worked[];
  cloths: readonly Cloth[];
  layers: readonly Material[];
  log: readonly LogEntry[];
  scraps: readonly Scrap[];
  trim: number;
}

/** Every cut of the project as it is drawn; what cannot be opened out says so in its own form. */
export function boardCuts({ rows, works, cloths, layers, log, scraps, trim }: Known): BoardCut[] {
  return tree(rows).flatMap(({ piece, cuts }) =>
    cuts.flatMap(({ cut }): BoardCut[] => {
      const laid = laidCut(piece, cut);
      if (!laid) return [];
      const jobs = works
        .filter(({ cutId }) => cutId === cut.id)
        .map((work): BoardJob => {
          const stack = (work.stack?.layers ?? []).flatMap((layer) => {
            const material = layers.find(({ id }) => id === layer.materialId);
            return material ? [{ ...layer, material }] : [];
          });
          const next = WAITS.find((stage) => !passed(work, stage, log, scraps)) ?? null;
          return { work, region: jobRegion({ ...work, layers: stack }, laid.open, trim), next };
        });
      const tone = cloths.find(({ id }) => id === cut.clothId)?.tone ?? null;
      return [{ ...laid, cut, piece, tone, jobs }];
    }),
  );
}

/** The border of a piece by its edges. Nothing lies along the edge of an opening: what holds one lies all over it. */
export const runsOf = (open: OpenPiece) => edgeRuns({ ...open, holes: [] });

/** Where two edges of a piece meet: as it is cut, the sewn point that is meant, and which edges. */
export function cornersOf(open: OpenPiece): { cut: Point; sewn: Point; edges: [number, number] }[] {
  const sewn = open.seam.flat();
  const runs = runsOf(open);
  return runs.flatMap(({ edge, points, closed }, i) => {
    if (closed) return [];
    const cut = points[0]!;
    const before = runs[(i + runs.length - 1) % runs.length]!.edge;
    return [
      { cut, sewn: sewn.length === 0 ? cut : sewn.reduce((a, b) => (far(b, cut) < far(a, cut) ? b : a)), edges: [before, edge] },
    ];
  });
}

const far = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(ax - bx, ay - by);

export const sameTouch = (a: Touched, b: Touched): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A strip along an edge that nobody measured, mm. */
const STRIP = DEFAULT_LAYER_OUTLINE.width;

/** Where a job is done that is asked for what is touched on one cut: edges together, each corner by itself. */
export function placesOf(picks: readonly Touched[], { open: { allowances } }: Pick<BoardCut, 'open'>): Place[] {
  const edges = picks.flatMap((pick) => (pick.on === 'edge' ? [pick.edge] : []));
  return [
    ...(picks.some(({ on }) => on === 'piece') ? [{ kind: 'usual' as const }] : []),
    ...(edges.length > 0 ? [{ kind: 'edges' as const, edges, width: STRIP }] : []),
    ...picks.flatMap((pick) =>
      pick.on === 'corner' ? [{ kind: 'patch' as const, at: pick.at, size: cornerSquare(allowances) }] : [],
    ),
  ];
}

/** A cut by its piece; what is not the outer cloth says so. */
export const nameOnBoard = ({ piece, cut }: Pick<BoardCut, 'piece' | 'cut'>): string =>
  cut.duty === 'shell' ? piece.name : `${piece.name}, ${DUTY_WORDS[cut.duty]}`;

/** What is touched, in words. */
export function touchWords(pick: Touched, of: BoardCut, several: boolean): string {
  const { piece, cut } = of;
  const name = several ? nameOnBoard(of) : `“${nameOnBoard(of)}”`;
  if (pick.on === 'piece') return cut.count > 1 ? `${name}, all ${cut.count}` : name;
  return `${name}: ${pick.on === 'edge' ? edgeNames(piece.shape)[pick.edge] : cornerWords(of, pick.at)}`;
}

/** A corner by the edges that meet there. */
export function cornerWords({ open, piece }: BoardCut, at: Point): string {
  const [first, second] = cornersOf(open).find(({ sewn }) => far(sewn, at) < 0.01)?.edges ?? [];
  const names = edgeNames(piece.shape);
  return first === undefined ? 'a corner' : `corner of ${names[first]} and ${names[second!]}`;
}
