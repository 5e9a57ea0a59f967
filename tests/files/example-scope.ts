import { START_STATE, type BenchPlan } from '../../src/core/bench';
import { choose, questionFor, type Part } from '../../src/core/choose';
import { judge } from '../../src/core/choose/judge';
import { candidatesFor } from '../../src/core/choose/candidates';
import { standingOf } from '../../src/core/choose/standing';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { clothInPlane, type Hoop } from '../../src/core/hoop';
import { singleLaying } from '../../src/core/nesting/laying';
import { stitchedMotif } from '../../src/core/motif';
import { openPiece, plainPiece } from '../../src/core/pieces';
import { EDGE_RECIPES, recipeOf, RECIPES } from '../../src/core/recipes';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import type { Outline, PieceShape } from '../../src/core/shape';
import { readFileSync } from 'node:fs';
import { photographed } from '../../src/core/photo/photographed';
import { readPhoto } from '../../src/formats/photo';
import { libraryLayer } from './library-layer';

/** What the examples of doc comments may name: a few cloths, layers, pieces and motifs that every reader knows at once. */
const cloth = (name: string) => LIBRARY_CLOTHS.find((each) => each.name === name)!;
const poplin = cloth('Shirting poplin');
const collar: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const lightWoven = libraryLayer('light-woven-fusible-45-g');
const stack = [{ material: lightWoven, extent: 'full' as const, angle: 0 }];
const question = questionFor(poplin, collar);
const square = (side: number): Outline => [[0, 0], [side, 0], [side, side], [0, side]]; // prettier-ignore
const rectangle: PieceShape = { kind: 'rectangle', width: 300, height: 100, corners: [false, false, false, false], corner: 0 };
const spec = plainPiece(rectangle, 10);
const candidate = candidatesFor(question, [lightWoven]).candidates[0]!;
const hoop: Hoop = {
  ...{ shape: 'rectangle', fieldWidth: 100, fieldHeight: 100, outerWidth: 146, outerHeight: 150, clamp: 14 },
  ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
} as Hoop;
const pieces = [{ id: 'a', outline: square(100), count: 3, rotations: [0] }];
const cutItem = { ...pieces[0]!, workId: 'w', twinOf: null, name: 'Patch', first: 0, letter: true, flip: false, free: false };

const step = (id: string, more: object) => ({ id, stage: 'apply', title: id, detail: '', ...more });
/** A piece is laid, pressed in two stops of two lifts, and cools for five minutes. */
const stop = (x: number) => ({ x, y: 0, rotation: 0 });
const benchPlan = {
  ...{ pieceName: 'Patch', clothName: 'Poplin', stackTitle: 'A layer', outline: square(100), plate: square(50) },
  steps: [
    step('lay', { kind: 'do' }),
    step('press', { kind: 'press', seconds: 10, lifts: 2, stops: [stop(0), stop(50)] }),
    step('cool', { kind: 'wait', seconds: 300 }),
  ],
} as unknown as BenchPlan;

/** One of the made-up photographs that can be tried in the application. */
const sample = (name: string) => readPhoto(readFileSync(`public/samples/${name}.jpg`));
const picture = sample('pieces');

/** A cut of a hat's tip, with its job's layers where it is made of them. */
const tip = (duty: string, clothId: string | null, of: object | null) => ({
  ...{ id: duty, projectId: 'p', pieceName: 'Tip', position: 0, name: `Tip, ${duty}`, duty, clothId, stack: of, cutDone: false },
});

/** Cloth that gives a little, as most woven cloth does. */
const giving = { stretch: 2, held: false };

export const exampleScope = {
  giving,
  benchPlan,
  EDGE_RECIPES,
  START_STATE,
  ...{
    LIBRARY_CLOTHS,
    LIBRARY_LAYERS,
    DEFAULT_SCHOOLS,
    cloth,
    poplin,
    collar,
    lightWoven,
    stack,
    question,
    square,
    rectangle,
    spec,
  },
  layer: libraryLayer,
  jersey: cloth('Light cotton jersey'),
  lawn: cloth('Cotton lawn'),
  quilting: cloth('Quilting cotton'),
  wadding: libraryLayer('cotton-wadding-130-g'),
  starch: libraryLayer('starch'),
  library: [lightWoven, libraryLayer('light-non-woven-fusible-32-g')],
  candidate,
  judged: judge(question, candidate),
  standing: standingOf(poplin, collar, [lightWoven], {}),
  choice: choose(poplin, collar, [lightWoven]),
  piece: openPiece(spec),
  hoop,
  ground: { outline: square(400), obstacles: [], strips: [] },
  middle: { x: 200, y: 200, angle: 0, flipped: false },
  motif: stitchedMotif('Patch', [
    { outlines: [square(20)], stitching: { kind: 'fill', spacing: 0.4, stitchLength: 3.5, angle: 0 }, newColour: false },
  ]),
  box: { minX: 0, minY: 0, maxX: 20, maxY: 20 },
  pieces,
  cutItem,
  laying: singleLaying({ width: 500, length: 1000, gap: 5, pieces: pieces as never }).laying,
  /** A square of poplin of 16 cells, as the elastic sheet is divided. */
  sheet: { columns: 16, rows: 16, dx: 5, dy: 5, inPlane: clothInPlane(poplin) },
  workJob: {
    ...{ fabric: poplin, layers: stack, stitched: false, floats: false, bias: false },
    ...{ washed: true, cutAlready: false, schools: DEFAULT_SCHOOLS },
  },
  hoopWork: {
    ...{ fabric: cloth('Quilting cotton'), part: { ...collar, role: 'embroidery' }, layers: [], hoop, floats: false, count: 1 },
    ...{
      at: { x: 200, y: 200, angle: 0 },
      ground: { outline: square(400), obstacles: [], marks: false, strips: [] },
      schools: DEFAULT_SCHOOLS,
    },
  },
  listed: {
    ...{
      id: 'w',
      name: 'Patch',
      piece: { ...spec, own: null },
      cut: 'straight',
      count: 2,
      pairs: false,
      mirrored: false,
      oneWay: false,
    },
    ...{ clothId: null, rule: 'longest', layers: [{ material: lightWoven, extent: 'full' }] },
  },
  front: { ...spec, id: 'front', projectId: 'p', name: 'Front' },
  shell: {
    ...{ id: 'shell', pieceId: 'front', duty: 'shell', clothId: null, count: 2, pairs: true, oneWay: false },
    ...{ own: null, orientation: 'straight', done: false },
  },
  stay: {
    ...{ id: 'stay', cutId: 'shell', name: 'armhole', place: { kind: 'usual' }, wish: collar, stack: null },
    ...{ glueUp: true, cutDone: false },
  },
  hatBuild: {
    round: { halfLength: 100.7, halfWidth: 84 },
    bandHeight: 85,
    taper: 0,
    gores: 6,
    crown: 110,
    brimWidth: 60,
    dip: 0,
  },
  recipePiece: recipeOf(
    RECIPES.find(({ id }) => id === 'waistband')!,
    {},
  ).pieces[0]!,
  tipBase: tip('base', null, { title: 'Buckram', layers: ['buckram'] }),
  tipFlannel: tip('soft-interlining', null, { title: 'Flannel', layers: ['flannel'] }),
  tipFelt: tip('shell', 'felt', null),
  picture,
  photo: photographed(picture),
  hangPicture: sample('hang'),
  fieldsPicture: sample('see-through'),
  camera: { map: [1, 0, 100, 0, -1, 700, 0, 0], back: [1, 0, -100, 0, -1, 700, 0, 0], middle: [800, 600], half: 1000, k: 0 },
  reading: {
    ...{ overhangBefore: 44, overhangAfter: 60, peel: 4, bubbles: 'none', showThrough: 'none', glueThrough: 'none' },
    ...{ shrink: 0, feel: null, note: '' },
  },
};
