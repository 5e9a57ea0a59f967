import type { Trouble } from './trouble';

/** What goes wrong in the hoop. */
export const HOOPED_TROUBLES: readonly Trouble[] = [
  {
    id: 'drift',
    seen: 'The outline does not meet the fill',
    also: 'gap gaps shifted off register outline drift',
    causes: [
      {
        ...{ id: 'slipped', blames: 'stack', evidence: 'loose-sheet', why: 'The cloth slipped on its sheet.' },
        ...{
          now: 'A few stitches by hand close a small gap.',
          next: 'Join cloth and sheet: spray, fuse or stick; hoop drum tight.',
          avoidedBy: 'Join cloth and sheet',
        },
      },
      {
        ...{ id: 'give', blames: 'stack', why: 'The sheet gives too much for so many stitches.' },
        ...{
          now: 'Nothing; take it as it is or sew it anew.',
          next: 'One layer more, or one that stays.',
          avoidedBy: 'Choose another sheet',
        },
      },
    ],
  },
  {
    id: 'tunnel',
    seen: 'Puckers or tunnels round dense parts',
    also: 'tunnel tunnels pucker puckering ridges embroidery',
    causes: [
      {
        ...{ id: 'support', blames: 'stack', why: 'Too little under it for its stitches.' },
        ...{
          now: 'Press from the back over a towel while it is damp.',
          next: 'A heavier sheet, or two crossed.',
          avoidedBy: 'Choose another sheet',
        },
      },
      {
        ...{ id: 'loose', why: 'The hoop was not drum tight.' },
        ...{
          now: 'Press from the back over a towel.',
          next: 'Slack drawn in all the way round; it sounds like a drum.',
          avoidedBy: 'Hoop it drum tight',
        },
      },
    ],
  },
  {
    id: 'sunk',
    seen: 'Stitches have sunk in',
    also: 'sunken buried pile loops towel fleece show through',
    causes: [
      {
        ...{ id: 'topping', blames: 'stack', evidence: 'no-topping', why: 'No topping lay on loops or loft.' },
        ...{
          now: 'Pull the loops out from between the stitches, or sew it over once more with a topping.',
          next: 'A topping over the whole field.',
          avoidedBy: 'Lay the topping on',
        },
      },
    ],
  },
  {
    id: 'hoop-marks',
    seen: 'Marks of the hoop',
    also: 'hoop burn ring crease shine',
    causes: [
      {
        ...{ id: 'clamped', blames: 'stack', evidence: 'hooped', why: 'The ring crushed the cloth.' },
        ...{
          now: 'Steam from above and brush; on leather they stay.',
          next: 'Float it, or take a wider ring.',
          avoidedBy: 'Float it on the sheet',
        },
      },
    ],
  },
  {
    id: 'dent',
    seen: 'A dent round the motif after washing',
    also: 'sunken edge sinks trimmed flush',
    causes: [
      {
        ...{ id: 'flush', why: 'The sheet was trimmed flush with the stitches.' },
        ...{ now: 'Nothing puts it back.', next: 'Leave 3 to 6 mm all round.', avoidedBy: 'Trim the cut-away sheet' },
      },
    ],
  },
  {
    id: 'bunched',
    seen: 'Cloth is bunched between motifs',
    also: 'gathered between islands pulled',
    causes: [
      {
        ...{ id: 'spans', evidence: 'one-sheet', why: 'One sheet spans separate motifs.' },
        ...{
          now: 'Cut the sheet apart between them.',
          next: 'Cut it apart before the first wash.',
          avoidedBy: 'Trim the cut-away sheet',
        },
      },
    ],
  },
  {
    id: 'open-edge',
    seen: 'The edge of a badge frays',
    also: 'badge patch fray whiskers',
    causes: [
      {
        ...{ id: 'unsealed', why: 'It was trimmed too close or not sealed.' },
        ...{
          now: 'A thin line of washable textile glue round the edge.',
          next: 'Trim 1 to 2 mm outside, then seal.',
          avoidedBy: 'Seal the edge',
        },
      },
    ],
  },
  {
    id: 'thread-breaks',
    seen: 'The thread breaks',
    also: 'breaks snaps shreds needle',
    causes: [
      {
        ...{ id: 'needle', why: 'The needle is blunt, gummed up or too fine for the thread.' },
        ...{
          now: 'A new needle; wipe off glue.',
          next: 'A larger eye, slower where it is dense.',
          avoidedBy: 'Stitch the motif',
        },
      },
    ],
  },
];
