import { describe, expect, it } from 'vitest';
import { questionFor, stepsFor, type Part } from '../../src/core/choose';
import { joinedAs, type ChosenLayer } from '../../src/core/layers';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { actOf } from '../../src/core/bench';
import { stepsForCopies } from '../../src/core/steps';
import { workSteps } from '../../src/core/techniques';
import { libraryLayer } from '../files/library-layer';

const cotton = LIBRARY_CLOTHS.find(({ name }) => name === 'Quilting cotton')!;
const jersey = LIBRARY_CLOTHS.find(({ name }) => name === 'Light cotton jersey')!;
const part = (role: Part['role']): Part => ({ role, cut: 'straight', stretch: 'any', care: 'wash-warm' });
const chosen = (key: string, extent: ChosenLayer['extent'] = 'full'): ChosenLayer => ({
  material: joinedAs(libraryLayer(key)),
  extent,
  angle: 0,
});
const acts = (cloth: typeof cotton, role: Part['role'], layers: ChosenLayer[]) =>
  stepsFor(questionFor(cloth, part(role)), layers).map(actOf);

describe('what the hands do in each step', () => {
  it.each([
    ['a fusible', cotton, 'collar', ['light-woven-fusible-45-g'], ['lay-face-down', 'press', 'cool', 'check']],
    ['one that is sewn', cotton, 'jacket-front', ['light-woven-sew-in-50-g'], ['cut', 'baste', 'check']],
    ['wadding with spray glue', cotton, 'bag-panel', ['cotton-wadding-130-g__spray-glued'], ['cut', 'smooth-on', 'check']],
    [
      'a light spray, face by face',
      cotton,
      'quilt-piece',
      ['light-pressing-spray'],
      ['spray', 'press-flat', 'spray', 'press-flat', 'cut', 'check'],
    ],
    ['wet through', cotton, 'printing', ['liquid-stabilizer__full'], ['soak', 'hang', 'press-flat', 'cut', 'check']],
    ['an edge stiffener', jersey, 'knit-binding', ['edge-stiffener-spray'], ['cut', 'spray', 'press-sections', 'cool']],
    ['a tear-away', cotton, 'embroidery', ['medium-tear-away-42-g'], ['hoop', 'slide-under', 'stitch', 'take-away']],
    ['a cut-away', jersey, 'embroidery', ['medium-cut-away-62-g'], ['hoop', 'stitch', 'take-away']],
  ] as const)('with %s', (_words, cloth, role, keys, told) => {
    const found = acts(
      cloth,
      role,
      keys.map((key) => chosen(key)),
    );
    // In this order, with others between.
    let from = 0;
    for (const act of told) {
      const at = found.indexOf(act, from);
      expect(at, `${act} in ${found.join(', ')}`).toBeGreaterThanOrEqual(from);
      from = at;
    }
  });

  it('is the same for the copies of a set', () => {
    const steps = workSteps({
      ...{ fabric: cotton, layers: [chosen('light-woven-fusible-45-g')], stitched: false, floats: false, bias: false },
      ...{ washed: true, cutAlready: false, schools: questionFor(cotton, part('collar')).schools },
    });
    const once = new Set(steps.map(actOf));
    for (const step of stepsForCopies(steps, 6)) expect([...once, 'check']).toContain(actOf(step));
  });
});
