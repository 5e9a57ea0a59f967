import { isSoaked, type ChosenLayer } from '../layers';
import { MOVE_SECONDS } from '../press';
import { DEFAULT_LAYER_OUTLINE, isTape, LAYING, tapeRun } from '../pieces';
import type { LayerNeed, Needs, Question } from './protocol';
import { allowanceOf, trimOf } from './piece-size';
import { needsHandSewing } from './handling';

/** Room between pieces on the roll, mm. */
const GAP = LAYING.gap;
/** A strip along an edge, a patch around a point, and the margin of a sheet around its motif, mm. */
const STRIP = DEFAULT_LAYER_OUTLINE.width;
const PATCH = DEFAULT_LAYER_OUTLINE.size;
const FIELD_MARGIN = DEFAULT_LAYER_OUTLINE.fieldMargin;
/** Cloth is taken as this wide when a liquid is priced by its metre, mm. */
const CLOTH_WIDTH = 1400;
/** Face of an iron that is really used at each stop, mm²: sole less overlap and point. */
const STOP_AREA = 14_000;

/** Our own timings, minutes: fixed, and for a metre of edge or a square metre. */
const SOAK = { fixed: 40, area: 10 };
const SPRAY = { fixed: 6, area: 6 };
const BY_HAND = { fixed: 10, edge: 6 };
const BY_MACHINE = { fixed: 5, edge: 5 };
const PRESSED = 6;
const LAID = 4;
const SPRAYED = 9;
const SHRUNK = 3;

/** Size that is cut of a layer, mm. */
function cutSize({ piece, part }: Question, { material, extent }: ChosenLayer): [width: number, height: number] {
  const long = piece.edge ?? Math.max(piece.width, piece.height);
  const within = (by: number): [number, number] => [Math.max(1, piece.width - 2 * by), Math.max(1, piece.height - 2 * by)];
  switch (extent) {
    case 'strip':
      return [long, isTape(material) ? material.rollWidth : (piece.strip ?? STRIP)];
    case 'trimmed':
      return within(Math.min(trimOf(piece), allowanceOf(piece)));
    case 'net':
      return within(allowanceOf(piece));
    case 'patch':
      return [Math.min(piece.patch ?? PATCH, piece.width), Math.min(piece.patch ?? PATCH, piece.height)];
    case 'field': {
      const motif = part.embroidery ?? piece;
      return [motif.width + 2 * FIELD_MARGIN, motif.height + 2 * FIELD_MARGIN];
    }
    default:
      return [piece.width, piece.height];
  }
}

/** Length of roll for `count` rectangles in plain rows, either way round where there is no grain, mm. */
function rollLength(width: number, height: number, count: number, rollWidth: number, grain: boolean): number {
  const rows = (across: number, along: number) => {
    const perRow = Math.floor((rollWidth + GAP) / (across + GAP));
    if (perRow < 1) return Infinity;
    const full = Math.ceil(count / perRow);
    return full * along + (full - 1) * GAP;
  };
  const straight = rows(width, height);
  const turned = rows(height, width);
  const best = grain && Number.isFinite(straight) ? straight : Math.min(straight, turned);
  if (Number.isFinite(best)) return best;
  // Wider than the roll either way: joined from strips of the roll's width.
  return Math.ceil((width * height * count) / rollWidth);
}

function needOf(question: Question, layer: ChosenLayer): LayerNeed {
  const { material } = layer;
  const [width, height] = cutSize(question, layer);
  const { count } = question.piece;
  const usable = material.rollWidth - (material.grain ? 2 * LAYING.selvedge : 0);
  const length = isTape(material)
    ? tapeRun(layer.extent === 'strip' ? width : Math.max(width, height), count)
    : material.rollWidth > 0
      ? rollLength(width, height, count, usable, material.grain)
      : (width * height * count) / CLOTH_WIDTH;
  return {
    materialId: material.id,
    length,
    cost: (length / 1000) * material.pricePerMetre,
    ...(material.rollWidth > 0 && !isTape(material) && Math.min(width, height) > usable ? { tooWide: usable } : {}),
  };
}

/** Working minutes for one layer. */
function minutesOf(question: Question, layer: ChosenLayer): number {
  const { material } = layer;
  const [width, height] = cutSize(question, layer);
  const { count } = question.piece;
  const edge = (2 * (width + height) * count) / 1000;
  const area = (width * height * count) / 1e6;
  let minutes = material.preShrink ? SHRUNK : 0;
  if (material.form === 'liquid') minutes += isSoaked(material) ? SOAK.fixed + SOAK.area * area : SPRAY.fixed + SPRAY.area * area;
  else if (needsHandSewing(question, material)) minutes += BY_HAND.fixed + BY_HAND.edge * edge;
  else if (material.form === 'sew-in') minutes += BY_MACHINE.fixed + BY_MACHINE.edge * edge;
  else if (material.leaflet.seconds > 0) {
    const stops = Math.ceil((area * 1e6) / STOP_AREA);
    minutes += PRESSED + (stops * (material.leaflet.seconds + MOVE_SECONDS)) / 60 + material.leaflet.coolMinutes;
  } else minutes += material.form === 'spray-glued' ? SPRAYED : LAID;
  return minutes;
}

/**
 * Length off each roll, cost and working time of a stack, for the pieces of the question. Lengths are of plain
 * rows (a layout of the true outlines uses less); times are our own timing of each way of putting on.
 *
 * @example needsOf(question, stack).layers.length // 1
 */
export function needsOf(question: Question, layers: readonly ChosenLayer[]): Needs {
  const each: LayerNeed[] = [];
  let cost = 0;
  let minutes = 0;
  for (const layer of layers) {
    const need = needOf(question, layer);
    each.push(need);
    cost += need.cost;
    minutes += minutesOf(question, layer);
  }
  return { layers: each, cost, minutes };
}
