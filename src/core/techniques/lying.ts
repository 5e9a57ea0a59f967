import { cutOfRole, patchOf } from '../part';
import {
  DEFAULT_LAYER_OUTLINE,
  isTape,
  layerOutline,
  placeCut,
  tapeRun,
  type LayerOutline,
  type LayerOutlineOptions,
} from '../pieces';
import type { Extent } from '../layers';
import type { Outline } from '../shape';
import { piecesOf, type LayerAt } from './job';
import type { Amount } from './technique';

/**
 * How a layer is cut: what it says for itself goes before the place of its job, that before what the technique says, that before the usual.
 *
 * @param own what the technique says, mm
 * @example cutOptions({ job: workJob, layer: stack[0], index: 0 }).trim // 6
 */
export function cutOptions({ job, index }: LayerAt, own: Partial<LayerOutlineOptions> = {}): LayerOutlineOptions {
  const { role, place, cuts, trim, motif } = job;
  return {
    ...DEFAULT_LAYER_OUTLINE,
    ...(role ? cutOfRole(role, job.piece?.allowances, job.fabric.arealDensity) : { size: patchOf(job.fabric.arealDensity) }),
    ...(trim === undefined ? {} : { trim }),
    ...(motif ? { field: motif } : {}),
    ...own,
    ...(place ? placeCut(place) : {}),
    ...cuts?.[index],
  };
}

/**
 * Region of a layer on the piece by its extent, mm; undefined where the piece is not described or the layer is a liquid.
 *
 * @example regionOf({ job: { ...workJob, piece }, layer: stack[0], index: 0 }).area // 30000
 */
export function regionOf(
  at: LayerAt,
  own: Partial<LayerOutlineOptions> = {},
  extent: Extent = at.layer.extent,
): LayerOutline | undefined {
  const { material } = at.layer;
  if (!at.job.piece || material.form === 'liquid') return undefined;
  return layerOutline(at.job.piece, extent, material, cutOptions(at, own));
}

/**
 * What is cut of a layer for all pieces: off the reel a length, of anything else an area and a number of pieces.
 *
 * @example cutNeeds({ job: workJob, layer: stack[0], index: 0 }, { outlines: [], holes: [], area: 100, removedArea: 0 }) // [{ layer: 0, kind: 'area', amount: 100 }, { layer: 0, kind: 'pieces', amount: 1 }]
 */
export function cutNeeds({ job, layer: { material }, index: layer }: LayerAt, region: LayerOutline | undefined): Amount[] {
  if (!region) return [];
  const count = piecesOf(job);
  const { area, runningLength } = region;
  if (isTape(material) && runningLength !== undefined)
    return [{ layer, kind: 'length', amount: tapeRun(runningLength, count, material.family) }];
  return [
    { layer, kind: 'area', amount: area * count },
    ...(runningLength === undefined ? [] : [{ layer, kind: 'length' as const, amount: runningLength * count }]),
    { layer, kind: 'pieces', amount: Math.max(1, region.outlines.length) * count },
  ];
}

/** Thread against the line that is sewn by hand: long basting stitches, catch stitches to and fro, pad stitches in rows. */
export const THREAD = { baste: 1.15, catch: 2.2 } as const;

/**
 * Length round some outlines, mm.
 *
 * @example aroundOf([square(10)]) // 40
 */
export function aroundOf(outlines: readonly Outline[]): number {
  let sum = 0;
  for (const outline of outlines)
    outline.forEach(([x, y], i) => {
      const [u, v] = outline[(i + 1) % outline.length]!;
      sum += Math.hypot(u - x, v - y);
    });
  return sum;
}

/**
 * The line along which a layer is sewn on, mm, of one piece: round its own outline, or round the piece as far as that is known.
 *
 * @example sewnRound({ job: { ...workJob, piece }, layer: stack[0], index: 0 }) // 800
 */
export function sewnRound(at: LayerAt, region: LayerOutline | undefined = regionOf(at)): number | undefined {
  if (region && region.outlines.length > 0) return aroundOf([...region.outlines, ...region.holes]);
  const { width, height } = at.job;
  return width === undefined || height === undefined ? undefined : 2 * (width + height);
}

/**
 * Thread for a line that is sewn on all pieces, mm.
 *
 * @example threadNeeds({ job: workJob, layer: stack[0], index: 0 }, 100, 'catch')[0].amount // about 220
 */
export function threadNeeds({ job, index: layer }: LayerAt, line: number | undefined, way: keyof typeof THREAD): Amount[] {
  return line === undefined ? [] : [{ layer, kind: 'thread', amount: THREAD[way] * line * piecesOf(job) }];
}

/** Temporary spray glue, g/m² of the layer. */
const GLUE = 20;

/**
 * Temporary spray glue on an area, g.
 *
 * @param area mm²
 * @example glueOn(1e6) // 20
 */
export function glueOn(area: number): number {
  return (area * GLUE) / 1e6;
}

/**
 * Spray glue on a layer, all pieces, g.
 *
 * @example glueNeeds({ job: workJob, layer: stack[0], index: 0 }, { outlines: [], holes: [], area: 1e6, removedArea: 0 })[0].amount // 20
 */
export function glueNeeds({ job, index: layer }: LayerAt, region: LayerOutline | undefined): Amount[] {
  return region ? [{ layer, kind: 'grams', amount: glueOn(region.area * piecesOf(job)) }] : [];
}
