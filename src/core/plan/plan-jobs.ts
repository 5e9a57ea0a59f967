import { InputError } from '../input-error';

/** A stack that would serve a job: what it is made of and how well it serves. */
export interface JobOption {
  /** Tells the stacks of a job apart. */
  id: string;
  /** Materials it takes; each once. */
  materials: readonly string[];
  /** 0–100. */
  score: number;
}

export interface PlannedJob {
  id: string;
  /** Jobs of one group lie side by side in the finished thing and get one stack where that costs little; absent for none. */
  group?: string | undefined;
  options: readonly JobOption[];
  /** A stack that is held, whatever else would be better. */
  locked?: string | undefined;
}

export interface PlanOptions {
  /** Materials of the cupboard: they count as half a material that has to be bought. */
  atHand: ReadonlySet<string>;
  /** Materials that are not to be used. */
  dropped?: ReadonlySet<string> | undefined;
  /** Materials that are taken in any case. */
  wanted?: ReadonlySet<string> | undefined;
  /** A job is served when its stack scores at least so much, or is within `near` of its best. */
  acceptable: number;
  near: number;
}

export interface Plan {
  /** In order of how many jobs they serve. */
  materials: { id: string; jobs: string[] }[];
  /** Stack of each job; none where nothing serves it at all. */
  chosen: { job: string; option: JobOption | undefined; best: number }[];
  /** Materials bought count 1, those at hand a half. */
  cost: number;
  /** Whether no plan with fewer materials exists. */
  exact: boolean;
  /** What one more material would add to the scores of all jobs together, best first. */
  gains: { material: string; gain: number; jobs: string[] }[];
  /** What doing without each material would cost; jobs that nothing would serve any more are named. */
  losses: { material: string; loss: number; unserved: string[] }[];
}

/** The search stops after so many steps and keeps the best so far; a dozen jobs need far fewer. About two seconds. */
const MOST_STEPS = 120_000;
/** Jobs of a group share a stack when none of them loses more than this. */
const SHARED_LOSS = 4;
const AT_HAND = 0.5;
const MOST_GAINS = 5;

interface Need {
  job: PlannedJob;
  /** Stacks that are not dropped, best first. */
  options: readonly JobOption[];
  /** Those of them that serve. */
  serving: readonly JobOption[];
}

/**
 * The fewest materials that serve every job, those of the cupboard first: a weighted cover, found by branch and bound over the job
 * that leaves the least choice. Among plans of one cost the better stacks win.
 *
 * @throws {InputError} for a locked stack that the job does not have
 * @example planJobs([{ id: 'a', options: [{ id: 'x', materials: ['x'], score: 90 }] }], { atHand: new Set(), acceptable: 70, near: 12 }).cost // 1
 */
export function planJobs(jobs: readonly PlannedJob[], options: PlanOptions): Plan {
  const needs = jobs.map((job) => needOf(job, options));
  const coverable = needs.filter(({ serving }) => serving.length > 0);
  const cover = cheapestCover(coverable, options.atHand, options.wanted ?? new Set());
  const chosen = assigned(needs, cover.materials);
  const used = new Map<string, string[]>();
  for (const { job, option } of chosen)
    for (const material of option?.materials ?? []) used.set(material, [...(used.get(material) ?? []), job]);
  return {
    materials: [...used]
      .map(([id, of]) => ({ id, jobs: of }))
      .sort((a, b) => b.jobs.length - a.jobs.length || (a.id < b.id ? -1 : 1)),
    chosen: chosen.map(({ job, option }, i) => ({ job, option, best: needs[i]!.options[0]?.score ?? 0 })),
    cost: costOf([...used.keys()], options.atHand),
    exact: cover.exact,
    gains: gainsOf(needs, new Set(used.keys())),
    losses: lossesOf(needs, new Set(used.keys())),
  };
}

function needOf(job: PlannedJob, { dropped, acceptable, near }: PlanOptions): Need {
  const open = job.options.filter(({ materials }) => !materials.some((id) => dropped?.has(id)));
  if (job.locked !== undefined) {
    const held = job.options.find(({ id }) => id === job.locked);
    if (!held) throw new InputError('locked', `must be a stack of the job ${job.id}, saw "${job.locked}"`);
    return { job, options: [held], serving: [held] };
  }
  const options = [...open].sort((a, b) => b.score - a.score || (a.id < b.id ? -1 : 1));
  const least = Math.max(acceptable, (options[0]?.score ?? 0) - near);
  const serving = options.filter(({ score }) => score >= least);
  // A job that nothing serves well still gets the best there is, any of those that are equally good.
  const best = options.filter(({ score }) => score === options[0]?.score);
  return { job, options, serving: serving.length > 0 ? serving : best };
}

const costOf = (materials: readonly string[], atHand: ReadonlySet<string>): number =>
  materials.reduce((sum, id) => sum + (atHand.has(id) ? AT_HAND : 1), 0);

/** Sum of the best scores that these materials allow. */
function worth(needs: readonly Need[], materials: ReadonlySet<string>): number {
  return needs.reduce((sum, need) => sum + (within(need.serving, materials) ?? within(need.options, materials))!.score, 0);
}

/** Best stack that takes nothing but these materials. */
function within(options: readonly JobOption[], materials: ReadonlySet<string>): JobOption | undefined {
  return options.find((option) => option.materials.every((id) => materials.has(id)));
}

function cheapestCover(needs: readonly Need[], atHand: ReadonlySet<string>, wanted: ReadonlySet<string>) {
  let best = greedyCover(needs, atHand, wanted);
  let bestCost = costOf([...best], atHand);
  let bestWorth = worth(needs, best);
  let steps = 0;
  const seen = new Set<string>();
  const search = (taken: ReadonlySet<string>, cost: number) => {
    if (steps++ > MOST_STEPS || cost > bestCost) return;
    const key = [...taken].sort().join('\n');
    if (seen.has(key)) return;
    seen.add(key);
    const open = needs.filter(({ serving }) => !within(serving, taken));
    if (open.length === 0) {
      const value = worth(needs, taken);
      if (cost < bestCost || value > bestWorth) [best, bestCost, bestWorth] = [new Set(taken), cost, value];
      return;
    }
    if (cost + leastMore(open, taken, atHand) > bestCost) return;
    for (const more of branches(open, taken, atHand)) search(new Set([...taken, ...more]), cost + costOf(more, atHand));
  };
  search(wanted, costOf([...wanted], atHand));
  return { materials: best, exact: steps <= MOST_STEPS };
}

/** What the open job that asks most still costs at the least. */
function leastMore(open: readonly Need[], taken: ReadonlySet<string>, atHand: ReadonlySet<string>): number {
  return Math.max(
    ...open.map(({ serving }) => Math.min(...serving.map(({ materials }) => costOf(missing(materials, taken), atHand)))),
  );
}

const missing = (materials: readonly string[], taken: ReadonlySet<string>) => materials.filter((id) => !taken.has(id));

/** Ways to serve the open job with the least choice, those that serve most others first; a way that another one serves as well is left out. */
function branches(open: readonly Need[], taken: ReadonlySet<string>, atHand: ReadonlySet<string>): string[][] {
  const tightest = open.reduce((least, need) => (need.serving.length < least.serving.length ? need : least));
  const ways = new Map<string, { more: string[]; serves: string; count: number; cost: number; score: number }>();
  for (const { materials, score } of tightest.serving) {
    const more = missing(materials, taken);
    const key = more.join('\n');
    if (ways.has(key)) continue;
    const with_ = new Set([...taken, ...more]);
    const serves = open.map(({ serving }) => within(serving, with_)?.score ?? 0);
    const count = serves.filter((each) => each > 0).length;
    ways.set(key, { more, serves: serves.join(), count, cost: costOf(more, atHand), score });
  }
  return [...ways.values()].sort((a, b) => b.count - a.count || a.cost - b.cost || b.score - a.score).map(({ more }) => more);
}

/** Always takes what serves most open jobs for its cost: a plan to begin with. */
function greedyCover(needs: readonly Need[], atHand: ReadonlySet<string>, wanted: ReadonlySet<string>): Set<string> {
  const taken = new Set(wanted);
  for (;;) {
    const open = needs.filter(({ serving }) => !within(serving, taken));
    if (open.length === 0) return taken;
    let best: { more: string[]; value: number } | undefined;
    for (const { serving } of open)
      for (const { materials } of serving) {
        const more = missing(materials, taken);
        const with_ = new Set([...taken, ...more]);
        const value = open.filter((need) => within(need.serving, with_)).length / costOf(more, atHand);
        if (!best || value > best.value) best = { more, value };
      }
    for (const id of best!.more) taken.add(id);
  }
}

/** The best stack of each job within the materials; jobs of a group share one where that costs none of them much. */
function assigned(needs: readonly Need[], materials: ReadonlySet<string>) {
  const own = needs.map((need) => ({
    job: need.job.id,
    option: within(need.serving, materials) ?? within(need.options, materials) ?? need.options[0],
  }));
  const groups = new Map<string, number[]>();
  needs.forEach(({ job }, i) => job.group !== undefined && groups.set(job.group, [...(groups.get(job.group) ?? []), i]));
  for (const members of groups.values()) {
    if (members.length < 2) continue;
    const shared = sharedStack(
      members.map((i) => needs[i]!),
      members.map((i) => own[i]!.option),
      materials,
    );
    if (shared)
      members.forEach((i) => (own[i] = { job: own[i]!.job, option: needs[i]!.options.find(({ id }) => id === shared) }));
  }
  return own;
}

function sharedStack(
  needs: readonly Need[],
  own: readonly (JobOption | undefined)[],
  materials: ReadonlySet<string>,
): string | undefined {
  let best: { id: string; sum: number } | undefined;
  for (const { id, materials: of } of needs[0]!.serving) {
    if (!of.every((material) => materials.has(material))) continue;
    const each = needs.map(({ serving }) => serving.find((option) => option.id === id));
    const fits = each.every((option, i) => option && option.score >= (own[i]?.score ?? 0) - SHARED_LOSS);
    const sum = each.reduce((total, option) => total + (option?.score ?? 0), 0);
    if (fits && (!best || sum > best.sum)) best = { id, sum };
  }
  return best?.id;
}

function gainsOf(needs: readonly Need[], used: ReadonlySet<string>): Plan['gains'] {
  const now = needs.map((need) => within(need.options, used)?.score ?? 0);
  const others = new Set(needs.flatMap(({ options }) => options.flatMap(({ materials }) => missing(materials, used))));
  const gains = [...others].map((material) => {
    const more = new Set([...used, material]);
    const each = needs.map((need, i) => Math.max(0, (within(need.options, more)?.score ?? 0) - now[i]!));
    const jobs = needs.flatMap(({ job }, i) => (each[i]! > 0.5 ? [job.id] : []));
    return { material, gain: each.reduce((sum, gain) => sum + gain, 0), jobs };
  });
  return gains
    .filter(({ gain }) => gain > 0.5)
    .sort((a, b) => b.gain - a.gain || (a.material < b.material ? -1 : 1))
    .slice(0, MOST_GAINS);
}

function lossesOf(needs: readonly Need[], used: ReadonlySet<string>): Plan['losses'] {
  return [...used].map((material) => {
    const rest = new Set([...used].filter((id) => id !== material));
    const unserved: string[] = [];
    let loss = 0;
    for (const need of needs) {
      const [before, after] = [within(need.options, used), within(need.options, rest)];
      if (before && !after) unserved.push(need.job.id);
      else loss += (before?.score ?? 0) - (after?.score ?? 0);
    }
    return { material, loss, unserved };
  });
}
