import { isFusible, keptKey } from '../core/layers';
import { outcomeOf, type ScrapCell } from '../core/scrap';
import type { FoundSetting } from '../core/steps';
import type { Db } from '../store/database';
import type { KeptLayer, KeptStack } from '../store/jobs';
import { chosenOf, knownLayers } from '../store/materials';
import { filedScrapsOf } from '../store/scraps';

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

const keysOf = (stack: KeptStack | null | undefined): string | undefined => stack?.layers.map(keptKey).join('+');

/**
 * A stack that a job is given, with the setting that the last scrap of this very pair found, where it has none of its own: what was tried
 * once need not be tried for every job. One that the job has already stays as the person set it.
 */
export function withFoundSetting(
  db: Db,
  clothId: string | null,
  stack: KeptStack | null,
  before: KeptStack | null,
): KeptStack | null {
  if (
    !stack ||
    stack.setting ||
    keysOf(stack) === keysOf(before) ||
    clothId === null ||
    knownLayers(db, stack.layers).length < stack.layers.length
  )
    return stack;
  for (const { plan, readings, chosen } of filedScrapsOf(db, clothId, stack.layers.map(keptKey))) {
    const cell = plan.cells.find(({ name }) => name === chosen);
    const reading = cell && readings[cell.name];
    if (!reading || outcomeOf(reading) === 'poor') continue;
    const setting = settingFound(db, stack.layers, cell, plan.grid === 'candidates' ? null : plan.materialId);
    if (setting) return { ...stack, setting };
  }
  return stack;
}
