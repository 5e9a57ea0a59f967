/**
 * Writes demo/lantern-procession.json: the Tern Quay lantern procession, all of it invented. Stacks are chosen by
 * the engine itself, so that the demo shows what the application would say; readings scatter around the
 * prediction by a seeded draw. Run it after a change of the library: npm run make-demo
 */
import { writeFileSync } from 'node:fs';
import { choose, type Part, type RankedStack } from '../src/core/choose';
import { clothBendingLength, clothThickness, overhangFromBendingLength, type Fabric } from '../src/core/cloth';
import { joinedAs, keptKey, usedOf } from '../src/core/layers';
import { LIBRARY_LAYERS } from '../src/core/library';
import { applyTest, type Readings, type TestId } from '../src/core/measure';
import { schoolsOf } from '../src/core/schools';
import { scrapPlan, type ScrapReading } from '../src/core/scrap';
import { edgeNames, type PieceShape } from '../src/core/shape';
import { seeded } from '../src/core/random';
import type { Mark } from '../src/core/pieces';
import { demoHoopingLog, demoHoopings, demoHoops, demoMotifs } from './demo-motifs';

const random = seeded(20260416);
/** Standard normal draw by the sum of twelve. */
const normal = () => Array.from({ length: 12 }, random).reduce((a, b) => a + b, -6);

interface DemoCloth extends Fabric {
  id: string;
  name: string;
  note: string;
  rollWidth?: number;
  pricePerMetre?: number;
  tests?: Partial<Record<TestId, { readings: Readings; doneOn: string }>>;
}

/** Width, mm, and price of a metre, minor units; what was felted from blankets has neither. */
const SOLD: Record<string, [rollWidth: number, pricePerMetre: number]> = {
  'tq-harbour-linen': [1450, 1890],
  'tq-lining-poplin': [1120, 790],
  'tq-duck': [1500, 1650],
  'tq-net': [1500, 620],
  'tq-organza': [1450, 540],
  'tq-gaiter-jersey': [1600, 1380],
  'tq-drummer-satin': [1480, 980],
  'tq-cape-flannel': [1100, 860],
  'tq-sash-velvet': [1120, 2450],
  'tq-shirt-lawn': [1360, 920],
  'tq-rain-nylon': [1500, 760],
};
const cloth = (id: string, name: string, note: string, fabric: Fabric): DemoCloth => {
  const sold = SOLD[id];
  return { id, name, note, ...fabric, ...(sold ? { rollWidth: sold[0], pricePerMetre: sold[1] } : {}) };
};
const cotton = [{ fibre: 'cotton' as const, percent: 100 }];
const base = { stretchLength: 1, stretchCross: 2, ironDots: 3, water: 'safe' as const, sheer: 'opaque' as const, surface: [], fray: 'medium' as const };

const cloths: DemoCloth[] = [
  cloth('tq-harbour-linen', 'Harbour-blue linen-cotton', 'For the stewards’ waistcoats; twelve metres from the spring market.', { ...base, construction: 'woven', weave: 'plain', fibres: [{ fibre: 'linen', percent: 55 }, { fibre: 'cotton', percent: 45 }], arealDensity: 176, thickness: 0.41, tone: 'dark', overhang: 55, prewashed: true }),
  cloth('tq-lining-poplin', 'Straw-yellow poplin', 'Lines the waistcoats.', { ...base, construction: 'woven', weave: 'plain', fibres: cotton, arealDensity: 118, thickness: 0.25, tone: 'light', prewashed: true }),
  cloth('tq-duck', 'Natural duck canvas', 'Banner and tool roll.', { ...base, construction: 'woven', weave: 'plain', fibres: cotton, arealDensity: 405, thickness: 0.77, tone: 'light', overhang: 86 }),
  cloth('tq-net', 'Stiff lantern net', 'Frames of the lantern shades.', { ...base, construction: 'net', weave: 'other', fibres: [{ fibre: 'nylon', percent: 100 }], arealDensity: 41, thickness: 0.26, stretchLength: 2, stretchCross: 4, ironDots: 1, sheer: 'sheer', tone: 'light', surface: ['openwork'], fray: 'low' }),
  cloth('tq-organza', 'Amber organza', 'Glows in front of the lamp.', { ...base, construction: 'woven', weave: 'plain', fibres: [{ fibre: 'polyester', percent: 100 }], arealDensity: 33, thickness: 0.1, ironDots: 1, sheer: 'sheer', tone: 'light', fray: 'high' }),
  cloth('tq-felted-wool', 'Charcoal felted wool', 'From two old blankets, felted in the wash.', { ...base, construction: 'nonwoven', weave: 'other', fibres: [{ fibre: 'wool', percent: 100 }], arealDensity: 380, thickness: 1.9, stretchLength: 4, stretchCross: 6, ironDots: 2, tone: 'dark', surface: ['lofty'], fray: 'low', overhang: 77 }),
  cloth('tq-gaiter-jersey', 'Storm-grey jersey', 'Neck gaiters; curls badly.', { ...base, construction: 'knit', weave: 'jersey', fibres: [{ fibre: 'cotton', percent: 95 }, { fibre: 'elastane', percent: 5 }], arealDensity: 205, thickness: 0.6, stretchLength: 25, stretchCross: 50, ironDots: 2, tone: 'mid', fray: 'low', overhang: 23 }),
  cloth('tq-drummer-satin', 'Plum satin', 'The drummer’s cape, outside.', { ...base, construction: 'woven', weave: 'satin', fibres: [{ fibre: 'polyester', percent: 100 }], arealDensity: 135, thickness: 0.2, ironDots: 1, tone: 'dark', fray: 'high' }),
  cloth('tq-cape-flannel', 'Cream flannel', 'The cape, inside; also cap mulling.', { ...base, construction: 'woven', weave: 'plain', fibres: cotton, arealDensity: 168, thickness: 0.62, stretchCross: 3, tone: 'light' }),
  cloth('tq-sash-velvet', 'Bottle-green velvet', 'Sashes for the two leaders.', { ...base, construction: 'woven', weave: 'pile', fibres: cotton, arealDensity: 290, thickness: 1.4, ironDots: 1, water: 'spots', tone: 'dark', surface: ['pile'], fray: 'high' }),
  cloth('tq-shirt-lawn', 'White lawn', 'Neckbands under the waistcoats.', { ...base, construction: 'woven', weave: 'plain', fibres: cotton, arealDensity: 74, thickness: 0.18, sheer: 'veiled', tone: 'light', overhang: 33 }),
  cloth('tq-rain-nylon', 'Showerproof nylon', 'Lines the tool roll.', { ...base, construction: 'coated', weave: 'plain', fibres: [{ fibre: 'nylon', percent: 100 }], arealDensity: 78, thickness: 0.12, stretchLength: 0, stretchCross: 1, ironDots: 1, water: 'resists', tone: 'mid', surface: ['coated'] }),
];

/** Layers that lie in the group's cupboard. */
const AT_HAND = LIBRARY_LAYERS.filter((_, i) => i % 4 === 1).map(({ id }) => id);

interface DemoPart {
  id: string;
  name: string;
  clothId: string;
  wish: Part;
  /** A plain rectangle, or any other shape. */
  width?: number;
  height?: number;
  kind?: 'rounded' | 'angled';
  corners?: [boolean, boolean, boolean, boolean];
  corner?: number;
  shape?: PieceShape;
  line?: 'cut' | 'sew';
  /** 10 mm all round where nothing is said. */
  allowances?: number[];
  fold?: number;
  marks?: Mark[];
  pairs?: boolean;
  oneWay?: boolean;
  count: number;
  /** How far it has come. */
  stage: 'wished' | 'chosen' | 'cut' | 'filed';
}

const wish = (role: Part['role'], more: Partial<Part> = {}): Part => ({ role, cut: 'straight', stretch: 'any', care: 'wash-warm', ...more });

/** Front facing of a waistcoat: straight along the front, curved round the neck. */
const FRONT_FACING: PieceShape = {
  kind: 'drawn',
  edges: [{ from: [0, 0] }, { from: [85, 0] }, { from: [85, 380], curve: [[85, 450], [78, 505]] }, { from: [52, 560] }, { from: [0, 545], curve: [[6, 420], [0, 180]] }],
};

const projects: { id: string; name: string; note: string; parts: DemoPart[] }[] = [
  {
    id: 'tq-waistcoats', name: 'Stewards’ waistcoats', note: 'Eight waistcoats in harbour-blue linen-cotton.',
    parts: [
      { id: 'tq-wc-front', name: 'Front facing', clothId: 'tq-harbour-linen', wish: wish('neck-facing', { hand: 'firm' }), shape: FRONT_FACING, marks: [{ kind: 'notch', at: [85, 380] }, { kind: 'centre-front', at: [85, 40] }], pairs: true, count: 16, stage: 'filed' },
      { id: 'tq-wc-collar', name: 'Stand collar', clothId: 'tq-harbour-linen', wish: wish('collar', { hand: 'crisp' }), shape: { kind: 'collar', neck: 400, height: 52, rise: 16, point: 4 }, marks: [{ kind: 'centre-back', at: [0, 26] }], count: 8, stage: 'cut' },
      { id: 'tq-wc-welt', name: 'Pocket welt', clothId: 'tq-harbour-linen', wish: wish('welt'), width: 140, height: 60, count: 16, stage: 'chosen' },
    ],
  },
  {
    id: 'tq-banner', name: 'Lantern banner', note: 'Duck canvas with an embroidered lantern in the middle.',
    parts: [
      { id: 'tq-ba-panel', name: 'Banner panel', clothId: 'tq-duck', wish: wish('embroidery', { care: 'none', embroidery: { stitches: 14200, width: 150, height: 190 } }), width: 600, height: 900, kind: 'angled', corners: [true, true, false, false], corner: 200, allowances: [20, 20, 40, 20], count: 1, stage: 'cut' },
      { id: 'tq-ba-tab', name: 'Hanging tab', clothId: 'tq-duck', wish: wish('tab', { care: 'none' }), width: 80, height: 180, count: 5, stage: 'chosen' },
    ],
  },
  {
    id: 'tq-shades', name: 'Net and organza lantern shades', note: 'Twelve shades that have to stand by themselves.',
    parts: [
      { id: 'tq-sh-panel', name: 'Shade panel', clothId: 'tq-organza', wish: wish('whole-panel', { hand: 'crisp', care: 'none', avoid: ['liquid'] }), width: 260, height: 320, kind: 'angled', corners: [false, false, true, true], corner: 50, count: 48, stage: 'chosen' },
      { id: 'tq-sh-rim', name: 'Rim of the shade', clothId: 'tq-net', wish: wish('flare-hem', { care: 'none' }), width: 900, height: 40, count: 12, stage: 'wished' },
    ],
  },
  {
    id: 'tq-cap', name: 'Steward’s cap', note: 'Felted wool with a stiffened peak.',
    parts: [
      { id: 'tq-cap-peak', name: 'Peak', clothId: 'tq-felted-wool', wish: wish('hat-brim', { care: 'none', cut: 'bias' }), shape: { kind: 'sector', inner: 92, outer: 168, angle: 140 }, allowances: [0, 0, 10, 0], marks: [{ kind: 'centre-front', at: [0, -130] }], count: 4, stage: 'filed' },
      { id: 'tq-cap-tip', name: 'Crown tip', clothId: 'tq-felted-wool', wish: wish('hat-tip', { care: 'none', cut: 'bias' }), shape: { kind: 'ellipse', width: 196, height: 172 }, count: 4, stage: 'cut' },
    ],
  },
  {
    id: 'tq-gaiters', name: 'Neck gaiters', note: 'Jersey with a stitched lantern badge; they must pull over the head.',
    parts: [
      { id: 'tq-ga-badge', name: 'Lantern badge', clothId: 'tq-gaiter-jersey', wish: wish('embroidery', { stretch: 'keep', embroidery: { stitches: 4100, width: 62, height: 70 } }), width: 320, height: 240, count: 20, stage: 'filed' },
      { id: 'tq-ga-edge', name: 'Upper edge', clothId: 'tq-gaiter-jersey', wish: wish('knit-binding', { stretch: 'keep' }), width: 600, height: 60, count: 20, stage: 'chosen' },
    ],
  },
  {
    id: 'tq-toolroll', name: 'Canvas tool roll and drummer’s cape', note: 'The last things before the procession.',
    parts: [
      { id: 'tq-tr-outer', name: 'Tool roll, outside', clothId: 'tq-duck', wish: wish('bag-panel', { hand: 'crisp' }), width: 560, height: 380, kind: 'rounded', corners: [true, true, true, true], corner: 40, count: 1, stage: 'chosen' },
      { id: 'tq-tr-lining', name: 'Tool roll, lining', clothId: 'tq-rain-nylon', wish: wish('bag-lining'), width: 560, height: 380, count: 1, stage: 'wished' },
      { id: 'tq-ca-hem', name: 'Hem of the cape', clothId: 'tq-drummer-satin', wish: wish('flare-hem', { care: 'dry-clean' }), width: 1400, height: 60, count: 3, stage: 'wished' },
    ],
  },
];

/** Home tests that were done on some of the cloths; readings scatter as a ruler and a hand do. */
const TESTED: [string, TestId[]][] = [
  ['tq-harbour-linen', ['weight', 'thickness', 'overhang', 'stretch', 'water', 'shrinkage']],
  ['tq-duck', ['weight', 'overhang', 'heat']],
  ['tq-gaiter-jersey', ['weight', 'stretch', 'overhang', 'bias']],
  ['tq-shirt-lawn', ['weight', 'see-through', 'overhang']],
  ['tq-drummer-satin', ['heat', 'fray', 'water']],
];
function readingsFor(test: TestId, cloth: Fabric): Readings {
  const around = (value: number, share: number) => Math.round(value * (1 + share * normal()) * 2) / 2;
  const hang = overhangFromBendingLength(clothBendingLength(cloth).value);
  switch (test) {
    case 'weight': return { mass: Math.round(cloth.arealDensity * 0.04 * 10) / 10, width: 100, height: 100, pieces: 4 };
    case 'thickness': return { layers: 8, height: Math.round(clothThickness(cloth).value * 8 * 2) / 2 };
    case 'overhang': return { way: 'jig', ...Object.fromEntries(['length', 'cross'].flatMap((way) => ['up1', 'up2', 'down1', 'down2'].map((side) => [`${way}-${side}`, around(hang * (way === 'length' ? 1.04 : 0.96), 0.02)]))) };
    case 'stretch': return { mark: 100, lengthPulled: 100 + cloth.stretchLength, crossPulled: 100 + cloth.stretchCross, lengthRest: 100 + Math.round(cloth.stretchLength * 0.1), crossRest: 100 + Math.round(cloth.stretchCross * 0.1) };
    case 'bias': return { mark: 100, pulled: 122 };
    case 'water': return { drop: cloth.water === 'resists' ? 'stays' : 'sinks', mark: cloth.water === 'spots' ? 'ring' : 'clean' };
    case 'heat': return { dots: String(cloth.ironDots) };
    case 'see-through': return { print: { sheer: 'read', veiled: 'lines', opaque: 'nothing' }[cloth.sheer] };
    case 'fray': return { fringe: { low: 'none', medium: 'some', high: 'lots' }[cloth.fray] };
    case 'shrinkage': return { mark: 200, length: 194, cross: 197, finish: 'softer' };
    case 'uptake': return { dry: 20, wet: 39 };
  }
}
for (const [id, tests] of TESTED) {
  const at = cloths.findIndex((cloth) => cloth.id === id);
  const done: Record<string, { readings: Readings; doneOn: string }> = {};
  for (const test of tests) {
    const readings = readingsFor(test, cloths[at]!);
    cloths[at] = applyTest(cloths[at]!, test, readings);
    done[test] = { readings, doneOn: `2026-04-${String(3 + Object.keys(done).length).padStart(2, '0')}` };
  }
  cloths[at] = { ...cloths[at]!, tests: done } as DemoCloth;
}

const fabricOf = ({ id: _id, name: _name, note: _note, tests: _tests, ...fabric }: DemoCloth): Fabric => fabric;
const clothOf = (id: string) => cloths.find((c) => c.id === id)!;
const materialOf = (key: string) => {
  const { materialId, join } = usedOf(key);
  const found = LIBRARY_LAYERS.find((l) => l.id === materialId)!;
  return join ? joinedAs(found, join) : found;
};
const best = (clothId: string, part: Part, rank = 0): RankedStack => choose(fabricOf(clothOf(clothId)), part, LIBRARY_LAYERS, { limit: 12 }).ranked[rank]!;
const round = (value: number, digits: number) => Number(value.toFixed(digits));

const kept = (stack: RankedStack) => ({
  title: stack.title,
  layers: stack.layers.map(({ materialId, extent, angle }) => ({ ...usedOf(materialId), extent, angle })),
  predicted: Object.fromEntries(Object.entries(stack.predicted).map(([key, value]) => [key, round(value, 3)])),
  reasons: stack.reasons,
  cautions: stack.cautions,
});

const shapeOf = ({ shape, kind = 'rectangle' as never, width = 0, height = 0, corners = [false, false, false, false], corner = 0 }: DemoPart): PieceShape => shape ?? { kind, width, height, corners, corner };

const parts = projects.flatMap(({ id: projectId, parts: all }) =>
  all.map((part) => ({
    id: part.id,
    projectId,
    name: part.name,
    clothId: part.clothId,
    wish: part.wish,
    shape: shapeOf(part),
    line: part.line ?? 'cut',
    allowances: part.allowances ?? edgeNames(shapeOf(part)).map(() => 10),
    fold: part.fold ?? null,
    marks: part.marks ?? [],
    pairs: part.pairs ?? false,
    oneWay: part.oneWay ?? false,
    count: part.count,
    stack: part.stage === 'wished' ? null : { ...kept(best(part.clothId, part.wish)), ...(part.id === 'tq-wc-front' ? { setting: { materialId: best(part.clothId, part.wish).layers[0]!.materialId, ironDots: 2, seconds: 10, steam: false, cover: 'cloth' } } : {}) },
    glueUp: true,
    cutDone: part.stage === 'cut' || part.stage === 'filed',
  })),
);

const CHECKS = ['Edges hold against a fingernail', 'Corners hold', 'No bubbles when you look along the surface', 'No glue dots on the face', 'Same size as the paper pattern'];

/** One filed result; the reading scatters around the prediction as home readings do. */
function entry(id: string, doneOn: string, kind: 'piece' | 'scrap', title: string, clothId: string, stack: RankedStack, outcome: 'good' | 'fair' | 'poor', note: string, failed: string[], jobId: string | null, read = true) {
  const pressed = stack.layers.map(({ materialId }) => materialOf(materialId)).find(({ leaflet }) => leaflet.seconds > 0);
  const { bendingLength, low, high } = stack.predicted;
  const spread = Math.log(high / low) / 2.56;
  return {
    id, jobId, benchRunId: null, kind, doneOn, title, clothId, clothName: clothOf(clothId).name, stackTitle: stack.title,
    layerIds: stack.layers.map(({ materialId }) => materialId),
    settings: pressed ? { ironDots: pressed.leaflet.ironDots, seconds: pressed.leaflet.seconds, steam: pressed.leaflet.steam, cover: pressed.leaflet.cover } : { ironDots: 0, seconds: 0, steam: false, cover: 'none' },
    checks: { held: CHECKS.filter((check) => !failed.includes(check)), failed },
    outcome,
    predictedBendingLength: round(bendingLength, 1), predictedLow: round(low, 1), predictedHigh: round(high, 1),
    overhang: read ? Math.round(overhangFromBendingLength(bendingLength * Math.exp(normal() * spread))) : null,
    note,
  };
}

const filed = [
  entry('tq-log-front', '2026-07-18', 'piece', 'Front facing', 'tq-harbour-linen', best('tq-harbour-linen', wish('neck-facing', { hand: 'firm' })), 'good', 'All sixteen in one evening. Organza on top, no shine.', [], 'tq-wc-front'),
  entry('tq-log-peak', '2026-07-26', 'piece', 'Peak', 'tq-felted-wool', best('tq-felted-wool', wish('hat-brim', { care: 'none', cut: 'bias' })), 'good', 'Stands level even when wet.', [], 'tq-cap-peak'),
  entry('tq-log-badge', '2026-08-02', 'piece', 'Lantern badge', 'tq-gaiter-jersey', best('tq-gaiter-jersey', wish('embroidery', { stretch: 'keep', embroidery: { stitches: 4100, width: 62, height: 70 } })), 'fair', 'Trimmed a little too close on two of them.', ['Same size as the paper pattern'], 'tq-ga-badge'),
];

/** Scrap trials: cloth, role, rank among the answers, how it came out. */
const SCRAPS: [clothId: string, part: Part, rank: number, outcome: 'good' | 'fair' | 'poor', note: string, failed: number[]][] = [
  ['tq-harbour-linen', wish('neck-facing', { hand: 'firm' }), 0, 'good', 'Firm without a ridge.', []],
  ['tq-harbour-linen', wish('neck-facing', { hand: 'firm' }), 3, 'poor', 'Bubbles after the wash: the layer had not been shrunk.', [2, 4]],
  ['tq-harbour-linen', wish('collar', { hand: 'crisp' }), 0, 'good', 'Points turn well.', []],
  ['tq-harbour-linen', wish('collar', { hand: 'crisp' }), 2, 'fair', 'A bit board-like.', []],
  ['tq-harbour-linen', wish('welt'), 0, 'good', '', []],
  ['tq-lining-poplin', wish('collar'), 0, 'good', 'For a spare collar.', []],
  ['tq-lining-poplin', wish('button-band'), 1, 'fair', 'Ten seconds were too few at the corners.', [1]],
  ['tq-duck', wish('bag-panel', { hand: 'crisp' }), 0, 'good', '', []],
  ['tq-duck', wish('bag-panel', { hand: 'crisp' }), 4, 'fair', 'Hard to turn at the flap.', []],
  ['tq-duck', wish('tab'), 0, 'good', '', []],
  ['tq-duck', wish('bag-base', { hand: 'rigid' }), 0, 'good', 'For the tool roll’s bottom, not needed after all.', []],
  ['tq-organza', wish('whole-panel', { hand: 'crisp', care: 'none' }), 0, 'good', 'Glows evenly, nothing shows.', []],
  ['tq-organza', wish('whole-panel', { hand: 'crisp', care: 'none' }), 1, 'fair', 'Frays while it is basted.', []],
  ['tq-felted-wool', wish('hat-brim', { care: 'none', cut: 'bias' }), 0, 'good', '', []],
  ['tq-felted-wool', wish('hat-brim', { care: 'none', cut: 'bias' }), 1, 'good', 'Softer roll at the edge.', []],
  ['tq-felted-wool', wish('hat-tip', { care: 'none' }), 0, 'good', '', []],
  ['tq-gaiter-jersey', wish('neck-facing', { stretch: 'keep' }), 0, 'good', 'Keeps its stretch.', []],
  ['tq-gaiter-jersey', wish('neck-facing', { stretch: 'keep' }), 2, 'fair', '', []],
  ['tq-gaiter-jersey', wish('knit-binding', { stretch: 'keep' }), 0, 'good', 'No more curling.', []],
  ['tq-drummer-satin', wish('hem', { care: 'dry-clean' }), 0, 'fair', 'Iron marks in one place, cooler next time.', []],
  ['tq-drummer-satin', wish('hem', { care: 'dry-clean' }), 1, 'poor', 'Glue came through as dots.', [3]],
  ['tq-cape-flannel', wish('whole-panel'), 0, 'good', '', []],
  ['tq-cape-flannel', wish('collar'), 0, 'good', '', []],
  ['tq-sash-velvet', wish('waistband'), 0, 'good', 'No pressing, pile unharmed.', []],
  ['tq-sash-velvet', wish('collar'), 0, 'fair', '', []],
  ['tq-shirt-lawn', wish('collar'), 0, 'good', 'Light and flat.', []],
  ['tq-shirt-lawn', wish('collar'), 3, 'fair', 'A line can be seen in daylight.', []],
  ['tq-shirt-lawn', wish('inner-corner'), 0, 'good', '', []],
  ['tq-rain-nylon', wish('bag-lining'), 0, 'good', '', []],
  ['tq-lining-poplin', wish('cuff'), 0, 'good', '', []],
];

const DAY = 86_400_000;
const scraps = SCRAPS.map(([clothId, part, rank, outcome, note, failed], i) => {
  const doneOn = new Date(Date.UTC(2026, 3, 11) + Math.round((i * 118) / SCRAPS.length) * DAY).toISOString().slice(0, 10);
  const stack = best(clothId, part, rank);
  return entry(`tq-scrap-${String(i + 1).padStart(2, '0')}`, doneOn, 'scrap', `Scrap for ${part.role.replaceAll('-', ' ')}`, clothId, stack, outcome, note, failed.map((k) => CHECKS[k]!), null);
});

/** Two scraps that are under way: one read and waiting for its wash, one half read. */
function scrapOf(id: string, jobId: string, grid: 'seconds' | 'full', readings: Record<string, Partial<ScrapReading>>, done: { chosen: string; filedOn: string; washDue: string } | null) {
  const part = parts.find((each) => each.id === jobId)!;
  const cloth = clothOf(part.clothId);
  const layers = part.stack!.layers.map(({ extent, angle, ...layer }) => ({ material: materialOf(keptKey(layer)), extent, angle }));
  return {
    id, jobId, clothId: part.clothId, clothName: cloth.name, stackTitle: part.stack!.title,
    layerIds: part.stack!.layers.map(keptKey),
    predicted: part.stack!.predicted,
    plan: scrapPlan(fabricOf(cloth), layers, schoolsOf(), grid),
    readings: Object.fromEntries(Object.entries(readings).map(([cell, reading]) => [cell, { overhangBefore: null, overhangAfter: null, peel: null, bubbles: 'none', showThrough: 'none', glueThrough: 'none', shrink: null, feel: null, note: '', ...reading }])),
    chosen: done?.chosen ?? null, filedOn: done?.filedOn ?? null, washDue: done?.washDue ?? null, wash: null,
  };
}
const underWay = [
  scrapOf('tq-trial-collar', 'tq-wc-collar', 'full', {
    A1: { overhangBefore: 54, peel: 1, bubbles: 'much', feel: 'soft' },
    A2: { overhangBefore: 54, peel: 2, bubbles: 'some', feel: 'firm' },
    A3: { overhangBefore: 54, peel: 3, overhangAfter: 66, feel: 'firm' },
    B1: { overhangBefore: 54, peel: 4, overhangAfter: 69, feel: 'firm' },
    B2: { overhangBefore: 54, peel: 5, overhangAfter: 71, feel: 'crisp', note: 'Even all over.' },
  }, null),
  scrapOf('tq-trial-front', 'tq-wc-front', 'seconds', {
    A1: { overhangBefore: 54, peel: 3, bubbles: 'some', overhangAfter: 58, feel: 'firm' },
    A2: { overhangBefore: 54, peel: 5, overhangAfter: 61, feel: 'firm' },
    A3: { overhangBefore: 54, peel: 5, overhangAfter: 61, feel: 'firm', shrink: 1 },
  }, { chosen: 'A2', filedOn: '2026-07-11', washDue: '2026-07-25' }),
];

/** Rolls and leftovers: some of every layer at hand, and of the cloths in use. */
const PLACES = ['second drawer', 'tall basket', 'shelf above the machine', 'box by the window'];
const leftover = (id: string, ofKind: 'layer' | 'cloth', ofId: string, outline: [number, number][], place: string) => ({
  id, kind: 'leftover', ofKind, ofId, outline, place, note: '', count: 1,
  width: Math.max(...outline.map(([x]) => x)), length: Math.max(...outline.map(([, y]) => y)),
});
const usedLayers = [...new Set(parts.flatMap((part) => part.stack?.layers.map(({ materialId }) => materialId) ?? []))].filter((id) => { const { rollWidth, form } = materialOf(id); return form !== 'liquid' && rollWidth > 200; });
const stock = [
  ...usedLayers.slice(0, 7).map((ofId, i) => ({ id: `tq-roll-${i + 1}`, kind: 'roll', ofKind: 'layer', ofId, width: materialOf(ofId).rollWidth, length: 600 + 100 * Math.round(14 * random()), place: PLACES[i % 4], note: '', count: 1, outline: null })),
  ...usedLayers.slice(0, 5).map((ofId, i) => leftover(`tq-left-${i + 1}`, 'layer', ofId, i % 2 === 0 ? [[0, 0], [330, 0], [330, 150], [190, 260], [0, 260]] : [[0, 40], [210, 0], [300, 120], [300, 320], [0, 320]], PLACES[(i + 1) % 4]!)),
  leftover('tq-left-linen', 'cloth', 'tq-harbour-linen', [[0, 0], [640, 0], [640, 300], [420, 300], [420, 520], [0, 520]], 'tall basket'),
  leftover('tq-left-duck', 'cloth', 'tq-duck', [[0, 0], [520, 0], [520, 410], [0, 410]], 'tall basket'),
  { id: 'tq-roll-linen', kind: 'roll', ofKind: 'cloth', ofId: 'tq-harbour-linen', width: 1450, length: 3200, place: 'on the rail', note: 'What the waistcoats left over.', count: 1, outline: null },
  { id: 'tq-roll-duck', kind: 'roll', ofKind: 'cloth', ofId: 'tq-duck', width: 1500, length: 2100, place: 'on the rail', note: '', count: 1, outline: null },
];

/** One piece, one cut and one job of each, as most of them are. */
const pieces = parts.map(({ id, projectId, name, shape, line, allowances, fold, marks }, i) => ({
  ...{ id, projectId, name, shape, line, allowances, fold, grain: 0, marks, position: i + 1 },
}));
const cut = (id: string, pieceId: string, duty: string, clothId: string, count: number, more: object = {}) => ({
  ...{ id, pieceId, duty, clothId, count, pairs: false, oneWay: false, own: null, orientation: 'straight', done: false, position: 2 },
  ...more,
});
const job = (id: string, cutId: string, name: string, clothId: string, wished: Part, place: object, chosen: boolean, position = 1) => {
  const { cut: _cut, ...rest } = wished;
  const stack = chosen ? kept(best(clothId, wished)) : null;
  return { id, cutId, name, place, wish: rest, stack, glueUp: true, cutDone: false, position };
};
const cuts = [
  ...parts.map(({ id, clothId, count, pairs, oneWay, wish: { cut: orientation }, cutDone }) =>
    cut(id, id, 'shell', clothId, count, { pairs, oneWay, orientation, done: cutDone, position: 1 }),
  ),
  cut('tq-wc-front-lining', 'tq-wc-front', 'lining', 'tq-lining-poplin', 16, { pairs: true }),
  cut('tq-cap-tip-soft', 'tq-cap-tip', 'soft-interlining', 'tq-cape-flannel', 4, { orientation: 'bias', own: [0] }),
  cut('tq-cap-tip-lining', 'tq-cap-tip', 'lining', 'tq-lining-poplin', 4, { orientation: 'bias', position: 3 }),
];
const jobs = [
  ...parts.map(({ id, wish: { cut: _cut, ...wished }, stack, glueUp, cutDone }) => ({
    ...{ id, cutId: id, name: '', place: { kind: 'usual' }, wish: wished, stack, glueUp, cutDone, position: 1 },
  })),
  job('tq-wc-front-armhole', 'tq-wc-front', 'armhole', 'tq-harbour-linen', wish('armhole-facing', { stretch: 'stop' }), { kind: 'edges', edges: [1], width: 12 }, false, 2),
  job('tq-wc-front-hole', 'tq-wc-front', 'top buttonhole', 'tq-harbour-linen', wish('buttonhole'), { kind: 'patch', at: [70, 300], size: 40 }, true, 3),
];

const bundle = {
  format: 'nembrel-bundle',
  formatVersion: 3,
  cloths,
  layers: AT_HAND.map((id) => ({ ...materialOf(id), note: '', inStock: true })),
  projects: projects.map(({ id, name, note }) => ({ id, name, note })),
  pieces,
  cuts,
  jobs,
  log: [...filed, ...scraps, ...demoHoopingLog],
  scraps: underWay,
  stock,
  hoops: demoHoops,
  motifs: demoMotifs(),
  hoopings: demoHoopings,
};
writeFileSync(new URL('../demo/lantern-procession.json', import.meta.url), `${JSON.stringify(bundle, null, 1)}\n`);
console.log(`${cloths.length} cloths, ${AT_HAND.length} layers at hand, ${projects.length} projects, ${pieces.length} pieces, ${cuts.length} cuts, ${jobs.length} jobs, ${bundle.log.length} log entries`);
