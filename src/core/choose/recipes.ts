import type { ChosenLayer, Extent, Family, Form, Material } from '../layers';
import { isFusible } from '../layers';
import type { Candidate, Question } from './context';
import type { Role } from './part';
import { STOPS, type LayerDuty, type Stop } from './stops';

/** One place in a combined stack. */
interface Slot {
  families: Family[];
  forms?: Form[];
  /** Weights that make sense here, g/m². */
  weight?: [min: number, max: number];
  duty: LayerDuty;
  /** Angle against the grain, degrees. */
  angle?: number;
  /** Take the same material as the slot before it. */
  same?: boolean;
}

/** A stack of several layers that practice has found worth its work. Data: one entry, one way of building. */
interface Recipe {
  id: string;
  roles: Role[];
  suitability(question: Question): number;
  /** Outermost first. */
  slots: Slot[];
}

const HATS: Role[] = ['hat-tip', 'hat-band', 'hat-brim'];
const STITCHED: Role[] = ['embroidery', 'applique', 'free-stitching'];

/** Sheets of which several can be laid together; a sticky one only takes the first. */
const JOINABLE: Form[] = ['loose', 'fusible', 'spray-glued'];

/** At most this many materials are tried in one slot, those nearest to the middle of its weights. */
const SLOT_LIMIT = 7;

const RECIPES: Recipe[] = [
  {
    id: 'taped-edge', roles: ['neck-facing', 'armhole-facing'],
    suitability: ({ traits, part }) => (part.stretch === 'stop' || (traits.gives && part.stretch === 'any') ? 92 : 66),
    slots: [{ families: ['nonwoven', 'woven', 'tricot', 'stretch-knit'], weight: [18, 50], duty: 'main' }, { families: ['stay-tape'], weight: [30, 100], duty: 'strip' }],
  },
  {
    id: 'chest-piece', roles: ['jacket-front', 'lapel'],
    suitability: ({ fabric }) => (fabric.arealDensity >= 220 ? 95 : 60),
    slots: [{ families: ['weft', 'woven'], forms: ['fusible'], weight: [38, 110], duty: 'main' }, { families: ['hair-canvas'], duty: 'patch' }],
  },
  {
    id: 'smooth-and-padded', roles: ['bag-panel', 'bag-flap'],
    suitability: ({ fabric }) => (fabric.arealDensity < 260 ? 95 : 80),
    slots: [{ families: ['woven', 'nonwoven'], forms: ['fusible'], weight: [40, 90], duty: 'main' }, { families: ['fleece', 'foam', 'wadding'], duty: 'main' }],
  },
  {
    id: 'sewn-and-padded', roles: ['bag-panel', 'bag-flap'],
    suitability: () => 78,
    slots: [{ families: ['firm-nonwoven'], forms: ['sew-in'], weight: [140, 270], duty: 'main' }, { families: ['wadding'], forms: ['loose', 'spray-glued'], duty: 'main' }],
  },
  {
    id: 'cushioned-core', roles: ['bag-base', 'box-panel'],
    suitability: () => 94,
    slots: [{ families: ['fleece'], forms: ['fusible'], duty: 'main' }, { families: ['stiff-core', 'firm-nonwoven'], weight: [200, 900], duty: 'main' }],
  },
  {
    id: 'strap-with-core', roles: ['bag-strap'],
    suitability: ({ fabric }) => (fabric.arealDensity < 300 ? 90 : 66),
    slots: [{ families: ['woven'], forms: ['fusible'], weight: [40, 90], duty: 'main' }, { families: ['fleece', 'firm-nonwoven'], weight: [60, 210], duty: 'main' }],
  },
  {
    id: 'mulled-base', roles: HATS,
    suitability: ({ part }) => (part.role === 'hat-brim' ? 96 : 100),
    slots: [{ families: ['mulling'], duty: 'main' }, { families: ['buckram'], duty: 'main' }],
  },
  {
    id: 'mulled-firm', roles: HATS,
    suitability: ({ part }) => (part.role === 'hat-brim' ? 93 : 78),
    slots: [{ families: ['mulling'], duty: 'main' }, { families: ['firm-nonwoven'], duty: 'main' }],
  },
  {
    id: 'starch-and-tear', roles: [...STITCHED],
    suitability: ({ fabric }) => (fabric.arealDensity <= 260 ? 95 : 78),
    slots: [{ families: ['starch'], weight: [0, 6], duty: 'treatment' }, { families: ['tear-away'], duty: 'main' }],
  },
  {
    id: 'double-tear', roles: ['embroidery', 'applique'],
    suitability: () => 76,
    slots: [{ families: ['tear-away'], forms: ['loose'], duty: 'main' }, { families: ['tear-away'], forms: ['loose'], duty: 'main', same: true }],
  },
  {
    id: 'crossed-mesh', roles: [...STITCHED],
    suitability: ({ fabric, traits }) => (traits.unstableForStitching || fabric.sheer !== 'opaque' || fabric.arealDensity < 100 ? 92 : 72),
    slots: [{ families: ['mesh'], forms: JOINABLE, duty: 'main' }, { families: ['mesh'], duty: 'main', angle: 45, same: true }],
  },
  {
    id: 'double-cut', roles: ['embroidery', 'badge'],
    suitability: ({ fabric }) => (fabric.arealDensity > 180 ? 84 : 66),
    slots: [{ families: ['cut-away'], forms: JOINABLE, duty: 'main' }, { families: ['cut-away'], duty: 'main', same: true }],
  },
  {
    id: 'badge-mesh', roles: ['badge'],
    suitability: () => 97,
    slots: [{ families: ['mesh'], forms: JOINABLE, duty: 'main' }, { families: ['mesh'], duty: 'main', angle: 45, same: true }, { families: ['mesh'], duty: 'main', same: true }],
  },
  {
    id: 'starched-ground', roles: ['free-stitching'],
    suitability: () => 74,
    slots: [{ families: ['starch', 'liquid-stabilizer'], duty: 'treatment' }, { families: ['cut-away', 'mesh'], duty: 'main' }],
  },
];

/** How a family's fit for a role shifts with the cloth in hand. Points added to the role's own table. */
function shift(question: Question, layer: Material): number {
  const { fabric, part, profile, traits } = question;
  let points = 0;
  const sewn = layer.form === 'sew-in';
  if (profile.kind === 'garment' && profile.area !== 'strip') {
    if (fabric.sheer === 'sheer') {
      if (layer.family === 'organza') points += 26;
      else if (layer.opacity === 'sheer') points += layer.family === 'nonwoven' ? -10 : 4;
      else points -= 14;
    }
    if (traits.loose && layer.family === 'tricot') points += 14;
    if (traits.loose && (layer.family === 'nonwoven' || layer.family === 'weft')) points -= 8;
    if (fabric.construction === 'knit') {
      if (layer.family === 'stretch-knit') points += 14;
      if (layer.family === 'tricot') points += 12;
      if (layer.family === 'nonwoven' && part.stretch !== 'stop') points -= 14;
      if (layer.family === 'woven' && part.stretch !== 'stop') points -= 12;
      if (layer.family === 'weft' && part.stretch === 'stop') points += 10;
      if (layer.family === 'cloth-underlining' || layer.family === 'organza') points -= 22;
    } else if (layer.family === 'stretch-knit') {
      points -= part.cut === 'bias' || traits.gives ? 0 : 16;
    }
    if (part.cut === 'bias' && part.stretch === 'keep') {
      if (layer.family === 'stretch-knit') points += 18;
      if (layer.family === 'woven') points -= 14;
    }
    if (part.stretch === 'stop' && traits.gives && layer.family === 'weft') points += 10;
    if (traits.ruinedByPressing && layer.family === 'organza') points += 18;
    if ((traits.ruinedByPressing || traits.open) && layer.family === 'cloth-underlining') points += 10;
    if ((traits.ruinedByPressing || traits.sealed || traits.open) && sewn && (layer.family === 'nonwoven' || layer.family === 'woven')) points += 4;
    if (fabric.arealDensity >= 220 && layer.family === 'weft') points += 6;
    if (fabric.arealDensity < 110 && layer.family === 'hair-canvas') points -= 30;
    if (traits.needsTopping && isFusible(layer.form)) points -= 12;
    if (question.hand === 'fluid' || (question.hand === 'soft' && fabric.arealDensity < 60)) {
      if (layer.family === 'tricot' || layer.family === 'organza' || layer.family === 'stretch-knit') points += 6;
      if (layer.family === 'nonwoven') points -= 8;
    }
  }
  if (profile.area === 'strip' && part.stretch === 'keep' && traits.gives) {
    if (layer.family === 'stay-tape' && layer.stretchLength >= 15) points += 4;
    if (layer.family === 'stretch-knit') points += 12;
  }
  // With a free choice between gluing and sewing, sewing costs an hour more than it gains.
  if (sewn && profile.kind === 'garment' && ['nonwoven', 'woven', 'stretch-knit'].includes(layer.family)) points -= 8;
  if (profile.kind === 'garment' && profile.area === 'strip' && fabric.construction === 'knit' && part.stretch === 'keep' && layer.family === 'nonwoven') points -= 20;
  if (profile.kind === 'bag' && traits.sealed) {
    if (part.role === 'bag-lining') points -= 30;
    else if (sewn || layer.form === 'spray-glued') points += 6;
  }
  if (part.role === 'flare-hem' && layer.family === 'braid') points += fabric.arealDensity < 80 && layer.rollWidth > 50 ? -10 : 0;
  if (part.role === 'zip-area' && fabric.construction === 'knit' && layer.family === 'stay-tape') points += 2;
  if (question.schools.padding === 'fleece' && layer.family === 'fleece') points += 8;
  if (question.schools.padding === 'wadding' && layer.family === 'wadding' && layer.form !== 'sew-in') points += 16;
  if (profile.kind === 'stitch' && question.schools.hooping === 'sheet' && (layer.form === 'sticky' || layer.form === 'spray-glued')) points += 10;
  if (profile.kind === 'treat' || profile.kind === 'quilt') points += treatmentShift(question, layer);
  if (profile.kind === 'stitch') points += stitchShift(question, layer);
  return points;
}

function treatmentShift({ fabric, part, profile, traits }: Question, layer: Material): number {
  let points = 0;
  if (layer.form === 'liquid' && traits.natural < 0.5) points -= 18;
  if (part.role === 'printing' || part.role === 'modelling') {
    if (layer.form === 'liquid') points += layer.stiffening >= 4 ? 6 : -22;
  }
  if (part.role === 'quilt-piece' && layer.form === 'liquid') {
    // Bias edges and lively cloth want starch before cutting; cut or pieced work wants the pressing spray.
    if (part.cut === 'bias') points += layer.family === 'starch' && part.cutAlready !== true ? 8 : 0;
    if (layer.stiffening >= 8) points -= 14;
  }
  if (profile.kind === 'quilt' && layer.form === 'sew-in') points -= 14;
  if (part.role === 'knit-panel-quilt' && fabric.construction !== 'knit' && layer.family === 'nonwoven') points -= 10;
  return points;
}

function stitchShift({ fabric, part, traits, motif }: Question, layer: Material): number {
  let points = 0;
  const density = motif?.stitches ?? 0;
  const sheerish = fabric.sheer !== 'opaque';
  switch (layer.family) {
    case 'tear-away':
      if (fabric.weave === 'twill') points -= 14;
      if (fabric.sheer === 'sheer') points -= 24;
      if (part.role === 'embroidery' && !traits.unstableForStitching && !sheerish) points += 5;
      if (density > 90) points -= 8;
      break;
    case 'cut-away':
      if (traits.unstableForStitching) points += 8;
      else if (fabric.weave === 'twill' || traits.sealed) points += 4;
      else points -= part.role === 'badge' ? 0 : 10;
      if (sheerish || fabric.arealDensity < 120) points -= 12;
      if (traits.open) points -= 30;
      break;
    case 'mesh':
      if (sheerish || fabric.arealDensity < 100 || (traits.unstableForStitching && fabric.arealDensity < 220)) points += 8;
      else if (!traits.unstableForStitching) points -= 12;
      if (fabric.arealDensity > 260) points -= 10;
      if (traits.open) points -= 30;
      break;
    case 'wash-away':
      if (traits.open || fabric.sheer === 'sheer') points += 36;
      if (fabric.arealDensity > 150) points -= 6;
      break;
    case 'heat-away':
      if (traits.open || fabric.sheer === 'sheer') points += 14;
      break;
    default:
      if (part.role === 'free-stitching' && layer.form === 'liquid' && traits.natural < 0.5) points -= 18;
  }
  if (traits.hoopMarks && (layer.form === 'sticky' || layer.form === 'spray-glued')) points += 8;
  if (part.embroidery?.nearEdge !== undefined && part.embroidery.nearEdge !== false && layer.form === 'sticky') points += 6;
  return points;
}

/** Layers that are fully outside the seam line, by family: anything firm, padded or rigid. */
const NET_FAMILIES: Family[] = ['hair-canvas', 'firm-nonwoven', 'stiff-core', 'fleece', 'wadding', 'foam', 'buckram', 'waistband-strip'];
const TAPES: Family[] = ['stay-tape', 'braid', 'waistband-strip'];

/**
 * How far a layer reaches. By the default school light ones run full into the seam, medium ones are trimmed so
 * that the stitching still catches them, and anything firm or padded stays out of the seam.
 */
export function extentOf(question: Question, layer: Material, duty: LayerDuty): Extent {
  const { profile } = question;
  if (profile.kind === 'stitch') return layer.form === 'liquid' ? 'full' : 'field';
  if (layer.form === 'liquid') return 'full';
  if (duty === 'strip' || TAPES.includes(layer.family) || (profile.area === 'strip' && duty === 'main')) return 'strip';
  if (duty === 'patch' || profile.area === 'patch') return 'patch';
  if (layer.family === 'cloth-underlining' || layer.family === 'organza' || layer.family === 'mulling') return 'full';
  const school = question.schools.seam;
  // Cores and foam never go into a seam: no machine gets through, and no corner turns.
  if (layer.family === 'stiff-core' || layer.family === 'foam') return 'net';
  if (school === 'full' || school === 'trimmed' || school === 'net') return school;
  if (NET_FAMILIES.includes(layer.family)) return 'net';
  if (layer.arealDensity <= 42 && layer.thickness <= 0.3) return 'full';
  return layer.arealDensity >= 120 ? 'net' : 'trimmed';
}

function titleOf(layers: readonly ChosenLayer[]): string {
  const names: string[] = [];
  for (let i = 0; i < layers.length; i++) {
    let run = 1;
    while (layers[i + run]?.material.id === layers[i]!.material.id) run++;
    const crossed = layers.slice(i, i + run).some((layer) => layer.angle !== 0);
    names.push(`${run > 1 ? `${run} × ` : ''}${layers[i]!.material.name}${crossed ? ', crossed' : ''}`);
    i += run - 1;
  }
  return names.join(' + ');
}

export interface Refused {
  id: string;
  title: string;
  layers: ChosenLayer[];
  why: string;
  group: string;
}

/** First hard stop that a layer meets in this duty. */
export function firstStop(question: Question, layer: Material, duty: LayerDuty): Stop | undefined {
  return STOPS.find((stop) => stop.when(question, layer, duty));
}

function dutyOf(question: Question, layer: Material): LayerDuty {
  if (layer.form === 'liquid') return 'treatment';
  const { area } = question.profile;
  return area === 'strip' ? 'strip' : area === 'patch' ? 'patch' : 'main';
}

/** The topping for this cloth, or undefined when none is needed. Rinsed away where it can be. */
function toppingFor(question: Question, library: readonly Material[]): Material | undefined {
  const order = { rinsed: 0, melted: 2, cut: 1, torn: 3, stays: 4 };
  return library
    .filter((m) => m.family === 'topping' && firstStop(question, m, 'topping') === undefined)
    .sort((a, b) => order[a.ends] - order[b.ends] || a.arealDensity - b.arealDensity || (a.id < b.id ? -1 : 1))[0];
}

/**
 * All stacks worth judging for a question, and every single layer that is refused with the reason.
 * Order of the library does not matter; a material only ever adds candidates.
 */
export function candidatesFor(question: Question, library: readonly Material[]): { candidates: Candidate[]; refused: Refused[] } {
  const { profile, part } = question;
  const candidates: Candidate[] = [];
  const refused: Refused[] = [];
  const topping = question.traits.needsTopping && profile.kind === 'stitch' && part.role !== 'badge' ? toppingFor(question, library) : undefined;
  const covered = (layers: ChosenLayer[]): ChosenLayer[] =>
    topping ? [{ material: topping, extent: 'field', angle: 0 }, ...layers] : layers;

  const add = (recipe: string, suitability: number, layers: ChosenLayer[]) => {
    const all = covered(layers);
    candidates.push({
      id: all.map((l) => l.material.id).join('+'),
      title: titleOf(all),
      recipe,
      suitability: Math.max(0, Math.min(100, suitability)),
      layers: all,
    });
  };

  const passing = new Set<string>();
  for (const material of library) {
    const duty = dutyOf(question, material);
    const layer: ChosenLayer = { material, extent: extentOf(question, material, duty), angle: 0 };
    const stop = firstStop(question, material, duty);
    const base = profile.families[material.family];
    if (stop) {
      refused.push({ id: material.id, title: material.name, layers: [layer], why: stop.words(question, material), group: stop.group });
      continue;
    }
    passing.add(material.id);
    if (base === undefined) {
      if (material.family === 'topping' && topping?.id === material.id) continue;
      refused.push({ id: material.id, title: material.name, layers: [layer], ...notForRole(question, material) });
      continue;
    }
    add('single', base + shift(question, material), [layer]);
  }

  for (const recipe of RECIPES) {
    if (!recipe.roles.includes(part.role)) continue;
    let partial: Material[][] = [[]];
    for (const slot of recipe.slots) {
      const options = slot.same ? undefined : slotOptions(question, slot, library);
      partial = partial.flatMap((taken) =>
        (options ?? [taken[taken.length - 1]!]).map((material) => [...taken, material]),
      );
    }
    for (const materials of partial) {
      const layers = materials.map((material, i) => {
        const slot = recipe.slots[i]!;
        return { material, extent: extentOf(question, material, slot.duty), angle: slot.angle ?? 0 };
      });
      const shifts = materials.map((material) => (material.form === 'liquid' ? 0 : shift(question, material)));
      add(recipe.id, recipe.suitability(question) + Math.min(...shifts, 8), layers);
    }
  }
  return { candidates, refused };
}

function slotOptions(question: Question, slot: Slot, library: readonly Material[]): Material[] {
  const [min, max] = slot.weight ?? [0, Infinity];
  const middle = Number.isFinite(max) ? (min + max) / 2 : 0;
  const fits = library.filter(
    (m) =>
      slot.families.includes(m.family) &&
      (slot.forms === undefined || slot.forms.includes(m.form)) &&
      m.arealDensity >= min &&
      m.arealDensity <= max &&
      firstStop(question, m, slot.duty) === undefined,
  );
  fits.sort((a, b) => Math.abs(a.arealDensity - middle) - Math.abs(b.arealDensity - middle) || (a.id < b.id ? -1 : 1));
  return fits.slice(0, SLOT_LIMIT);
}

const GOES_AWAY: Family[] = ['pressing-spray', 'starch', 'liquid-stabilizer', 'edge-stiffener', 'tear-away', 'wash-away', 'heat-away'];
const SHEETS: Family[] = ['tear-away', 'cut-away', 'mesh', 'wash-away', 'heat-away', 'topping'];

function notForRole({ profile }: Question, layer: Material): { why: string; group: string } {
  const group = 'Made for something else';
  if (layer.family === 'topping') return { group, why: 'A topping is for lofty or looped cloth under an embroidery needle; there is nothing to keep stitches from sinking into here.' };
  if (SHEETS.includes(layer.family)) return { group, why: 'It is a sheet for stitching on, not a support that is worn.' };
  if (GOES_AWAY.includes(layer.family)) return { group, why: `It washes out again, and ${profile.phrase} needs support that stays.` };
  if (profile.kind === 'stitch') return { group, why: 'It is support for wear, not a sheet that holds cloth still under the needle.' };
  return { group, why: `It does not ${profile.job}: it is not used for ${profile.phrase}.` };
}
