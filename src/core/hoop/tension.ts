import { clothMembraneStiffness, type Fabric } from '../cloth';
import type { ChosenLayer, Material } from '../layers';

/**
 * Stiffness of a sheet in its own plane, N/mm (force per unit width): along y (the grain as it lies), along x, their coupling,
 * and shear. Rows and columns as in σ = C ε for plane stress.
 */
export interface InPlane {
  xx: number;
  yy: number;
  xy: number;
  shear: number;
}

/** Poisson's ratio of cloth and sheets under a gentle pull: a usual middle value. */
const POISSON = 0.25;
/** A woven cloth gives about this much on the bias under a gentle pull, %; knits and sheets are near enough the same all round. */
const BIAS_GIVE = 12;
/** Give at which a sheet pulls half as hard as one that does not give, %. */
const HALF_GIVE = 3.3;

/** How much of a sheet takes part, by what joins it to the cloth: a starting table, re-fitted from the log. */
const JOINED: Partial<Record<Material['form'], number>> = {
  loose: 0.55,
  'sew-in': 0.65,
  'spray-glued': 0.85,
  sticky: 0.9,
  fusible: 1,
  'fusible-both': 1,
};

const firmness = (give: number) => 1 / (1 + Math.max(0, give) / HALF_GIVE);

/** Orthotropic sheet from its mean stiffness and its give each way. @param mean N/m @param along %, along y @param across % */
function inPlane(mean: number, along: number, across: number, bias: number): InPlane {
  const [fy, fx] = [firmness(along), firmness(across)];
  const middle = Math.sqrt(fx * fy);
  // N/m → N/mm.
  const [ex, ey] = [(mean * fx) / middle / 1000, (mean * fy) / middle / 1000];
  const nu = POISSON;
  const root = Math.sqrt(ex * ey);
  const k = 1 / (1 - nu * nu);
  // Young's modulus at 45°: 1/E₄₅ = ¼ (1/Ex + 1/Ey − 2ν/√(ExEy) + 1/G).
  const e45 = (mean * firmness(bias)) / middle / 1000;
  const compliance = 4 / e45 - 1 / ex - 1 / ey + (2 * nu) / root;
  const stiffest = root / (2 * (1 + nu));
  const shear = Math.min(stiffest, compliance > 0 ? 1 / compliance : stiffest);
  return { xx: k * ex, yy: k * ey, xy: k * nu * root, shear };
}

/**
 * A cloth in its plane, its grain along y.
 *
 * @example clothInPlane(poplin).xx > clothInPlane(jersey).xx // true
 */
export function clothInPlane(fabric: Fabric): InPlane {
  const bias =
    fabric.construction === 'woven' ? (fabric.biasGive ?? BIAS_GIVE) : (fabric.stretchLength + fabric.stretchCross) / 2;
  return inPlane(clothMembraneStiffness(fabric), fabric.stretchLength, fabric.stretchCross, bias);
}

/**
 * Cloth and sheets in their plane: stiffnesses add, each sheet by the share with which its join makes it take part, turned as
 * it lies.
 *
 * @example stackInPlane(poplin, stack).xx > clothInPlane(poplin).xx // true
 */
export function stackInPlane(fabric: Fabric, layers: readonly Pick<ChosenLayer, 'material' | 'angle'>[]): InPlane {
  let sum = clothInPlane(fabric);
  for (const { material, angle } of layers) {
    if (material.form === 'liquid') {
      // Starch bridges the threads: it stops them from turning against each other before anything else.
      sum = { ...sum, shear: Math.min(sum.shear * material.stiffening, Math.sqrt(sum.xx * sum.yy) / (2 * (1 + POISSON))) };
      continue;
    }
    if (material.family === 'topping') continue;
    const share = JOINED[material.form] ?? 0.55;
    const own = inPlane(
      material.membraneStiffness * share,
      material.stretchLength,
      material.stretchCross,
      (material.stretchLength + material.stretchCross) / 2,
    );
    const turned = turnedBy(own, angle);
    sum = { xx: sum.xx + turned.xx, yy: sum.yy + turned.yy, xy: sum.xy + turned.xy, shear: sum.shear + turned.shear };
  }
  return sum;
}

/**
 * The same sheet turned in its plane; what couples pull and shear then is left out. @param angle degrees
 *
 * @example turnedBy(clothInPlane(poplin), 180).xx === clothInPlane(poplin).xx // true
 */
export function turnedBy(c: InPlane, angle: number): InPlane {
  const t = (angle * Math.PI) / 180;
  const [co, si] = [Math.cos(t) ** 2, Math.sin(t) ** 2];
  const mixed = 2 * (c.xy + 2 * c.shear);
  return {
    xx: c.xx * co * co + mixed * co * si + c.yy * si * si,
    yy: c.xx * si * si + mixed * co * si + c.yy * co * co,
    xy: (c.xx + c.yy - 4 * c.shear) * co * si + c.xy * (co * co + si * si),
    shear: (c.xx + c.yy - 2 * c.xy - 2 * c.shear) * co * si + c.shear * (co * co + si * si),
  };
}
