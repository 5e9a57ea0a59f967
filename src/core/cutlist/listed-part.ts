import type { Extent, Material } from '../layers';
import { isMirrored, type Duty } from '../workpiece/duty';
import { cutOfRole, type Role } from '../choose';
import { placeCut, type BaseJoins, type EdgeRule, type LayerCut, type GrainCut, type PieceSpec, type Place } from '../pieces';

/** A part of a project, as far as cutting is concerned. */
export interface ListedPart {
  id: string;
  name: string;
  piece: PieceSpec;
  cut: GrainCut;
  /** Pieces in all; half of them mirrored when they come in pairs. */
  count: number;
  pairs: boolean;
  /** It is cut as the mirror image of its pattern: it lies wrong side to wrong side with what is cut by it. */
  mirrored: boolean;
  /** A print or nap of the cloth runs one way. */
  oneWay: boolean;
  clothId: string | null;
  /** Where its strips run when no edge was chosen. */
  rule: EdgeRule;
  /** Which seams a stiff base runs into. */
  joins?: BaseJoins;
  layers: { material: Material; extent: Extent; cut?: LayerCut }[];
  /** What is done to it, and its motif, mm. */
  wish?: { role: Role; embroidery?: { width: number; height: number } | undefined };
}

/** A part as it is kept. */
export interface KeptPart extends PieceSpec {
  id: string;
  name: string;
  duty?: Duty;
  clothId: string | null;
  /** Of its cloth, g/m², where one is chosen. */
  clothWeight?: number | null;
  wish: { role?: Role; cut: GrainCut; embroidery?: { width: number; height: number } };
  /** Where its job is done; for a cut without one there is none. */
  place?: Place;
  count: number;
  pairs: boolean;
  oneWay: boolean;
  stack: { layers: { materialId: string; extent: Extent; cut?: LayerCut }[] } | null;
}

/**
 * What cutting needs to know of a kept part; layers that are not known any more are left out.
 *
 * @example listedPart({ ...spec, id: 'w', name: 'Patch', clothId: null, wish: { cut: 'straight' }, count: 1, pairs: false, oneWay: false, stack: null }, () => undefined).layers // []
 */
export function listedPart(part: KeptPart, materialOf: (id: string) => Material | undefined): ListedPart {
  const { id, name, shape, line, allowances, own, fold, grain, marks, count, pairs, oneWay, clothId, wish, place, stack } = part;
  const sewn = allowances.map((allowance, edge) => own?.[edge] ?? allowance);
  const { rule, joins, ...usual } = wish.role ? cutOfRole(wish.role, sewn, part.clothWeight) : { rule: 'longest' as const };
  const placed = { ...usual, ...(place ? placeCut(place) : {}) };
  const layers = (stack?.layers ?? []).flatMap(({ materialId, extent, cut }) => {
    const material = materialOf(materialId);
    return material ? [{ material, extent, cut: { ...placed, ...cut } }] : [];
  });
  return {
    id,
    name,
    piece: { shape, line, allowances, own: own ?? null, fold, grain, marks },
    cut: wish.cut,
    count,
    pairs,
    mirrored: part.duty !== undefined && isMirrored(part.duty),
    oneWay,
    clothId,
    rule,
    ...(joins ? { joins } : {}),
    layers,
    ...(wish.role ? { wish: { role: wish.role, embroidery: wish.embroidery } } : {}),
  };
}
