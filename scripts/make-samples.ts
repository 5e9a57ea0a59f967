// npm run make-samples: draws the made-up photographs that can be tried in the application, into public/samples.
import { encode } from 'jpeg-js';
import { mkdirSync, writeFileSync } from 'node:fs';
import { cardShade, drawScene, flat, hangingStrip, liesOn, roughness, TABLES, type At, type Drawn, type Light } from './photo-scene'; // prettier-ignore

const folder = new URL('../public/samples/', import.meta.url);
mkdirSync(folder, { recursive: true });
const write = (name: string, { width, height, data }: Drawn) =>
  writeFileSync(new URL(name, folder), encode({ width, height, data: Buffer.from(data) }, 84).data);

/** A curve through a corner's arc, mm. */
const arc = (x: number, y: number, r: number, from: number, to: number): At[] =>
  Array.from({ length: 25 }, (_, i) => {
    const angle = ((from + ((to - from) * i) / 24) * Math.PI) / 180;
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  });

const INK: Light = [0.05, 0.05, 0.09];

/** Paper pieces of a steward's waistcoat pocket: flap, welt, bag, on a wooden table. */
const PIECES: At[][] = [
  [[110, 250], [260, 255], ...arc(235, 345, 20, 10, 90), ...arc(125, 340, 22, 90, 185)],
  [[110, 150], [270, 150], [270, 190], [110, 190]],
  [[330, 130], [480, 140], [500, 360], ...arc(430, 350, 50, 60, 130), [335, 330]],
]; // prettier-ignore
const CARDS = [
  { id: 1, at: [40, 60] as At, turn: 8 },
  { id: 2, at: [560, 50] as At, turn: -25 },
  { id: 3, at: [575, 400] as At, turn: 60 },
  { id: 4, at: [35, 390] as At, turn: 190 },
].map((card) => cardShade(card));
/** Drawn on them with a pen: the bag's grain line, a notch on each of its long sides, one on the flap. */
const STROKES: [At, At][] = [
  [[405, 190], [415, 320]],
  [[331.5, 230], [342, 229.6]],
  [[490.2, 250], [479.7, 250.5]],
  [[185, 252.4], [184.6, 262]],
]; // prettier-ignore
const strokes = STROKES.map(([a, b]) => {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [u, v] = [((b[1] - a[1]) / length) * 0.5, ((b[0] - a[0]) / length) * 0.5];
  return flat([[a[0] - u, a[1] + v], [b[0] - u, b[1] + v], [b[0] + u, b[1] - v], [a[0] + u, a[1] - v]]); // prettier-ignore
});
const LEFT_CARDS = [
  { id: 1, at: [30, 30] as At, turn: -12 },
  { id: 2, at: [575, 40] as At, turn: 20 },
  { id: 3, at: [560, 400] as At, turn: 100 },
  { id: 4, at: [30, 410] as At, turn: 5 },
].map((card) => cardShade(card));
const shapes = PIECES.map((outline) => ({ lies: flat(outline), shadow: flat(outline.map(([x, y]): At => [x + 2, y - 2.5])) }));
write(
  'pieces.jpg',
  drawScene({
    ...{ width: 1600, height: 1200, focal: 1900, k: 0.035, noise: 0.012, seed: 11 },
    camera: { at: [380, 60, 1000], to: [305, 228], roll: 2 },
    shade: (at) => {
      const falls = 0.85 - 0.2 * ((at[0] - 300) / 600) + 0.1 * ((at[1] - 225) / 450);
      const paper: Light = [0.82, 0.79, 0.7];
      let light: Light | undefined = shapes.some(({ lies }) => lies(at))
        ? strokes.some((on) => on(at))
          ? INK
          : paper
        : undefined;
      for (const card of light ? [] : CARDS) light ??= card(at);
      const shade = !light && shapes.some(({ shadow }) => shadow(at)) ? 0.62 : 1;
      const [r, g, b] = light ?? TABLES.wood(at);
      return [r * falls * shade, g * falls * shade, b * falls * shade];
    },
  }),
);

/** What is left of a red canvas after four tabs were cut from it, with a hole and a coffee stain, on a white table. */
const LEFT: At[] = [[90, 60], [520, 70], [514, 230], [400, 226], [396, 400], [84, 390]]; // prettier-ignore
const left = { lies: flat(LEFT), hole: flat(arc(180, 300, 13, 0, 360)), stain: flat(arc(430, 130, 24, 0, 360)) };
write(
  'leftover.jpg',
  drawScene({
    ...{ width: 1600, height: 1200, focal: 1900, k: 0.03, noise: 0.012, seed: 14 },
    camera: { at: [240, 80, 1010], to: [305, 228], roll: -3 },
    shade: (at) => {
      const falls = 0.92 - 0.15 * ((at[0] - 300) / 600);
      const weave = 0.93 + 0.14 * roughness(at[0] / 1.2, at[1] / 1.2);
      const red: Light = left.stain(at)
        ? [0.13 * weave, 0.045 * weave, 0.03 * weave]
        : [0.42 * weave, 0.06 * weave, 0.05 * weave];
      let light: Light | undefined = left.lies(at) && !left.hole(at) ? red : undefined;
      for (const card of light ? [] : LEFT_CARDS) light ??= card(at);
      const [r, g, b] = light ?? TABLES.white(at);
      return [r * falls, g * falls, b * falls];
    },
  }),
);

/** A strip of wool felt, 24 mm of bending length, over the corner of a box. */
const line = hangingStrip(24, 84);
const boxCards = [
  { id: 5, at: [-30, -30] as At, turn: 0 },
  { id: 6, at: [-145, -55] as At, turn: 12 },
  { id: 7, at: [-70, -165] as At, turn: -30 },
].map((card) => cardShade(card));
write(
  'hang.jpg',
  drawScene({
    ...{ width: 1600, height: 1200, focal: 3000, k: 0.03, noise: 0.012, seed: 12 },
    camera: { at: [60, -40, 800], to: [-20, -75], roll: -1.5 },
    shade: ([x, y]) => {
      const falls = 0.9 - 0.2 * (x / 300);
      const lit = ([r, g, b]: Light): Light => [r * falls, g * falls, b * falls];
      const felt: Light = [0.12, 0.05, 0.06];
      if (x <= 0 && x > -120 && y >= 0 && y <= 1.6) return lit(felt);
      if (x > 0 && x < 95 && y < 4 && y > -95 && liesOn(line, [x, y - 0.8], 0.8)) return lit(felt);
      if (x <= 0 && y <= 0) {
        for (const card of boxCards) {
          const light = card([x, y]);
          if (light) return lit(light);
        }
        const board = 0.95 + 0.1 * roughness(x / 40, y / 2);
        return lit([0.45 * board, 0.32 * board, 0.2 * board]);
      }
      return lit([0.62, 0.63, 0.6]);
    },
  }),
);

/** A shirting that throws back 0.58 of the light and lets 0.3 of it through, over the fields beside card 8. */
const eight = cardShade({ id: 8, at: [-30, -30], turn: 0 });
const cloth = (x: number, y: number, backing: number) => {
  const weave = 0.985 + 0.03 * roughness(x / 0.7, y / 0.7);
  return weave * (0.58 + (0.3 * 0.3 * backing) / (1 - 0.58 * backing));
};
write(
  'see-through.jpg',
  drawScene({
    ...{ width: 1400, height: 1050, focal: 2000, k: 0.03, noise: 0.012, seed: 13 },
    camera: { at: [70, -80, 460], to: [35, -32], roll: 3 },
    shade: ([x, y]) => {
      const falls = 0.92 * (1 - 0.2 * (x / 200) + 0.1 * (y / 100));
      const grey = (share: number): Light => [share * falls, share * falls, share * falls];
      const inField = y <= 0 && y >= -60 && x >= 10 && x <= 130;
      const backing = inField && x > 70 ? 0.05 : 0.89;
      if (x >= 6 && x <= 134 && y <= -30.5 && y >= -68) return grey(cloth(x, y, backing));
      if (inField) return grey(backing);
      const mark = eight([x, y]);
      if (mark) return grey(mark[0]);
      return x > -72 && x < 138 && y < 25 && y > -95 ? grey(0.89) : [0.16 * falls, 0.11 * falls, 0.07 * falls];
    },
  }),
);
