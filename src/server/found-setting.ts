import { isFusible, keptKey, usedOf } from '../core/layers';
import { outcomeOf, settingsFound, type PairFinding, type ScrapCell } from '../core/scrap';
import type { FoundSetting } from '../core/steps';
import type { Db } from '../store/database';
import type { KeptLayer, KeptStack } from '../store/jobs';
import { chosenOf, findMaterial } from '../store/materials';
import { filedScrapsOf, type Scrap } from '../store/scraps';

/** What a field of a scrap found for a stack. @param materialId layer that it is for; null for the one that is fused */
export function settingFound(
  db: Db,
  layers: readonly KeptLayer[],
  { setting, dose }: ScrapCell,
  materialId: string | null,
): FoundSetting | undefined {
  const of = materialId ?? chosenOf(db, layers).find(({ material }) => isFusible(material.form))?.material.id;
  return of === undefined ? undefined : { ...setting, materialId: of, ...(dose ? { rounds: dose.rounds } : {}) };
}

/**
 * What scraps found for some cloths, pair by pair, the last one first. What went wrong, on the scrap or in its wash, is no finding.
 */
export function pairFindings(db: Db, clothIds: readonly string[]): PairFinding[] {
  return filedScrapsOf(db, clothIds).flatMap((scrap) => findingOf(db, scrap) ?? []);
}

function findingOf(db: Db, { clothId, layerIds, plan, readings, chosen, wash }: Scrap): PairFinding | undefined {
  const cell = plan.cells.find(({ name }) => name === chosen);
  const reading = cell && readings[cell.name];
  if (!reading || outcomeOf(reading) === 'poor' || wash?.outcome === 'poor') return undefined;
  const of = plan.grid === 'candidates' ? null : plan.materialId;
  const key = layerIds.find((each) => {
    const { materialId } = usedOf(each);
    return of === null ? isFusible(findMaterial(db, each)?.form ?? 'loose') : materialId === of;
  });
  if (key === undefined) return undefined;
  const { setting, dose } = cell;
  return { clothId, key, setting: { ...setting, materialId: usedOf(key).materialId, ...(dose ? { rounds: dose.rounds } : {}) } };
}

/** What is known of how the layers of a stack are put on a cloth: what was found for each pair, else what the job took over once. */
export function foundFor(db: Db, clothId: string, stack: KeptStack): FoundSetting[] {
  return [...settingsFound(pairFindings(db, [clothId]), clothId, stack.layers), ...(stack.setting ? [stack.setting] : [])];
}

const keysOf = (stack: KeptStack | null | undefined): string | undefined => stack?.layers.map(keptKey).join('+');

/**
 * A stack that a job is given, with what the last scrap of a pair in it found, so that it goes along where the scrap does not: into another
 * house. Here the pair itself is asked, see {@link foundFor}.
 */
export function withFoundSetting(
  db: Db,
  clothId: string | null,
  stack: KeptStack | null,
  before: KeptStack | null,
): KeptStack | null {
  if (!stack || stack.setting || keysOf(stack) === keysOf(before) || clothId === null) return stack;
  const [setting] = settingsFound(pairFindings(db, [clothId]), clothId, stack.layers);
  return setting ? { ...stack, setting } : stack;
}
