import type { Point } from '../shape';
import type { LayerCut } from './layer-cut';

/**
 * Where a job is done on its cut: as the role usually has it, over the whole of it, along named edges, along a line (a slash), in a
 * patch around a point, or in a field that is stitched. Numbers of edges are those of the shape; mm.
 */
export type Place =
  | { kind: 'usual' }
  | { kind: 'whole' }
  | { kind: 'edges'; edges: number[]; width: number }
  | { kind: 'line'; line: [Point, Point]; width: number }
  | { kind: 'patch'; at: Point; size: number }
  | { kind: 'field'; at: Point };

export const PLACE_KINDS = ['usual', 'whole', 'edges', 'line', 'patch', 'field'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/**
 * How much of the cut a job covers; undefined where the role says so.
 *
 * @example placeArea({ kind: 'whole' }) // 'panel'
 */
export function placeArea({ kind }: Place): 'panel' | 'strip' | 'patch' | undefined {
  switch (kind) {
    case 'whole':
      return 'panel';
    case 'edges':
    case 'line':
      return 'strip';
    case 'patch':
      return 'patch';
    default:
      return undefined;
  }
}

/**
 * How the layers of a job are cut because of where it is done; what one layer says for itself goes before it.
 *
 * @example placeCut({ kind: 'edges', edges: [2], width: 40 }) // { edges: [2], width: 40 }
 */
export function placeCut(place: Place): LayerCut {
  switch (place.kind) {
    case 'edges':
      return { edges: place.edges, width: place.width };
    case 'line':
      return { line: place.line, width: place.width };
    case 'patch':
      return { at: place.at, size: place.size };
    case 'field':
      return { at: place.at };
    default:
      return {};
  }
}
