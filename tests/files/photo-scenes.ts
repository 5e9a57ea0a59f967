import { cardShade, drawScene, flat, hangingStrip, liesOn, TABLES, type At, type Card, type Drawn, type Light } from '../../scripts/photo-scene'; // prettier-ignore

export interface Tabletop {
  table: keyof typeof TABLES;
  pieces: { outline: At[]; colour: Light }[];
  cards?: Card[];
  /** Pixels across; the picture is 4 : 3. */
  across?: number;
  k?: number;
  /** How far the camera leans, mm beside the middle at 1 m. */
  lean?: At;
  roll?: number;
  /** A shadow falls where this says, as a share of the light that is left. */
  shadow?: (at: At) => number;
  noise?: number;
  /** Middle of what is seen, and how wide it is, mm. */
  middle?: At;
  wide?: number;
  /** Rays a pixel, along a side. */
  rays?: number;
}

export const CORNER_CARDS: Card[] = [
  { id: 1, at: [30, 30], turn: 12 },
  { id: 2, at: [570, 40], turn: -80 },
  { id: 3, at: [560, 420], turn: 171 },
  { id: 4, at: [40, 410], turn: 33 },
];

/** Things on a table, as a telephone held above it sees them. */
export function tabletop({
  table,
  pieces,
  cards = CORNER_CARDS,
  across = 1200,
  k = 0.04,
  lean = [120, -180],
  roll = 3,
  shadow,
  noise = 0.02,
  middle = [300, 225],
  wide = 860,
  rays = 2,
}: Tabletop): Drawn {
  const height = Math.round((across * 3) / 4);
  const distance = 1000;
  const shapes = pieces.map(({ outline, colour }) => ({ lies: flat(outline), colour }));
  const marks = cards.map((card) => cardShade(card));
  return drawScene({
    ...{ width: across, height, focal: (across / wide) * distance, k, noise, seed: 7, rays },
    camera: { at: [middle[0] + lean[0], middle[1] + lean[1], distance], to: middle, roll },
    shade: (at) => {
      // Light falls off across the table.
      const falls = 0.8 - 0.25 * ((at[0] - middle[0]) / wide) + 0.15 * ((at[1] - middle[1]) / wide);
      const here = shapes.find(({ lies }) => lies(at));
      let own: Light | undefined = here?.colour;
      for (const mark of own ? [] : marks) own ??= mark(at);
      const light = falls * (shadow?.(at) ?? 1);
      const [r, g, b] = own ?? TABLES[table](at);
      return [r * light, g * light, b * light];
    },
  });
}

/** A strip over the corner of a box, seen from the side: card 5 on the box, others about it. */
export function boxWithStrip(asked: {
  bending: number;
  length: number;
  thick?: number;
  wall?: Light;
  strip?: Light;
  cards?: Card[];
  across?: number;
  k?: number;
  lean?: At;
  roll?: number;
  noise?: number;
}): Drawn {
  const { bending, length, thick = 1, wall = [0.5, 0.5, 0.46], strip = [0.08, 0.1, 0.3], across = 1200, k = 0.03 } = asked;
  const { lean = [60, 40], roll = -2, noise = 0.015 } = asked;
  const cards = asked.cards ?? [
    { id: 2, at: [-140, -60], turn: 15 },
    { id: 6, at: [-60, -170], turn: -40 },
  ];
  const line = hangingStrip(bending, length).map(([x, y]): At => [x, y + thick / 2]);
  const marks = [cardShade({ id: 5, at: [-30, -30], turn: 0 }), ...cards.map((card) => cardShade(card))];
  return drawScene({
    ...{ width: across, height: Math.round((across * 3) / 4), focal: across * 1.9, k, noise, seed: 3 },
    camera: { at: [20 + lean[0], -60 + lean[1], 780], to: [20, -60], roll },
    shade: ([x, y]) => {
      const falls = 0.85 - 0.2 * (x / 400);
      const lit = ([r, g, b]: Light): Light => [r * falls, g * falls, b * falls];
      // On top of the box it lies flat, from the edge on it hangs.
      if (x <= 0 && x > -90 && y >= 0 && y <= thick) return lit(strip);
      if (x > 0 && x < length + 5 && y < thick + 2 && y > -length - 5 && liesOn(line, [x, y], thick / 2)) return lit(strip);
      // Trimmed at its upper and its right side.
      if (x <= 0 && y <= 0) {
        for (const mark of marks) {
          const light = mark([x, y]);
          if (light) return lit(light);
        }
        return lit([0.42, 0.3, 0.18]);
      }
      return lit(wall);
    },
  });
}

/** A swatch over the lower half of a white and a black field beside card 8. */
export function coveredFields(asked: {
  reflectance: number;
  transmittance: number;
  across?: number;
  lean?: At;
  roll?: number;
  dim?: number;
}): Drawn {
  const { reflectance: r, transmittance: t, across = 900, lean = [40, -60], roll = 4, dim = 0.9 } = asked;
  const card = cardShade({ id: 8, at: [-30, -30], turn: 0 });
  return drawScene({
    ...{ width: across, height: Math.round((across * 3) / 4), focal: across * 1.5, k: 0.03, noise: 0.015, seed: 5 },
    camera: { at: [40 + lean[0], -30 + lean[1], 460], to: [40, -30], roll },
    shade: ([x, y]) => {
      const falls = dim * (1 - 0.25 * (x / 200) + 0.1 * (y / 100));
      const grey = (share: number): Light => [share * falls, share * falls, share * falls];
      const inField = y <= 0 && y >= -60 && x >= 10 && x <= 130;
      const backing = inField && x > 70 ? 0.05 : 0.89;
      if (x >= 4 && x <= 136 && y <= -30 && y >= -66) return grey(r + (t * t * backing) / (1 - r * backing));
      if (inField) return grey(backing);
      const mark = card([x, y]);
      if (mark) return grey(mark[0]);
      return x > -60 && x < 140 && y < 20 && y > -90 ? grey(0.89) : [0.2 * falls, 0.14 * falls, 0.09 * falls];
    },
  });
}
