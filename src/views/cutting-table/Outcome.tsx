import { useMemo } from 'react';
import { BUY, shrinksFirst, type CutItem, type TableMaterial, type TableOptions, type TableSource } from '../../core/cutlist';
import { shopWords, lengthToBuy, type Laid } from '../../core/cutplan';
import { largestLeftover } from '../../core/nesting';
import type { Treatment } from '../../core/pieces';
import { bounds, intersection, polygonArea, regionArea, transformed, type Outline } from '../../core/shape';
import { formatMoney } from '../../core/units';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Settings } from '../../store/settings';

interface Props {
  material: TableMaterial;
  options: TableOptions;
  /** What a heavy wetting does to a cloth. */
  treatment: Treatment | null;
  sources: readonly TableSource[];
  laid: readonly Laid[];
  items: readonly CutItem[];
  wanted: number;
  settings: Settings;
}

/** What the layout comes to: what is used, wasted, left over, and what has to be bought. */
export default function Outcome({ material, options, treatment, sources, laid, items, wanted, settings }: Props) {
  const units = useUnits();
  const placed = laid.reduce((sum, { placements }) => sum + placements.length, 0);
  const figures = useMemo(() => {
    const areas = new Map(items.map(({ id, outline }) => [id, polygonArea(outline)]));
    let used = 0;
    let pieces = 0;
    let left: { width: number; height: number } = { width: 0, height: 0 };
    for (const each of laid) {
      const own = sources.find(({ source }) => source.id === each.sourceId);
      if (!own) continue;
      const cutOff: Outline = [
        [0, 0],
        [own.source.width, 0],
        [own.source.width, each.length],
        [0, each.length],
      ];
      used += own.source.outline ? regionArea(intersection([own.source.outline], [cutOff])) : polygonArea(cutOff);
      pieces += each.placements.reduce((sum, { id }) => sum + (areas.get(id) ?? 0), 0);
      if (own.source.outline) continue;
      const there = each.placements.flatMap(({ id, flipped, rotation, x, y }) => {
        const item = items.find((candidate) => candidate.id === id);
        return item ? [transformed(item.outline, flipped, rotation, x, y)] : [];
      });
      const free = largestLeftover(there, own.source.width, each.length);
      if (free.width * free.height > left.width * left.height) left = free;
    }
    return { used, pieces, left };
  }, [laid, sources, items]);
  const bought = laid.find(({ sourceId }) => sourceId === BUY);
  const shrink = shrinksFirst(material, options, treatment);
  const buy = lengthToBuy(bought?.length ?? 0, shrink, settings.units, options.squaring);
  const width = sources.find(({ source }) => source.id === BUY)?.fullWidth ?? 0;
  const widest = Math.max(0, ...sources.map(({ source }) => source.width));
  // Of what is wider than every source in any of its turns, the widest is named.
  const tooWide = items
    .map((item) => ({
      name: item.name,
      across: Math.min(
        ...item.rotations.map((turn) => {
          const { minX, maxX } = bounds(transformed(item.outline, false, turn));
          return maxX - minX;
        }),
      ),
    }))
    .filter(({ across }) => across > widest + 0.01)
    .sort((a, b) => b.across - a.across)[0];
  const waste = figures.used > 0 ? 1 - figures.pieces / figures.used : 0;
  return (
    <section className="sheet grid gap-x-6 gap-y-3 p-4 sm:grid-cols-3" aria-label="What it comes to">
      <div>
        <h2 className="chalk-heading">Laid</h2>
        <p className={`text-lg ${placed < wanted ? 'font-semibold text-error' : ''}`}>
          {placed < wanted
            ? `${placed} of ${counted(wanted, 'piece')}`
            : wanted === 1
              ? 'the one piece'
              : `all ${counted(wanted, 'piece')}`}
        </p>
        {placed < wanted && (
          <p className="text-[0.95rem]">
            {tooWide
              ? `“${tooWide.name}” takes at least ${units.length(tooWide.across)} across, the widest here has ${units.length(widest)}. Take a wider ${material.kind === 'cloth' ? 'cloth' : 'layer'}, or cut it in parts with a seam allowance where they join.`
              : 'The rest finds no room. Take a longer or wider piece.'}
          </p>
        )}
      </div>
      <div>
        <h2 className="chalk-heading">{bought ? 'To buy' : placed < wanted ? 'Not to be had from this' : 'Nothing to buy'}</h2>
        {bought ? (
          <p className="text-lg">
            <strong>{shopWords(buy.buy, units.system)}</strong> of {units.length(width)} wide
            {material.pricePerMetre > 0 &&
              `, about ${formatMoney(Math.round((buy.buy / 1000) * material.pricePerMetre), settings.currency)}`}
          </p>
        ) : (
          <p>{placed < wanted ? 'No length of it is enough.' : placed > 0 ? 'The cupboard covers it.' : ''}</p>
        )}
        {bought && (
          <p className="quiet text-[0.95rem]">
            {units.length(buy.needed)} laid{shrink > 0 ? `, ${Math.round(200 * shrink) / 2} % for shrinking` : ''},{' '}
            {units.length(options.squaring)} to square the end, rounded up as shops cut.
          </p>
        )}
      </div>
      <div>
        <h2 className="chalk-heading">Between the pieces</h2>
        <p className="text-lg">{Math.round(100 * waste)} % of what is cut off</p>
        {figures.left.width > 40 && figures.left.height > 40 && (
          <p className="quiet text-[0.95rem]">
            The largest free rectangle is {units.size(figures.left.width, figures.left.height)}.
          </p>
        )}
      </div>
    </section>
  );
}
