import { useState } from 'react';
import type { JudgedStack, Part, PieceSize, Weights } from '../../core/choose';
import { useAsked } from '../../ui/query';
import type { Fabric } from '../../core/cloth';
import type { Schools } from '../../core/schools';
import DroopDrawing from '../../ui/DroopDrawing';
import type { KeptStack } from '../../store/jobs';
import { verdict } from '../choose/answers';
import AddLayer from './AddLayer';
import BrokenStops from './BrokenStops';
import ComposedLayers from './ComposedLayers';
import { added, namedLayers, stackOf, type ComposedLayer } from './composed';

interface Props {
  fabric: Fabric;
  part: Part;
  asked: { clothId: string; weights: Weights; schools: Partial<Schools>; piece: PieceSize };
  cloths: { id: string; name: string; own: boolean }[];
  start: ComposedLayer[];
  onTake: (stack: KeptStack) => void;
}

/** A stack of one's own: layers in any order, judged at once like any proposal. */
export default function ComposeStack({ fabric, part, asked, cloths, start, onTake }: Props) {
  const [layers, setLayers] = useState<ComposedLayer[]>(start);
  const [accepted, setAccepted] = useState<string[]>([]);
  // What was said of other layers is shown until the answer comes, never taken.
  const {
    answer: judged,
    current,
    error,
  } = useAsked<JudgedStack>(layers.length === 0 ? undefined : '/api/choose/judge', {
    fabric,
    part,
    ...asked,
    layers: namedLayers(layers),
  });
  const stops = layers.length > 0 ? (judged?.stops ?? []) : [];
  const known = stops.every(({ words }) => accepted.includes(words));
  return (
    <section className="sheet space-y-4 p-4" aria-label="A stack of your own">
      <h3 className="chalk-heading">A stack of your own</h3>
      {layers.length === 0 ? (
        <p>Add the first layer below. The outermost, next to the cloth, comes first.</p>
      ) : (
        <ComposedLayers layers={layers} stops={stops} onChange={setLayers} />
      )}
      {layers.length > 0 && judged && (
        <div
          className={`flex flex-wrap items-start gap-4 border-l-4 border-accent pl-3 ${current ? '' : 'opacity-60'}`}
          aria-live="polite"
          aria-busy={!current}
        >
          <DroopDrawing
            size="thumb"
            stack={judged.predicted}
            label={`Droop, bending length about ${Math.round(judged.predicted.bendingLength)} mm`}
          />
          <div className="min-w-0 flex-1">
            <p className="text-lg font-semibold">
              {Math.round(judged.score)} of 100, {verdict(judged.score)}
            </p>
            <p>
              Bending length about {Math.round(judged.predicted.bendingLength)} mm, four readings of five between{' '}
              {Math.round(judged.predicted.low)} and {Math.round(judged.predicted.high)}.
            </p>
            <p>{judged.reasons.slice(0, 3).join(' ')}</p>
            {judged.cautions.length > 0 && <p className="quiet">{judged.cautions.slice(0, 2).join(' ')}</p>}
          </div>
        </div>
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
          onClick={() => judged && onTake(stackOf(layers, judged, asked.schools))}
        >
          Take this stack
        </button>
      )}
      <AddLayer cloths={cloths} onAdd={(layer) => setLayers((all) => [...all, added(layer)])} />
    </section>
  );
}
