import { cutOfRole, stitchedField } from '../choose';
import type { Part } from '../choose';
import type { Fabric } from '../cloth';
import { stackStiffness, type Extent, type Material, type Predicted } from '../layers';
import {
  DEFAULT_LAYER_OUTLINE,
  layerOutline,
  pieceSize,
  placeCut,
  type LayerCut,
  type LayerOutlineOptions,
  type OpenPiece,
  type Place,
} from '../pieces';
import { bounds, polygonArea, type Outline } from '../shape';

/** A job as far as the outlines of its layers are concerned. */
export interface LayeredJob {
  name: string;
  place: Place;
  wish: Pick<Part, 'role' | 'embroidery'>;
  /** Outermost first. */
  layers: readonly { material: Material; extent: Extent; cut?: LayerCut | undefined }[];
}

/** A part of a cut on which layers of several jobs lie. */
export interface LyingTogether {
  jobs: string[];
  layers: Material[];
  /** mm². */
  area: number;
  /** The cloth with all of them. */
  predicted: Predicted;
}

export interface LayersTogether {
  /** Places where layers of two jobs or more lie on each other, the largest first. */
  places: LyingTogether[];
  /** One cut piece with all layers of all jobs, g. */
  weight: number;
  /** Of that, the cloth alone, g. */
  clothWeight: number;
}

/** A piece is looked at in so many rows: the area of an overlap is then right to about a hundredth of the piece. */
const ROWS = 150;
/** Rows never lie closer together, mm. */
const CLOSEST = 1;
/** Less than this of an overlap is an edge that touches, mm². */
const LEAST = 100;

/**
 * How one layer of a job is cut: by its place, then by what the layer says for itself.
 *
 * @param trim the person's usual trim, mm @param clothWeight g/m²; null where no cloth is chosen
 * @example layerCutOf({ place: { kind: 'patch', at: [10, 10], size: 40 }, wish: collar }, undefined, 6, piece, null).size // 40
 */
export function layerCutOf(
  { place, wish }: Pick<LayeredJob, 'place' | 'wish'>,
  own: LayerCut | undefined,
  trim: number,
  piece: OpenPiece,
  clothWeight: number | null,
): LayerOutlineOptions {
  return {
    ...DEFAULT_LAYER_OUTLINE,
    ...{ trim, ...cutOfRole(wish.role, piece.allowances, clothWeight) },
    ...placeCut(place),
    ...own,
    field: stitchedField(wish, pieceSize(piece)),
  };
}

/**
 * Layers of all jobs on one cut, counted together: where they lie on each other, how heavy and how stiff it is there, and what the
 * whole piece weighs. The exact outlines of the layers are cut into rows, and each row where a border crosses it; what is sprayed is on all of the piece.
 *
 * @param trim the person's usual trim, mm
 * @throws {InputError} when a layer's outline cannot be made
 * @example layersTogether(piece, poplin, [{ name: 'all over', place: { kind: 'whole' }, wish: collar, layers: stack }], 6).places.length // 0
 */
export function layersTogether(piece: OpenPiece, fabric: Fabric, jobs: readonly LayeredJob[], trim: number): LayersTogether {
  const whole: Covered = { outlines: [piece.outline], holes: piece.holes.map(({ outline }) => outline) };
  const wholeArea = polygonArea(piece.outline) - whole.holes.reduce((sum, hole) => sum + polygonArea(hole), 0);
  const clothWeight = (wholeArea * fabric.arealDensity) / 1e6;
  let weight = clothWeight;
  const all = jobs.flatMap((job, k) =>
    job.layers.map(({ material, extent, cut }) => {
      const outline =
        material.form === 'liquid'
          ? undefined
          : layerOutline(piece, extent, material, layerCutOf(job, cut, trim, piece, fabric.arealDensity));
      weight += ((outline?.area ?? wholeArea) * material.arealDensity) / 1e6;
      return { job: k, material, on: outline ?? whole };
    }),
  );
  if (new Set(all.map(({ job }) => job)).size < 2) return { places: [], weight, clothWeight };
  const { minY, maxY } = bounds(piece.outline);
  const step = Math.max(CLOSEST, (maxY - minY) / ROWS);
  const found = new Map<string, LyingTogether>();
  for (let y = minY + step / 2; y < maxY; y += step) {
    const inPiece = coveredAlong(whole, y);
    const row = all.map((layer) => ({ ...layer, covered: coveredAlong(layer.on, y) }));
    // Between two borders nothing changes: the middle of each stretch stands for all of it.
    const borders = [inPiece, ...row.map(({ covered }) => covered)].flatMap(({ borders }) => borders).sort((a, b) => a - b);
    for (let i = 1; i < borders.length; i++) {
      const [from, to] = [borders[i - 1]!, borders[i]!];
      const x = (from + to) / 2;
      if (from === to || !inPiece.covers(x)) continue;
      const on = row.filter(({ covered }) => covered.covers(x));
      if (new Set(on.map(({ job }) => job)).size < 2) continue;
      const area = (to - from) * step;
      const key = on.map((layer) => row.indexOf(layer)).join();
      const there = found.get(key);
      if (there) there.area += area;
      else {
        const layers = on.map(({ material }) => material);
        const names = [...new Set(on.map(({ job }) => jobs[job]!.name))];
        found.set(key, { jobs: names, layers, area, predicted: stackStiffness(fabric, layers) });
      }
    }
  }
  const places = [...found.values()].filter(({ area }) => area >= LEAST).sort((a, b) => b.area - a.area);
  return { places, weight, clothWeight };
}

interface Covered {
  outlines: readonly Outline[];
  holes: readonly Outline[];
}

/** What of a row is covered, and where that changes. */
function coveredAlong({ outlines, holes }: Covered, y: number): { covers: (x: number) => boolean; borders: number[] } {
  const [within, without] = [outlines, holes].map((rings) =>
    rings.map((ring) => crossings(ring, y)).filter(({ length }) => length > 0),
  );
  return {
    covers: (x) => within!.some((across) => isPast(across, x)) && !without!.some((across) => isPast(across, x)),
    borders: [...within!, ...without!].flat(),
  };
}

/** Where an outline crosses a row. */
function crossings(outline: Outline, y: number): number[] {
  return outline.flatMap(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    return ay > y !== by > y ? [ax + ((y - ay) / (by - ay)) * (bx - ax)] : [];
  });
}

/** Inside is where an odd number of crossings lies to the right. */
function isPast(across: readonly number[], x: number): boolean {
  return across.filter((cross) => x < cross).length % 2 === 1;
}
