import type { RecipeNotion } from '../core/recipes';
import type { Db } from '../store/database';
import { projects, type Notion } from '../store/projects';

/** A project holds no more of them. */
const MOST = 100;

/**
 * Notions of a recipe come into its project and follow its measures: counts change by as much as the recipe's do, what it needs no more goes,
 * and what is there already, or was noted by hand, stays.
 */
export function followNotions(db: Db, projectId: string, before: readonly RecipeNotion[], now: readonly RecipeNotion[]): void {
  const project = projects.get(db, projectId);
  const countOf = (list: readonly RecipeNotion[], name: string) =>
    list.filter((each) => each.name === name).reduce((sum, { count }) => sum + count, 0);
  const names = [...new Set([...before, ...now].map(({ name }) => name))];
  let notions: Notion[] = project.notions;
  for (const name of names) {
    const more = countOf(now, name) - countOf(before, name);
    const had = notions.find((each) => each.name === name);
    if (more === 0 || (!had && more < 0)) continue;
    if (!had) notions = notions.length < MOST ? [...notions, { name, count: more, there: false }] : notions;
    else if (had.count + more > 0)
      notions = notions.map((each) => (each === had ? { ...had, count: had.count + more, there: had.there && more < 0 } : each));
    // What was got for it already is not thrown away.
    else if (!had.there) notions = notions.filter((each) => each !== had);
  }
  if (notions !== project.notions) projects.update(db, projectId, { ...project, notions }, project.version);
}
