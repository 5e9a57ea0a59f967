import { isBase, isFusible } from '../../layers';
import type { Step } from '../../steps';
import { CHECKS } from '../checks';
import { called, type LayerAt } from '../job';
import { cutNeeds, regionOf, sewnRound, threadNeeds } from '../lying';
import { handSewn, laid, pressed, SAFETY, stepOf, technique } from '../making';

const asBase = ({ layer }: LayerAt) => isBase(layer.material.family);

const CUT: Record<string, string> = {
  'hat-tip': 'just inside the drawn line, on the bias; an allowance only at the outside, where it joins the band',
  'hat-brim': 'just inside the drawn line, on the bias; an allowance only at the inside, where it joins the band',
  'hat-band': 'just inside the drawn line, on the straight grain; an allowance only at the back seam',
};

/** What joins which, once all layers of a part are on. */
const JOINED: Record<string, string> = {
  'hat-tip': 'Tip onto the band, right sides together, the four marks on each other.',
  'hat-brim':
    'The two faces of the brim round their outer edge; then its inner edge onto the band, the four marks on each other.',
  'hat-band': 'The back seam first; then the tip, then the brim, the four marks on each other.',
};

/** The layer that lies next to the fashion cloth: it is drawn over when all is on the base. */
const isOutermost = ({ job, index }: LayerAt) => job.layers.findIndex(({ material }) => material.form !== 'liquid') === index;

function placed(at: LayerAt): Step[] {
  const name = called(at.layer.material);
  const glued = isFusible(at.layer.material.form);
  const { words, seconds } = handSewn(sewnRound(at), 'catch');
  const timed = seconds === undefined ? {} : { seconds };
  const marked = stepOf(at, 'mark', {
    ...{ kind: 'do', act: 'check', seconds: 60 },
    title: `Mark centre front, back and both sides on ${name}`,
    detail: 'On every layer, with the same pattern; all four must meet when they are joined.',
  });
  const caught = stepOf(at, 'sew', {
    ...{ kind: 'do', act: 'baste', ...timed },
    title: `Catch ${name} to the base`,
    detail: `It lies over the base and under the cloth, so that no edge shows; by its own length. Catch stitches all round.${words}`,
  });
  return [
    ...(asBase(at) ? [marked] : []),
    ...(glued ? [laid(at, 'Within the drawn line; the four marks on each other.'), ...pressed(at)] : asBase(at) ? [] : [caught]),
    ...(isOutermost(at) && !glued
      ? [
          stepOf(at, 'cover', {
            ...{ kind: 'do' as const, act: 'baste' as const, ...timed },
            title: 'Draw the cloth over it and catch it down',
            detail: `Smooth from the middle, its grain as it was cut, the marks on each other. Only where a seam joins has the base an allowance. Catch stitches near the edge.${words}`,
          }),
        ]
      : []),
  ];
}

/** Base, mulling, cloth and lining of a hat, each by its own length. */
export const hat = technique({
  id: 'hat',
  words: 'base, mulling, cloth and lining of a hat',
  serves: ({ job, layer }) => job.role?.startsWith('hat-') === true && layer.material.form !== 'liquid',
  cut: (at) =>
    asBase(at) ? (CUT[at.job.role ?? ''] ?? 'just inside the drawn line') : 'by its own length: what lies outside is longer',
  needs: (at) => [
    ...cutNeeds(at, regionOf(at)),
    ...(isFusible(at.layer.material.form) ? [] : threadNeeds(at, sewnRound(at), 'catch')),
  ],
  steps: (at) => {
    return [
      ...placed(at),
      ...(isOutermost(at)
        ? [
            stepOf(at, 'join', {
              ...{
                stage: 'finish' as const,
                kind: 'do' as const,
                act: 'stitch' as const,
                sewn: true as const,
                safety: SAFETY.blade,
              },
              title: 'Join the parts, the lining last',
              detail: `${JOINED[at.job.role ?? ''] ?? 'Four marks on four marks.'} Trim the allowances before they are turned.`,
            }),
          ]
        : []),
    ];
  },
  checks: () => [
    { words: 'Centre front, back and both sides meet', trouble: 'slack' },
    { words: 'No ridge of the base is seen', trouble: 'ridge' },
    CHECKS.outOfSeam,
  ],
});
