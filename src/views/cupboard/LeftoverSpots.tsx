import { useEffect, useRef, useState } from 'react';
import { bounds, isInside, type Point } from '../../core/shape';
import LengthField from '../../ui/LengthField';
import { closedPath, pointerPlace } from '../../ui/svg-path';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import { roundSpot, type LeftoverShape } from './leftover-shape';

interface Props {
  shape: LeftoverShape;
  onDone: (spots: LeftoverShape['spots']) => void;
  onClose: () => void;
}

/** A spot is so wide to begin with, mm. */
const USUAL = 30;

/** Holes and stains of a leftover, put down and taken away by touch or by their figures. */
export default function LeftoverSpots({ shape: { outline, spots: before }, onDone, onClose }: Props) {
  const units = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const [spots, setSpots] = useState(before);
  const [width, setWidth] = useState(USUAL);
  const { minX, minY, maxX, maxY } = bounds(outline);
  const [at, setAt] = useState<Point>([Math.round((minX + maxX) / 2), Math.round((minY + maxY) / 2)]);
  useEffect(() => dialog.current?.showModal(), []);
  const put = (place: Point) => {
    const there = spots.findIndex((spot) => isInside(place, spot));
    if (there >= 0) setSpots(spots.filter((_, i) => i !== there));
    else if (isInside(place, outline)) setSpots([...spots, roundSpot(place, width)]);
  };
  const room = 0.04 * Math.max(maxX - minX, maxY - minY);
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-label="Spots that may not be used"
      onClose={(event) => {
        event.stopPropagation();
        onClose();
      }}
    >
      <div className="modal-box max-w-3xl space-y-4">
        <h2 className="text-xl font-bold">Spots that may not be used</h2>
        <p>Touch where a hole or a stain is; touch it again to take it away. Nothing is laid on it.</p>
        <svg
          role="img"
          aria-label={`The leftover with ${counted(spots.length, 'spot')}`}
          viewBox={`${minX - room} ${-maxY - room} ${maxX - minX + 2 * room} ${maxY - minY + 2 * room}`}
          className="max-h-[36vh] w-full cursor-crosshair touch-manipulation"
          onClick={(event) => {
            const place = pointerPlace(event.currentTarget, event);
            if (place) put(place);
          }}
        >
          <path d={closedPath(outline)} fill="var(--chalk)" fillOpacity={0.16} stroke="var(--ink)" strokeWidth={room / 8} />
          {spots.map((spot, i) => (
            <path key={i} d={closedPath(spot)} fill="var(--pin)" fillOpacity={0.35} stroke="var(--pin)" strokeWidth={room / 8} />
          ))}
        </svg>
        <div className="grid items-end gap-4 sm:grid-cols-[repeat(3,1fr)_auto]">
          <LengthField label="Width of a spot" value={width} min={2} onChange={setWidth} />
          <LengthField label="From the left" value={at[0] - minX} onChange={(mm) => setAt([minX + mm, at[1]])} />
          <LengthField label="From below" value={at[1] - minY} onChange={(mm) => setAt([at[0], minY + mm])} />
          <button type="button" className="btn" onClick={() => put(at)}>
            Put it there
          </button>
        </div>
        <p role="status">
          {counted(spots.length, 'spot')} in {units.size(maxX - minX, maxY - minY)}.
        </p>
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-primary"
            onClick={() => {
              onDone(spots);
              dialog.current?.close();
            }}
          >
            Done
          </button>
          {spots.length > 0 && (
            <button type="button" className="btn" onClick={() => setSpots([])}>
              None of them
            </button>
          )}
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Leave as it was
          </button>
        </div>
      </div>
    </dialog>
  );
}
