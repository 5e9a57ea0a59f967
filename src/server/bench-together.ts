import type { ChosenLayer } from '../core/layers';
import { openPiece } from '../core/pieces';
import { sheetMoves, underOneSole, type PressTool } from '../core/press';
import { bounds, boxOutline, type Outline } from '../core/shape';
import { sheetLayer, type Order, type Step } from '../core/steps';
import { loadSteps, sheetSteps, soleSteps, type Together, type TogetherLayer, type TogetherStep } from '../core/techniques';
import type { BenchSheet, BenchStep } from '../core/bench';
import type { Db } from '../store/database';
import type { Settings } from '../store/settings';
import type { Workpiece } from '../store/workpieces';
import { layerSheets, pressLoads, soleLoads, type LaidSheet } from './bench-sheets';

/** A job as it is looked at for what can be done together. */
export interface TogetherWork {
  work: Workpiece;
  chosen: readonly ChosenLayer[];
  order: Order;
  /** The steps of one piece. */
  one: readonly Step[];
}

/** What is done for several pieces at once, and what is left to do for each by itself. */
export interface DoneTogether {
  sheets: BenchSheet[];
  steps: BenchStep[];
  /** Steps of one piece that remain, job by job. */
  rest: Step[][];
}

/**
 * Takes out of the steps of some jobs what is done for several pieces at once: layers that are fused while they are whole become
 * sheets, whichever job a piece belongs to; under a flat press all other fused layers become loads.
 */
// Stages of one plan: each goes on with what the one before left.
// eslint-disable-next-line max-lines-per-function
export function doneTogether(
  db: Db,
  works: readonly TogetherWork[],
  { settings, tool, sole, nameOf }: { settings: Settings; tool: PressTool; sole: Outline; nameOf: (workId: string) => string },
): DoneTogether {
  const plate = { width: settings.pressWidth, length: settings.pressLength };
  const board = tool === 'press' ? undefined : { length: settings.boardLength, width: settings.boardWidth };
  const pressPlate = tool === 'press' ? plateOutline(plate) : sole;
  const found: DoneTogether = { sheets: [], steps: [], rest: works.map(({ one }) => [...one]) };
  const add = (
    laid: readonly BenchSheet[],
    stepsOf: (all: Together[], first: number) => TogetherStep[],
    size: (k: number) => string,
  ) => {
    const moves = laid.map(({ pieces, outline, whole }) =>
      sheetMoves({
        pieces: whole ? [outline] : pieces.map((piece) => piece.outline),
        board: board ?? wide(outline),
        plate: pressPlate,
        overlap: settings.stopOverlap,
      }),
    );
    const first = found.sheets.length;
    const all = laid.map(({ pieces }, k) => ({ pieces: pieces.map(({ name }) => name), moves: moves[k]!.length, size: size(k) }));
    found.sheets.push(
      ...laid.map(({ outline, pieces, whole, load }): BenchSheet => ({
        ...{ outline, pieces },
        ...(whole ? { whole } : {}),
        ...(load ? { load } : {}),
        ...(tool === 'press' ? { plate: pressPlate } : {}),
      })),
    );
    found.steps.push(
      ...stepsOf(all, first).map(({ move, ...step }): BenchStep => {
        const at = move === undefined ? undefined : moves[step.on - first]![move];
        return at ? { ...step, stops: at.stops, area: at.area } : step;
      }),
    );
  };
  const take = (ofWorks: readonly number[], keep: (step: Step) => boolean) => {
    for (const k of ofWorks) found.rest[k] = found.rest[k]!.filter(keep);
  };
  const layerOf = (group: readonly Member[]): TogetherLayer => {
    const [{ material, press, cool }] = group as [Member, ...Member[]];
    // A long piece is tacked first; then all of them are.
    const how = group.map((each) => each.press.detail).sort((a, b) => b.length - a.length)[0]!;
    return { name: material.name, seconds: press.seconds ?? material.leaflet.seconds, how, coolSeconds: cool.seconds ?? 0 };
  };

  for (const group of grouped(works, ({ order, chosen }) => (order === 'cut-first' ? -1 : sheetLayer(chosen)), found.rest)) {
    const { order } = works[group[0]!.index]!;
    const laid = layerSheets(db, group[0]!.material, {
      works: group.map(({ index }) => works[index]!.work),
      nameOf,
      units: settings.units,
    });
    // A fused length is pressed all over, not piece by piece.
    const pressed = order === 'fuse-length' ? laid.map((sheet): LaidSheet => ({ ...sheet, whole: true })) : laid;
    add(
      pressed,
      (all, first) => sheetSteps(layerOf(group), order, all, first),
      (k) => laid[k]!.size,
    );
    // A braid is done once for a whole hem too, but not on this sheet.
    for (const { index } of group) take([index], ({ sheet, layer }) => !sheet || layer !== sheetLayer(works[index]!.chosen));
  }
  const levels = Math.max(0, ...works.map(({ chosen }) => chosen.length));
  if (tool === 'iron')
    for (let level = 0; level < levels; level++)
      for (const group of grouped(
        works,
        (each, rest) => (nextIsFused(rest, level) && severalFit(each, sole) ? level : -1),
        found.rest,
      )) {
        const first = found.sheets.length;
        const { loads, stop } = soleLoads(sole, { works: group.map(({ index }) => works[index]!.work), nameOf });
        const all = loads.map(({ pieces }) => ({ pieces: pieces.map(({ name }) => name), moves: 1, size: '' }));
        found.sheets.push(...loads);
        found.steps.push(
          ...soleSteps(layerOf(group), all, first).map(({ move, ...step }): BenchStep =>
            move === undefined ? step : { ...step, stops: [stop] },
          ),
        );
        take(
          group.map(({ index }) => index),
          (step) => step.stage !== 'apply' || step.layer !== level,
        );
      }
  if (tool === 'press') {
    for (let level = 0; level < levels; level++)
      for (const group of grouped(works, (_, rest) => (nextIsFused(rest, level) ? level : -1), found.rest)) {
        const laid = pressLoads(plate, { works: group.map(({ index }) => works[index]!.work), nameOf });
        add(
          laid,
          (all, first) => loadSteps(layerOf(group), all, first),
          () => '',
        );
        take(
          group.map(({ index }) => index),
          (step) => step.stage !== 'apply' || step.layer !== level,
        );
      }
  }
  return found;
}

/** One job of a group that is worked together. */
interface Member {
  index: number;
  material: ChosenLayer['material'];
  press: Step;
  cool: Step;
}

/** Jobs whose layer is of one material, pressed in one way, in one project: another iron or cover is another sheet. */
function grouped(
  works: readonly TogetherWork[],
  layerOf: (work: TogetherWork, rest: readonly Step[]) => number,
  rest: readonly (readonly Step[])[],
): Member[][] {
  const groups = new Map<string, Member[]>();
  works.forEach((each, index) => {
    const layer = layerOf(each, rest[index]!);
    const material = each.chosen[layer]?.material;
    const own = rest[index]!.filter((step) => step.stage === 'apply' && step.layer === layer);
    const press = own.find(({ kind }) => kind === 'press');
    const cool = own.find(({ kind }) => kind === 'wait');
    if (!material || !press || !cool) return;
    const key = JSON.stringify([each.work.projectId, material.id, press.seconds, heatWords(press), each.order]);
    groups.set(key, [...(groups.get(key) ?? []), { index, material, press, cool }]);
  });
  return [...groups.values()];
}

/** Iron and cover of a pressing, without how the iron is moved: that differs with the size of a piece. */
function heatWords({ detail }: Step): string {
  return detail.slice(0, detail.indexOf('. '));
}

/** Several copies of a job lie free under one sole. */
function severalFit({ work }: TogetherWork, sole: Outline): boolean {
  return work.count > 1 && underOneSole(sole, openPiece(work).outline) > 1;
}

/** What is put on next is this layer, and it is fused: nothing is sewn or sprayed before it. */
function nextIsFused(rest: readonly Step[], layer: number): boolean {
  const [next] = rest.filter(({ stage }) => stage === 'apply');
  return next?.layer === layer && rest.some((step) => step.layer === layer && step.kind === 'press' && step.stage === 'apply');
}

function plateOutline({ width, length }: { width: number; length: number }): Outline {
  const [x, y] = [width / 2, length / 2];
  return boxOutline({ minX: -x, minY: -y, maxX: x, maxY: y });
}

/** A board on which all of a sheet lies. */
function wide(outline: Outline): { length: number; width: number } {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const side = 2 * Math.max(maxX - minX, maxY - minY) + 1000;
  return { length: side, width: side };
}
