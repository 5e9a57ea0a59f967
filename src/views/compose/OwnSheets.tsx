import { useState } from 'react';
import { MOST_SHEETS } from '../../core/hoop';
import { usedOf } from '../../core/layers';
import type { Judgement } from '../../server/motif-work';
import type { HoopingStack } from '../../store/hoopings';
import { useAsked } from '../../ui/query';
import AddLayer from './AddLayer';
import BrokenStops from './BrokenStops';
import ComposedLayers from './ComposedLayers';
import { added, type ComposedLayer } from './composed';

interface Props {
  motifId: string;
  /** What is asked beside the layers: cloth, role, needle, cut, care. */
  asked: Readonly<Record<string, unknown>>;
  cloths: { id: string; name: string; own: boolean }[];
  /** What is done with it, as its button says. */
  take: string;
  onTake: (stack: HoopingStack) => void;
}

const VERDICT_WORDS = { easily: 'carried easily', near: 'near the limit', 'too-much': 'too much for it' } as const;

/** Layers as the hoop keeps them, each with how it is joined. */
const sheetsOf = (layers: readonly ComposedLayer[]): HoopingStack['layers'] =>
  layers.map(({ materialId, angle, join, form }) => ({
    ...usedOf(materialId),
    angle,
    ...(join === form ? {} : { join }),
  }));

/** Sheets and liquids of one's own for a motif, outermost first, judged under it as they are put together. */
export default function OwnSheets({ motifId, asked, cloths, take, onTake }: Props) {
  const [layers, setLayers] = useState<ComposedLayer[]>([]);
  const [accepted, setAccepted] = useState<string[]>([]);
  const { answer, current, error } = useAsked<Judgement>(layers.length === 0 ? undefined : `/api/motifs/${motifId}/judge`, {
    ...asked,
    layers: sheetsOf(layers),
  });
  const judged = layers.length > 0 ? answer?.asked : undefined;
  const stops = judged?.stops ?? [];
  const known = stops.every(({ words }) => accepted.includes(words));
  return (
    <section className="sheet space-y-4 p-4" aria-label="Sheets of your own">
      <h3 className="chalk-heading">Sheets of your own</h3>
      {layers.length === 0 ? (
        <p>Add the first layer below. What lies on top comes first, then what lies under the cloth.</p>
      ) : (
        <ComposedLayers layers={layers} stops={stops} inHoop onChange={setLayers} />
      )}
      {judged && (
        <p className={`border-l-4 border-accent pl-3 ${current ? '' : 'opacity-60'}`} aria-live="polite" aria-busy={!current}>
          <strong>{VERDICT_WORDS[judged.verdict.verdict]}</strong>, about{' '}
          {Math.max(5, Math.round((100 * judged.verdict.share) / 5) * 5)} % of what it bears. {judged.verdict.topping.why}
        </p>
      )}
      <BrokenStops stops={stops} accepted={accepted} onAccept={setAccepted} />
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      {layers.length > 0 && (
        <button
          type="button"
          className="btn btn-primary"
          disabled={!judged || !current || !known}
          onClick={() => judged && onTake({ title: judged.title, layers: sheetsOf(layers) })}
        >
          {take}
        </button>
      )}
      {layers.length < MOST_SHEETS ? (
        <AddLayer cloths={cloths} onAdd={(layer) => setLayers((all) => [...all, added(layer)])} />
      ) : (
        <p className="quiet">More than {MOST_SHEETS} layers do not go under one needle.</p>
      )}
    </section>
  );
}
