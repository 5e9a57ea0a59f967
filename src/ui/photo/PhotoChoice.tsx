import FilePicker from '../FilePicker';
import LengthField from '../LengthField';
import { givePhotoUp, samplePhoto } from './measure-photo';

/** Pictures of one table that are measured together. */
const MOST_PICTURES = 4;

interface ChoiceProps {
  words: string;
  /** As an input's `accept`. */
  accept: string;
  /** A made-up photograph, and what the button says that takes it. */
  sample: { name: Parameters<typeof samplePhoto>[0]; words: string };
  busy: boolean;
  /** Side of a card's black square, mm. */
  marker: number;
  onMarker: (mm: number) => void;
  /** Pictures that were measured: another one of the same table may be put to them. */
  photos?: readonly File[];
  onFiles: (files: readonly File[]) => void;
  onError: (words: string) => void;
}

/** Asks for a photograph, or takes a made-up one, and for the size of its cards. */
export default function PhotoChoice({ words, accept, sample, busy, marker, onMarker, photos, onFiles, onError }: ChoiceProps) {
  return (
    <div className="flex flex-wrap items-end gap-4">
      <FilePicker words={words} accept={accept} onFiles={onFiles} several={photos !== undefined} />
      {photos && photos.length > 0 && photos.length < MOST_PICTURES && (
        <FilePicker
          words={photos.length === 1 ? 'The rest of it in a second picture' : 'One picture more'}
          accept="image/png,image/jpeg"
          onFiles={(more) => onFiles([...photos, ...more])}
        />
      )}
      <button
        type="button"
        className="btn"
        disabled={busy}
        onClick={() =>
          void samplePhoto(sample.name).then(
            (file) => onFiles([file]),
            (problem: Error) => onError(problem.message),
          )
        }
      >
        {sample.words}
      </button>
      <div className="w-56">
        <LengthField label="Side of a card’s black square" value={marker} min={10} onChange={onMarker} />
      </div>
    </div>
  );
}

/** How far the measuring is, with a way to stop it. */
export function PhotoProgress({ doing, share }: { doing: string; share: number }) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-3">
      {doing} …
      <progress className="progress w-40 progress-primary" aria-label="Measuring" value={share} max={1} />
      <button type="button" className="btn" onClick={givePhotoUp}>
        Stop
      </button>
    </p>
  );
}
