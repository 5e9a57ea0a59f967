import type { Ends } from '../layers';
import type { Step } from '../steps';
import { called, type LayerAt } from './job';
import { SAFETY, stepOf } from './making';

interface Way {
  verb: (name: string) => string;
  detail: string;
  safety?: string;
}

const WAYS: Record<Exclude<Ends, 'stays'>, Way> = {
  torn: {
    verb: (name) => `Tear ${name} away`,
    detail: 'Toward the stitching, a thumb on it, one layer at a time.',
  },
  cut: {
    verb: (name) => `Trim ${name} 3 to 6 mm outside the stitching`,
    detail: 'Never flush; what is caught in a seam stays.',
    safety: SAFETY.blade,
  },
  rinsed: {
    verb: (name) => `Rinse ${name} out`,
    detail: 'In lukewarm water, until nothing feels slippery or stiff. Dry it flat.',
  },
  melted: {
    verb: (name) => `Iron ${name} away`,
    detail:
      'Tear off first what is loose. A dry iron at the heat that its leaflet names, over a press cloth, a few seconds at a time; brush away what flakes.',
    safety: SAFETY.heat,
  },
};

/** What is stuck on comes off as it went on. */
const PEELED: Way = {
  verb: (name) => `Peel ${name} off`,
  detail: 'Flat on the table: the sheet bent back sharply, and not the cloth.',
};

/**
 * Taking away what only holds a piece while something is done to it, such as printing; what is sewn in goes when the thing is sewn. Nothing for a
 * layer that stays.
 *
 * @example goesAgain({ job: workJob, layer: stack[0], index: 0 }) // []
 */
export function goesAgain(at: LayerAt): Step[] {
  const { ends, form } = at.layer.material;
  if (ends === 'stays' || form === 'liquid') return [];
  const stuck = form === 'sticky' || form === 'spray-glued';
  const { verb, detail, safety } = stuck && ends !== 'rinsed' && ends !== 'melted' ? PEELED : WAYS[ends];
  return [
    stepOf(at, 'goes-again', {
      ...{
        stage: 'finish',
        kind: 'do',
        act: 'take-away',
        ...(stuck ? {} : { sewn: true as const }),
        ...(safety ? { safety } : {}),
      },
      title: verb(called(at.layer.material)),
      detail: `${stuck ? 'When what it held for is done and dry. ' : ''}${detail}`,
    }),
  ];
}
