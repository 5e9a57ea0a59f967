import { InputError } from '../input-error';
import type { LawFigure, Material } from '../layers';
import { choiceOf, type HomeTest, type Readings } from './cloth-test';
import { overhang } from './tests/overhang';
import { shrinkage } from './tests/shrinkage';
import { stretch } from './tests/stretch';
import { thickness } from './tests/thickness';
import { weightTest } from './tests/weight';

export const LAYER_TEST_IDS = ['weight', 'thickness', 'overhang', 'stretch', 'heat', 'shrinkage'] as const;
export type LayerTestId = (typeof LAYER_TEST_IDS)[number];

/** What a test can settle of a layer. */
export type LayerPatch = Partial<
  Pick<Material, 'arealDensity' | 'thickness' | 'bendingLength' | 'stretchLength' | 'stretchCross' | 'preShrink'> & {
    /** Setting at which the glue melts. */
    ironDots: number;
  }
>;

/** A home test of a layer: the same hands and rulers as for a cloth. */
export type LayerTest = HomeTest<LayerTestId, LayerPatch>;

/** Shrinks by this much, %, and it puckers unless it is shrunk first. */
const SHRINK_FIRST = 1;

/** All home tests of a layer, in the order in which the bench lists them. */
export const LAYER_TESTS: readonly LayerTest[] = [
  {
    ...weightTest,
    id: 'weight',
    purpose: 'A label often says only “light” or “medium”; the balance tells.',
    settles: ['arealDensity'],
    read(readings) {
      const { figures } = weightTest.read(readings);
      return {
        figures,
        patch: { arealDensity: figures[0]!.value },
        meaning: 'With its weight known, what was not measured follows from others of its family.',
      };
    },
  },
  {
    ...thickness,
    id: 'thickness',
    steps: ['Fold the layer to 8, glue inside, or lay 8 pieces on each other.', ...thickness.steps.slice(1)],
    settles: ['thickness'],
    read(readings) {
      const { figures } = thickness.read(readings);
      const value = figures[0]!.value;
      return {
        figures,
        patch: { thickness: value },
        meaning: value < 0.3 ? 'Thin enough to run into the seams.' : 'Counts in every seam that it runs into.',
      };
    },
  },
  {
    ...overhang,
    id: 'overhang',
    purpose: 'How stiff it is by itself, before any glue holds it to a cloth.',
    settles: ['bendingLength'],
    read(readings) {
      const { figures } = overhang.read(readings);
      return {
        figures,
        patch: { bendingLength: figures[0]!.value },
        meaning: 'What it does to a cloth is more than this where it is glued: the two hold each other at a distance.',
      };
    },
  },
  {
    ...stretch,
    id: 'stretch',
    settles: ['stretchLength', 'stretchCross'],
    read(readings) {
      const { figures, patch } = stretch.read(readings);
      const [along, across] = [patch.stretchLength!, patch.stretchCross!];
      return {
        figures,
        patch: { stretchLength: along, stretchCross: across },
        meaning:
          Math.max(along, across) < 4
            ? 'Does not give: it stops what it lies on.'
            : Math.min(along, across) > 15
              ? 'Gives both ways: it moves with a knit.'
              : 'Gives one way: lay that way where the cloth must give.',
      };
    },
  },
  {
    id: 'heat',
    title: 'When does the glue melt?',
    purpose: 'The coolest setting that holds spares the cloth.',
    steps: [
      'Lay 3 cm of the layer on a scrap of plain cotton, glue side down, under a thin cotton cloth.',
      'Press 10 s at the cool setting. Let it go cold, then try to pull a corner off.',
      'If it comes off, go one setting up on a fresh spot. Stop when it holds.',
      'Air the room if it smells; a scorching synthetic gives off fumes.',
    ],
    fields: [
      {
        id: 'dots',
        label: 'It holds from',
        kind: 'choice',
        options: [
          ['0', 'none: there is no glue on it'],
          ['1', 'cool, one dot'],
          ['2', 'medium, two dots'],
          ['3', 'hot, three dots'],
        ],
      },
    ],
    why: 'The coolest setting at which it held when it was cold. On cloth that bears less it is never offered.',
    settles: ['ironDots'],
    read(readings) {
      const dots = Number(choiceOf(readings, 'dots', ['0', '1', '2', '3']));
      return {
        figures: [],
        patch: { ironDots: dots },
        meaning: [
          'It has no glue: it is sewn in, sprayed on or laid loose.',
          'It melts early: right for synthetics, but it may let go in a hot wash.',
          'As most do.',
          'It needs a hot iron: only for cotton and linen.',
        ][dots]!,
      };
    },
  },
  {
    ...shrinkage,
    id: 'shrinkage',
    purpose: 'A layer that shrinks under a cloth that does not makes bubbles.',
    steps: [
      'Mark 200 mm along and 200 mm across on a piece of 30 cm or more.',
      'Lay it in hand-warm water for twenty minutes, roll it in a towel, dry it flat. Do not iron it.',
      'Measure between the marks.',
    ],
    settles: ['preShrink'],
    read(readings) {
      const { figures } = shrinkage.read(readings);
      const most = Math.max(...figures.map(({ value }) => value));
      return {
        figures,
        patch: { preShrink: most >= SHRINK_FIRST },
        meaning: most >= SHRINK_FIRST ? 'Shrink it before it is cut.' : 'Keeps its size: it need not be shrunk first.',
      };
    },
  },
];

/** A layer's test by its id. */
function layerTest(id: LayerTestId): LayerTest {
  return LAYER_TESTS.find((test) => test.id === id)!;
}

/** Figures that count as measured once a test has settled them. */
const MEASURES: Partial<Record<LayerTestId, LawFigure>> = { thickness: 'thickness', overhang: 'bendingLength' };

/**
 * The layer as it is after a test. Readings that are null take the test back: what only a measurement can tell counts as estimated
 * again, and its figure is the caller's to work out anew.
 *
 * @throws {InputError} naming the reading that cannot be, or one that the test does not know
 * @example applyLayerTest(layer, 'thickness', { layers: 8, height: 4 }).thickness // 0.5
 */
export function applyLayerTest<T extends Material>(layer: T, id: LayerTestId, readings: Readings | null): T {
  const test = layerTest(id);
  const figure = MEASURES[id];
  const others = (layer.estimated ?? []).filter((each) => each !== figure);
  if (readings === null) return { ...layer, estimated: figure ? [...others, figure] : others };
  const known = test.fields.map((field) => field.id);
  for (const field of Object.keys(readings))
    if (!known.includes(field)) throw new InputError(field, `is not a reading of this test; it takes ${known.join(', ')}`);
  const { ironDots, ...patch } = test.read(readings).patch;
  return {
    ...layer,
    ...patch,
    ...(ironDots === undefined ? {} : { leaflet: { ...layer.leaflet, ironDots } }),
    estimated: others,
  };
}

/**
 * Tests whose figures no longer stand in the layer, because they were changed by hand since.
 *
 * @example overwrittenLayerTests(lightWoven, { ...lightWoven, arealDensity: 50 }, ['weight']) // [ 'weight' ]
 */
export function overwrittenLayerTests(before: Material, after: Material, done: readonly LayerTestId[]): LayerTestId[] {
  const valueOf = (layer: Material, property: keyof LayerPatch) =>
    property === 'ironDots' ? layer.leaflet.ironDots : layer[property];
  return done.filter((id) => layerTest(id).settles.some((property) => valueOf(before, property) !== valueOf(after, property)));
}
