import type { Trouble } from './trouble';

const PRESS_AGAIN = 'Cover it, press the place again with the full seconds, and let it lie until it is cold.';

/** What goes wrong under the iron. */
export const FUSED_TROUBLES: readonly Trouble[] = [
  {
    id: 'lifts',
    seen: 'It lifts at an edge or a corner',
    also: 'peels peeling comes off lets go loose delaminates dots still there',
    causes: [
      {
        ...{ id: 'cut-short', evidence: 'stop-cut-short', why: 'A stop was cut short, or two stops did not overlap.' },
        ...{
          now: PRESS_AGAIN,
          next: 'Let the clock run out at every stop, edges and corners too.',
          avoidedBy: 'Press, stop by stop',
        },
      },
      {
        ...{ id: 'moved-warm', evidence: 'not-cooled', why: 'It was moved or lifted while it was warm.' },
        ...{ now: PRESS_AGAIN, next: 'Leave it flat until the hand feels nothing.', avoidedBy: 'Leave it flat until it is cold' },
      },
      {
        ...{
          id: 'finish',
          blames: 'stack',
          evidence: 'no-scrap',
          why: 'There is a finish in the cloth that keeps the glue out.',
        },
        ...{
          now: 'Sew the edge down by hand, or take the layer off and sew one in.',
          next: 'Wash the cloth first, and try a scrap.',
          avoidedBy: 'Wash and dry the cloth; the scrap',
        },
      },
      {
        ...{ id: 'too-cool', why: 'The iron was too cool, or a cover kept the heat away.' },
        ...{
          now: 'Set the iron as the leaflet says, wait until it is hot, and press again.',
          next: 'Find the setting on a scrap and keep it.',
          avoidedBy: 'The scrap',
        },
      },
    ],
  },
  {
    id: 'bubbles',
    seen: 'Bubbles between cloth and layer',
    also: 'blisters orange peel air waves',
    causes: [
      {
        ...{ id: 'slid', why: 'The iron was pushed instead of lifted and set down.' },
        ...{ now: PRESS_AGAIN, next: 'Lift, set down, hold.', avoidedBy: 'Press, stop by stop' },
      },
      {
        ...{ id: 'little', evidence: 'stop-cut-short', why: 'Too little heat or too few seconds.' },
        ...{ now: PRESS_AGAIN, next: 'The full seconds at every stop.', avoidedBy: 'Press, stop by stop' },
      },
      {
        ...{ id: 'shrank', evidence: 'not-shrunk', why: 'Cloth or layer shrank under the iron.' },
        ...{
          now: 'Press again from the middle outwards with a damp cloth; what stays has to be cut anew.',
          next: 'Wash the cloth and shrink the layer before they are cut.',
          avoidedBy: 'Wash and dry the cloth; shrink the layer',
        },
      },
      {
        ...{ id: 'warm', evidence: 'not-cooled', why: 'It was moved while it was warm.' },
        ...{ now: PRESS_AGAIN, next: 'Leave it flat until it is cold.', avoidedBy: 'Leave it flat until it is cold' },
      },
    ],
  },
  {
    id: 'puckers',
    seen: 'Puckers after the wash',
    also: 'wrinkles shrunk washed crinkled',
    causes: [
      {
        ...{ id: 'not-shrunk', evidence: 'not-shrunk', why: 'One of the two had not been shrunk first.' },
        ...{
          now: 'Stretch it while damp and press it dry; it will not go away altogether.',
          next: 'Wash the cloth and shrink the layer before they are cut.',
          avoidedBy: 'Wash and dry the cloth; shrink the layer',
        },
      },
      {
        ...{ id: 'grain', evidence: 'grain-apart', why: 'The grain of the layer lay across that of the piece.' },
        ...{
          now: 'Nothing mends it; cut the layer anew.',
          next: 'Cut the layer on the same grain as the piece.',
          avoidedBy: 'Cut the layer',
        },
      },
    ],
  },
  {
    id: 'glue-through',
    seen: 'Glue came through to the face',
    also: 'dots show strike through spots stain shiny dots',
    causes: [
      {
        ...{ id: 'too-hot', evidence: 'too-long', why: 'Too hot or too long.' },
        ...{
          now: 'Press the face against scrap cotton that takes the glue up, while it is warm.',
          next: 'A cooler or shorter setting, found on a scrap.',
          avoidedBy: 'The scrap',
        },
      },
      {
        ...{ id: 'open', blames: 'stack', evidence: 'open-cloth', why: 'The cloth is too open or too thin for glue dots.' },
        ...{
          now: 'Take the glue up with scrap cotton; it stays stiff there.',
          next: 'A sew-in layer, or one with finer dots.',
          avoidedBy: 'Choose another layer',
        },
      },
    ],
  },
  {
    id: 'board',
    seen: 'Stiff as board',
    also: 'cardboard hard heavy too firm',
    causes: [
      {
        ...{ id: 'heavy', blames: 'stack', evidence: 'heavy-layer', why: 'The layer is heavier than the cloth.' },
        ...{
          now: 'Cut it anew with a lighter one; a wash may soften it a little.',
          next: 'A layer as heavy as the cloth or lighter.',
          avoidedBy: 'Choose another layer',
        },
      },
      {
        ...{ id: 'seams', blames: 'stack', evidence: 'in-the-seam', why: 'It runs into the seams.' },
        ...{
          now: 'Trim the layer out of the allowances as far as it can be reached.',
          next: 'Cut it to the seam line.',
          avoidedBy: 'Cut the layer',
        },
      },
    ],
  },
  {
    id: 'ridge',
    seen: 'The edge of the layer shows as a ridge',
    also: 'line step outline shows on the face',
    causes: [
      {
        ...{ id: 'inside', blames: 'stack', why: 'Its edge ends inside the piece, on cloth that shows it.' },
        ...{
          now: 'Steam the edge from the wrong side with a strip of paper under it.',
          next: 'Pink the edge, take a lighter layer, or run it to the seam.',
          avoidedBy: 'Cut the layer',
        },
      },
    ],
  },
  {
    id: 'shine',
    seen: 'Shine on the face',
    also: 'glossy pressed marks iron marks',
    causes: [
      {
        ...{ id: 'no-cover', evidence: 'no-cover', why: 'It was pressed from the face or without a cover.' },
        ...{
          now: 'Hold steam above it and brush it with a cloth; do not press again.',
          next: 'From the wrong side, under a cover.',
          avoidedBy: 'Press, stop by stop',
        },
      },
    ],
  },
  {
    id: 'glue-on-iron',
    seen: 'Glue on the iron',
    also: 'sticky sole dirty iron residue',
    causes: [
      {
        ...{
          id: 'bare',
          evidence: 'no-cover',
          why: 'Bare glue met the sole: the layer was larger than the cloth, or upside down.',
        },
        ...{
          now: 'Switch it off, let it cool, and clean it with a proper cleaner before anything else is pressed.',
          next: 'Glue down, never beyond the cloth, paper where glue can escape.',
          avoidedBy: 'Lay the layer glue side down',
        },
      },
    ],
  },
  {
    id: 'dull',
    seen: 'Dull or flat patches',
    also: 'crushed pile scorched scorch melted burnt yellow',
    causes: [
      {
        ...{ id: 'hot', why: 'The iron was hotter than the cloth bears, or stood too long.' },
        ...{
          now: 'Stop; air the room if it smells. Steam from above and brush; what is melted stays.',
          next: 'Step by step on a scrap; pile and crinkle get no iron at all.',
          avoidedBy: 'The scrap',
        },
      },
    ],
  },
  {
    id: 'size',
    seen: 'Not the size of the pattern any more',
    also: 'smaller larger shrank grew stretched out of shape long',
    causes: [
      {
        ...{ id: 'shrank', evidence: 'not-shrunk', why: 'Cloth or layer shrank under the iron.' },
        ...{
          now: 'Smaller than the seam line allows: cut it anew. Else sew with less allowance.',
          next: 'Wash and shrink first, or cut larger by what this pair shrinks.',
          avoidedBy: 'Wash and dry the cloth; shrink the layer',
        },
      },
      {
        ...{ id: 'stretched', why: 'The piece was not laid to its pattern before it was pressed.' },
        ...{
          now: 'Larger: trim it to the pattern.',
          next: 'Lay both halves to the pattern first, curves coaxed to their shape.',
          avoidedBy: 'Lay the cloth face down',
        },
      },
    ],
  },
  {
    id: 'shows-through',
    seen: 'The layer shows through',
    also: 'visible see-through shadow colour seam allowance shows',
    causes: [
      {
        ...{ id: 'shade', blames: 'stack', why: 'Its shade or its edge is seen behind thin cloth.' },
        ...{
          now: 'Cut it anew in a nearer shade, or to the seam line.',
          next: 'Skin tone under sheers, dark under dark, and look at it over light and dark.',
          avoidedBy: 'The scrap',
        },
      },
    ],
  },
  {
    id: 'stiff-knit',
    seen: 'The knit does not stretch any more',
    also: 'no stretch lost stretch',
    causes: [
      {
        ...{ id: 'turned', blames: 'stack', why: 'The layer gives less than the cloth, or lies with its stretch the other way.' },
        ...{
          now: 'It stays so: cut it anew.',
          next: 'All-way stretch, or its stretch laid where the cloth is to give.',
          avoidedBy: 'Cut the layer',
        },
      },
    ],
  },
];
