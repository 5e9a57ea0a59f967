import { Redo2, Undo2, ZoomIn, ZoomOut } from 'lucide-react';
import IconButton from '../../ui/IconButton';

interface Props {
  /** Share of the search that is done, 0–1; undefined when nothing is looked for. */
  progress: number | undefined;
  /** What the main button says. */
  words: string;
  disabled: boolean;
  canUndo: boolean;
  canRedo: boolean;
  onLay: () => void;
  /** What there is is good enough. */
  onEnough: () => void;
  onUndo: () => void;
  onRedo: () => void;
  onZoom: (by: number) => void;
  onFit: () => void;
}

const ZOOM = 1.3;

/** Lays, takes back, zooms. */
export default function Toolbar({
  progress,
  words,
  disabled,
  canUndo,
  canRedo,
  onLay,
  onEnough,
  onUndo,
  onRedo,
  onZoom,
  onFit,
}: Props) {
  const running = progress !== undefined;
  return (
    <div className="flex flex-wrap items-center gap-2">
      {running ? (
        <>
          <button type="button" className="btn btn-accent" onClick={onEnough}>
            Good enough
          </button>
          <progress
            className="progress w-40 progress-primary"
            value={Math.round(100 * progress)}
            max={100}
            aria-label="Looking for a shorter layout"
          />
          <span className="quiet">looking for a shorter layout</span>
        </>
      ) : (
        <button type="button" className="btn btn-primary" disabled={disabled} onClick={onLay}>
          {words}
        </button>
      )}
      <span className="ml-auto flex gap-1">
        <IconButton label="Undo" disabled={!canUndo || disabled || running} onClick={onUndo}>
          <Undo2 size={20} aria-hidden="true" />
        </IconButton>
        <IconButton label="Redo" disabled={!canRedo || disabled || running} onClick={onRedo}>
          <Redo2 size={20} aria-hidden="true" />
        </IconButton>
        <IconButton label="Smaller" onClick={() => onZoom(1 / ZOOM)}>
          <ZoomOut size={20} aria-hidden="true" />
        </IconButton>
        <IconButton label="Larger" onClick={() => onZoom(ZOOM)}>
          <ZoomIn size={20} aria-hidden="true" />
        </IconButton>
        <button type="button" className="btn" onClick={onFit}>
          All of it
        </button>
      </span>
    </div>
  );
}
