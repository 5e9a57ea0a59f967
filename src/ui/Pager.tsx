/** Before and next, with which page it is; nothing where there is only one. */
export default function Pager({
  page,
  pages,
  words,
  busy,
  onGo,
}: {
  /** From 0. */
  page: number;
  pages: number;
  /** What the list holds in all, such as “312 layers”. */
  words: string;
  busy: boolean;
  onGo: (page: number) => void;
}) {
  if (pages <= 1) return null;
  return (
    <nav className="mt-3 flex flex-wrap items-center gap-3" aria-label="Pages">
      <button type="button" className="btn" disabled={page === 0 || busy} onClick={() => onGo(page - 1)}>
        Before
      </button>
      <span role="status">
        Page {page + 1} of {pages}, {words}
      </span>
      <button type="button" className="btn" disabled={page >= pages - 1 || busy} onClick={() => onGo(page + 1)}>
        Next
      </button>
    </nav>
  );
}
