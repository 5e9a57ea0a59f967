import { useMemo } from 'react';
import { ROLE_WORDS } from '../../core/choose';
import { fabricOf } from '../../core/cloth';
import { joinedAs, type Material } from '../../core/layers';
import { capital, lower } from '../../core/letters';
import { openPiece } from '../../core/pieces';
import { layersTogether, type LayeredJob } from '../../core/workpiece';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import type { Worked } from './worked';

interface Props {
  /** All jobs of one cut. */
  works: Worked[];
  cloth: Cloth;
  /** Every layer that the project uses. */
  materials: Material[];
  /** How far the person trims layers, mm. */
  trim: number;
}

/** So many places are told; a piece with more of them is a patchwork. */
const MOST = 4;

/** Layers of several jobs on one cut, counted together: what the piece weighs, and how stiff it is where they lie on each other. */
export default function Together({ works, cloth, materials, trim }: Props) {
  const units = useUnits();
  const found = useMemo(() => {
    const fabric = fabricOf(cloth);
    const jobs = works.flatMap(({ job, place, wish, stack }): LayeredJob[] =>
      stack ? [{ name: capital(job.name || ROLE_WORDS[wish.role]), place, wish, layers: layersOf(stack.layers, materials) }] : [],
    );
    if (jobs.length === 0) return undefined;
    try {
      return layersTogether(openPiece(works[0]!), fabric, jobs, trim);
    } catch {
      // A piece that cannot be drawn is told where it is described.
      return undefined;
    }
  }, [works, cloth, materials, trim]);
  if (!found) return null;
  const { places, weight, clothWeight } = found;
  return (
    <section className="sheet p-3" aria-label="All jobs of this cut together">
      <h2 className="font-semibold">{counted(works.length, 'job')} counted together</h2>
      <p className="leading-snug">
        One piece weighs about {grams(weight)}, of which {grams(clothWeight)} are cloth.
      </p>
      {places.length === 0 && works.length > 1 && <p className="quiet mt-1">Their layers lie beside each other.</p>}
      <ul className="mt-1 space-y-2">
        {places.slice(0, MOST).map(({ jobs, layers, area, predicted }) => (
          <li key={`${jobs.join()} ${layers.map(({ id }) => id).join()}`} className="border-t border-base-300 pt-1 leading-snug">
            <strong>{[jobs[0], ...jobs.slice(1).map(lower)].join(' and ')}</strong> lie on each other on {units.area(area)}:{' '}
            {predicted.thickness.toFixed(1)} mm thick, about {Math.round(predicted.arealDensity / 10) * 10} g/m², bending length{' '}
            {Math.round(predicted.low)} to {Math.round(predicted.high)} mm.
          </li>
        ))}
      </ul>
    </section>
  );
}

function layersOf(kept: NonNullable<Worked['stack']>['layers'], materials: readonly Material[]): LayeredJob['layers'] {
  return kept.flatMap(({ materialId, extent, cut, join }) => {
    const material = materials.find(({ id }) => id === materialId);
    return material ? [{ material: joinedAs(material, join), extent, cut }] : [];
  });
}

/** Grams as a kitchen balance shows them. */
function grams(weight: number): string {
  return weight < 10 ? `${weight.toFixed(1)} g` : `${Math.round(weight)} g`;
}
