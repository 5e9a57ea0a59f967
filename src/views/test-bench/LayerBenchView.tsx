import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { overhangFromBendingLength } from '../../core/cloth';
import { capital } from '../../core/letters';
import { FAMILY_WORDS, FORM_WORDS, type LawFigure } from '../../core/layers';
import { LAYER_TESTS, type LayerTestId } from '../../core/measure';
import type { LengthSystem } from '../../core/units';
import { UnitsProvider, useUnits } from '../../ui/units-context';
import type { Layer } from '../../store/layers';
import TestList from './TestList';
import TestPanel from './TestPanel';

interface Props {
  units: LengthSystem;
  layer: Layer;
  startTest: LayerTestId;
}

/** The test bench of one layer: six home tests, in any order, none of them needed. */
export default function LayerBenchView(props: Props) {
  return (
    <UnitsProvider value={props.units}>
      <Bench {...props} />
    </UnitsProvider>
  );
}

const GLUE_MELTS = ['it has no glue', 'melts at cool', 'melts at medium', 'melts at hot'];

function Bench({ layer: startLayer, startTest }: Props) {
  const [layer, setLayer] = useState(startLayer);
  const [testId, setTestId] = useState(startTest);
  const [stale, setStale] = useState(false);
  const units = useUnits();
  const test = LAYER_TESTS.find(({ id }) => id === testId)!;
  const done = LAYER_TESTS.filter(({ id }) => layer.tests[id]).length;
  const go = (id: LayerTestId) => {
    setTestId(id);
    history.replaceState(null, '', `?test=${id}`);
  };
  const step = (by: number) => go(LAYER_TESTS[(LAYER_TESTS.indexOf(test) + by + LAYER_TESTS.length) % LAYER_TESTS.length]!.id);
  useHotkeys('j', () => step(1));
  useHotkeys('k', () => step(-1));
  const about = (figure: LawFigure, words: string) => `${layer.estimated.includes(figure) ? 'estimated, about ' : ''}${words}`;
  const known = (id: LayerTestId): string => {
    switch (id) {
      case 'weight':
        return units.weight(layer.arealDensity);
      case 'thickness':
        return about('thickness', `${layer.thickness.toFixed(2)} mm`);
      case 'overhang':
        return about('bendingLength', `c ${Math.round(layer.bendingLength)} mm`);
      case 'stretch':
        return `${Math.round(layer.stretchLength)} % along, ${Math.round(layer.stretchCross)} % across`;
      case 'heat':
        return GLUE_MELTS[layer.leaflet.ironDots]!;
      case 'shrinkage':
        return layer.preShrink ? 'shrink it first' : 'need not be shrunk';
    }
  };
  return (
    <>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href="/cupboard?shelf=layers">
          Cupboard
        </a>{' '}
        · test bench
      </p>
      <h1 className="text-2xl font-bold">{layer.name}</h1>
      <p>
        {capital(FAMILY_WORDS[layer.family])}, {FORM_WORDS[layer.form]}.{' '}
        {done === 0 ? 'No test done yet' : `${done} of ${LAYER_TESTS.length} tests done`}; what was not measured follows from
        others of its family at its weight: it should overhang about{' '}
        {units.length(overhangFromBendingLength(layer.bendingLength))} on the jig.
      </p>
      {stale && (
        <p role="alert" className="mt-3 rounded-box border-2 border-error p-3 font-semibold">
          This layer was changed in another tab. Nothing was overwritten: your readings are still in the fields, the rest is shown
          as it is now. Keep them again if they still hold.
        </p>
      )}
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[18rem_1fr]">
        <TestList tests={LAYER_TESTS} done={layer.tests} current={testId} known={known} onGo={go} />
        <TestPanel
          key={testId}
          path={`/api/layers/${layer.id}/tests`}
          record={layer}
          test={test}
          onSaved={(saved) => {
            setLayer(saved);
            setStale(false);
          }}
          onStale={(current) => {
            setLayer(current);
            setStale(true);
          }}
        />
      </div>
    </>
  );
}
