/** Looked at when the motif is sewn and the sheet is off, and again after the first wash. */
export interface AfterCheck {
  id: string;
  /** What is right. */
  right: string;
  /** What it is called when it is not. */
  wrong: string;
  /** Why, and what helps the next time. */
  cause: string;
  remedy: string;
  /** It tells that the stack did not carry the motif. */
  load: boolean;
  /** Seen only after washing. */
  washed?: true;
}

export const AFTER_CHECKS: readonly AfterCheck[] = [
  { id: 'outline', right: 'The outline sits on its fill', wrong: 'Outline off its fill', cause: 'The cloth slipped or was drawn in while the fill was sewn.', remedy: 'Join sheet and cloth: spray, stick or fuse. Hoop again, tight as a drum.', load: true },
  { id: 'flat', right: 'The cloth lies flat round the fill', wrong: 'Tunnel or pucker round the fill', cause: 'Too little support for so many stitches, or a loose hoop.', remedy: 'One layer more, or a lighter fill. Hoop tighter.', load: true },
  { id: 'loops', right: 'Stitches stand on the face', wrong: 'Stitches sunk into the face', cause: 'Loft or loops came up between them.', remedy: 'A topping, and a firmer underlay.', load: false },
  { id: 'marks', right: 'No hoop marks', wrong: 'Hoop marks', cause: 'The clamp crushed the face, or stayed on too long.', remedy: 'Steam from the wrong side; float this cloth the next time.', load: false },
  { id: 'between', right: 'Smooth between the motifs', wrong: 'Bunched between the motifs', cause: 'One sheet spans them and holds the cloth together.', remedy: 'Cut the sheet apart between them.', load: false },
  { id: 'thread', right: 'No loops of thread, none broken', wrong: 'Loops or breaks of thread', cause: 'Gummed or blunt needle, too fast, or too dense a spot.', remedy: 'A new needle, slower; let glue cool before it is sewn through.', load: false },
  { id: 'dent', right: 'No dent round the motif', wrong: 'Dent round the motif after washing', cause: 'The sheet was trimmed flush, so its edge sank.', remedy: 'Leave 3–6 mm all round.', load: false, washed: true },
  { id: 'shrunk', right: 'Still flat after washing', wrong: 'Puckered after washing', cause: 'Cloth or sheet shrank after it was sewn.', remedy: 'Wash the cloth before; take a sheet that does not shrink.', load: true, washed: true },
]; // prettier-ignore

/**
 * Whether what was found says that the stack carried the motif.
 *
 * @example heldBy([]) // true
 */
export function heldBy(wrong: readonly string[]): boolean {
  return !AFTER_CHECKS.some(({ id, load }) => load && wrong.includes(id));
}
