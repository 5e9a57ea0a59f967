import { isFusible } from '../../layers';
import { OPENING } from '../../part';
import { CHECKS } from '../checks';
import { mm } from '../cut-words';
import { called, type LayerAt } from '../job';
import { cutNeeds, cutOptions, regionOf, threadNeeds } from '../lying';
import { handSewn, laid, pressed, SAFETY, stepOf, stuckThere, technique } from '../making';
import { behindWords } from '../places';

const patchLies = (at: LayerAt) => regionOf(at, {}, 'patch');
const sizeOf = (at: LayerAt): number => cutOptions(at).size;

/** A patch on the wrong side, found by its mark. */
export const patch = technique({
  id: 'patch-behind-opening',
  words: 'a patch behind an opening',
  serves: ({ layer }) => layer.extent === 'patch',
  lies: patchLies,
  cut: (at) => `as a patch of ${mm(sizeOf(at))} each way, its corners rounded`,
  needs: (at) => [
    ...cutNeeds(at, patchLies(at)),
    ...(isFusible(at.layer.material.form) || at.layer.material.ends !== 'stays' ? [] : threadNeeds(at, 4 * sizeOf(at), 'catch')),
  ],
  steps: (at) => {
    const { material } = at.layer;
    const past = mm((sizeOf(at) - OPENING.across) / 2);
    const where = `On the wrong side, ${behindWords(at)}, about ${past} past the opening on all sides; grain with grain, corners rounded.`;
    if (isFusible(material.form)) return [laid(at, where), ...pressed(at)];
    const stuck = stuckThere(at, where);
    if (stuck) return stuck;
    // What goes again is only held while the opening is sewn.
    if (material.ends !== 'stays')
      return [
        stepOf(at, 'sew', {
          ...{ kind: 'do', act: 'lay-on-top' },
          title: `Lay ${called(material)} under the place while it is sewn`,
          detail: where,
        }),
        stepOf(at, 'away', {
          ...{ stage: 'finish', kind: 'do', act: 'take-away', sewn: true, safety: SAFETY.blade },
          title: 'Take away what is left of it',
          detail: material.ends === 'rinsed' ? 'Rinse it out with the finished thing.' : 'Gently, thumb on the stitches.',
        }),
      ];
    const { words, seconds } = handSewn(4 * sizeOf(at), 'catch');
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: `Catch ${called(material)} behind the opening`,
        detail: `${where} A few stitches that take one thread; the opening is sewn through both.${words}`,
      }),
    ];
  },
  checks: ({ layer }) => [...(isFusible(layer.material.form) ? [CHECKS.edgesHold, CHECKS.dotsGone] : []), CHECKS.notSeen],
});
