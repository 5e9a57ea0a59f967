import type { DayTask } from './run-tasks';

/** Name of the load among the runs of a day. */
const WASH = 'wash';
/** Stands between the tasks that one stands for. */
const AND = '+';

/**
 * Ids of the tasks that one task of the plan stands for: what is washed in one load is done for each run of it.
 *
 * @example tasksOf('a/0+b/0') // ['a/0', 'b/0']
 */
export function tasksOf(id: string): string[] {
  return id.split(AND);
}

/**
 * What several runs wash goes into one load: washed once, dried once, and each run waits for it.
 *
 * @param runs the tasks of each run @returns the same, with the load as a run of its own before them where two or more wash
 * @example oneLoad([[]]) // [[]]
 */
export function oneLoad(runs: readonly (readonly DayTask[])[]): DayTask[][] {
  const washed = runs.map((tasks) => tasks.filter(({ load }) => load === 'wash'));
  if (washed.filter(({ length }) => length > 0).length < 2) return runs.map((tasks) => [...tasks]);
  const all = washed.flat();
  const [hands, waits] = [all.filter((task) => task.hands), all.filter((task) => !task.hands)];
  const longest = (tasks: readonly DayTask[]) => Math.max(0, ...tasks.map(({ minutes }) => minutes));
  const names = [...new Set(hands.map(({ title }) => title.slice(0, title.indexOf(': '))))];
  const merged = (tasks: readonly DayTask[], title: string, after: string[]): DayTask => ({
    ...{ id: tasks.map(({ id }) => id).join(AND), run: WASH, title, minutes: longest(tasks), after, load: 'wash' },
    ...{ uses: tasks[0]!.uses, hands: tasks[0]!.hands, ...(tasks[0]!.overnight ? { overnight: true as const } : {}) },
  });
  const load: DayTask[] = [];
  if (hands.length > 0) load.push(merged(hands, `Wash in one load: ${names.join(', ')}`, []));
  if (waits.length > 0)
    load.push(
      merged(
        waits,
        'The wash dries',
        load.map(({ id }) => id),
      ),
    );
  const last = load.at(-1)!.id;
  const inLoad = new Set(all.map(({ id }) => id));
  const rest = runs.map((tasks) =>
    tasks
      .filter(({ id }) => !inLoad.has(id))
      .map((task) => ({ ...task, after: [...new Set(task.after.map((id) => (inLoad.has(id) ? last : id)))] })),
  );
  return [load, ...rest];
}
