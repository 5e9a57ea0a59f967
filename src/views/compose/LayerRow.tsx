import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { EXTENTS, EXTENT_WORDS, JOIN_WORDS } from '../../core/layers';
import { SortableRow } from '../../ui/Sortable';
import { keepUnits } from '../../ui/text';
import type { ComposedLayer } from './composed';

interface Props {
  layer: ComposedLayer;
  place: number;
  count: number;
  /** What it breaks, in words. */
  broken: string[];
  /** It lies in the hoop, where the hoop says how far it reaches. */
  inHoop?: boolean;
  onChange: (change: Partial<ComposedLayer>) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
}

/** One layer of a stack that is being put together: how far it reaches, how it is turned and joined, where it lies. */
export default function LayerRow({ layer, place, count, broken, inHoop, onChange, onMove, onRemove }: Props) {
  const { joins } = layer;
  return (
    <SortableRow id={layer.key} name={layer.name} className="rounded-box border border-base-300 bg-base-100 p-3">
      {(handle) => (
        <>
          <div className="flex items-center gap-1">
            {handle}
            <p className="min-w-0 flex-1 leading-snug font-semibold">
              <span className="quiet mr-1 font-normal">{place + 1}</span> {keepUnits(layer.name)}
            </p>
            <button
              type="button"
              className="btn btn-ghost btn-icon"
              disabled={place === 0}
              aria-label={`${layer.name} farther out`}
              onClick={() => onMove(-1)}
            >
              <ArrowUp size={18} aria-hidden="true" />
            </button>
            <button
              type="button"
              className="btn btn-ghost btn-icon"
              disabled={place === count - 1}
              aria-label={`${layer.name} farther in`}
              onClick={() => onMove(1)}
            >
              <ArrowDown size={18} aria-hidden="true" />
            </button>
            <button type="button" className="btn btn-ghost btn-icon" aria-label={`Leave ${layer.name} out`} onClick={onRemove}>
              <X size={18} aria-hidden="true" />
            </button>
          </div>
          <div className="mt-2 grid gap-3 sm:grid-cols-3">
            {!inHoop && (
              <label className="block">
                <span className="text-[0.95rem]">Reaches</span>
                <select
                  className="select"
                  value={layer.extent}
                  onChange={(event) => onChange({ extent: event.target.value as ComposedLayer['extent'] })}
                >
                  {EXTENTS.map((extent) => (
                    <option key={extent} value={extent}>
                      {EXTENT_WORDS[extent]}
                    </option>
                  ))}
                </select>
              </label>
            )}
            <label className="block">
              <span className="text-[0.95rem]">{layer.form === 'liquid' ? 'Given' : 'Joined'}</span>
              <select
                className="select"
                value={layer.join}
                disabled={joins.length === 1}
                onChange={(event) => onChange({ join: event.target.value as ComposedLayer['join'] })}
              >
                {joins.map((join) => (
                  <option key={join} value={join}>
                    {JOIN_WORDS[join]}
                  </option>
                ))}
              </select>
            </label>
            <label className="block">
              <span className="text-[0.95rem]">Turned</span>
              <select
                className="select"
                value={layer.angle}
                onChange={(event) => onChange({ angle: Number(event.target.value) })}
              >
                {[0, 45, 90].map((angle) => (
                  <option key={angle} value={angle}>
                    {angle === 0 ? 'with the grain' : `by ${angle}°`}
                  </option>
                ))}
              </select>
            </label>
          </div>
          {broken.map((words) => (
            <p key={words} className="mt-2 border-l-4 border-error pl-2 font-semibold text-error">
              {words}
            </p>
          ))}
        </>
      )}
    </SortableRow>
  );
}
