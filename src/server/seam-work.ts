import { edgeRuleOf } from '../core/choose';
import { clothThickness } from '../core/cloth';
import { InputError } from '../core/input-error';
import { MARK_WORDS, openPiece, placeCut, runsIntoSeam, seamLength, stitched, stripEdges } from '../core/pieces';
import { edgeNames } from '../core/shape';
import {
  compareSeam,
  seamRuns,
  walkSeam,
  type ComparedSeam,
  type GivingSide,
  type MeetingKind,
  type SeamRun,
  type SeamSide,
  type SeamWalk,
} from '../core/seams';
import type { PaperTape } from '../formats/pdf';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import { seams, type Seam } from '../store/seams';
import { pieces } from '../store/pieces';
import { readSettings } from '../store/settings';
import { workOf, type Workpiece } from '../store/workpieces';
import type { CutPiece } from '../core/workpiece';

/** What lies in a seam on one side, outermost first. mm. */
export interface SeamPile {
  name: string;
  thickness: number;
}

/** One side of a seam as it is sewn: its length, and how often it comes in its piece; twice on both sides of a fold. mm. */
export interface JudgedSide extends GivingSide {
  name: string;
  /** Its piece, as it is seen here. */
  piece: { id: string; version: number };
  length: number;
  times: number;
  pile: SeamPile[];
}

/** A seam with what is found of it; `fault` where one of its pieces cannot be drawn. */
export interface JudgedSeam {
  seam: Seam;
  first: JudgedSide;
  second: JudgedSide;
  compared: ComparedSeam | null;
  /** Both edges along each other, mark to mark; null where one of them is not one line. */
  walk: SeamWalk | null;
  /** Whether both cloths are said; without them the seam is thicker than what is told. */
  thicknessKnown: boolean;
  fault: string | null;
}

/** Seams of a project as its pieces and layers are now; those of pieces that are gone are left out. */
export function judgedSeams(db: Db, projectId: string): JudgedSeam[] {
  const { workpieces, cutPieces } = workOf(db, [projectId]);
  const { settings } = readSettings(db);
  return seams.list(db, 'project_id = ?', [projectId], 'created_at, rowid').flatMap((seam): JudgedSeam[] => {
    const [first, second] = [seam.firstCut, seam.secondCut].map((id) => cutPieces.find((cut) => cut.id === id));
    if (!first || !second) return [];
    try {
      const [a, b] = [
        sideOf(db, first, seam.firstEdges, workpieces, settings.trim),
        sideOf(db, second, seam.secondEdges, workpieces, settings.trim),
      ];
      return [
        {
          thicknessKnown: first.clothId !== null && second.clothId !== null,
          ...{ seam, fault: null, compared: compareSeam(a.side, b.side, settings.machineClearance) },
          walk: a.runs && b.runs ? walkSeam(a.runs[0]!, b.runs[0]!, { first: a.side, second: b.side }) : null,
          ...{ first: told(db, first, a), second: told(db, second, b) },
        },
      ];
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const empty = { side: { length: 0, stretch: 0, held: false }, pile: [], runs: undefined };
      return [
        {
          seam,
          ...{ first: told(db, first, empty), second: told(db, second, empty) },
          ...{ compared: null, walk: null },
          thicknessKnown: false,
          fault: error.message.replace(`${error.field}: `, `${error.field} `),
        },
      ];
    }
  });
}

type Side = { side: GivingSide & { length: number }; pile: SeamPile[]; runs: SeamRun[] | undefined };

function told(db: Db, { name, pieceId }: CutPiece, { side, pile, runs }: Side): JudgedSide {
  const { id, version } = pieces.get(db, pieceId);
  const { length, stretch, held } = side;
  return { name, piece: { id, version }, length, stretch, held, times: runs?.length ?? 1, pile };
}

/** Seams of a project with the cuts that they are between. */
export function projectSeams(db: Db, projectId: string): { seams: JudgedSeam[]; cuts: CutPiece[] } {
  return { seams: judgedSeams(db, projectId), cuts: workOf(db, [projectId]).cutPieces };
}

/** An edge of a cut as it is sewn: how long, how thick with every layer of every job that runs into it, how far it gives. */
function sideOf(db: Db, cut: CutPiece, edges: readonly number[], all: readonly Workpiece[], trim: number) {
  const cloth = cut.clothId === null ? undefined : cloths.find(db, cut.clothId);
  const pile: SeamPile[] = [{ name: cloth?.name ?? 'a cloth not said yet', thickness: cloth ? clothThickness(cloth).value : 0 }];
  const allowance = Math.max(...edges.map((edge) => cut.own?.[edge] ?? cut.allowances[edge] ?? 0));
  const piece = openPiece(stitched(cut));
  const count = edgeNames(cut.shape).length;
  if (edges.some((edge) => edge >= count))
    throw new InputError(
      'edges',
      `of ${cut.name} that were sewn are gone with its old shape; take this seam out and name it anew`,
    );
  let held = false;
  for (const { place, wish, stack } of all.filter(({ cutId }) => cutId === cut.id))
    for (const kept of stack?.layers ?? [])
      for (const { material, extent } of knownLayers(db, [kept])) {
        if (material.form === 'liquid' || extent === 'patch' || extent === 'field') continue;
        const own = { ...placeCut(place), ...kept.cut };
        // A strip lies along its edges from the cut line on, and nowhere else.
        const strip = extent === 'strip';
        if (strip && own.line) continue;
        if (strip && !stripEdges(piece, { ...own, rule: edgeRuleOf(wish.role) }).some((edge) => edges.includes(edge))) continue;
        held ||= Math.max(material.stretchLength, material.stretchCross) < HOLDS;
        if (strip || runsIntoSeam(extent, allowance, own.trim ?? trim))
          pile.push({ name: material.name, thickness: material.thickness });
      }
  const runs = runsOf(cut, edges);
  const side: SeamSide = {
    // On both sides of a fold each is sewn by itself, a shoulder to its own half.
    length: runs?.[0]!.length ?? seamLength(cut, edges),
    thickness: pile.reduce((sum, { thickness }) => sum + thickness, 0),
    // Which way an edge runs is not looked at: the cloth may give as much as it gives most.
    stretch: cloth ? Math.max(cloth.stretchLength, cloth.stretchCross) : 0,
    held,
  };
  return { side, pile, runs };
}

/** The lines of one side; none where its edges do not follow each other. */
function runsOf(cut: CutPiece, edges: readonly number[]): SeamRun[] | undefined {
  try {
    return seamRuns(cut, edges);
  } catch (problem) {
    if (problem instanceof InputError && problem.field === 'edges') return undefined;
    throw problem;
  }
}

/** A layer that gives less than this keeps an edge from being eased or stretched, %. */
const HOLDS = 8;

/** Both edges of a seam as paper tapes, each begun where the walk along it begins, so that the same mark of both lies at the same place. */
export function seamTapes(db: Db, seamId: string): PaperTape[] {
  const seam = seams.get(db, seamId);
  const { cutPieces } = workOf(db, [seam.projectId]);
  const judged = judgedSeams(db, seam.projectId).find((each) => each.seam.id === seamId);
  if (!judged?.walk) throw new InputError('seam', `cannot be measured: ${judged?.fault ?? 'its edges are not one line'}`);
  const { walk } = judged;
  const closed = [
    [seam.firstCut, seam.firstEdges],
    [seam.secondCut, seam.secondEdges],
  ].map(
    ([cut, edges]) =>
      seamRuns(
        cutPieces.find(({ id }) => id === cut)!,
        edges as number[],
      )[0]!.closed,
  );
  const words = (kind: MeetingKind | 'end') => (kind === 'end' || kind === 'fold' ? kind : MARK_WORDS[kind]);
  const inner = walk.stretches.slice(1).map(({ from }) => from);
  const lone = (side: 'first' | 'second') => walk.lone.filter((mark) => mark.side === side).map(({ kind, at }) => ({ at, words: words(kind) })); // prettier-ignore
  return [
    {
      ...{ title: judged.first.name, length: judged.first.length, closed: closed[0]! },
      marks: [...inner.map(({ first, firstAt }) => ({ at: firstAt, words: words(first) })), ...lone('first')],
    },
    {
      ...{ title: judged.second.name, length: judged.second.length, closed: closed[1]! },
      marks: [...inner.map(({ second, secondAt }) => ({ at: secondAt, words: words(second) })), ...lone('second')],
    },
  ];
}
