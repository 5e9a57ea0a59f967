import { keyOfUse, usesOf, type ChosenLayer, type Extent, type Family, type Form, type Material } from '../layers';
import type { Role } from './part';
import { preferencesFor } from './preferences';
import type { Candidate, LayerDuty, Preference, Question, Stop } from './protocol';
import { STOPS } from './stops';

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
    suitability: ({ fabric }) => (fabric.arealDensity >= 220 ? 93 : 60),
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
    suitability: ({ fabric, traits }) => (traits.unstableForStitching ? 50 : fabric.arealDensity <= 260 ? 95 : 78),
    slots: [{ families: ['starch'], weight: [5, 10], duty: 'treatment' }, { families: ['tear-away'], duty: 'main' }],
  },
  {
    id: 'double-tear', roles: ['embroidery', 'applique'],
    suitability: ({ traits }) => (traits.unstableForStitching ? 42 : 76),
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
    id: 'starch-and-double-tear', roles: ['embroidery', 'applique'],
    suitability: ({ fabric, traits }) => (traits.unstableForStitching ? 40 : fabric.arealDensity <= 260 ? 88 : 72),
    slots: [{ families: ['starch'], weight: [5, 10], duty: 'treatment' }, { families: ['tear-away'], forms: ['loose'], duty: 'main' }, { families: ['tear-away'], forms: ['loose'], duty: 'main', same: true }],
  },
  {
    id: 'starch-and-stay', roles: [...STITCHED],
    suitability: ({ traits }) => (traits.unstableForStitching && traits.gives ? 45 : 72),
    slots: [{ families: ['starch'], weight: [5, 10], duty: 'treatment' }, { families: ['cut-away', 'mesh'], duty: 'main' }],
  },
  {
    id: 'firm-and-padded', roles: ['bag-panel', 'bag-flap'],
    suitability: ({ fabric }) => (fabric.arealDensity < 260 ? 88 : 80),
    slots: [{ families: ['firm-nonwoven'], forms: ['fusible'], weight: [120, 260], duty: 'main' }, { families: ['wadding', 'fleece'], duty: 'main' }],
  },
  {
    id: 'interfaced-and-braided', roles: ['flare-hem'],
    suitability: ({ fabric }) => (fabric.arealDensity < 200 ? 86 : 74),
    slots: [{ families: ['woven', 'nonwoven', 'tricot'], weight: [18, 60], duty: 'main' }, { families: ['braid'], duty: 'strip' }],
  },
  {
    id: 'slash-and-point', roles: ['godet-slash'],
    suitability: () => 93,
    slots: [{ families: ['nonwoven', 'woven', 'tricot'], weight: [18, 45], duty: 'patch' }, { families: ['organdy', 'organza'], weight: [20, 80], duty: 'patch' }],
  },
  {
    id: 'underlined-and-edged', roles: ['bodice', 'whole-panel'],
    suitability: ({ part }) => (part.stretch === 'stop' ? 84 : 68),
    slots: [{ families: ['cloth-underlining', 'organza'], duty: 'main' }, { families: ['nonwoven', 'woven', 'tricot'], forms: ['fusible'], weight: [18, 40], duty: 'strip' }],
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

/** Layers that are fully outside the seam line, by family: anything firm, padded or rigid. */
const NET_FAMILIES: Family[] = ['hair-canvas', 'firm-nonwoven', 'stiff-core', 'fleece', 'wadding', 'foam', 'buckram', 'waistband-strip'];
const TAPES: Family[] = ['stay-tape', 'braid', 'waistband-strip'];

/**
 * How far a layer reaches. By the default school light ones run full into the seam, medium ones are trimmed so
 * that the stitching still catches them, and anything firm or padded stays out of the seam.
 */
function extentOf(question: Question, layer: Material, duty: LayerDuty): Extent {
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

/**
 * Names of the layers as one title; the same material twice in a row is counted.
 *
 * @example titleOf([...stack, ...stack]) // '2 × Light woven fusible, 45 g'
 */
export function titleOf(layers: readonly ChosenLayer[]): string {
  const names: string[] = [];
  for (let i = 0; i < layers.length; i++) {
    let run = 1;
    while (layers[i + run]?.material.name === layers[i]!.material.name) run++;
    const crossed = layers.slice(i, i + run).some((layer) => layer.angle !== 0);
    names.push(`${run > 1 ? `${run} × ` : ''}${layers[i]!.material.name}${crossed ? ', crossed' : ''}`);
    i += run - 1;
  }
  return names.join(' + ');
}

/** A layer that is not offered. Its reason is only put into words when somebody reads it. */
export interface Refused {
  material: Material;
  layers: ChosenLayer[];
  group: string;
  why: () => string;
}

/**
 * First hard stop that a layer meets in this duty.
 *
 * @example firstStop(questionFor({ ...poplin, ironDots: 0 }, collar), lightWoven, 'main').id // 'no-iron'
 */
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
 *
 * @example candidatesFor(question, [lightWoven]).candidates.length // 1
 */
export function candidatesFor(question: Question, cupboard: readonly Material[]): { candidates: Candidate[]; refused: Refused[] } {
  const library = cupboard.flatMap(usesOf);
  const { profile, part } = question;
  const candidates: Candidate[] = [];
  const refused: Refused[] = [];
  const topping = question.traits.needsTopping && profile.kind === 'stitch' && part.role !== 'badge' ? toppingFor(question, library) : undefined;
  const covered = (layers: ChosenLayer[]): ChosenLayer[] =>
    topping ? [{ material: topping, extent: 'field', angle: 0 }, ...layers] : layers;

  const preferences = preferencesFor(question);
  const add = (recipe: string, suitability: number, layers: ChosenLayer[], preferred: Preference[]) => {
    const all = covered(layers);
    candidates.push({
      id: all.map(({ material }) => keyOfUse(material)).join('+'),
      title: titleOf(all),
      recipe,
      suitability: Math.max(0, Math.min(100, suitability)),
      preferred,
      layers: all,
    });
  };

  // What rules a material out in its own way is not said again for its other uses.
  const refuse = (each: Refused) => {
    const before = refused.at(-1);
    if (before?.material.id !== each.material.id || before.group !== each.group) refused.push(each);
  };
  for (const material of library) {
    const duty = dutyOf(question, material);
    const layer: ChosenLayer = { material, extent: extentOf(question, material, duty), angle: 0 };
    const stop = firstStop(question, material, duty);
    const base = profile.families[material.family];
    if (stop) {
      refuse({ material, layers: [layer], group: stop.group, why: () => stop.words(question, material) });
      continue;
    }
    if (base === undefined) {
      if (material.family === 'topping' && topping?.id === material.id) continue;
      refuse({ material, layers: [layer], group: NOT_FOR_ROLE, why: () => notForRole(question, material) });
      continue;
    }
    const preferred = preferences(material);
    add('single', base + pointsOf(preferred), [layer], preferred);
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
      // A stack is as good as its worst layer: liquids only help what they are put under.
      const each = materials.map((material) => (material.form === 'liquid' ? [] : preferences(material)));
      add(recipe.id, recipe.suitability(question) + Math.min(...each.map(pointsOf), 8), layers, each.flat());
    }
  }
  return { candidates, refused };
}

/**
 * What preferences add up to.
 *
 * @example pointsOf([]) // 0
 */
export function pointsOf(preferred: readonly Preference[]): number {
  return preferred.reduce((sum, { points }) => sum + points, 0);
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

/** Heading of what serves another purpose. */
const NOT_FOR_ROLE = 'Made for something else';

function notForRole({ profile }: Question, layer: Material): string {
  if (layer.family === 'topping') return 'A topping is for lofty or looped cloth under an embroidery needle; there is nothing to keep stitches from sinking into here.';
  if (SHEETS.includes(layer.family)) return 'It is a sheet for stitching on, not a support that is worn.';
  if (GOES_AWAY.includes(layer.family)) return `It washes out again, and ${profile.phrase} needs support that stays.`;
  if (profile.kind === 'stitch') return 'It is support for wear, not a sheet that holds cloth still under the needle.';
  return `It does not ${profile.job}: it is not used for ${profile.phrase}.`;
}
