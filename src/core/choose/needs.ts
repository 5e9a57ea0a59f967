import type { ChosenLayer } from '../layers';
import type { Question } from './context';
import { needsHandSewing, soaks } from './stops';

/** What one layer of a stack takes. */
export interface LayerNeed {
  materialId: string;
  /** Length off the roll, mm; for a liquid the length of cloth that is treated. */
  length: number;
  /** Minor units. */
  cost: number;
}

/** What a stack takes for the pieces in question. */
export interface Needs {
  layers: LayerNeed[];
  /** Minor units. */
  cost: number;
  /** Working minutes, cooling and drying included. */
  minutes: number;
}

/** Room between pieces on the roll, mm. */
const GAP = 5;
/** A strip along an edge, a patch around a point, and the margin of a sheet around its motif, mm. */
const STRIP = 35;
const PATCH = 60;
const FIELD_MARGIN = 40;
/** Cloth is taken as this wide when a liquid is priced by its metre, mm. */
const CLOTH_WIDTH = 1400;
/** Face of an iron that is really used at each stop, mm²: sole less overlap and point. */
const STOP_AREA = 14_000;
/** Seconds to lift an iron and set it down. */
const MOVE = 3;

/** Our own timings, minutes: fixed, and for a metre of edge or a square metre. */
const SOAK = { fixed: 40, area: 10 };
const SPRAY = { fixed: 6, area: 6 };
const BY_HAND = { fixed: 10, edge: 6 };
const BY_MACHINE = { fixed: 5, edge: 5 };
const PRESSED = 6;
const LAID = 4;
const SHRUNK = 3;

/** Size that is cut of a layer, mm. */
function cutSize({ piece, part }: Question, { material, extent }: ChosenLayer): [width: number, height: number] {
  const long = Math.max(piece.width, piece.height);
  switch (extent) {
    case 'strip':
      return [long, Math.min(material.rollWidth > 0 && material.rollWidth < 60 ? material.rollWidth : STRIP, 60)];
    case 'patch':
      return [Math.min(PATCH, piece.width), Math.min(PATCH, piece.height)];
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
  const length =
    material.rollWidth > 0
      ? material.rollWidth < 60
        ? Math.max(width, height) * count
        : rollLength(width, height, count, material.rollWidth, material.grain)
      : (width * height * count) / CLOTH_WIDTH;
  return { materialId: material.id, length, cost: (length / 1000) * material.pricePerMetre };
}

/** Working minutes for one layer. */
function minutesOf(question: Question, layer: ChosenLayer): number {
  const { material } = layer;
  const [width, height] = cutSize(question, layer);
  const { count } = question.piece;
  const edge = (2 * (width + height) * count) / 1000;
  const area = (width * height * count) / 1e6;
  let minutes = material.preShrink ? SHRUNK : 0;
  if (material.form === 'liquid') minutes += soaks(material) ? SOAK.fixed + SOAK.area * area : SPRAY.fixed + SPRAY.area * area;
  else if (needsHandSewing(question, material)) minutes += BY_HAND.fixed + BY_HAND.edge * edge;
  else if (material.form === 'sew-in') minutes += BY_MACHINE.fixed + BY_MACHINE.edge * edge;
  else if (material.leaflet.seconds > 0) {
    const stops = Math.ceil((area * 1e6) / STOP_AREA);
    minutes += PRESSED + (stops * (material.leaflet.seconds + MOVE)) / 60 + material.leaflet.coolMinutes;
  } else minutes += LAID;
  return minutes;
}

/**
 * Length off each roll, cost and working time of a stack, for the pieces of the question. Lengths are of plain
 * rows (a layout of the true outlines uses less); times are our own timing of each way of putting on.
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
