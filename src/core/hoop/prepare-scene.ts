import { intersection, transformed, type Outline, type Point } from '../shape';
import type { Act, Step } from '../steps';
import { edgeDirections } from './align';
import type { HoopCard } from './card';
import { hoopOutlines, mountPoint, type HoopOutlines, type HoopPlace } from './hoop';
import { placedMotif } from './placing';
import { layersWorked, starching, type HoopWork } from './prepare';
import { sheetRecipe } from './sheet-recipe';

/** A fold of the card where it runs over the cloth, mm. */
export interface FoldLine {
  from: Point;
  to: Point;
  edge: number;
  distance: number;
}

/** What the hands do on the cloth before it is hooped: the cloth as it lies face up, and what of it is wetted or covered, mm. */
interface ByHand {
  kind: 'by-hand';
  act: Act;
  cloth: Outline;
  region: Outline[];
}

/** What is laid, hooped or hung, as it is seen from above; mm, the cloth as its drawing has it, or the hoop as the machine carries it. */
interface InHoop {
  kind: 'in-hoop';
  /** None where the sheet is hooped without it. */
  cloth: Outline | null;
  /** Waste cloth basted to its edges. */
  strips: Outline[];
  /** Where the other sheets reach to, under the cloth. */
  sheets: Outline[];
  /** What this step brings: the cloth itself lies on the sheet, a film on the cloth, a sheet comes from under the hoop. */
  brings: 'cloth' | 'film' | 'sheet' | null;
  film: Outline[];
  folds: FoldLine[];
  ring: HoopOutlines | null;
  /** The middle of the side on which the hoop is carried. */
  mount: Point | null;
  /** The design where the machine is to sew it. */
  motif: Outline | null;
  /** Only what lies round the ring is looked at. */
  near: boolean;
}

export type HoopScene = ByHand | InHoop;

const turnedTo = (outline: Outline, { x, y, angle }: HoopPlace): Outline => transformed(outline, false, angle, x, y);

/** An outline on the cloth as it is seen when the hoop stands upright before the machine. */
const fromHoop = (outline: Outline, { x, y, angle }: HoopPlace): Outline =>
  transformed(transformed(outline, false, 0, -x, -y), false, -angle, 0, 0);

const box = (width: number, height: number): Outline => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
];

/** The folds of a card as they run over its ground, from edge to edge. */
function foldLines({ ground, edges }: HoopCard): FoldLine[] {
  return edges.flatMap(({ edge, distance }) => {
    const { along, inward } = edgeDirections(ground, edge);
    const start = ground[edge]!;
    const across = ([x, y]: Point) => (x - start[0]) * inward[0] + (y - start[1]) * inward[1] - distance;
    const hits = ground.flatMap((a, i): Point[] => {
      const b = ground[(i + 1) % ground.length]!;
      const [before, after] = [across(a), across(b)];
      if (before === after || before > 0 === after > 0) return [];
      const share = before / (before - after);
      return [[a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])]];
    });
    const far = ([x, y]: Point) => x * along[0] + y * along[1];
    const [from, to] = [
      hits.reduce((a, b) => (far(b) < far(a) ? b : a), hits[0]!),
      hits.reduce((a, b) => (far(b) > far(a) ? b : a), hits[0]!),
    ];
    return from && to ? [{ from, to, edge, distance }] : [];
  });
}

/** Sheets of the work by how they come to lie, round the middle of the hoop. */
function sheetsRound(work: HoopWork) {
  const { hoop, floats } = work;
  const layers = layersWorked(work);
  const dry = layers.filter(({ material }) => material.form !== 'liquid');
  const sheets = sheetRecipe(hoop, dry, floats, 1).map(({ width, height, lies }, i) => ({
    ...{ layer: layers.indexOf(dry[i]!), lies, outline: box(width, height) },
  }));
  const those = (lies: (typeof sheets)[number]['lies']) =>
    sheets.filter((each) => each.lies === lies).map(({ outline }) => outline);
  return { sheets, hooped: those('in-ring'), slid: those('under'), films: those('on-top') };
}

/** Steps of hooping that are seen from above, by what a step is called among them. */
const FROM_ABOVE = ['cross', 'hoop', 'float', 'topping', 'mount', 'slide'] as const;
type FromAbove = (typeof FROM_ABOVE)[number];

/**
 * What a step of {@link hoopPreparation} looks like with this cloth, this hoop and these sheets.
 *
 * @param motif hull of the motif round its own middle, mm
 * @returns null for a step that has no act of its own
 * @example hoopScene(hoopWork, hoopCard({ outline: square(400), place: middle, hoop: hoopWork.at, pairs: false }, 0), square(20), { id: 'hoop', stage: 'apply', kind: 'do', act: 'hoop', title: '', detail: '' }).kind // 'in-hoop'
 */
export function hoopScene(work: HoopWork, card: HoopCard, motif: Outline, step: Step): HoopScene | null {
  const { ground, hoop, at } = work;
  const { sheets, hooped, slid, films } = sheetsRound(work);
  const above = FROM_ABOVE.find((id) => id === step.id);
  const there = (outlines: Outline[]) => outlines.map((outline) => turnedTo(outline, at));
  if (above === undefined) {
    if (!step.act) return null;
    const own = sheets.find(({ layer }) => layer === step.layer);
    const region = own ? intersection([turnedTo(own.outline, at)], [ground.outline]) : (starching(work)?.where ?? []);
    return { kind: 'by-hand', act: step.act, cloth: ground.outline, region };
  }
  const bare: InHoop = {
    ...{ kind: 'in-hoop', cloth: ground.outline, strips: ground.strips ?? [], sheets: [], film: [], brings: null },
    ...{ folds: foldLines(card), ring: hoopOutlines(hoop, at), mount: mountPoint(hoop, at), motif: null, near: false },
  };
  /** Turned so that the hoop stands before the machine. */
  const atMachine: InHoop = {
    ...bare,
    ...{ cloth: fromHoop(ground.outline, at), strips: bare.strips.map((strip) => fromHoop(strip, at)), folds: [], near: true },
    ...{ ring: hoopOutlines(hoop), mount: mountPoint(hoop, { x: 0, y: 0, angle: 0 }), sheets: hooped },
    motif: placedMotif(motif, { x: card.right, y: card.up, angle: card.turn, flipped: card.mirror }),
  };
  const shown: Record<FromAbove, InHoop> = {
    cross: { ...bare, ring: null, mount: null },
    hoop: work.floats
      ? { ...bare, cloth: null, strips: [], folds: [], sheets: there(hooped), near: true }
      : { ...bare, sheets: there(hooped) },
    float: { ...bare, sheets: there(hooped), brings: 'cloth', near: true },
    topping: { ...bare, sheets: there(hooped), film: there(films), folds: [], brings: 'film', near: true },
    mount: atMachine,
    slide: { ...atMachine, sheets: slid, brings: 'sheet' },
  };
  return shown[above];
}
