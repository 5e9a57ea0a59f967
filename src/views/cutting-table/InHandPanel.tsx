import { FlipHorizontal2, Lock, LockOpen, RotateCcw, RotateCw, RotateCwSquare } from 'lucide-react';
import { copyName, type CutItem } from '../../core/cutlist';
import { TILT, type InHand, type Trouble } from './table-state';

interface Props {
  inHand: InHand;
  item: CutItem;
  locked: boolean;
  trouble: Trouble | undefined;
  onTurn: () => void;
  /** Degrees counter-clockwise. */
  onTilt: (by: number) => void;
  onFlip: () => void;
  onLock: () => void;
}

/** What can be done with the piece in the hand. */
export default function InHandPanel({ inHand, item, locked, trouble, onTurn, onTilt, onFlip, onLock }: Props) {
  return (
    <section className="sheet flex flex-wrap items-center gap-3 p-3" aria-label="Piece in the hand">
      <h2 className="chalk-heading mr-auto">
        {copyName(item, inHand.copy)}
        {item.mirrored ? ', pattern face down' : ''}
      </h2>
      <button type="button" className="btn" disabled={locked || item.rotations.length < 2} onClick={onTurn}>
        <RotateCwSquare size={18} aria-hidden="true" /> Turn
      </button>
      {item.free && (
        <span className="join">
          <button
            type="button"
            className="join-item btn"
            aria-label={`Tilt by ${TILT}° to the left`}
            disabled={locked}
            onClick={() => onTilt(TILT)}
          >
            <RotateCcw size={18} aria-hidden="true" /> {TILT}°
          </button>
          <button
            type="button"
            className="join-item btn"
            aria-label={`Tilt by ${TILT}° to the right`}
            disabled={locked}
            onClick={() => onTilt(-TILT)}
          >
            {TILT}° <RotateCw size={18} aria-hidden="true" />
          </button>
        </span>
      )}
      {item.flip && (
        <button type="button" className="btn" disabled={locked} onClick={onFlip}>
          <FlipHorizontal2 size={18} aria-hidden="true" /> Flip
        </button>
      )}
      <button type="button" className="btn" aria-pressed={locked} onClick={onLock}>
        {locked ? <LockOpen size={18} aria-hidden="true" /> : <Lock size={18} aria-hidden="true" />}
        {locked ? 'Let it move again' : 'Lock it here'}
      </button>
      <p className={`w-full text-[0.95rem] ${trouble ? 'font-semibold text-error' : 'quiet'}`}>
        {trouble
          ? trouble.outside
            ? 'Part of it lies beside the cloth.'
            : trouble.spoilt
              ? 'It lies over a spot that may not be used.'
              : 'It lies on another piece.'
          : locked
            ? 'It stays here when the others are laid again.'
            : `Drag it, or move it with the arrow keys: 1 mm, with Shift 10 mm. ${keysFor(item)}`}
      </p>
    </section>
  );
}

/** Keys that do something to this piece. */
function keysFor({ rotations, free, flip }: CutItem): string {
  const turn = rotations.length > 1 ? 'R turns, ' : '';
  const tilt = free ? `comma and full stop tilt it by ${TILT}°, ` : '';
  const words = `${turn}${tilt}${flip ? 'F flips, ' : ''}K locks.`;
  return words[0]!.toUpperCase() + words.slice(1);
}
