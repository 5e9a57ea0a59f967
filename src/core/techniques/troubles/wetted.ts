import type { Trouble } from './trouble';

/** What goes wrong with starch, stabilizer and stiffener. */
export const WETTED_TROUBLES: readonly Trouble[] = [
  {
    id: 'flakes',
    seen: 'Flakes or scorched starch',
    also: 'white dust scorch brown crumbs',
    causes: [
      {
        ...{ id: 'wet', why: 'It was pressed before it had soaked in, or too much lay on the face.' },
        ...{
          now: 'Brush it off, mist with plain water, press under a cloth.',
          next: 'Let it soak in; rather two light rounds than one heavy.',
          avoidedBy: 'Let it soak in',
        },
      },
      {
        ...{ id: 'hot', why: 'The iron was too hot for the starch.' },
        ...{ now: 'Rinse it out and begin again.', next: 'One dot less, under a cloth.', avoidedBy: 'Press it dry and smooth' },
      },
    ],
  },
  {
    id: 'uneven',
    seen: 'Stiff in places, limp in others',
    also: 'pale patches dry spots soft spots limp not stiff enough',
    causes: [
      {
        ...{ id: 'dry-spots', why: 'Some places stayed dry when it was wetted.' },
        ...{
          now: 'Wet those places and press again.',
          next: 'Hold it to the light, and wet what is pale.',
          avoidedBy: 'Wet the cloth; hold it to the light',
        },
      },
      {
        ...{ id: 'dried', why: 'It had gone dry before it was pressed.' },
        ...{
          now: 'Mist it with plain water and press it smooth.',
          next: 'Take it off the line while it is damp.',
          avoidedBy: 'Let it hang until it is only damp',
        },
      },
    ],
  },
  {
    id: 'rolls',
    seen: 'The edge still rolls',
    also: 'curls knit edge curl',
    causes: [
      {
        ...{ id: 'dry-spray', why: 'Too little was sprayed.' },
        ...{
          now: 'Spray the section damp once more and press it dry.',
          next: 'Damp all through, edges too.',
          avoidedBy: 'Spray the strip damp',
        },
      },
      {
        ...{ id: 'warm', evidence: 'not-cooled', why: 'The paper was peeled off while it was warm.' },
        ...{
          now: 'Press it again under the paper and let it cool.',
          next: 'Cold and flat before it is peeled.',
          avoidedBy: 'Let it cool flat',
        },
      },
    ],
  },
  {
    id: 'gives',
    seen: 'It gives as much as before',
    also: 'bias stretch still stretches',
    causes: [
      {
        ...{ id: 'light', blames: 'stack', why: 'The dose was too light for this cloth.' },
        ...{ now: 'Another round.', next: 'Find the dose on a spray scrap.', avoidedBy: 'The spray scrap' },
      },
    ],
  },
];
