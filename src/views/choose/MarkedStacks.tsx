interface Props {
  count: number;
  onNone: () => void;
  onCompare: () => void;
}

/** How many stacks are marked to be compared, and what can be done with them. */
export default function MarkedStacks({ count, onNone, onCompare }: Props) {
  return (
    <p className="flex flex-wrap items-center justify-between gap-2">
      <span>{count === 1 ? 'One stack is marked; mark another.' : `${count} stacks are marked.`}</span>
      <span className="flex gap-2">
        <button type="button" className="btn btn-ghost" onClick={onNone}>
          None
        </button>
        <button type="button" className="btn btn-primary" disabled={count < 2} onClick={onCompare}>
          Side by side
        </button>
      </span>
    </p>
  );
}
