import { useEffect, useState } from 'react';
import { InputError } from '../../core/input-error';
import { MARKER } from '../../core/photo';
import { overhangReading, type Readings, type TestField } from '../../core/measure';
import { GivenUp } from '../../ui/beside';
import { SelectField } from '../../ui/form/form-fields';
import { givePhotoUp, measurePhoto } from '../../ui/photo/measure-photo';
import PhotoChoice, { PhotoProgress } from '../../ui/photo/PhotoChoice';
import { lengthForField } from '../../core/units';
import { useUnits } from '../../ui/units-context';

/** Readings as they are put into their fields. */
export type PhotoRead = Record<string, string>;

interface Props {
  test: 'overhang' | 'see-through';
  /** Fields of the test that are still to be read, and those that have been. */
  fields: readonly TestField[];
  empty: (field: string) => boolean;
  /** As they are typed now: in which way a strip is read. @throws {InputError} */
  readings: () => Readings;
  onRead: (read: PhotoRead) => void;
}

/** What was seen in a picture: in words, and as it goes into the fields. */
interface Seen {
  words: string;
  warnings: string[];
  read: (field: string) => PhotoRead;
}

const HOW = {
  overhang:
    'By a photograph: card 5 upright on the side of a box, trimmed at its upper and right side, its corner at the edge; the strip hangs over it to the right, before a plain wall of another tone. Two more cards beside it on the same side measure the lens.',
  'see-through':
    'By a photograph: one thickness over the lower half of the white and the black field beside card 8, from above, in even light, without flash.',
};

/** Reads a test off a photograph with printed cards, beside the page. */
export default function PhotoReading({ test, fields, empty, readings, onRead }: Props) {
  const { system, said } = useUnits();
  const [marker, setMarker] = useState(MARKER);
  const [progress, setProgress] = useState<{ doing: string; share: number }>();
  const [error, setError] = useState<string>();
  const [seen, setSeen] = useState<Seen>();
  const sides = fields.filter(({ id }) => id.startsWith('length-') || id.startsWith('cross-'));
  const [side, setSide] = useState<string>();
  const into = side ?? sides.find(({ id }) => empty(id))?.id ?? sides[0]?.id ?? '';
  useEffect(() => givePhotoUp, []);

  const look = async (file: File) => {
    setError(undefined);
    setSeen(undefined);
    setProgress({ doing: 'Reading the picture', share: 0 });
    const told = (doing: string, share: number) => setProgress({ doing, share });
    try {
      if (test === 'overhang') {
        const { bendingLength, low, high, warnings } = await measurePhoto('hang', [file], marker, told);
        setSeen({
          words: `Bending length ${bendingLength.toFixed(1)} mm, between ${low.toFixed(1)} and ${high.toFixed(1)} mm by this picture.`,
          warnings,
          // In the way that is set: what stands in the other fields goes on meaning what it meant.
          read: (field) => ({
            [field]: lengthForField(Math.round(overhangReading(bendingLength, readings()) * 10) / 10, system),
          }),
        });
      } else {
        const { opacity, reflectance, transmittance, warnings } = await measurePhoto('contrast', [file], marker, told);
        const share = (value: number) => (100 * value).toFixed(1);
        setSeen({
          words: `Opacity ${Math.round(opacity)} %: it throws back ${share(reflectance)} % of the light and lets ${share(transmittance)} % through.`,
          warnings,
          read: () => ({ way: 'photo', reflectance: share(reflectance), transmittance: share(transmittance) }),
        });
      }
    } catch (problem) {
      if (!(problem instanceof GivenUp))
        setError(said((problem as Error).message.replace(/^(picture|body): must/, 'The photograph must')));
    } finally {
      setProgress(undefined);
    }
  };
  return (
    <section className="space-y-3 rounded-box border border-base-300 p-3" aria-label="By a photograph">
      <p>
        {HOW[test]}{' '}
        <a className="link" href="/prints">
          Print the cards
        </a>
      </p>
      <PhotoChoice
        words={seen ? 'Another photograph' : 'Choose the photograph'}
        accept="image/png,image/jpeg"
        sample={{ name: test === 'overhang' ? 'hang' : 'see-through', words: 'Try a made-up one' }}
        busy={progress !== undefined}
        marker={marker}
        onMarker={(mm) => {
          setMarker(mm);
          // What was seen was measured by another card.
          setSeen(undefined);
        }}
        onFiles={([file]) => void look(file!)}
        onError={setError}
      />
      {progress && <PhotoProgress {...progress} />}
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      {seen && (
        <div className="space-y-2 border-l-4 border-accent pl-3" role="status">
          <p>{seen.words}</p>
          {seen.warnings.map((warning) => (
            <p key={warning} className="font-semibold">
              {said(warning)}
            </p>
          ))}
          <div className="flex flex-wrap items-end gap-3">
            {test === 'overhang' && (
              <div className="w-64">
                <SelectField
                  label="It is the reading"
                  value={into}
                  options={sides.map(({ id, label, group }) => [id, `${group ?? ''}: ${label.toLowerCase()}`] as const)}
                  onChange={setSide}
                />
              </div>
            )}
            <button
              type="button"
              className="btn btn-primary"
              onClick={() => {
                try {
                  onRead(seen.read(into));
                  setSeen(undefined);
                  setSide(undefined);
                } catch (problem) {
                  if (!(problem instanceof InputError)) throw problem;
                  setError(`First put right how it is read: ${said(problem.message.replace(/^[^:]*: /, ''))}.`);
                }
              }}
            >
              Put it in
            </button>
          </div>
        </div>
      )}
    </section>
  );
}
