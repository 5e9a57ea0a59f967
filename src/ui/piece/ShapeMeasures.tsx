import { useId } from 'react';
import { shapeKind, type PieceShape } from '../../core/shape';
import Field from '../form/Field';
import { CheckField } from '../form/form-fields';
import LengthField from '../LengthField';
import { counted } from '../text';

const CORNER_WORDS = ['bottom left', 'bottom right', 'top right', 'top left'] as const;

interface Props {
  shape: PieceShape;
  /** Error of a field by its path. */
  error: (field: string) => string | undefined;
  onMeasure: (field: string, value: unknown) => void;
  onFault: (field: string, faulty: boolean) => void;
}

/** The measures of a shape of a kind, and which of its corners are shaped. */
export default function ShapeMeasures({ shape, error, onMeasure: setMeasure, onFault }: Props) {
  const id = useId();
  return (
    <>
      {shape.kind === 'drawn' ? (
        <p className="quiet">
          {counted(shape.edges.length, 'edge')}
          {shape.holes?.length ? `, ${counted(shape.holes.length, 'opening')}` : ''}.
        </p>
      ) : (
        <div className="grid grid-cols-2 gap-4">
          {(shapeKind(shape.kind).measures as readonly { field: string; words: string; min: number; unit?: '°' }[]).map(
            ({ field, words, min, unit }) =>
              unit ? (
                <Field key={field} label={`${words} (°)`} id={`${id}-${field}`} error={error(field)}>
                  <input
                    id={`${id}-${field}`}
                    className="input"
                    type="number"
                    min={min}
                    value={(shape as unknown as Record<string, number>)[field]}
                    onChange={(e) => setMeasure(field, Number(e.target.value))}
                  />
                </Field>
              ) : (
                <LengthField
                  key={field}
                  label={words}
                  value={(shape as unknown as Record<string, number>)[field]!}
                  min={min}
                  error={error(field)}
                  onChange={(mm) => setMeasure(field, mm)}
                  onFault={(f) => onFault(field, f)}
                />
              ),
          )}
        </div>
      )}
      {(shape.kind === 'rounded' || shape.kind === 'angled') && (
        <fieldset>
          <legend className="mb-1 font-semibold">Which corners</legend>
          <div className="flex flex-wrap gap-x-5">
            {CORNER_WORDS.map((word, i) => (
              <CheckField
                key={word}
                label={word}
                checked={shape.corners[i]!}
                onChange={(on) =>
                  setMeasure(
                    'corners',
                    shape.corners.map((was, k) => (k === i ? on : was)),
                  )
                }
              />
            ))}
          </div>
        </fieldset>
      )}
    </>
  );
}
