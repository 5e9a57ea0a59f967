import { useCallback, useEffect, useMemo, useState } from 'react';
import type { ShoppingLine, ShoppingNeed } from '../core/cutlist';
import type { Extent } from '../core/layers';
import type { Schools } from '../core/schools';
import type { LengthSystem } from '../core/units';
import { GivenUp } from './beside';
import { useAsked } from './query';

/** A stack that a job might get, as far as cutting is concerned. */
export interface StackToCut {
  id: string;
  layers: readonly { materialId: string; extent: Extent; angle: number }[];
  schools: Partial<Schools>;
}

type Lines = ReadonlyMap<string, readonly ShoppingLine[]>;
const NONE: Lines = new Map();

/**
 * What a job by itself would take of every layer of some stacks: laid out in its true shape, by the functions of the shopping list.
 *
 * @param jobId without one nothing is asked @param trim the person's usual trim, mm
 * @returns lines by the id of the stack, as far as they are laid out
 */
export function useToBuy(jobId: string | undefined, stacks: readonly StackToCut[], trim: number, system: LengthSystem): Lines {
  const [lines, setLines] = useState<Lines>(NONE);
  const missing = useMemo(() => stacks.filter(({ id }) => !lines.has(id)), [stacks, lines]);
  // Asked once for all of them; what comes to be known on the way is no new question.
  const [asked, setAsked] = useState<readonly StackToCut[]>([]);
  const open = asked.length > 0 && asked.some(({ id }) => missing.some((each) => each.id === id));
  useEffect(() => {
    if (!open && missing.length > 0) setAsked(missing);
  }, [open, missing]);
  const path = jobId !== undefined && asked.length > 0 ? `/api/jobs/${jobId}/needs` : undefined;
  const { answer, current, error } = useAsked<{ needs: ShoppingNeed[][] }>(path, {
    stacks: asked.map(({ layers, schools }) => ({ layers, schools })),
  });
  const needs = current ? answer?.needs : undefined;
  // A figure that cannot be told is left out: what has to be bought is asked for again on the list.
  const giveUp = useCallback(() => setLines((was) => new Map([...was, ...asked.map(({ id }) => [id, []] as const)])), [asked]);
  useEffect(() => {
    if (error !== undefined && asked.length > 0) giveUp();
  }, [error, asked, giveUp]);
  useEffect(() => {
    if (!needs) return undefined;
    let open = true;
    let close = () => {};
    import('./lines-to-buy')
      .then(({ linesToBuy }) => {
        if (!open) return undefined;
        const laying = linesToBuy(needs, trim, system, (i, own) => setLines((was) => new Map(was).set(asked[i]!.id, own)));
        ({ close } = laying);
        return laying.done;
      })
      .catch((problem: Error) => {
        if (!(problem instanceof GivenUp)) giveUp();
      });
    return () => {
      open = false;
      close();
    };
  }, [needs, asked, giveUp, trim, system]);
  return lines;
}
