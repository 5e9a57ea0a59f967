import { lengthToBuy, type TablePlan, type TablePlanOptions } from '../cutplan';
import type { Treatment } from '../pieces';
import type { LengthSystem } from '../units';
import { cutPieces } from './cut-item';
import type { LayingMethod } from './layer-items';
import type { KeptPart } from './listed-part';
import {
  BUY,
  lengthOffRoll,
  shrinksFirst,
  tableList,
  tableSources,
  usualOptions,
  type StockEntry,
  type TableMaterial,
} from './table';

/** A material that something still has to be cut from. */
export interface ShoppingNeed {
  material: TableMaterial;
  works: KeptPart[];
  stock: StockEntry[];
  /** What a heavy wetting does to a cloth: it shrinks it, before or after the pieces are cut. */
  treatment: Treatment | null;
  /** How they lie on it, as on a cutting table. */
  method: LayingMethod;
  /** There is some of it in the house, nobody said how much. */
  some?: boolean;
}

/** What one material comes to. */
export interface ShoppingLine {
  material: TableMaterial;
  /** Pieces in all, those that the cupboard covers, those that fit nowhere. */
  pieces: number;
  covered: number;
  misfits: number;
  /** Running length of a tape, mm; 0 for anything else. */
  tape: number;
  /** Length to buy at the roll's width, mm; 0 when nothing has to be bought. Of what there is some of, what is needed in all. */
  buy: number;
  /** There is some of it in the house, nobody said how much: whether it is enough has to be looked at. */
  some: boolean;
  /** Minor units; 0 when nobody wrote the price down. */
  cost: number;
  /** What is left on rolls from the cupboard afterwards, mm. */
  remains: number;
}

/** Time for the layout of one material, s: the figure is rounded up to what shops cut anyway. */
const SECONDS = 0.4;
/** A tape is sold by the metre, without squaring. */
const TAPE_SHRINK = 0;

/**
 * What is cut from a material and from what, with the layout that has to be found; undefined where none is needed.
 *
 * @param trim the person's usual trim, mm
 * @example shoppingQuestion({ material: layerMaterial(lightWoven), works: [], stock: [], treatment: null, method: 'cut-first' }, 6).question // undefined
 */
export function shoppingQuestion({ material, works, stock, treatment, method }: ShoppingNeed, trim: number) {
  const options = usualOptions(material, stock, method);
  const list = tableList(works, material, options, treatment, trim);
  const sources = tableSources(options, stock, material, treatment);
  const question: TablePlanOptions | undefined =
    list.items.length === 0
      ? undefined
      : {
          sources: sources.map(({ source }) => source),
          pieces: cutPieces(list.items),
          gap: options.gap,
          seconds: SECONDS,
          seed: 1,
        };
  return { list, sources, options, question };
}

/**
 * What a layout comes to: as a line of the shopping list, and as choosing tells it before a layer is taken.
 *
 * @param plan the layout; undefined where none is needed @param trim the person's usual trim, mm
 * @example shoppingLine({ material: layerMaterial(lightWoven), works: [], stock: [], treatment: null, method: 'cut-first' }, undefined, 6, 'metric').buy // 0
 */
export function shoppingLine(need: ShoppingNeed, plan: TablePlan | undefined, trim: number, units: LengthSystem): ShoppingLine {
  const { material, stock, treatment } = need;
  const { list, options } = shoppingQuestion(need, trim);
  const shrink = shrinksFirst(material, options, treatment);
  const bought = plan?.laid.find(({ sourceId }) => sourceId === BUY);
  const buy =
    list.tape > 0
      ? lengthToBuy(list.tape, shrink || TAPE_SHRINK, units, 0).buy
      : lengthToBuy(bought?.length ?? 0, shrink, units, options.squaring).buy;
  const rolls = stock.filter(({ kind }) => kind === 'roll');
  const remains = rolls.reduce((sum, { id, length }) => {
    const used = plan?.laid.find(({ sourceId }) => sourceId === id)?.length ?? 0;
    return sum + Math.max(0, length - lengthOffRoll(used, options, treatment));
  }, 0);
  return {
    material,
    pieces: list.items.reduce((sum, { count }) => sum + count, 0),
    covered:
      plan?.laid.filter(({ sourceId }) => sourceId !== BUY).reduce((sum, { placements }) => sum + placements.length, 0) ?? 0,
    misfits: plan?.unplaced.length ?? 0,
    tape: list.tape,
    buy,
    some: need.some === true && buy > 0,
    cost: need.some === true ? 0 : Math.round((buy / 1000) * material.pricePerMetre),
    remains,
  };
}
