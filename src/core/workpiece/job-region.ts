import { ROLE_PROFILES } from '../choose';
import { InputError } from '../input-error';
import { layerOutline, placeArea, type OpenPiece } from '../pieces';
import type { Outline } from '../shape';
import { layerCutOf, type LayeredJob } from './lying-together';

/** A job without layers is shown where a plain layer would lie; a tape is told by its length alone. */
const PLAIN = { rollWidth: 0 };
const EXTENTS = { panel: 'net', strip: 'strip', patch: 'patch', field: 'field' } as const;

/**
 * Where a job is done on its cut, to be drawn: the outlines of its layers, or of the place where they will lie once they are chosen.
 * A liquid is on all of the piece.
 *
 * @param trim the person's usual trim, mm
 * @returns outlines layer by layer, each with its openings; none where the place cannot be drawn on this piece
 * @example jobRegion({ name: '', place: { kind: 'whole' }, wish: collar, layers: [], clothWeight: null }, piece, 6).length // 1
 */
export function jobRegion(
  { place, wish, layers, clothWeight }: LayeredJob & { clothWeight: number | null },
  piece: OpenPiece,
  trim: number,
): Outline[][] {
  try {
    if (layers.length === 0) {
      const area = placeArea(place) ?? (place.kind === 'field' ? 'field' : ROLE_PROFILES[wish.role].area);
      return [
        layerOutline(piece, EXTENTS[area], PLAIN, layerCutOf({ place, wish }, undefined, trim, piece, clothWeight)).outlines,
      ];
    }
    return layers.map(({ material, extent, cut }) =>
      material.form === 'liquid'
        ? [piece.outline]
        : layerOutline(piece, extent, material, layerCutOf({ place, wish }, cut, trim, piece, clothWeight)).outlines,
    );
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return [];
  }
}
