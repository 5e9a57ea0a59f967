import { foundOf, IRON_WORDS } from '../../steps';
import type { LayerAt } from '../job';
import { SAFETY, technique } from '../making';
import { rinsed, wetStep } from './common';
import { liquidNeeds, amountWords } from './volume';

/** Dried in short lifts, about half a minute a section of one iron length, mm. */
const LIFT = 5;
const LIFTS = 6;
const IRON_LENGTH = 200;
const COOLING = 120;

/** Sections of one strip; undefined where its length is not known. */
function sections({ job: { width, height } }: LayerAt): number | undefined {
  return width === undefined || height === undefined ? undefined : Math.max(1, Math.ceil(Math.max(width, height) / IRON_LENGTH));
}

/** A knit strip that rolls, stiffened one iron length after the other. */
export const edgeStiffener = technique({
  id: 'edge-stiffener',
  words: 'edge stiffener in sections',
  serves: ({ layer }) => layer.material.family === 'edge-stiffener',
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => {
    const setting = foundOf(at.layer.material, at.job.found) ?? at.layer.material.leaflet;
    const many = sections(at);
    return [
      wetStep(at, 'wet', {
        ...{ stage: 'apply', kind: 'do', act: 'spray', seconds: 20 * (many ?? 1) + 10, safety: SAFETY.spray },
        title: 'Spray the strip damp, wrong side up',
        detail: `Shake well; the strip dry, its edges lying; from 20–25 cm, one iron length at a time.${
          many === undefined || many === 1 ? '' : ` The strip has about ${many} sections.`
        } While it soaks in, half a minute, fold the baking paper over it.${amountWords(at)}`,
      }),
      wetStep(at, 'press', {
        ...{ stage: 'apply', kind: 'press', act: 'press-sections', seconds: LIFT, lifts: LIFTS, safety: SAFETY.heat },
        title: `Press a section in lifts of ${LIFT} s until it is dry`,
        detail: `Paper folded over the strip, iron ${IRON_WORDS[setting.ironDots]}, no steam. About ${LIFT * LIFTS} s a section of one iron length; stop sooner when it is dry.`,
      }),
      wetStep(at, 'cool', {
        ...{ stage: 'apply', kind: 'wait', act: 'cool', seconds: COOLING },
        title: 'Let it cool flat, then peel the paper off',
        detail: 'It only sets when it is cold. Look whether the edge still rolls; if it does, once more.',
      }),
      ...rinsed(at),
    ];
  },
  checks: () => [
    { words: 'The edge does not roll', trouble: 'rolls' },
    { words: 'No flakes, no scorch', trouble: 'flakes' },
  ],
});
