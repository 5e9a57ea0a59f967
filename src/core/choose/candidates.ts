import { keyOfUse, usesOf, type ChosenLayer, type Extent, type Family, type Material } from '../layers';
import { HELPERS, type Helper, type Slot } from './combinations';
import { preferencesFor } from './preferences';
import type { Candidate, LayerDuty, Preference, Question, Stop } from './protocol';
import { STOPS } from './stops';

/** At most this many materials are tried in one place of a combination, those nearest to the middle of its weights. */
const SLOT_LIMIT = 7;
/** So many of what is added to another. */
const ADDED = 4;
/** The same in stacks of three layers. */
const FEW = 3;
/** A combination that serves less is not built upon, and one that serves less than this is not worth its work. */
const WORTH_BUILDING = 70;
const WORTH_OFFERING = 58;
/** With what speaks against its layers, a combination that serves less than this is not even judged. */
const WORTH_JUDGING = 50;
/** What each layer costs that is put to two which serve already. */
const ONE_MORE = 4;

/** Layers that are fully outside the seam line, by family: anything firm, padded or rigid. */
const NET_FAMILIES: Family[] = [
  'hair-canvas',
  'firm-nonwoven',
  'stiff-core',
  'fleece',
  'wadding',
  'foam',
  'buckram',
  'waistband-strip',
];
/** From this a layer stays out of the seam, g/m². */
const HEAVY = 120;
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
  // What is fused while it is uncut reaches the cut edge: nothing can be trimmed under glue afterwards.
  if (question.schools.order === 'fuse-together' && layer.form === 'fusible' && layer.arealDensity < HEAVY) return 'full';
  if (layer.arealDensity <= 42 && layer.thickness <= 0.3) return 'full';
  return layer.arealDensity >= HEAVY ? 'net' : 'trimmed';
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
export function candidatesFor(
  question: Question,
  cupboard: readonly Material[],
): { candidates: Candidate[]; refused: Refused[] } {
  const library = cupboard.flatMap(usesOf);
  const { profile, part } = question;
  const candidates: Candidate[] = [];
  const refused: Refused[] = [];
  const topping =
    question.traits.needsTopping && profile.kind === 'stitch' && part.role !== 'badge'
      ? toppingFor(question, library)
      : undefined;
  const covered = (layers: ChosenLayer[]): ChosenLayer[] =>
    topping ? [{ material: topping, extent: 'field', angle: 0 }, ...layers] : layers;

  const preferences = remembered(preferencesFor(question));
  const add = (recipe: string, suitability: number, layers: ChosenLayer[], preferred: readonly Preference[]) => {
    const all = covered(layers);
    candidates.push({
      id: all.map(({ material }) => keyOfUse(material)).join('+'),
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
    const { preferred, points } = preferences(material);
    add('single', base + points, [layer], preferred);
  }

  // A stack is as good as its worst layer: liquids only help what they are put under.
  const liked = (material: Material) => (material.form === 'liquid' ? NOT_LIKED : preferences(material));
  for (const { helper, materials, angles, duties, serves, points } of combinationsOf(question, library, (m) => liked(m).points)) {
    const layers = materials.map((material, i) => ({
      material,
      extent: extentOf(question, material, duties[i]!),
      angle: angles[i]!,
    }));
    add(
      helper,
      serves + points,
      layers,
      materials.flatMap((material) => liked(material).preferred),
    );
  }
  return { candidates, refused };
}

/** What speaks for and against a layer, and its points. */
interface Liked {
  preferred: readonly Preference[];
  points: number;
}

const NOT_LIKED: Liked = { preferred: [], points: 0 };

/** Preferences with their points, asked once a layer: it stands in many stacks. */
function remembered(preferences: (layer: Material) => Preference[]): (layer: Material) => Liked {
  const known = new Map<Material, Liked>();
  return (layer) => {
    let liked = known.get(layer);
    if (!liked) {
      const preferred = preferences(layer);
      known.set(layer, (liked = { preferred, points: pointsOf(preferred) }));
    }
    return liked;
  };
}

/**
 * What preferences add up to.
 *
 * @example pointsOf([]) // 0
 */
export function pointsOf(preferred: readonly Preference[]): number {
  return preferred.reduce((sum, { points }) => sum + points, 0);
}

/** Layers that lie together, outermost first, and what they serve without regard to preferences. */
interface Combination {
  /** What was added last. */
  helper: string;
  materials: Material[];
  duties: LayerDuty[];
  angles: number[];
  serves: number;
  /** What speaks for or against the worst of its layers. */
  points: number;
  /** What helped so far. */
  used: string[];
}

/** Preferences lift a combination by no more than this. */
const MOST_POINTS = 8;

/**
 * Stacks of two and three layers: beginning with each single layer that has its place in some combination, everything is added that does
 * something for a layer that is there, and again to what comes of it. Of three layers only the most fitting weights are tried in each place.
 * What would not be judged is not even put together: most of the time of a choice goes into what is made here.
 *
 * @param points what speaks for or against a layer
 */
function combinationsOf(question: Question, library: readonly Material[], points: (layer: Material) => number): Combination[] {
  const possible = HELPERS.filter(({ serves }) => serves(question, 0) !== undefined);
  if (possible.length === 0) return [];
  const places = new Map<Slot, Material[]>();
  /** The same place is asked about by many stacks: the library is looked through once for each. A slot has one duty wherever it stands. */
  const optionsOf = (slot: Slot, duty: LayerDuty) => {
    let options = places.get(slot);
    if (!options) places.set(slot, (options = slotOptions(question, slot, duty, library)));
    return options;
  };
  const grown = (stacks: readonly Combination[], limit: number, worth: Worth) => {
    const made: Combination[] = [];
    for (const stack of stacks)
      for (const helper of possible) grow(made, { question, stack, helper, limit, worth, optionsOf, points });
    return made;
  };
  const begun = (limit: number) =>
    [...new Set(possible.flatMap(({ to }) => optionsOf(to, dutyIn(question)).slice(0, limit)))].map((material): Combination => ({
      helper: '',
      materials: [material],
      duties: [dutyIn(question)],
      angles: [0],
      used: [],
      serves: question.profile.families[material.family] ?? 0,
      points: Math.min(MOST_POINTS, points(material)),
    }));
  const judged: Worth = (serves, liked) => serves + liked >= WORTH_JUDGING;
  const pairs = grown(begun(SLOT_LIMIT), ADDED, judged);
  const few = grown(begun(FEW), FEW, (serves) => serves >= WORTH_BUILDING);
  const found = new Map<string, Combination>();
  for (const stack of [...pairs, ...grown(few, FEW, judged)]) {
    const key = `${stack.materials.map(keyOfUse).join('+')} ${stack.angles.join()}`;
    const before = found.get(key);
    if (!(before && before.serves >= stack.serves)) found.set(key, stack);
  }
  return [...found.values()];
}

/** Whether a combination that serves so and has so many points is worth putting together. */
type Worth = (serves: number, points: number) => boolean;

interface Growing {
  question: Question;
  stack: Combination;
  helper: Helper;
  /** So many materials are tried. */
  limit: number;
  worth: Worth;
  optionsOf: (slot: Slot, duty: LayerDuty) => Material[];
  points: (layer: Material) => number;
}

/** The duty of a layer that a combination begins with. */
const dutyIn = ({ profile }: Question): LayerDuty =>
  profile.area === 'strip' ? 'strip' : profile.area === 'patch' ? 'patch' : 'main';

/** Puts into `made` a stack with what one helper adds to it; nothing where it does nothing for it. */
function grow(made: Combination[], { question, stack, helper, limit, worth, optionsOf, points }: Growing): void {
  const { id, adds, duty, to, place, angle = 0, after } = helper;
  if (stack.used.includes(id)) return;
  const beside = stack.materials.findLastIndex((material) => fits(to, material));
  if (beside < 0) return;
  if (after !== undefined && stack.materials.filter(({ id: of }) => of === stack.materials[beside]!.id).length !== after) return;
  const both = helper.serves(question, stack.serves);
  if (both === undefined) return;
  // Two layers do something for each other; a third rarely makes better what two do already.
  const serves = stack.materials.length < 2 || helper.crowns ? both : Math.min(both, stack.serves) - ONE_MORE;
  // What serves less is neither offered nor built upon.
  if (serves < WORTH_OFFERING) return;
  const first = stack.materials.findIndex((material) => fits(to, material));
  const index = place === 'outermost' ? 0 : place === 'before' ? first : beside + 1;
  const options = adds === 'the same' ? [stack.materials[beside]!] : optionsOf(adds, duty);
  const most = Math.min(limit, options.length);
  for (let i = 0; i < most; i++) {
    const material = options[i]!;
    if (adds !== 'the same' && stack.materials.includes(material)) continue;
    const liked = Math.min(stack.points, points(material));
    if (!worth(serves, liked)) continue;
    made.push({
      helper: id,
      materials: stack.materials.toSpliced(index, 0, material),
      duties: stack.duties.toSpliced(index, 0, duty),
      angles: stack.angles.toSpliced(index, 0, angle),
      serves,
      points: liked,
      used: [...stack.used, id],
    });
  }
}

function fits({ families, forms, weight: [min, max] = [0, Infinity] }: Slot, { family, form, arealDensity }: Material): boolean {
  return families.includes(family) && (!forms || forms.includes(form)) && arealDensity >= min && arealDensity <= max;
}

/** What can be in a place, at most so many, those nearest to the middle of its weights. */
function slotOptions(question: Question, slot: Slot, duty: LayerDuty, library: readonly Material[]): Material[] {
  const [min, max] = slot.weight ?? [0, Infinity];
  const middle = Number.isFinite(max) ? (min + max) / 2 : 0;
  const all = library.filter((m) => fits(slot, m) && firstStop(question, m, duty) === undefined);
  all.sort((a, b) => Math.abs(a.arealDensity - middle) - Math.abs(b.arealDensity - middle) || (a.id < b.id ? -1 : 1));
  return all.slice(0, SLOT_LIMIT);
}

const GOES_AWAY: Family[] = [
  'pressing-spray',
  'starch',
  'liquid-stabilizer',
  'edge-stiffener',
  'tear-away',
  'wash-away',
  'heat-away',
];
const SHEETS: Family[] = ['tear-away', 'cut-away', 'mesh', 'wash-away', 'heat-away', 'topping'];

/** Heading of what serves another purpose. */
const NOT_FOR_ROLE = 'Made for something else';

function notForRole({ profile }: Question, layer: Material): string {
  if (layer.family === 'topping')
    return 'A topping is for lofty or looped cloth under an embroidery needle; there is nothing to keep stitches from sinking into here.';
  if (SHEETS.includes(layer.family)) return 'It is a sheet for stitching on, not a support that is worn.';
  if (GOES_AWAY.includes(layer.family)) return `It washes out again, and ${profile.phrase} needs support that stays.`;
  if (profile.kind === 'stitch') return 'It is support for wear, not a sheet that holds cloth still under the needle.';
  return `It does not ${profile.job}: it is not used for ${profile.phrase}.`;
}
