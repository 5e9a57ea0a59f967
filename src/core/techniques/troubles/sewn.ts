import type { Trouble } from './trouble';

/** What goes wrong with layers that are sewn, caught or clipped, and where cloth is cut open. */
export const SEWN_TROUBLES: readonly Trouble[] = [
  {
    id: 'slack',
    seen: 'The two layers do not lie flat together',
    also: 'bubble bag pull hangs apart darts do not meet',
    causes: [
      {
        ...{ id: 'held-up', why: 'They were lifted or held in the air while they were joined.' },
        ...{
          now: 'Take the basting out on that side, smooth both on the table, baste again from the middle.',
          next: 'Flat on a table, the cloth uppermost, from the middle of the lower edge.',
          avoidedBy: 'Baste, cloth uppermost',
        },
      },
      {
        ...{ id: 'shrink', evidence: 'not-shrunk', why: 'One of the two shrank.' },
        ...{
          now: 'Trim to the smaller one if the seams allow it.',
          next: 'Wash both before they are cut.',
          avoidedBy: 'Wash and dry the cloth; shrink the layer',
        },
      },
    ],
  },
  {
    id: 'ripple',
    seen: 'The edge ripples or is longer than its pattern',
    also: 'wave wavy grew stretched braid ripples zip waves stay',
    causes: [
      {
        ...{ id: 'pulled', why: 'Cloth, stay or braid was pulled while it was sewn.' },
        ...{
          now: 'Take it off, lay the edge to its pattern, put it on again.',
          next: 'Stay measured on the pattern; nothing pulled.',
          avoidedBy: 'Lay the stay to the sewn line',
        },
      },
      {
        ...{ id: 'needle', why: 'The needle is wrong for the braid and drags it.' },
        ...{
          now: 'Change the needle and sew it again; do not stretch the braid.',
          next: 'A new needle of the right size.',
          avoidedBy: 'Sew the braid into the hem',
        },
      },
    ],
  },
  {
    id: 'corner-tore',
    seen: 'A corner or the point of a slash tore',
    also: 'frayed clipped inner corner godet point hole',
    causes: [
      {
        ...{ id: 'no-patch', why: 'There was nothing thin and tight behind the point.' },
        ...{
          now: 'Put a square of organdy on the right side over the point and sew the corner again one thread further in.',
          next: 'A square on the sewn point before it is clipped.',
          avoidedBy: 'Baste the square on the sewn point',
        },
      },
      {
        ...{ id: 'clipped', why: 'It was clipped through the stitching.' },
        ...{
          now: 'Stitch across the point one thread further in.',
          next: 'To the thread, never through it.',
          avoidedBy: 'Clip to the thread',
        },
      },
    ],
  },
  {
    id: 'seam-thick',
    seen: 'The seam does not turn, or the machine stalls',
    also: 'bulk thick lump turn out point machine stops needle gums gummed sticky needle',
    causes: [
      {
        ...{ id: 'in-seam', blames: 'stack', evidence: 'in-the-seam', why: 'Something firm runs into the allowance.' },
        ...{
          now: 'Trim the layer to the seam line and clip the corner.',
          next: 'Cut firm layers to the seam line.',
          avoidedBy: 'Cut the layer',
        },
      },
      {
        ...{ id: 'warm-glue', evidence: 'not-cooled', why: 'The glue was not cold, or the needle is wrong: it gums up.' },
        ...{
          now: 'Wipe the needle, take a larger one, wait until it is cold.',
          next: 'Cold before it is sewn.',
          avoidedBy: 'Leave it flat until it is cold',
        },
      },
    ],
  },
  {
    id: 'holes',
    seen: 'Holes or marks that stay',
    also: 'pin holes needle holes leather marks crease film',
    causes: [
      {
        ...{ id: 'pinned', why: 'It was pinned, basted or creased.' },
        ...{
          now: 'Rub it with the back of a spoon; holes stay.',
          next: 'Clips in the allowance, a few spots of glue.',
          avoidedBy: 'Hold it with clips',
        },
      },
    ],
  },
];
