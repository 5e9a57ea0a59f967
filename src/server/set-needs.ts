import { sheetGlue, sheetRecipe, sheetsDrawn, sheetSources, starching, type Promised, type SheetNeed } from '../core/hoop';
import type { ShoppingNeed } from '../core/cutlist';
import type { Bottle } from '../core/liquid';
import { threadNeed, type ThreadNeed } from '../core/motif';
import type { Db } from '../store/database';
import { hoopings, type Drawn, type Hooping } from '../store/hoopings';
import { layers } from '../store/layers';
import { motifs } from '../store/motifs';
import { stock, stockOf, type Stock } from '../store/stock';
import { hoopWorkOf } from './hooping-sets';

/** Sheets that a set takes of one layer, and where they come from. */
export interface SetSheets extends SheetNeed {
  /** How many kept pieces give, and how many they do not. */
  kept: number;
  left: number;
  /** Off a roll for the others, and how much of that has to be bought, mm; 0 where it comes in sheets. */
  rollLength: number;
  short: number;
  /** The projects that are shopped for take of the same layer: what lies in the cupboard is counted for them. */
  elsewhere: boolean;
}

/** What the rest of a set takes. */
export interface SetNeeds {
  id: string;
  name: string;
  /** Copies that it is for. */
  count: number;
  sheets: SetSheets[];
  liquid: { layerId: string; name: string; millilitres: number; bottle: Bottle } | null;
  /** Temporary spray glue, g. */
  glue: number;
  thread: ThreadNeed & { names: string[] };
}

/** What some copies of a hooping take. @param keptOf what lies in the cupboard of a layer and may be taken */
function takenBy(db: Db, hooping: Hooping, count: number, keptOf: (id: string) => Stock[], promised?: Promised) {
  const work = { ...hoopWorkOf(db, hooping), count };
  const needs = sheetRecipe(work.hoop, work.layers, work.floats, count);
  const sources = sheetSources(needs, keptOf, (id) => layers.find(db, id)?.rollWidth ?? 0, promised);
  const liquid = work.layers.find(({ material }) => material.form === 'liquid')?.material;
  const wetted = starching(work);
  const of = liquid && layers.find(db, liquid.id);
  const wet = of && wetted ? { layerId: of.id, name: of.name, millilitres: wetted.millilitres, bottle: of.bottle } : null;
  return { needs, sources, wet, glue: sheetGlue(work) };
}

/**
 * What the rest of some sets takes, with where it comes from. A kept piece and a length of a roll are promised once, to one set; of layers that
 * the projects take too nothing that is there is promised.
 *
 * @param needs what the projects take that are shopped for with them
 * @throws {InputError} when one cannot be sewn yet {NotFoundError}
 */
export function needsOfSets(db: Db, ids: readonly string[], needs: readonly ShoppingNeed[]): SetNeeds[] {
  const promised: Promised = { given: new Set(), off: new Map() };
  const ofProjects = new Set(needs.flatMap(({ material: { kind, id } }) => (kind === 'layer' ? [id] : [])));
  const keptOf = (id: string) => (ofProjects.has(id) ? [] : stockOf(db, 'layer', id));
  return ids.map((id) => {
    const hooping = hoopings.get(db, id);
    const count = Math.max(0, hooping.count - (hooping.run?.pieces ?? 0));
    const { needs: own, sources, wet, glue } = takenBy(db, hooping, count, keptOf, promised);
    const motif = motifs.get(db, hooping.motifId);
    return {
      ...{ id, name: hooping.name, count, liquid: wet, glue },
      sheets: own.map((need, i) => {
        const { left, rollLength, short } = sources[i]!;
        return { ...need, left, kept: need.count - left, rollLength, short, elsewhere: ofProjects.has(need.materialId) };
      }),
      thread: { ...threadNeed(motif.figures.colours, count), names: motif.colours },
    };
  });
}

/** Takes what a set took off rolls, kept pieces and bottle. @param count copies that were sewn @returns what was taken, for taking it back */
export function drawDown(db: Db, hooping: Hooping, count: number): Drawn {
  const { needs, sources, wet } = takenBy(db, hooping, count, (id) => stockOf(db, 'layer', id));
  const taken = needs.flatMap((need, i) => sheetsDrawn(need, sources[i]!));
  const drawn: Drawn = { stock: taken, bottle: null };
  for (const { id, length, count: whole } of taken) giveBack(db, id, -length, -whole);
  if (wet?.bottle.left !== undefined) {
    const millilitres = Math.min(wet.bottle.left, wet.millilitres * (wet.bottle.strength ?? 1));
    drawn.bottle = { layerId: wet.layerId, millilitres };
    refill(db, wet.layerId, -millilitres);
  }
  return drawn;
}

/** Puts back what was drawn down; what is gone meanwhile is left out. */
export function undraw(db: Db, { stock: taken, bottle }: Drawn): void {
  for (const { id, length, count } of taken) giveBack(db, id, length, count);
  if (bottle) refill(db, bottle.layerId, bottle.millilitres);
}

function giveBack(db: Db, id: string, length: number, count: number): void {
  const there = stock.find(db, id);
  if (!there) return;
  const now = { ...there, length: Math.max(0, there.length + length), count: Math.max(0, there.count + count) };
  stock.update(db, id, now, there.version);
}

function refill(db: Db, layerId: string, millilitres: number): void {
  const of = layers.find(db, layerId);
  if (of?.bottle.left === undefined) return;
  layers.update(db, layerId, { ...of, bottle: { ...of.bottle, left: Math.max(0, of.bottle.left + millilitres) } }, of.version);
}
