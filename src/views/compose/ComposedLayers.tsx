import { arrayMove } from '@dnd-kit/sortable';
import type { BrokenStop } from '../../core/choose';
import { SortableList } from '../../ui/Sortable';
import type { ComposedLayer } from './composed';
import LayerRow from './LayerRow';

interface Props {
  layers: readonly ComposedLayer[];
  stops: readonly BrokenStop[];
  /** They lie in the hoop, which says how far they reach. */
  inHoop?: boolean;
  onChange: (change: (layers: ComposedLayer[]) => ComposedLayer[]) => void;
}

/** Layers that are put together, outermost first, each with the rules that it breaks; dragged, moved, changed and left out. */
export default function ComposedLayers({ layers, stops, inHoop = false, onChange }: Props) {
  const move = (from: number, to: number) => onChange((all) => arrayMove(all, from, to));
  return (
    <SortableList ids={layers.map(({ key }) => key)} onMove={move}>
      <ol className="space-y-2" aria-label="Layers, outermost first">
        {layers.map((layer, i) => (
          <LayerRow
            key={layer.key}
            layer={layer}
            place={i}
            count={layers.length}
            broken={stops.filter(({ layer: of }) => of === i).map(({ words }) => words)}
            inHoop={inHoop}
            onChange={(to) => onChange((all) => all.map((each) => (each.key === layer.key ? { ...each, ...to } : each)))}
            onMove={(by) => move(i, i + by)}
            onRemove={() => onChange((all) => all.filter(({ key }) => key !== layer.key))}
          />
        ))}
      </ol>
    </SortableList>
  );
}
