import type { Fabric } from '../../cloth';
import { InputError } from '../../input-error';
import { opacityOf, SHEERNESS_FROM, sheernessOf } from '../../seethrough';
import { choiceOf, numberOf, type ClothTest, type Figure, type Readings } from '../cloth-test';

/** A drop of water: sinks in, marks, or runs off. */
export const water: ClothTest = {
  id: 'water',
  title: 'A drop of water',
  purpose: 'Says whether steam, starch and liquids may come near it.',
  steps: [
    'Let one drop fall on the face of a scrap. Watch it for a minute.',
    'Blot it, let it dry, and look at it against the light.',
  ],
  fields: [
    {
      id: 'drop',
      label: 'After a minute the drop',
      kind: 'choice',
      options: [
        ['sinks', 'has sunk in'],
        ['stays', 'still stands on top'],
      ],
    },
    {
      id: 'mark',
      label: 'When it is dry',
      kind: 'choice',
      options: [
        ['clean', 'nothing is to be seen'],
        ['ring', 'a ring or spot is left'],
      ],
    },
  ],
  why: 'A ring counts before a drop that stays: what marks must not be wetted at all.',
  settles: ['water'],
  read(readings) {
    const drop = choiceOf(readings, 'drop', ['sinks', 'stays']);
    const mark = choiceOf(readings, 'mark', ['clean', 'ring']);
    const value = mark === 'ring' ? 'spots' : drop === 'stays' ? 'resists' : 'safe';
    return {
      figures: [],
      patch: { water: value },
      meaning: {
        safe: 'Water does it no harm: steam, starch and liquids may be used.',
        spots: 'Water marks it: no steam, no damp cloth, no liquids.',
        resists: 'It does not drink: liquids would dry as a crust on top.',
      }[value],
    };
  },
};

const DOTS = ['0', '1', '2', '3'] as const;

/** The hottest setting that changed nothing. */
export const heat: ClothTest = {
  id: 'heat',
  title: 'Heat, step by step',
  purpose: 'A layer whose glue needs more heat is never offered.',
  steps: [
    'Lay a corner of a scrap under a thin cotton cloth. Begin with the cool setting.',
    'Press 10 s, lift, let it cool, look: shine, stiffness, shrinking, a change of colour?',
    'If nothing changed, go one setting up. Stop at the first change.',
    'Air the room if it smells; a scorching synthetic gives off fumes.',
  ],
  fields: [
    {
      id: 'dots',
      label: 'The hottest that changed nothing',
      kind: 'choice',
      options: [
        ['0', 'even the cool iron did harm'],
        ['1', 'cool, one dot'],
        ['2', 'medium, two dots'],
        ['3', 'hot, three dots'],
      ],
    },
  ],
  why: 'The hottest setting that changed nothing. Glue that needs more is never offered for this cloth.',
  settles: ['ironDots'],
  read(readings) {
    const dots = Number(choiceOf(readings, 'dots', DOTS));
    return {
      figures: [],
      patch: { ironDots: dots },
      meaning: [
        'No iron: everything is sewn, stuck or laid loose.',
        'Only layers with cool-melting glue, or sewn ones.',
        'Most fusibles will do.',
        'Any fusible will do.',
      ][dots]!,
    };
  },
};

/** Laid over print. */
export const seeThroughTest: ClothTest = {
  id: 'see-through',
  title: 'Look through it',
  purpose: 'Decides whether shade, dots and edges of a layer will show.',
  steps: [
    'Lay one thickness over a printed page in daylight, and read what you can.',
    'Or measure it: lay it over the lower half of the white and the black field beside card 8, and photograph card and fields.',
  ],
  fields: [
    {
      id: 'way',
      label: 'How it is looked at',
      kind: 'choice',
      start: 'page',
      options: [
        ['page', 'over a printed page'],
        ['photo', 'by a photograph with card 8'],
      ],
    },
    {
      id: 'print',
      label: 'Through the cloth',
      kind: 'choice',
      when: ['way', 'page'],
      options: [
        ['read', 'the words can be read'],
        ['lines', 'there are lines, but no words'],
        ['nothing', 'nothing shows'],
      ],
    },
    { id: 'reflectance', label: 'It throws back, %', kind: 'count', when: ['way', 'photo'], group: 'Of the light' },
    { id: 'transmittance', label: 'It lets through, %', kind: 'count', when: ['way', 'photo'], group: 'Of the light' },
  ],
  why: `Words that can be read: sheer. Lines without words: veiled. Nothing: opaque. By a photograph: opacity is what is seen over black divided by what is seen over white; below ${SHEERNESS_FROM.veiled} % it is sheer, from ${SHEERNESS_FROM.opaque} % on opaque.`,
  settles: ['sheer'],
  read(readings) {
    const { sheer, figures } =
      readings['way'] === 'photo' ? measuredSheer(readings) : { sheer: printedSheer(readings), figures: [] };
    return {
      figures,
      patch: { sheer },
      meaning: {
        sheer: 'Sheer: layers must be sheer themselves, or be meant to be seen.',
        veiled: 'Veiled: shade and glue dots matter.',
        opaque: 'Opaque: nothing behind it will show.',
      }[sheer],
    };
  },
};

function printedSheer(readings: Readings): Fabric['sheer'] {
  const print = choiceOf(readings, 'print', ['read', 'lines', 'nothing']);
  return ({ read: 'sheer', lines: 'veiled', nothing: 'opaque' } as const)[print];
}

function measuredSheer(readings: Readings): { sheer: Fabric['sheer']; figures: Figure[] } {
  const share = (field: string) => numberOf(readings, field, '%', { min: 0, max: 100 }) / 100;
  const [reflectance, transmittance] = [share('reflectance'), share('transmittance')];
  if (reflectance + transmittance > 1.005)
    throw new InputError('transmittance', 'and what it throws back must add up to at most 100 %');
  const { opacity } = opacityOf([{ reflectance, transmittance: Math.min(transmittance, 1 - reflectance) }]);
  return {
    sheer: sheernessOf(opacity),
    figures: [{ label: 'Opacity', value: opacity, unit: '%', give: 3 }],
  };
}

/** Rubbed along the cut edge. */
export const fray: ClothTest = {
  id: 'fray',
  title: 'Rub the edge',
  purpose: 'What frays is cut last and handled least.',
  steps: ['Cut an edge across the threads.', 'Rub it ten times between finger and thumb.', 'Measure the fringe.'],
  fields: [
    {
      id: 'fringe',
      label: 'The fringe is',
      kind: 'choice',
      options: [
        ['none', 'none, or a thread or two'],
        ['some', 'up to about 3 mm'],
        ['lots', 'more than that'],
      ],
    },
  ],
  why: 'A fringe of up to a thread or two is low, up to 3 mm medium, more is high.',
  settles: ['fray'],
  read(readings) {
    const fringe = choiceOf(readings, 'fringe', ['none', 'some', 'lots']);
    const value = ({ none: 'low', some: 'medium', lots: 'high' } as const)[fringe];
    return {
      figures: [],
      patch: { fray: value },
      meaning: {
        low: 'Hardly frays.',
        medium: 'Frays a little: ordinary seam finishes will do.',
        high: 'Frays a lot: fuse or starch before it is handled, wide allowances.',
      }[value],
    };
  },
};
