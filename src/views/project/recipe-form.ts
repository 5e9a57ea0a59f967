import { useMemo } from 'react';
import { clothThickness } from '../../core/cloth';
import { InputError } from '../../core/input-error';
import type { Material } from '../../core/layers';
import { LAYING } from '../../core/pieces';
import {
  EDGE_RECIPES,
  edgeRecipeOf,
  RECIPES,
  recipeOf,
  type EdgeKind,
  type EdgeSource,
  type Recipe,
  type RecipeField,
  type RecipeKind,
} from '../../core/recipes';
import type { Cloth } from '../../store/cloths';
import { useAsked } from '../../ui/query';
import type { CutFrom } from './recipe-pieces';

/** What is typed in the form of a recipe. */
export interface Typed {
  recipe: string;
  /** By recipe and field, as `flare.waist`; what is no length as it is typed. */
  values: Record<string, number | string>;
  clothId: string | null;
  liningId: string | null;
  baseId: string;
  interliningId: string;
}

/** Families that a hat's base and what softens it are made of. */
const BASES = ['buckram', 'firm-nonwoven'] as const;
const INTERLININGS = ['mulling'] as const;

/** What was picked to cut from, as far as measures follow from it, mm. */
export interface Picked {
  rollWidth?: number | undefined;
  /** Of cloth and layers, by the field that asks for it. */
  thickness: Partial<Record<string, number>>;
}

/** What follows from the cloths and layers that are picked. */
export function pickedOf(typed: Typed, cloths: readonly Cloth[], layers: LayerChoice): Picked {
  const { layers: own } = fromOf(typed, layers);
  const thicknessOf = (id: string | null) => {
    const cloth = cloths.find((each) => each.id === id);
    return cloth && Math.round(100 * clothThickness(cloth).value) / 100;
  };
  const found = {
    shell: thicknessOf(typed.clothId),
    lining: thicknessOf(typed.liningId),
    base: own.base?.thickness,
    interlining: own['soft-interlining']?.thickness,
  };
  return {
    rollWidth: cloths.find(({ id }) => id === typed.clothId)?.rollWidth,
    thickness: Object.fromEntries(Object.entries(found).filter(([, mm]) => mm !== undefined)),
  };
}

/** What stands in a measure before anything is typed: a thickness is that of what is picked. */
export function startOf({ field, start }: RecipeField, { rollWidth, thickness }: Picked): number {
  if (field === 'clothWidth') return rollWidth ? rollWidth - 2 * LAYING.selvedge : start;
  return thickness[field] ?? start;
}

/** Whether a measure is asked for: one that hangs on another is, once that one is there. */
export function isAsked(kind: FormKind, { onlyIf }: RecipeField, typed: Typed['values'], picked: Picked): boolean {
  const on = kind.fields.find(({ field }) => field === onlyIf);
  return !on || (Number(typed[keyOf(kind, on.field)] ?? startOf(on, picked)) !== 0 && isAsked(kind, on, typed, picked));
}

/** Measures of a recipe as they are typed, with what stands there at first. @throws {InputError} naming the field */
export function valuesOf(kind: FormKind, typed: Typed['values'], picked: Picked = { thickness: {} }): Record<string, number> {
  return Object.fromEntries(
    kind.fields.map((each) => {
      const { field, words, start } = each;
      // What was typed into a measure that is asked for no more counts for nothing.
      const value = (isAsked(kind, each, typed, picked) ? typed[keyOf(kind, field)] : undefined) ?? startOf(each, picked);
      const read =
        typeof value === 'number'
          ? value
          : Number(value.replace(',', '.').replace('½', '.5').replace('¼', '.25').replace('¾', '.75'));
      if (!Number.isFinite(read) || (typeof value === 'string' && value.trim() === ''))
        throw new InputError(field, `${words}: write a number, such as ${start}.`);
      return [field, read];
    }),
  );
}

/** Where a measure is kept. */
export const keyOf = (kind: FormKind, field: string): string => `${kind.id}.${field}`;

/** A recipe as far as it can be made, or what stands in the way. */
export interface Tried {
  recipe?: Recipe;
  field?: string;
  message?: string;
}

/** The recipe as far as it can be made, or what stands in the way. */
export function tryRecipe(kind: RecipeKind, typed: Typed['values'], picked: Picked): Tried {
  return tried(() => recipeOf(kind, valuesOf(kind, typed, picked)));
}

/** The same of what is made from the edges of a piece. */
export function tryEdgeRecipe(kind: EdgeKind, source: EdgeSource, typed: Typed['values']): Tried {
  return tried(() => edgeRecipeOf(kind, source, valuesOf(kind, typed)));
}

function tried(make: () => Recipe): Tried {
  try {
    return { recipe: make() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { field: error.field, message: error.message.replace(`${error.field}: `, '').replace(`${error.field} `, '') };
  }
}

/** What a form of measures asks about: a shape by itself, or what is made from edges. */
export type FormKind = Pick<RecipeKind, 'id' | 'name' | 'words' | 'fields'>;

export const edgeKindOf = (id: string): EdgeKind => EDGE_RECIPES.find((each) => each.id === id) ?? EDGE_RECIPES[0]!;

export const kindOf = (id: string): RecipeKind => RECIPES.find((each) => each.id === id) ?? RECIPES[0]!;

/** What a base and what softens it can be cut from. */
export interface LayerChoice {
  bases: Material[];
  interlinings: Material[];
}

/** Layers that a hat's base and interlining can be made of. */
export function useLayers(): LayerChoice {
  const { answer } = useAsked<{ layers: Material[] }>(`/api/layers?family=${[...BASES, ...INTERLININGS].join(',')}`);
  return useMemo(() => {
    // The usual family first: what stands first is taken where nothing else is picked.
    const among = (families: readonly string[]) =>
      families.flatMap((each) => (answer?.layers ?? []).filter(({ family }) => family === each));
    return { bases: among(BASES), interlinings: among(INTERLININGS) };
  }, [answer]);
}

/** What each duty is cut from, as it was picked. */
export function fromOf({ clothId, liningId, baseId, interliningId }: Typed, { bases, interlinings }: LayerChoice): CutFrom {
  const found = (list: Material[], id: string) => list.find((each) => each.id === id) ?? list[0];
  const [base, interlining] = [found(bases, baseId), found(interlinings, interliningId)];
  return {
    cloths: { shell: clothId, lining: liningId },
    layers: { ...(base ? { base } : {}), ...(interlining ? { 'soft-interlining': interlining } : {}) },
  };
}
