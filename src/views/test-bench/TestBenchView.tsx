import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { clothBendingLength, clothThickness, overhangFromBendingLength } from '../../core/cloth';
import { pickUpOf } from '../../core/liquid';
import { CLOTH_TESTS, similarCloths, type NamedFabric, type TestId } from '../../core/measure';
import type { LengthSystem } from '../../core/units';
import DroopDrawing from '../../ui/DroopDrawing';
import { UnitsProvider, useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import SimilarFigures from './SimilarFigures';
import TestList from './TestList';
import TestPanel from './TestPanel';

interface Props {
  units: LengthSystem;
  cloth: Cloth;
  /** Cloths that it can be compared with. */
  others: NamedFabric[];
  startTest: TestId;
}

/** z-value of the range that four cloths out of five fall into. */
const Z80 = 1.2816;

/** What is known of a property without its test, in words. */
function useKnown(cloth: Cloth) {
  const units = useUnits();
  const bending = clothBendingLength(cloth);
  const thick = clothThickness(cloth);
  const range = (value: number, sigma: number, digits: number) =>
    `${(value * Math.exp(-Z80 * sigma)).toFixed(digits)}–${(value * Math.exp(Z80 * sigma)).toFixed(digits)} mm`;
  return (test: TestId): string => {
    switch (test) {
      case 'weight':
        return units.weight(cloth.arealDensity);
      case 'thickness':
        return thick.source === 'measured' ? `${thick.value.toFixed(2)} mm` : `estimated ${range(thick.value, thick.sigma, 2)}`;
      case 'overhang':
        return bending.source === 'measured'
          ? `c about ${Math.round(bending.value)} mm`
          : `c estimated ${range(bending.value, bending.sigma, 0)}`;
      case 'stretch':
        return `${Math.round(cloth.stretchLength)} % along, ${Math.round(cloth.stretchCross)} % across`;
      case 'bias':
        return cloth.biasGive === undefined ? 'taken as usual, 12 %' : `${Math.round(cloth.biasGive)} %`;
      case 'water':
        return { safe: 'does no harm', spots: 'leaves a spot', resists: 'runs off' }[cloth.water];
      case 'heat':
        return ['no iron', 'cool iron', 'medium iron', 'hot iron'][cloth.ironDots]!;
      case 'see-through':
        return cloth.sheer;
      case 'fray':
        return { low: 'hardly', medium: 'some', high: 'a lot' }[cloth.fray];
      case 'uptake':
        return cloth.uptake === undefined
          ? `taken by its fibres, ${Math.round(100 * pickUpOf(cloth, 'soak'))} %`
          : `${Math.round(cloth.uptake)} % of its weight`;
      case 'shrinkage':
        return cloth.shrinkLength === undefined
          ? 'not known'
          : `${Math.round(cloth.shrinkLength)} % along${cloth.shrinkCross === undefined ? '' : `, ${Math.round(cloth.shrinkCross)} % across`}`;
    }
  };
}

/** The test bench of one cloth: ten home tests, in any order, none of them needed. */
export default function TestBenchView(props: Props) {
  return (
    <UnitsProvider value={props.units}>
      <Bench {...props} />
    </UnitsProvider>
  );
}

function Bench({ cloth: startCloth, others, startTest }: Props) {
  const [cloth, setCloth] = useState(startCloth);
  const [testId, setTestId] = useState(startTest);
  const [stale, setStale] = useState(false);
  const units = useUnits();
  const known = useKnown(cloth);
  const similar = useMemo(() => similarCloths(cloth, others, 8), [cloth, others]);
  const test = CLOTH_TESTS.find(({ id }) => id === testId)!;
  const bending = clothBendingLength(cloth);
  const done = CLOTH_TESTS.filter(({ id }) => cloth.tests[id]).length;
  const go = (id: TestId) => {
    setTestId(id);
    history.replaceState(null, '', `?test=${id}`);
  };
  const step = (by: number) => go(CLOTH_TESTS[(CLOTH_TESTS.indexOf(test) + by + CLOTH_TESTS.length) % CLOTH_TESTS.length]!.id);
  useHotkeys('j', () => step(1));
  useHotkeys('k', () => step(-1));
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <div>
          <p className="quiet">
            <a className="font-semibold text-primary underline underline-offset-2" href="/cupboard">
              Cupboard
            </a>{' '}
            · test bench
          </p>
          <h1 className="text-2xl font-bold">{cloth.name}</h1>
          <p>
            {done === 0 ? 'No test done yet' : `${done} of ${CLOTH_TESTS.length} tests done`}; what was not measured stands as it
            was described, or is estimated and shown with its range.
          </p>
        </div>
        <div className="flex items-center gap-3">
          <DroopDrawing
            size="thumb"
            stack={{
              bendingLength: bending.value,
              low: bending.value * Math.exp(-Z80 * bending.sigma),
              high: bending.value * Math.exp(Z80 * bending.sigma),
            }}
            label={`A strip of ${cloth.name} over a table edge`}
          />
          <p className="max-w-64 text-[0.95rem]">
            Bending length about <strong>{Math.round(bending.value)} mm</strong>,{' '}
            {bending.source === 'measured'
              ? 'measured.'
              : `estimated: it should overhang about ${units.length(overhangFromBendingLength(bending.value))} on the jig.`}
          </p>
          <a className="btn" href={`/?cloth=${cloth.id}`}>
            Choose layers for it
          </a>
        </div>
      </div>
      {stale && (
        <p role="alert" className="mt-3 rounded-box border-2 border-error p-3 font-semibold">
          This cloth was changed in another tab. Nothing was overwritten: your readings are still in the fields, the rest is shown
          as it is now. Keep them again if they still hold.
        </p>
      )}
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[18rem_1fr]">
        <TestList tests={CLOTH_TESTS} done={cloth.tests} current={testId} known={known} onGo={go} />
        <TestPanel
          key={testId}
          path={`/api/cloths/${cloth.id}/tests`}
          record={cloth}
          test={test}
          onSaved={(saved) => {
            setCloth(saved);
            setStale(false);
          }}
          onStale={(current) => {
            setCloth(current);
            setStale(true);
          }}
        >
          {(figures) => <SimilarFigures test={test} similar={similar} figures={figures} />}
        </TestPanel>
      </div>
    </>
  );
}
