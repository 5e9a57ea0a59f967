import { lower } from '../letters';
import type { TroubleId } from './troubles/trouble';
import { BLADE_SAFETY, HEAT_SAFETY, type Order, type Step } from '../steps';

/** A step that is done on something on which several pieces lie. */
export interface TogetherStep extends Step {
  /** Number of the sheet or load, from 0. */
  on: number;
  /** Number of the move in which it is pressed, from 0. */
  move?: number;
}

/** A sheet or a load as it is worked. */
export interface Together {
  /** Names of the pieces on it. */
  pieces: readonly string[];
  /** Moves in which it goes over the board. */
  moves: number;
  /** What is laid out, such as “640 mm of it, 900 mm wide”. */
  size: string;
}

/** One layer that is fused onto several pieces at once. */
export interface TogetherLayer {
  name: string;
  /** For one stop. */
  seconds: number;
  /** Iron, cover and way of moving. */
  how: string;
  coolSeconds: number;
}

/** What is felt on a sheet, before it is cut. */
const held = (pieces: readonly string[], length: boolean) =>
  length ? ['The whole length holds'] : pieces.map((piece) => `${piece} holds`);

const countOf = (pieces: number) => (pieces === 1 ? '1 piece' : `${pieces} pieces`);

/**
 * The steps of sheets: each is laid and pressed in board-sized moves; all cool once; then each is felt piece by piece and cut out.
 *
 * @param first number of the first sheet in the run
 * @example sheetSteps({ name: 'Firm fusible', seconds: 12, how: '', coolSeconds: 300 }, 'fuse-together', [{ pieces: ['Flap'], moves: 1, size: '64 cm' }]).map(({ kind }) => kind) // ['do', 'press', 'wait', 'check', 'do']
 */
export function sheetSteps(layer: TogetherLayer, order: Order, sheets: readonly Together[], first = 0): TogetherStep[] {
  const name = lower(layer.name);
  const called = (k: number) => (sheets.length > 1 ? `Sheet ${k + 1} of ${sheets.length}` : 'The sheet');
  const length = order === 'fuse-length';
  const laid = sheets.flatMap(({ pieces, moves, size }, k): TogetherStep[] => [
    {
      ...{ id: `sheet-${first + k}-lay`, stage: 'apply', kind: 'do', act: 'lay-on-layer', on: first + k },
      title: length ? `${called(k)}: lay the cloth on ${name}` : `${called(k)}: lay ${countOf(pieces.length)} on ${name}`,
      detail: `${size ? `Lay out ${size}, glue side up. ` : ''}${
        length
          ? 'The cloth wrong side down on the glue, grain with grain, no creases.'
          : 'Each piece as drawn: wrong side onto the glue, face up, its grain with the layer’s. Cover the bare glue, which is hatched, with paper.'
      }`,
    },
    ...pressed(layer, `sheet-${first + k}`, called(k), moves, first + k, 'draw it on and press'),
  ]);
  const out = sheets.flatMap(({ pieces }, k): TogetherStep[] => [
    {
      ...{ id: `sheet-${first + k}-feel`, stage: 'apply', kind: 'check', act: 'feel', on: first + k },
      title: length ? `${called(k)}: feel along all edges` : `${called(k)}: feel along the edges of every piece`,
      detail: 'Tick what holds. Where a fingernail gets under, press again and let it cool again before you cut.',
      checks: held(pieces, length),
      troubles: Object.fromEntries(held(pieces, length).map((check) => [check, 'lifts' satisfies TroubleId])),
    },
    {
      ...{ id: `sheet-${first + k}-cut`, stage: 'apply', kind: 'do', act: 'cut-loose', on: first + k },
      title: length ? `${called(k)}: mark the pieces and cut them through both` : `${called(k)}: cut the pieces loose, then out`,
      detail: length
        ? 'As drawn: patterns face up on the cloth, along its grain.'
        : 'First apart as one lump, then along the edges, through both.',
      safety: BLADE_SAFETY,
    },
  ]);
  return [...laid, cooled(layer, sheets.length > 1 ? 'All sheets' : 'The sheet', first), ...out];
}

/**
 * The steps of a flat press: load after load is laid and pressed, and all cool once.
 *
 * @param first number of the first load in the run
 * @example loadSteps({ name: 'Firm fusible', seconds: 12, how: '', coolSeconds: 300 }, [{ pieces: ['Flap'], moves: 1, size: '' }]).length // 3
 */
export function loadSteps(layer: TogetherLayer, loads: readonly Together[], first = 0): TogetherStep[] {
  const called = (k: number) => (loads.length > 1 ? `Load ${k + 1} of ${loads.length}` : 'Under the press');
  return [
    ...loads.flatMap(({ pieces, moves }, k): TogetherStep[] => [
      {
        ...{ id: `load-${first + k}-lay`, stage: 'apply', kind: 'do', act: 'lay-on-layer', on: first + k },
        title: `${called(k)}: lay ${countOf(pieces.length)} with ${lower(layer.name)}`,
        detail: 'As drawn: cloth face down, the layer on it glue side down, no creases; a sheet of paper above and below.',
      },
      ...pressed(layer, `load-${first + k}`, called(k), moves, first + k, 'move it on, close it').map((step) =>
        moves === 1 ? { ...step, title: `${called(k)}: close the plate once, ${layer.seconds} s` } : step,
      ),
    ]),
    cooled(layer, 'All pieces', first),
  ];
}

/**
 * The steps of small pieces that are cut: as many as lie free under one sole are laid side by side, one stop serves them all; all cool once.
 *
 * @param first number of the first load in the run
 * @example soleSteps({ name: 'Firm fusible', seconds: 12, how: '', coolSeconds: 300 }, [{ pieces: ['Tab 1', 'Tab 2'], moves: 1, size: '' }])[1].title // 'Tab 1 and Tab 2: one stop of 12 s for all'
 */
export function soleSteps(layer: TogetherLayer, loads: readonly Together[], first = 0): TogetherStep[] {
  const called = (pieces: readonly string[]) =>
    pieces.length > 2
      ? `${pieces[0]!} to ${pieces.at(-1)!}, ${pieces.length} pieces`
      : pieces.length === 2
        ? `${pieces[0]!} and ${pieces[1]!}`
        : pieces[0]!;
  return [
    ...loads.flatMap(({ pieces }, k): TogetherStep[] => [
      {
        ...{
          id: `load-${first + k}-lay`,
          stage: 'apply',
          kind: 'do',
          act: 'lay-face-down',
          on: first + k,
          seconds: 40 * pieces.length,
        },
        title: `${called(pieces)}: lay ${pieces.length === 1 ? 'it' : 'them side by side'} with ${lower(layer.name)}`,
        detail:
          'As drawn, none over another: cloth face down, the layer on it glue side down, no creases. The iron covers all of them at once.',
      },
      ...pressed(layer, `load-${first + k}`, called(pieces), 1, first + k, '').map((step) => ({
        ...step,
        title: `${called(pieces)}: one stop of ${layer.seconds} s for all`,
      })),
    ]),
    cooled(layer, 'All pieces', first),
  ];
}

function pressed(
  { seconds, how }: TogetherLayer,
  id: string,
  called: string,
  moves: number,
  on: number,
  next: string,
): TogetherStep[] {
  return Array.from({ length: moves }, (_, move) => ({
    ...{ id: `${id}-press${move}`, stage: 'apply', kind: 'press', act: 'press', seconds, on, move },
    title:
      moves === 1
        ? `${called}: press, ${seconds} s a stop`
        : `${called}, move ${move + 1} of ${moves}: ${move === 0 ? 'press' : next}, ${seconds} s a stop`,
    detail: how,
    safety: HEAT_SAFETY,
  }));
}

function cooled({ coolSeconds, name }: TogetherLayer, what: string, first: number): TogetherStep {
  return {
    ...{ id: `together-${first}-cool`, stage: 'apply', kind: 'wait', act: 'cool', seconds: coolSeconds, on: first },
    title: `${what}: leave flat until cold`,
    detail: `Moved while warm, ${lower(name)} lets go or sets crooked.`,
  };
}
