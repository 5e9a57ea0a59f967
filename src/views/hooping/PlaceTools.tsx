import { Redo2, RotateCcw, RotateCw, Undo2 } from 'lucide-react';
import { atCorner, centred, type Ground, type MotifPlace } from '../../core/hoop';
import { anticlockwise, bounds, type Outline } from '../../core/shape';
import IconButton from '../../ui/IconButton';
import type { HoopingData } from './stages';

interface Props {
  ground: Ground;
  place: MotifPlace;
  piece: HoopingData['piece'];
  frozen: boolean;
  canUndo: boolean;
  canRedo: boolean;
  onUndo: () => void;
  onRedo: () => void;
  /** Degrees counter-clockwise. */
  onTurn: (by: number) => void;
  onMove: (next: Partial<MotifPlace>) => void;
}

/** Distance from both edges that a motif in a corner gets, mm. */
const CORNER = 60;

/** Undo, turns, and the places that a motif is put by eye: folds, corners, marks of the piece. */
export default function PlaceTools({ ground, place, piece, frozen, canUndo, canRedo, onUndo, onRedo, onTurn, onMove }: Props) {
  // The marks count only on the piece itself.
  const marks = piece && sameBox(piece.outline, ground.outline) ? piece.marks : [];
  const places: [words: string, to: () => Partial<MotifPlace>][] = [
    ['In the middle', () => centred(ground.outline, place, 'both')],
    ['On the upright fold', () => centred(ground.outline, place, 'x')],
    ['On the level fold', () => centred(ground.outline, place, 'y')],
    ...marks.map(({ words, at: [x, y] }): [string, () => Partial<MotifPlace>] => [`On the ${words}`, () => ({ x, y })]),
    ['In the nearest corner', () => atCorner(anticlockwise(ground.outline), nearestCorner(ground.outline, place), CORNER)],
  ];
  return (
    <div className="flex flex-wrap items-center gap-2">
      <IconButton label="Undo" disabled={!canUndo || frozen} onClick={onUndo}>
        <Undo2 size={20} aria-hidden="true" />
      </IconButton>
      <IconButton label="Redo" disabled={!canRedo || frozen} onClick={onRedo}>
        <Redo2 size={20} aria-hidden="true" />
      </IconButton>
      <IconButton label="Turn by 15° to the left" disabled={frozen} onClick={() => onTurn(15)}>
        <RotateCcw size={20} aria-hidden="true" />
      </IconButton>
      <IconButton label="Turn by 15° to the right" disabled={frozen} onClick={() => onTurn(-15)}>
        <RotateCw size={20} aria-hidden="true" />
      </IconButton>
      {places.map(([words, to], i) => (
        <button key={`${i} ${words}`} type="button" className="btn" disabled={frozen} onClick={() => onMove(to())}>
          {words}
        </button>
      ))}
    </div>
  );
}

function sameBox(a: Outline, b: Outline): boolean {
  const [p, q] = [bounds(a), bounds(b)];
  return Math.hypot(p.minX - q.minX, p.minY - q.minY, p.maxX - q.maxX, p.maxY - q.maxY) < 1;
}

function nearestCorner(outline: Outline, { x, y }: MotifPlace): number {
  let [best, least] = [0, Infinity];
  outline.forEach(([cx, cy], i) => {
    const far = Math.hypot(cx - x, cy - y);
    if (far < least) [best, least] = [i, far];
  });
  return best;
}
