import { useHotkeys } from 'react-hotkeys-hook';
import type { CutItem, TableSource } from '../../core/cutlist';
import { changed, lockKey, TILT, tilted, turned, type Arranged, type InHand } from './table-state';

interface Options {
  inHand: InHand | undefined;
  laid: Arranged['laid'];
  locked: Arranged['locked'];
  items: readonly CutItem[];
  sources: readonly TableSource[];
  disabled: boolean;
  /** Puts a changed arrangement on the table; changes of one name in a row are one step back. */
  put: (next: Partial<Arranged>, same?: string) => void;
  onUndo: () => void;
  onRedo: () => void;
}

/** What is done to the piece in hand, by buttons and by keys: turned, tilted, flipped, nudged, held where it lies. */
export function useInHand({ inHand, laid, locked, items, sources, disabled, put, onUndo, onRedo }: Options) {
  const act = (hand: InHand, move: Parameters<typeof changed>[2], same?: string) =>
    put({ laid: changed(laid, hand, move, items, sources) }, same);
  const itemInHand = inHand && items.find(({ id }) => id === inHand.id);
  const turnInHand = (flip: boolean) => {
    if (!inHand || !itemInHand || (flip && !itemInHand.flip)) return;
    if (!locked.includes(lockKey(inHand.sourceId, inHand))) act(inHand, (p) => turned(p, itemInHand, flip));
  };
  const tiltInHand = (by: number) => {
    if (!inHand || !itemInHand?.free || disabled || locked.includes(lockKey(inHand.sourceId, inHand))) return;
    act(inHand, (p) => tilted(p, itemInHand, by), `tilt ${lockKey(inHand.sourceId, inHand)}`);
  };
  const lockInHand = () => {
    if (!inHand) return;
    const key = lockKey(inHand.sourceId, inHand);
    put({ locked: locked.includes(key) ? locked.filter((each) => each !== key) : [...locked, key] });
  };
  const nudge = (x: number, y: number) => (event: KeyboardEvent) => {
    if (!inHand || disabled || locked.includes(lockKey(inHand.sourceId, inHand))) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    act(inHand, (p) => ({ ...p, x: p.x + x * by, y: p.y + y * by }), `nudge ${lockKey(inHand.sourceId, inHand)}`);
  };
  useHotkeys('mod+z', onUndo);
  useHotkeys('mod+shift+z, mod+y', onRedo);
  useHotkeys('r', () => turnInHand(false));
  useHotkeys('f', () => turnInHand(true));
  useHotkeys('comma', () => tiltInHand(TILT));
  useHotkeys('period', () => tiltInHand(-TILT));
  useHotkeys('k', lockInHand);
  // The length runs to the right on the screen.
  useHotkeys('right, shift+right', nudge(0, 1));
  useHotkeys('left, shift+left', nudge(0, -1));
  useHotkeys('down, shift+down', nudge(1, 0));
  useHotkeys('up, shift+up', nudge(-1, 0));

  return { act, itemInHand, turnInHand, tiltInHand, lockInHand };
}
