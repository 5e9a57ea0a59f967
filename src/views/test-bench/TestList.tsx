import { Check, Circle } from 'lucide-react';

interface Props<Id extends string> {
  tests: readonly { id: Id; title: string }[];
  done: Partial<Record<Id, unknown>>;
  current: Id;
  /** What is known of the property so far, in words. */
  known: (id: Id) => string;
  onGo: (id: Id) => void;
}

/** All home tests of a cloth or a layer: which are done, and what is known. */
export default function TestList<Id extends string>({ tests, done, current, known, onGo }: Props<Id>) {
  return (
    <nav aria-label="Tests" className="space-y-1">
      {tests.map(({ id, title }) => (
        <button
          key={id}
          type="button"
          aria-current={id === current ? 'true' : undefined}
          onClick={() => onGo(id)}
          className={`flex min-h-[50px] w-full items-center gap-2 rounded-field border-2 px-3 text-left ${id === current ? 'border-primary bg-base-200' : 'border-base-300 hover:border-primary'}`}
        >
          {done[id] ? (
            <Check size={18} className="shrink-0 text-success" aria-label="done" />
          ) : (
            <Circle size={18} className="shrink-0 opacity-40" aria-label="not done" />
          )}
          <span className="min-w-0 leading-tight">
            <span className="block font-semibold">{title}</span>
            <span className="quiet block text-[0.88rem]">{known(id)}</span>
          </span>
        </button>
      ))}
      <p className="pt-2">
        <a className="btn w-full" href="/prints">
          Jig, template and gauge to print
        </a>
      </p>
    </nav>
  );
}
