import { useState } from 'react';
import { clothBendingLength, overhangFromBendingLength } from '../../core/cloth';
import DroopDrawing from '../../ui/DroopDrawing';
import Field from '../../ui/form/Field';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import ClothSelect from './ClothSelect';
import type { WorkChange, Worked } from './worked';

interface Props {
  work: Worked;
  cloths: Cloth[];
  onSave: (work: Worked, change: WorkChange) => Promise<boolean>;
  onNext: () => void;
}

/** Which cloth the piece is cut from, and what is known of it. */
export default function ClothStage({ work, cloths, onSave, onNext }: Props) {
  const units = useUnits();
  const [error, setError] = useState<string>();
  const cloth = cloths.find(({ id }) => id === work.clothId);
  const bending = cloth && clothBendingLength(cloth);
  const change = async (clothId: string) => {
    setError(undefined);
    try {
      // Another cloth makes another prediction: the stack has to be chosen again.
      await onSave(work, { clothId, stack: null, cutDone: false });
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <div className="sheet p-5">
      <h2 className="text-xl font-bold">Cloth of “{work.name}”</h2>
      <div className="mt-3 max-w-md">
        <Field
          label="Cut from"
          id="work-cloth"
          error={error}
          hint={work.stack ? 'Another cloth means choosing its layers again.' : undefined}
        >
          <ClothSelect id="work-cloth" value={work.clothId} cloths={cloths} onChange={(id) => id !== null && void change(id)} />
        </Field>
      </div>
      {cloth && bending && (
        <div className="mt-4 grid gap-6 md:grid-cols-2">
          <dl className="grid grid-cols-[auto_1fr] content-start gap-x-5 gap-y-1.5">
            {(
              [
                ['Weight', units.weight(cloth.arealDensity)],
                ['Made of', cloth.fibres.map(({ fibre, percent }) => `${percent} % ${fibre}`).join(', ') || 'not said'],
                ['Construction', `${cloth.construction}${cloth.weave && cloth.weave !== 'other' ? `, ${cloth.weave}` : ''}`],
                ['Stretch', `${cloth.stretchLength} % along, ${cloth.stretchCross} % across`],
                ['Bears', ['no iron', 'a cool iron', 'a medium iron', 'a hot iron'][cloth.ironDots]!],
                ['Water', { safe: 'does it no harm', spots: 'leaves spots', resists: 'runs off' }[cloth.water]],
                ['Look', `${cloth.sheer}, ${cloth.tone}${cloth.surface.length ? `, ${cloth.surface.join(', ')}` : ''}`],
                ['Frays', { low: 'little', medium: 'some', high: 'a lot' }[cloth.fray]],
              ] as [string, string][]
            ).map(([term, value]) => (
              <div key={term} className="contents">
                <dt className="quiet">{term}</dt>
                <dd className="font-semibold">{value}</dd>
              </div>
            ))}
          </dl>
          <div>
            <DroopDrawing
              stack={{
                bendingLength: bending.value,
                low: bending.value * Math.exp(-1.2816 * bending.sigma),
                high: bending.value * Math.exp(1.2816 * bending.sigma),
              }}
              label={`A strip of ${cloth.name} over a table edge`}
            />
            <p className="text-[0.95rem]">
              Bending length about <strong>{Math.round(bending.value)} mm</strong>,{' '}
              {bending.source === 'measured'
                ? 'from your overhang reading'
                : `estimated from its description; measured on a 41.5° jig it should overhang about ${units.length(overhangFromBendingLength(bending.value))}`}
              .
            </p>
            <p className="mt-3 flex flex-wrap gap-2">
              <a className="btn" href={`/cupboard/cloths/${cloth.id}`}>
                Test this cloth
              </a>
              <a className="btn" href={`/cupboard?edit=${cloth.id}`}>
                Correct it by hand
              </a>
            </p>
          </div>
        </div>
      )}
      <button type="button" className="btn btn-primary mt-5" disabled={!cloth} onClick={onNext}>
        On to the pieces
      </button>
    </div>
  );
}
