import { useCallback } from 'react';
import { identifyLayer, LAYER_QUESTIONS, type Given } from '../../core/identify';
import { LAW_FIGURES, type Material } from '../../core/layers';
import { call } from '../../ui/api';
import IdentifyView from './IdentifyView';

const WORDS = {
  ...{ one: 'layer', many: 'layers', placeholder: 'White roll without a label' },
  hint: '“Take it” puts a new layer into your cupboard, described like the one beside it, and opens its test bench: weigh it first.',
};

/** What an interfacing or a sheet without a label may be. */
export default function LayerIdentify({ layers }: { layers: Material[] }) {
  const ask = useCallback((given: Given) => identifyLayer(layers, given), [layers]);
  const keep = async (id: string, name: string, looks: number) => {
    const { id: _its, ...like } = layers.find((layer) => layer.id === id)!;
    const made = await call<{ id: string }>('POST', '/api/layers', {
      ...like,
      // Nothing of this one was measured: it is estimated from its family and weight.
      estimated: LAW_FIGURES,
      name: name || `Unknown, like ${like.name.toLowerCase()}`,
      note: `Identified by ${looks} looks as like ${like.name}.`,
      inStock: true,
    });
    location.assign(`/cupboard/layers/${made.id}`);
  };
  return (
    <IdentifyView
      title="What is this interfacing?"
      words={WORDS}
      things={layers}
      questions={LAYER_QUESTIONS}
      identify={ask}
      onKeep={keep}
    />
  );
}
