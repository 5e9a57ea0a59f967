import { formatLength, formatSize } from '../core/units';
import type { Label } from '../formats/pdf';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { readSettings } from '../store/settings';
import { stockThere, type Stock } from '../store/stock';
import { codeAddress } from './code-address';

/** Labels for rolls, sheets and leftovers that are there, or for some of them. @param ids undefined for all */
export function stockLabels(db: Db, request: Request, ids: readonly string[] | undefined): Label[] {
  const { settings } = readSettings(db);
  const words = ({ kind, width, length, count }: Stock): string => {
    if (kind === 'roll') return `Roll, ${formatLength(width, settings.units)} wide`;
    const size = formatSize(width, length, settings.units);
    return kind === 'leftover' ? `Leftover, ${size}` : `Sheets, ${size}${count > 1 ? `, ${count} when this was printed` : ''}`;
  };
  return stockThere(db)
    .filter(({ id }) => ids === undefined || ids.includes(id))
    .flatMap((entry): Label[] => {
      const { ofKind, ofId, place, note } = entry;
      const of = ofKind === 'cloth' ? cloths.find(db, ofId) : layers.find(db, ofId);
      if (!of) return [];
      return [
        {
          title: of.name,
          lines: [words(entry), ...(place ? [`Lies: ${place}`] : []), ...(note ? [note] : [])],
          url: codeAddress(request, `/cupboard/${ofKind}s/${ofId}`),
        },
      ];
    });
}
