import type { ShoppingNeed } from '../core/cutlist';
import type { Db } from '../store/database';
import { otherNeeds, type OtherNeeds } from './other-needs';
import { needsOfSets, type SetNeeds } from './set-needs';
import { shoppingNeeds } from './shopping-needs';

/** All that is shopped for in one go. */
export interface Shopping {
  needs: ShoppingNeed[];
  sets: SetNeeds[];
  others: OtherNeeds;
}

/** What some projects still have to be cut from, what some sets in the hoop take, and what both need besides. @throws {InputError} {NotFoundError} */
export function shopping(db: Db, projectIds: readonly string[], setIds: readonly string[]): Shopping {
  const needs = shoppingNeeds(db, projectIds);
  const sets = needsOfSets(db, setIds, needs);
  return { needs, sets, others: otherNeeds(db, projectIds, sets) };
}
