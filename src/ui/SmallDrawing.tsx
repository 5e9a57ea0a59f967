/** The small drawing of a project’s pieces, or of one job on its piece: it stands beside the name, which says the same in words. */
export default function SmallDrawing({ of, id, className }: { of: 'projects' | 'jobs'; id: string; className: string }) {
  return (
    <img
      src={`/api/${of}/${id}/drawing.svg`}
      alt=""
      loading="lazy"
      decoding="async"
      className={`shrink-0 object-contain ${className}`}
    />
  );
}
