import { edgeRuleOf } from '../core/choose';
import { clothThickness } from '../core/cloth';
import { InputError } from '../core/input-error';
import { openPiece, placeCut, runsIntoSeam, seamLength, stripEdges } from '../core/pieces';
import { edgeNames } from '../core/shape';
import { compareSeam, type ComparedSeam, type SeamSide } from '../core/seams';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import { seams, type Seam } from '../store/seams';
import { readSettings } from '../store/settings';
import { workOf, type Workpiece } from '../store/workpieces';
import type { CutPiece } from '../core/workpiece';

/** What lies in a seam on one side, outermost first. mm. */
export interface SeamPile {
  name: string;
  thickness: number;
}

/** A seam with what is found of it; `fault` where one of its pieces cannot be drawn. */
export interface JudgedSeam {
  seam: Seam;
  first: { name: string; length: number; pile: SeamPile[] };
  second: { name: string; length: number; pile: SeamPile[] };
  compared: ComparedSeam | null;
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
          first: { name: first.name, length: a.side.length, pile: a.pile },
          second: { name: second.name, length: b.side.length, pile: b.pile },
        },
      ];
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const empty = (name: string) => ({ name, length: 0, pile: [] });
      return [
        {
          seam,
          first: empty(first.name),
          second: empty(second.name),
          compared: null,
          thicknessKnown: false,
          fault: error.message.replace(`${error.field}: `, `${error.field} `),
        },
      ];
    }
  });
}

/** An edge of a cut as it is sewn: how long, how thick with every layer of every job that runs into it, how far it gives. */
function sideOf(db: Db, cut: CutPiece, edges: readonly number[], all: readonly Workpiece[], trim: number) {
  const cloth = cut.clothId === null ? undefined : cloths.find(db, cut.clothId);
  const pile: SeamPile[] = [{ name: cloth?.name ?? 'a cloth not said yet', thickness: cloth ? clothThickness(cloth).value : 0 }];
  const allowance = Math.max(...edges.map((edge) => cut.own?.[edge] ?? cut.allowances[edge] ?? 0));
  const piece = openPiece(cut);
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
  const side: SeamSide = {
    length: seamLength(cut, edges),
    thickness: pile.reduce((sum, { thickness }) => sum + thickness, 0),
    // Which way an edge runs is not looked at: the cloth may give as much as it gives most.
    stretch: cloth ? Math.max(cloth.stretchLength, cloth.stretchCross) : 0,
    held,
  };
  return { side, pile };
}

/** A layer that gives less than this keeps an edge from being eased or stretched, %. */
const HOLDS = 8;
