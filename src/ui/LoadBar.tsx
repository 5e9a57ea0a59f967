interface Props {
  /** Stitches per cm² of the motif, what the stack carries, and their ratio with the length of the thread in it. */
  load: { stitches: number; carried: number; share: number };
}

/** The motif's load against what cloth and stack carry, with the limit marked. */
export default function LoadBar({ load }: Props) {
  const { stitches, carried, share } = load;
  const verdict =
    share <= 0.8 ? 'carried easily' : share <= 1 ? 'near the limit' : share <= 1.5 ? 'too much for this stack' : 'far too much';
  const scale = Math.max(1.25, share * 1.05);
  const limit = 100 / scale;
  return (
    <figure>
      <div className="relative h-6 rounded bg-base-300" aria-hidden="true">
        <div
          className={`h-6 rounded-l ${share > 1 ? 'bg-error' : share > 0.8 ? 'bg-accent' : 'bg-success'}`}
          style={{ width: `${(share / scale) * 100}%` }}
        />
        <div className="absolute inset-y-[-3px] w-[3px] bg-base-content" style={{ left: `${limit}%` }} />
      </div>
      <figcaption className="mt-1">
        The motif has about <strong>{Math.round(stitches)}</strong> stitches per cm², the stack carries about{' '}
        <strong>{Math.round(carried / 5) * 5}</strong> (the mark): <strong>{verdict}</strong>.
      </figcaption>
    </figure>
  );
}
