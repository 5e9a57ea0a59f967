import type { Fabric } from '../cloth';
import type { Cover, Material } from '../layers';
import type { Schools } from '../schools';
import { COVER, IRON, IRON_SHORT } from './words';

/** How a layer is pressed: the leaflet's figures, or those of the school that is followed. */
export interface PressSetting {
  ironDots: number;
  seconds: number;
  steam: boolean;
  /** Key of the words for the cover. */
  cover: string;
}

/** The person's own iron. */
export interface Iron {
  steam: boolean;
  /** g. */
  weight: number;
}

/** A lighter iron does not press by its own weight, g. */
const LIGHT_IRON = 1100;

/** A setting that a scrap found best, and the layer that it is for. */
export interface FoundSetting extends PressSetting {
  materialId: string;
  /** How often a liquid is put on and pressed, where a scrap found that. */
  rounds?: number;
}

const SCHOOL_HEAT: Record<string, { seconds: number; steam: boolean }> = {
  'short-lifts': { seconds: 5, steam: false },
  'ten-dry': { seconds: 10, steam: false },
  damp: { seconds: 12, steam: true },
  long: { seconds: 18, steam: true },
};

/**
 * Iron setting, seconds, steam and cover for one layer on one cloth. The iron setting is always the leaflet's;
 * a school never brings steam onto cloth that water marks.
 *
 * @example pressSetting(lightWoven, poplin, DEFAULT_SCHOOLS).seconds // 12
 */
export function pressSetting({ leaflet }: Material, fabric: Pick<Fabric, 'water'>, schools: Schools): PressSetting {
  const heat = SCHOOL_HEAT[schools.heat];
  const follow = heat !== undefined && !(heat.steam && fabric.water === 'spots');
  const seconds = follow ? heat.seconds : leaflet.seconds;
  const steam = follow ? heat.steam : leaflet.steam;
  let cover: string = leaflet.cover;
  if (schools.cover !== 'by-case') cover = schools.cover;
  else if (steam && leaflet.cover !== 'damp-cloth' && follow) cover = 'damp-cloth';
  else if (!steam && leaflet.cover === 'damp-cloth') cover = 'cloth';
  return { ironDots: leaflet.ironDots, seconds, steam, cover };
}

/**
 * The setting of a layer: the one that was found for it on a scrap, else the leaflet's or the school's.
 *
 * @example settingFor(lightWoven, { fabric: poplin, schools: DEFAULT_SCHOOLS }).ironDots // 2
 */
export function settingFor(
  material: Material,
  { fabric, schools, found }: { fabric: Pick<Fabric, 'water'>; schools: Schools; found?: readonly FoundSetting[] },
): PressSetting {
  const own = foundOf(material, found);
  if (!own) return pressSetting(material, fabric, schools);
  const { ironDots, seconds, steam, cover } = own;
  return { ironDots, seconds, steam, cover };
}

/**
 * What was found for a layer, the first that is for it.
 *
 * @example foundOf(lightWoven, []) // undefined
 */
export function foundOf({ id }: Pick<Material, 'id'>, found: readonly FoundSetting[] | undefined): FoundSetting | undefined {
  return found?.find(({ materialId }) => materialId === id);
}

/** Of a stack of which nothing is pressed. */
const NOT_PRESSED: PressSetting = { ironDots: 0, seconds: 0, steam: false, cover: 'none' };

/**
 * With what a stack is pressed, as it is filed: its first layer that is, by the same setting as its steps. A shoe on the iron is no cover of the
 * cloth.
 *
 * @example usedSetting([lightWoven], { fabric: poplin, schools: DEFAULT_SCHOOLS }).seconds // 12
 */
export function usedSetting(
  materials: readonly Material[],
  how: { fabric: Pick<Fabric, 'water'>; schools: Schools; found?: readonly FoundSetting[] },
): PressSetting & { cover: Cover } {
  const pressed = materials.find(({ leaflet }) => leaflet.seconds > 0);
  const { ironDots, seconds, steam, cover } = pressed ? settingFor(pressed, how) : NOT_PRESSED;
  return { ironDots, seconds, steam, cover: (cover === 'shoe' ? 'none' : cover) as Cover };
}

/**
 * A setting in a few words: `medium iron, 10 s, dry`.
 *
 * @example settingWords({ ironDots: 2, seconds: 10, steam: false, cover: 'cloth' }) // 'medium iron, 10 s, dry'
 */
export function settingWords({ ironDots, seconds, steam }: PressSetting): string {
  return seconds > 0 ? `${IRON_SHORT[ironDots]} iron, ${seconds} s, ${steam ? 'steam' : 'dry'}` : 'not pressed';
}

const MOVING: Record<string, string> = {
  lift: 'Press, hold, lift, set down again with some overlap. Never slide.',
  tack: 'First touch it down in a few places to tack it, then press stop by stop. Never slide.',
  creep: 'Take most of the weight off and creep on, half an iron at a time.',
};

/** Longer than three irons, a piece is tacked first whatever the school, mm. */
const TACK_FIRST = 660;

/**
 * Heat, steam and cover as the bench says them.
 *
 * @param iron the person's own
 * @example heatWords({ ironDots: 2, seconds: 10, steam: false, cover: 'cloth' }) // 'Iron medium (two dots), dry, under a thin cotton cloth.'
 */
export function heatWords(setting: PressSetting, iron?: Iron): string {
  // A damp cloth gives the steam that the iron does not have.
  const dampened = setting.steam && iron?.steam === false;
  const how = dampened
    ? `dry, ${COVER['damp-cloth']}, since your iron gives no steam`
    : `${setting.steam ? 'with steam' : 'dry'}, ${COVER[setting.cover]}`;
  return `Iron ${IRON[setting.ironDots]}, ${how}.`;
}

/**
 * The setting and the way of moving as one line for the bench.
 *
 * @param longest side of the piece, mm @param iron the person's own
 * @example pressWords({ ironDots: 2, seconds: 10, steam: false, cover: 'cloth' }, DEFAULT_SCHOOLS).endsWith('Never slide.') // true
 */
export function pressWords(setting: PressSetting, schools: Schools, longest = 0, iron?: Iron): string {
  const moving =
    schools.moving === 'lift' && longest > TACK_FIRST ? MOVING['tack']! : (MOVING[schools.moving] ?? MOVING['lift']!);
  const lean = iron && iron.weight < LIGHT_IRON ? ' Your iron is light: lean on it at every stop.' : '';
  return `${heatWords(setting, iron)} ${moving}${lean}`;
}
