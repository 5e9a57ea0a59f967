import { RotateCw } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { straightTurn, type Traced, type TracedPiece } from '../../core/photo';
import { bounds, transformed, type Outline } from '../../core/shape';
import { GivenUp } from '../../ui/beside';
import { CheckField } from '../../ui/form/form-fields';
import OutlineThumb from '../../ui/OutlineThumb';
import PhotoChoice, { PhotoProgress } from '../../ui/photo/PhotoChoice';
import { useTraced, wordsOfPhoto } from '../../ui/photo/use-traced';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { LeftoverShape } from './leftover-shape';

interface Props {
  onTaken: (shape: LeftoverShape) => void;
  onClose: () => void;
}

/** The shape of a leftover, with its holes and stains, out of a photograph with cards. */
export default function LeftoverPhoto({ onTaken, onClose }: Props) {
  const units = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const traces = useTraced();
  const [traced, setTraced] = useState<Traced>();
  const [chosen, setChosen] = useState(0);
  /** Quarter turns to the right. */
  const [turns, setTurns] = useState(0);
  const [spotted, setSpotted] = useState(true);
  const [error, setError] = useState<string>();
  useEffect(() => dialog.current?.showModal(), []);

  const read = async (photos: readonly File[]) => {
    setError(undefined);
    setTraced(undefined);
    setChosen(0);
    setTurns(0);
    try {
      setTraced(await traces.trace(photos));
    } catch (problem) {
      if (!(problem instanceof GivenUp)) setError(units.said(wordsOfPhoto(problem as Error)));
    }
  };
  const piece = traced?.pieces[chosen];
  const shape = piece && shapeOf(piece, turns, traces.scale);
  const { minX, minY, maxX, maxY } = bounds(shape?.outline ?? []);
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-label="The leftover in a photograph"
      onClose={(event) => {
        event.stopPropagation();
        onClose();
      }}
    >
      <div className="modal-box max-w-3xl space-y-4">
        <h2 className="text-xl font-bold">The leftover in a photograph</h2>
        <p>
          Lay it flat and right side up on a table of another tone, three or more{' '}
          <a className="link" href="/prints">
            printed cards
          </a>{' '}
          round it, and take the picture from above. Holes and stains in it are found too.
        </p>
        <PhotoChoice
          words={traced ? 'Another photograph' : 'Choose the photograph'}
          accept="image/png,image/jpeg"
          sample={{ name: 'leftover', words: 'Try a made-up one' }}
          busy={traces.progress !== undefined}
          marker={traces.marker}
          onMarker={traces.setMarker}
          photos={traces.photos}
          onFiles={(files) => void read(files)}
          onError={setError}
        />
        {traces.progress && <PhotoProgress {...traces.progress} />}
        {error && (
          <p role="alert" className="font-semibold text-error">
            {error}
          </p>
        )}
        {traced?.warnings.map((words) => (
          <p key={words}>{units.said(words)}</p>
        ))}
        {traced && traced.pieces.length > 1 && (
          <fieldset className="flex flex-wrap gap-3">
            <legend className="mb-1 font-semibold">Which of them is it?</legend>
            {traced.pieces.map(({ outline }, i) => (
              <label key={i} className="sheet flex cursor-pointer items-center gap-2 p-2">
                <input
                  type="radio"
                  name="leftover-of-photo"
                  className="radio"
                  checked={chosen === i}
                  onChange={() => setChosen(i)}
                  aria-label={`Piece ${i + 1}`}
                />
                <OutlineThumb outlines={[outline]} size={56} />
              </label>
            ))}
          </fieldset>
        )}
        {shape && (
          <div className="flex flex-wrap items-center gap-5">
            <OutlineThumb
              outlines={[shape.outline, ...(spotted ? shape.spots : [])]}
              size={180}
              label="The leftover as it lies"
            />
            <div className="space-y-3">
              <p className="text-lg font-bold tabular-nums" role="status">
                {units.size(maxX - minX, maxY - minY)}
              </p>
              {piece!.unsure.map((words) => (
                <p key={words} className="font-semibold">
                  Look again: {words}.
                </p>
              ))}
              <p>The grain is to run up and down.</p>
              <button type="button" className="btn" onClick={() => setTurns((turns + 1) % 4)}>
                <RotateCw size={18} aria-hidden="true" /> Turn it
              </button>
              {shape.spots.length > 0 && (
                <CheckField
                  label={`Keep clear of ${counted(shape.spots.length, 'spot')}`}
                  checked={spotted}
                  onChange={setSpotted}
                />
              )}
            </div>
          </div>
        )}
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-primary"
            disabled={!shape}
            onClick={() => {
              onTaken({ outline: shape!.outline, spots: spotted ? shape!.spots : [] });
              dialog.current?.close();
            }}
          >
            Take its shape
          </button>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Not now
          </button>
        </div>
      </div>
    </dialog>
  );
}

/** Turned straight, then so many quarters to the right; told to the millimetre below, which is as finely as a photograph is true. */
function shapeOf(piece: TracedPiece, turns: number, scale: number): LeftoverShape {
  const turn = straightTurn(piece) - 90 * turns;
  const laid = (outline: Outline): Outline =>
    transformed(outline, false, turn).map(([x, y]): [number, number] => [x * scale, y * scale]);
  const outline = laid(piece.outline);
  const { minX, minY, maxX, maxY } = bounds(outline);
  const [sx, sy] = [Math.floor(maxX - minX) / (maxX - minX), Math.floor(maxY - minY) / (maxY - minY)];
  const whole = (each: Outline): Outline => each.map(([x, y]): [number, number] => [(x - minX) * sx, (y - minY) * sy]);
  return { outline: whole(outline), spots: piece.drawn.spots.map((spot) => whole(laid(spot))) };
}
