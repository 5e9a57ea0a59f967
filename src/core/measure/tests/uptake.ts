import { numberOf, type ClothTest } from '../cloth-test';

/** A kitchen balance reads to a tenth of a gram. */
const BALANCE = 0.1;

/** Water that a cloth takes up when it is wet through. */
export const uptake: ClothTest = {
  id: 'uptake',
  title: 'Weigh it wet',
  purpose: 'Tells how much starch, stabilizer or water it drinks, and with that how long it dries.',
  steps: [
    'Weigh a dry swatch of 10 g or more; a larger one reads more exactly.',
    'Wet it through: scrunch it in a bowl until no spot stays pale, squeeze it as you do at the table, shake it once.',
    'Weigh it again at once.',
  ],
  fields: [
    { id: 'dry', label: 'Dry', kind: 'mass' },
    { id: 'wet', label: 'Wet through', kind: 'mass' },
  ],
  why: '(Wet − dry) ÷ dry. Cotton and linen take up about their own weight, viscose more, wool half of it, polyester a third. How hard it is squeezed counts most: do it as you do the work.',
  settles: ['uptake'],
  read(readings) {
    const dry = numberOf(readings, 'dry', 'g', { above: 0, max: 10_000 });
    const wet = numberOf(readings, 'wet', 'g', { above: dry, max: dry * 5 });
    const found = (100 * (wet - dry)) / dry;
    return {
      figures: [{ label: 'Takes up, of its own weight', value: found, unit: '%', give: (100 * BALANCE * (1 + wet / dry)) / dry }],
      patch: { uptake: found },
      meaning:
        found < 40
          ? 'Little: starch and sprays stay on the face; test that they hold at all.'
          : found < 130
            ? 'As cotton and linen do: what is reckoned for one bottle goes about as far.'
            : 'A lot: have enough in the bottle, and hours to dry.',
    };
  },
};
