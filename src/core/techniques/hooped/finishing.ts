import type { Material } from '../../layers';

/** What a motif is sewn as, and so how its sheet is finished. */
export const STITCH_ROLES = ['embroidery', 'badge', 'applique', 'quilt-piece', 'free-stitching'] as const;
export type StitchRole = (typeof STITCH_ROLES)[number];

export const STITCH_ROLE_WORDS: Record<StitchRole, string> = {
  embroidery: 'embroidery',
  badge: 'a badge',
  applique: 'appliqué',
  'quilt-piece': 'a quilt block',
  'free-stitching': 'free stitching',
};

export interface Finish {
  title: string;
  detail: string;
  safety?: string;
  /** It is done once the whole thing is sewn. */
  sewn?: true;
}

const BLADES = 'Cut away from the hand; cap blades when they lie down.';
const HEAT = 'The iron burns: fingers clear. Fresh air while it melts; stop when it smells.';

/** What lay on top of the stitches, or under them, and goes by hand before anything is trimmed: torn, melted, or cut off. */
function takenAway(role: StitchRole, layers: readonly { material: Pick<Material, 'ends' | 'family'> }[]): Finish[] {
  const films = layers.filter(({ material }) => material.family === 'topping');
  const some = (of: typeof layers, ends: Material['ends']) => of.some(({ material }) => material.ends === ends);
  return [
    ...(some(films, 'torn')
      ? [{ title: 'Tear the film off the stitches', detail: 'Toward the motif, thumb on the stitches.' }]
      : []),
    // A badge is trimmed with all its layers.
    ...(some(films, 'cut') && role !== 'badge'
      ? [
          {
            title: 'Cut the film off round the motif',
            detail: 'Close to the stitches; what lies under them stays.',
            safety: BLADES,
          },
        ]
      : []),
    ...(some(layers, 'melted')
      ? [
          {
            title: 'Iron away what is meant to melt',
            detail:
              'Tear off first what is loose. A dry iron at the heat that its leaflet names, over a press cloth, a few seconds at a time; brush away what flakes.',
            safety: HEAT,
          },
        ]
      : []),
  ];
}

/**
 * What the hands do between the colours, at the stops of the machine: an appliqué is laid on its placing line, tacked down, and trimmed before
 * its border covers the cut edge.
 *
 * @example betweenColours('embroidery') // []
 */
export function betweenColours(role: StitchRole): Finish[] {
  if (role !== 'applique') return [];
  return [
    {
      title: 'Lay the appliqué cloth over its placing line',
      detail: 'When the first line is sewn: right side up, flat, past the line on every side. The next line tacks it down.',
      safety: 'Needle up and machine stopped before a hand goes under it.',
    },
    {
      title: 'Trim the appliqué',
      detail:
        'When it is tacked down, before its border: hoop off the machine, the cloth left in it; close to the stitches, without lifting the cloth below.',
      safety: BLADES,
    },
  ];
}

/**
 * What is done once it is sewn, in working order; by all layers that it was sewn with, topping and starch included.
 *
 * @example finishing('embroidery', [{ material: layer('medium-tear-away-42-g') }]).length > 0 // true
 */
export function finishing(
  role: StitchRole,
  layers: readonly { material: Pick<Material, 'ends' | 'family' | 'form'> }[],
): Finish[] {
  const sheets = layers.filter(({ material }) => material.form !== 'liquid' && material.family !== 'topping');
  const cut = sheets.some(({ material }) => material.ends === 'cut');
  const torn = sheets.some(({ material }) => material.ends === 'torn');
  const rinsed = layers.some(({ material }) => material.ends === 'rinsed');
  const rinse: Finish[] = rinsed
    ? [
        {
          title: 'Rinse out what is meant to go',
          detail: 'Lukewarm, until nothing feels slippery or stiff. Dry it flat.',
          sewn: true,
        },
      ]
    : [];
  const steps: Finish[] = [];
  if (torn) steps.push({ title: 'Tear the sheet away', detail: 'One layer at a time, thumb on the stitches, toward the motif.' });
  steps.push(...takenAway(role, layers));
  // Where nothing but torn sheets was sewn on, nothing is left to stay.
  if (role === 'quilt-piece' && torn && !cut) return [...steps, ...rinse];
  if (role === 'quilt-piece')
    return [
      ...steps,
      {
        title: 'Leave the sheet in the block',
        detail: 'It stays as part of the quilt. Trim it with the block to the seam line, so that it does not thicken the seams.',
        safety: BLADES,
      },
      ...rinse,
    ];
  if (role === 'badge')
    return [
      ...steps,
      {
        title: 'Trim all layers together',
        detail: 'One to two millimetres outside the border, with sharp curved scissors, turning the badge and not the blades.',
        safety: BLADES,
      },
      {
        title: 'Seal the edge',
        detail: 'A thin line of washable textile glue round the cut edge, left to dry; or a hot tool where all layers melt.',
        safety: 'A flame or hot tool only away from sprays, on a safe surface, with fresh air: natural fibres may catch.',
      },
      ...rinse,
    ];
  if (cut)
    steps.push({
      title: 'Trim the cut-away sheet 3 to 6 mm outside the stitches',
      detail:
        'Along the dashed line. Never flush, or its edge sinks after washing. Cut it apart between separate motifs, so that the cloth between does not bunch.',
      safety: BLADES,
    });
  return [...steps, ...rinse];
}
