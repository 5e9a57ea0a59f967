import { keyOfUse, type ChosenLayer, type Material } from '../layers';
import { SQUARING } from '../cutplan';
import { latticeLength } from '../nesting';
import { allowedTurns, DEFAULT_LAYER_OUTLINE, FREELY, isTape, LAYING, layerShrinkage, tapeRun, usualGrain } from '../pieces';
import type { LayerNeed, Needs, Question, ToBuy } from './protocol';
import { allowanceOf, stitchedField, trimOf } from './piece-size';
import { cutOfRole } from '../part';
import { hoopingKey, hoopingMinutes, layerMinutes, type Minutes } from '../techniques';
import { jobFor } from './steps-for';

/** Room between pieces on the roll, mm. */
const GAP = LAYING.gap;
/** A strip along an edge, and the margin of a sheet around its motif, mm. */
const STRIP = DEFAULT_LAYER_OUTLINE.width;
const FIELD_MARGIN = DEFAULT_LAYER_OUTLINE.fieldMargin;
/** Cloth is taken as this wide when a liquid is priced by its metre, mm. */
const CLOTH_WIDTH = 1400;
/** Handling of a layer that is shrunk first, minutes. */
const SHRUNK = 3;

/** Length that a strip runs on a piece, mm. */
const stripRun = ({ piece }: Pick<Question, 'piece'>): number =>
  // Along the line that is sewn, from seam to seam.
  piece.edge ?? Math.max(1, Math.max(piece.width, piece.height) - 2 * allowanceOf(piece));

/** A piece that ends so far inside its edge all round, mm. */
function within({ width, height }: Pick<Question['piece'], 'width' | 'height'>, by: number): [width: number, height: number] {
  return [Math.max(1, width - 2 * by), Math.max(1, height - 2 * by)];
}

/** A strip that runs further than the piece is long goes round a curve, and is cut in parts. */
const stripParts = ({ piece }: Pick<Question, 'piece'>): number =>
  Math.max(1, Math.round(stripRun({ piece }) / Math.max(piece.width, piece.height)));

/** Size that is cut of a layer, mm. */
function cutSize(question: Question, { material, extent }: ChosenLayer): [width: number, height: number] {
  const { piece, part, fabric } = question;
  const usual = cutOfRole(part.role, [allowanceOf(piece)], fabric.arealDensity);
  switch (extent) {
    case 'strip': {
      const wide = isTape(material) ? material.rollWidth : (piece.strip ?? usual.width ?? STRIP);
      const long = stripRun(question) / stripParts(question);
      return piece.height > piece.width ? [wide, long] : [long, wide];
    }
    case 'trimmed':
      return within(piece, Math.min(trimOf(piece), allowanceOf(piece)));
    case 'net':
      return within(piece, allowanceOf(piece));
    case 'patch': {
      const size = piece.patch ?? usual.size;
      return [Math.min(size, piece.width), Math.min(size, piece.height)];
    }
    case 'field': {
      const motif = stitchedField(part, piece);
      return [motif.width + 2 * FIELD_MARGIN, motif.height + 2 * FIELD_MARGIN];
    }
    default:
      return [piece.width, piece.height];
  }
}

/** Length of roll that pieces take, mm, and the width of the roll where they fit on it no way round that their grain allows. */
interface OnRoll {
  length: number;
  tooWide?: number;
}

/** Turns in which a piece without a grain is tried, degrees. */
const EITHER_WAY = [0, 90];

/** Length off the roll for rectangles as their grain lets them lie, by the turns that the cutting table takes; either way round where there is none. */
function onRoll({ part, piece }: Question, material: Material, width: number, height: number, count: number): OnRoll {
  const usable = material.rollWidth - (material.grain ? 2 * LAYING.selvedge : 0);
  const turns = allowedTurns(material, { cut: part.cut, grain: piece.grain ?? usualGrain(piece.width, piece.height) });
  let best = Infinity;
  for (const turn of turns === FREELY ? EITHER_WAY : turns.slice(0, 1))
    best = Math.min(best, latticeLength(width, height, count, usable, GAP, turn) ?? Infinity);
  if (Number.isFinite(best)) return { length: best };
  // Wider than the roll: as if joined from strips of the roll's width.
  return { length: Math.ceil((width * height * count) / material.rollWidth), tooWide: usable };
}

/** @param layers how many of this layer each piece gets */
function needOf(question: Question, layer: ChosenLayer, layers = 1): LayerNeed {
  const { material } = layer;
  const [width, height] = cutSize(question, layer);
  const parts = layer.extent === 'strip' && !isTape(material) ? stripParts(question) : 1;
  const count = layers * parts * question.piece.count;
  const taken: OnRoll = isTape(material)
    ? { length: tapeRun(layer.extent === 'strip' ? stripRun(question) : Math.max(width, height), count, material.family) }
    : material.rollWidth > 0
      ? onRoll(question, material, width, height, count)
      : { length: (width * height * count) / CLOTH_WIDTH };
  const cost = (taken.length / 1000) * material.pricePerMetre;
  return { materialId: material.id, cost, ...(material.origin === 'library' ? { typical: true as const } : {}), ...taken };
}

/** Minutes of layers that were reckoned before for the same question: a layer stands in many stacks. */
const KNOWN = new WeakMap<Question, Map<string, number>>();

/** Minutes of putting some layers on: those of each layer by itself, and of hooping them where they are stitched on. */
function puttingOn(question: Question, layers: readonly ChosenLayer[]): number {
  let known = KNOWN.get(question);
  if (!known) KNOWN.set(question, (known = new Map()));
  const job = jobFor(question, layers);
  const remember = (key: string, minutes: () => number): number => {
    let found = known.get(key);
    if (found === undefined) known.set(key, (found = minutes()));
    return found;
  };
  let sum = job.stitched ? remember(hoopingKey(job), () => total(hoopingMinutes(job))) : 0;
  for (const layer of layers)
    sum += remember(`${keyOfUse(layer.material)} ${layer.extent} ${job.order} ${job.floats}`, () =>
      total(layerMinutes({ ...job, layers: [layer] })),
    );
  return sum;
}

const total = ({ hands, waits }: Minutes): number => hands + waits;

/**
 * Length off each roll, cost and working time of a stack, for the pieces of the question. Lengths are of plain
 * rows (a layout of the true outlines uses less); times are those of its techniques.
 *
 * @example needsOf(question, stack).layers.length // 1
 */
export function needsOf(question: Question, layers: readonly ChosenLayer[]): Needs {
  const each: LayerNeed[] = [];
  let cost = 0;
  for (const layer of layers) {
    const need = needOf(question, layer);
    each.push(need);
    cost += need.cost;
  }
  const shrunk = layers.filter(({ material }) => material.preShrink).length;
  return { layers: each, cost, minutes: puttingOn(question, layers) + SHRUNK * shrunk };
}

/**
 * What has to be bought for a stack where nothing of it lies in the cupboard, with what squaring and shrinking take. Layers of one
 * material are cut from one length. The true outlines of a piece may lie closer: its cutting table and shopping list say how.
 *
 * @returns one for each material that is cut off a roll
 * @example toBuyOf(question, stack)[0].length // about 494
 */
export function toBuyOf(question: Question, layers: readonly ChosenLayer[]): ToBuy[] {
  return layers.flatMap((layer) => {
    const { material } = layer;
    const same = layers.filter(({ material: other }) => other.id === material.id);
    if (material.form === 'liquid' || same[0] !== layer) return [];
    const { length } = needOf(question, layer, same.length);
    const squaring = isTape(material) ? 0 : SQUARING;
    return [
      {
        materialId: material.id,
        length: length / (1 - layerShrinkage(material)) + squaring,
        pricePerMetre: material.origin === 'library' ? 0 : material.pricePerMetre,
        ...(question.atHand.has(material.id) ? { atHand: true as const } : {}),
      },
    ];
  });
}
