import type { Choice, RuledOutStack } from '../../core/choose';

interface Props {
  choice: Pick<Choice, 'ruledOut' | 'ruledOutGroups'>;
  /** The answers: what is looked for may stand among them. */
  ranked: Choice['ranked'];
  /** Words that are looked for; of a large cupboard the server looks. */
  find: string;
  onFind: (find: string) => void;
}

/** So many of the answers are told where they stand. */
const MOST_STANDING = 6;

/** Where what is looked for stands among the answers, and what holds it down: its weakest point against the best answer's. */
function standingOf(ranked: Choice['ranked'], words: readonly string[]) {
  const best = ranked[0];
  return ranked
    .map((stack, i) => ({ stack, rank: i + 1 }))
    .filter(({ stack }) => words.every((word) => stack.title.toLowerCase().includes(word)))
    .slice(0, MOST_STANDING)
    .map(({ stack, rank }) => {
      const behind = stack.criteria
        .map((criterion) => ({
          criterion,
          by: ((best?.criteria.find(({ id }) => id === criterion.id)?.score ?? 0) - criterion.score) * criterion.share,
        }))
        .sort((a, b) => b.by - a.by)[0];
      return { stack, rank, why: rank === 1 || !behind || behind.by <= 0 ? 'Nothing serves better.' : behind.criterion.why };
    });
}

/** Everything that was not offered, gathered by reason and searchable: “why not the medium woven?” */
export default function RuledOut({ choice, ranked, find, onFind }: Props) {
  const { ruledOut, ruledOutGroups } = choice;
  const total = ruledOutGroups.reduce((sum, { count }) => sum + count, 0);
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const found = ruledOut.filter((stack) => words.every((word) => `${stack.title} ${stack.why}`.toLowerCase().includes(word)));
  const standing = words.length === 0 ? [] : standingOf(ranked, words);
  const groups = new Map<string, RuledOutStack[]>();
  for (const stack of found) groups.set(stack.group, [...(groups.get(stack.group) ?? []), stack]);
  const countOf = (group: string, here: number) =>
    words.length > 0 ? here : (ruledOutGroups.find((each) => each.group === group)?.count ?? here);
  const order = [...groups].sort((a, b) =>
    a[0] === 'Made for something else'
      ? 1
      : b[0] === 'Made for something else'
        ? -1
        : countOf(b[0], b[1].length) - countOf(a[0], a[1].length),
  );
  return (
    <section aria-labelledby="ruled-out" className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3 border-b border-base-300 pb-2">
        <h2 id="ruled-out" className="chalk-heading">
          Ruled out: {total} {total === 1 ? 'layer' : 'layers'}
        </h2>
        <label className="flex items-center gap-2">
          <span className="font-semibold whitespace-nowrap">Why not</span>
          <input
            className="input w-64"
            type="search"
            placeholder="medium woven …"
            value={find}
            onChange={(e) => onFind(e.target.value)}
          />
        </label>
      </div>
      {standing.length > 0 && (
        <ul className="space-y-1.5 border-b border-base-300 py-3" aria-label="Among the answers">
          {standing.map(({ stack, rank, why }) => (
            <li key={stack.id}>
              <span className="font-semibold">{stack.title}</span> is an answer: place {rank} of {ranked.length},{' '}
              {Math.round(stack.score)} of 100. {why}
            </li>
          ))}
        </ul>
      )}
      {order.map(([group, stacks]) => (
        <details key={group} open={words.length > 0} className="border-b border-base-300">
          <summary className="flex min-h-[48px] cursor-pointer items-center gap-2 font-semibold">
            {group}
            <span className="badge badge-neutral">{countOf(group, stacks.length)}</span>
          </summary>
          <ul className="mb-3 grid gap-x-8 gap-y-2 md:grid-cols-2">
            {stacks.slice(0, 80).map((stack) => (
              <li key={stack.id}>
                <span className="font-semibold">{stack.title}.</span> {stack.why}
              </li>
            ))}
            {countOf(group, stacks.length) > Math.min(80, stacks.length) && (
              <li className="quiet">
                And {countOf(group, stacks.length) - Math.min(80, stacks.length)} more; search to narrow them down.
              </li>
            )}
          </ul>
        </details>
      ))}
      {found.length === 0 && standing.length === 0 && (
        <p className="py-3">Nothing in the cupboard has those words in it, ruled out or not.</p>
      )}
    </section>
  );
}
