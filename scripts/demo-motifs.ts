/** Motifs of the demo, drawn from plain outlines and stitched by our own generator. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { stitchedMotif, type StitchedArea } from '../src/core/motif';
import { transformed, type Outline, type Point } from '../src/core/shape';
import { readMotif, writeExchange, writeStitchTable } from '../src/formats/stitches';

const oval = (cx: number, cy: number, rx: number, ry: number, steps = 48): Outline =>
  Array.from({ length: steps }, (_, i): Point => [
    cx + rx * Math.cos((2 * Math.PI * i) / steps),
    cy + ry * Math.sin((2 * Math.PI * i) / steps),
  ]);
const box = (x: number, y: number, w: number, h: number): Outline => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
/** A bar along a line, so wide. */
const bar = ([ax, ay]: Point, [bx, by]: Point, width: number): Outline => {
  const length = Math.hypot(bx - ax, by - ay);
  const [nx, ny] = [(-(by - ay) / length) * (width / 2), ((bx - ax) / length) * (width / 2)];
  return [
    [ax + nx, ay + ny],
    [ax - nx, ay - ny],
    [bx - nx, by - ny],
    [bx + nx, by + ny],
  ];
};
const fill = (outlines: Outline[], spacing: number, angle: number, newColour = false): StitchedArea => ({
  outlines,
  newColour,
  stitching: { kind: 'fill', spacing, stitchLength: 3.5, angle },
});
const satin = (outlines: Outline[], width: number, spacing = 0.45, newColour = false): StitchedArea => ({
  outlines,
  newColour,
  stitching: { kind: 'satin', spacing, width },
});
const scaled = (areas: StitchedArea[], by: number): StitchedArea[] =>
  areas.map((area) => ({ ...area, outlines: area.outlines.map((outline) => outline.map(([x, y]): Point => [x * by, y * by])) }));

/** A hexagonal lantern with ring, cap, flame and foot, 150 × 190 mm. */
function lantern(spacing: number): StitchedArea[] {
  const body: Outline = [
    [-46, -70],
    [46, -70],
    [64, 8],
    [40, 52],
    [-40, 52],
    [-64, 8],
  ];
  const glow = oval(0, -8, 24, 38);
  const flame: Outline = [
    [0, 26],
    [9, 8],
    [12, -10],
    [7, -26],
    [0, -31],
    [-7, -26],
    [-12, -10],
    [-9, 8],
  ];
  return [
    fill([body, glow], spacing, 15),
    fill([glow, flame], spacing * 1.2, 75, true),
    fill([flame], spacing, 90, true),
    fill([box(-52, -88, 104, 14)], spacing, 0, true),
    fill(
      [
        [
          [-44, 56],
          [44, 56],
          [16, 78],
          [-16, 78],
        ],
      ],
      spacing,
      30,
    ),
    satin([body], 4.5, 0.5),
    satin([oval(0, 88, 13, 12)], 4),
  ];
}

/** A tern with narrow wings, its outline and two feathers only. */
const TERN: Outline = [
  [-46, 8],
  [-30, 14],
  [-14, 10],
  [-4, 4],
  [4, 10],
  [22, 22],
  [44, 26],
  [24, 12],
  [12, 0],
  [30, -6],
  [14, -8],
  [2, -8],
  [-10, -2],
  [-28, 4],
];

/** An anchor, 40 × 50 mm. */
const ANCHOR: StitchedArea[] = [
  fill([bar([0, -20], [0, 16], 5)], 0.42, 0),
  fill([bar([-10, 9], [10, 9], 4)], 0.42, 90),
  satin([oval(0, 20, 4, 4, 24)], 2.2),
  fill(
    [
      [
        [-19, -6],
        [-14, -16],
        [0, -24],
        [14, -16],
        [19, -6],
        [13, -8],
        [8, -14],
        [0, -17],
        [-8, -14],
        [-13, -8],
      ],
    ],
    0.42,
    0,
  ),
];

const wave = (x: number): Outline => [
  ...Array.from({ length: 25 }, (_, i): Point => [x + 2.4 * i, 9 * Math.sin((i * Math.PI) / 12)]),
  ...Array.from({ length: 25 }, (_, i): Point => [x + 2.4 * (24 - i), 9 * Math.sin(((24 - i) * Math.PI) / 12) - 7]),
];

const STAR: Outline = Array.from({ length: 16 }, (_, i): Point => {
  const r = i % 2 === 0 ? 26 : 15;
  return [r * Math.sin((i * Math.PI) / 8), r * Math.cos((i * Math.PI) / 8)];
});

const MOTIFS: { id: string; file: string; name: string; note: string; colours: string[]; areas: StitchedArea[] }[] = [
  {
    id: 'tq-motif-lantern',
    file: 'banner-lantern',
    name: 'Banner lantern',
    note: 'For the middle of the banner.',
    colours: ['#c48a12', '#e0b85a', '#b3541e', '#2b2f3a'],
    areas: lantern(0.55),
  },
  {
    id: 'tq-motif-badge',
    file: 'lantern-badge',
    name: 'Lantern badge',
    note: 'For the gaiters; washed every week.',
    colours: ['#c48a12', '#e0b85a', '#b3541e', '#2b2f3a'],
    areas: scaled(lantern(1.15), 0.41),
  },
  {
    id: 'tq-motif-anchor',
    file: 'little-anchor',
    name: 'Little anchor',
    note: 'In one corner of each napkin.',
    colours: ['#1f4e79'],
    areas: ANCHOR,
  },
  {
    id: 'tq-motif-tern',
    file: 'tern-in-flight',
    name: 'Tern in flight',
    note: 'Outline and two feathers: light enough for lawn.',
    colours: ['#2b2f3a', '#8a2f3c'],
    areas: [
      { outlines: [TERN], stitching: { kind: 'running', stitchLength: 2.2 } },
      { ...satin([transformed(TERN, false, 0, 0, 0).slice(3, 8)], 1.6, 0.6), newColour: true },
    ],
  },
  {
    id: 'tq-motif-waves',
    file: 'wave-border',
    name: 'Wave border',
    note: 'Along the lower edge of the banner: too long for one hooping.',
    colours: ['#1f4e79', '#2d7f7b'],
    areas: [
      fill([0, 62, 124, 186].map(wave), 0.5, 0),
      { outlines: [0, 62, 124, 186].map(wave), stitching: { kind: 'running', stitchLength: 2 }, newColour: true },
    ],
  },
  {
    id: 'tq-motif-star',
    file: 'compass-star',
    name: 'Compass star',
    note: 'Solid: a trial of how much a cloth can bear.',
    colours: ['#6b5b95', '#c48a12'],
    areas: [fill([oval(0, 0, 30, 30, 64), STAR], 0.34, 0), { ...fill([STAR], 0.34, 60), newColour: true }],
  },
];

/** Writes the stitch files, and gives the motifs as a bundle carries them. */
export function demoMotifs() {
  const folder = new URL('../demo/motifs/', import.meta.url);
  mkdirSync(folder, { recursive: true });
  return MOTIFS.map(({ id, file, name, note, colours, areas }) => {
    const bytes = writeExchange(stitchedMotif(name, areas));
    writeFileSync(new URL(`${file}.dst`, folder), bytes);
    const { motif } = readMotif(bytes);
    return { id, name, note, colours, table: writeStitchTable({ ...motif, name }) };
  });
}

const hoop = (id: string, name: string, field: [number, number], outer: [number, number], clamp: number, more: object = {}) => ({
  id,
  name,
  note: '',
  shape: 'rectangle',
  fieldWidth: field[0],
  fieldHeight: field[1],
  outerWidth: outer[0],
  outerHeight: outer[1],
  clamp,
  kind: 'screw',
  mount: 'arm',
  mountSide: 'left',
  ...more,
});
export const demoHoops = [
  hoop('tq-hoop-small', 'Small screw hoop', [100, 100], [146, 150], 14),
  hoop('tq-hoop-tall', 'Tall screw hoop', [130, 180], [180, 236], 16),
  hoop('tq-hoop-wide', 'Large screw hoop', [170, 260], [222, 318], 17),
  hoop('tq-hoop-round', 'Round bar hoop', [118, 118], [160, 160], 13, { shape: 'oval', mount: 'bar', mountSide: 'top' }),
  hoop('tq-hoop-slim', 'Slim magnetic frame', [92, 92], [120, 120], 10, { kind: 'magnetic', mount: 'bar', mountSide: 'top' }),
];

const place = (x: number, y: number, angle = 0) => ({ x, y, angle, flipped: false });
const stack = (title: string, ...ids: [string, number?][]) => ({
  title,
  layers: ids.map(([materialId, angle = 0]) => ({ materialId, angle })),
});
const job = (id: string, name: string, fields: object) => ({
  id,
  name,
  note: '',
  projectId: null,
  jobId: null,
  hoopId: null,
  ground: { outline: box(0, 0, 400, 400), obstacles: [] },
  stack: null,
  floats: false,
  place: place(200, 200),
  hoopPlace: null,
  count: 1,
  pairs: false,
  prepared: [],
  run: null,
  result: null,
  ...fields,
});
const MESH = 'firm-fusible-mesh-cut-away-54-g';
export const demoHoopings = [
  job('tq-job-banner', 'Lantern on the banner', {
    projectId: 'tq-banner',
    jobId: 'tq-ba-panel',
    motifId: 'tq-motif-lantern',
    clothId: 'tq-duck',
    hoopId: 'tq-hoop-wide',
    ground: { outline: box(0, 0, 520, 760), obstacles: [box(0, 700, 520, 60)] },
    stack: stack('Light tear-away, 30 g', ['light-tear-away-30-g']),
    place: place(260, 420),
    hoopPlace: { x: 260, y: 420, angle: 0 },
    prepared: [{ copy: 0, ticks: ['cross', 'hoop'] }],
  }),
  job('tq-job-gaiters', 'Badges on the gaiters', {
    projectId: 'tq-gaiters',
    jobId: 'tq-ga-badge',
    motifId: 'tq-motif-badge',
    clothId: 'tq-gaiter-jersey',
    hoopId: 'tq-hoop-round',
    ground: { outline: box(0, 0, 560, 260), obstacles: [] },
    stack: stack('Firm fusible mesh cut-away, 54 g, twice, crossed', [MESH], [MESH, 45]),
    place: place(280, 130),
    hoopPlace: { x: 280, y: 130, angle: 0 },
    count: 8,
    prepared: [{ copy: 0, ticks: ['cross', 'hoop', 'mount'] }],
    run: {
      record: 900,
      stitches: 880,
      colour: 1,
      drift: 0.2,
      speed: 600,
      seed: 7,
      stops: [{ kind: 'break', record: 611, at: '2026-07-18T09:12:00.000Z' }],
      done: false,
      pieces: 3,
    },
  }),
  job('tq-job-napkins', 'Anchors on the supper napkins', {
    motifId: 'tq-motif-anchor',
    clothId: 'tq-lining-poplin',
    hoopId: 'tq-hoop-small',
    ground: { outline: box(0, 0, 400, 400), obstacles: [] },
    place: place(60, 60, 315),
    count: 6,
  }),
  job('tq-job-shirt', 'Tern on the drummer’s shirt', {
    motifId: 'tq-motif-tern',
    clothId: 'tq-shirt-lawn',
    hoopId: 'tq-hoop-small',
    ground: { outline: box(0, 0, 300, 360), obstacles: [] },
    stack: stack('Light mesh cut-away, 32 g', ['light-mesh-cut-away-32-g']),
    place: place(150, 220),
    hoopPlace: { x: 150, y: 220, angle: 0 },
    prepared: [{ copy: 0, ticks: ['cross', 'hoop', 'mount'] }],
    run: { record: 200, stitches: 190, colour: 2, drift: 0.1, speed: 600, seed: 3, stops: [], done: true, pieces: 1 },
    result: {
      doneOn: '2026-07-02',
      wrong: [],
      outcome: 'good',
      note: 'Soft, and flat after pressing.',
      modelShare: 0.35,
      logId: 'tq-log-tern',
      washed: null,
    },
  }),
];
export const demoHoopingLog = [
  {
    id: 'tq-log-tern',
    jobId: null,
    benchRunId: null,
    kind: 'piece',
    doneOn: '2026-07-02',
    title: 'Tern in flight on White lawn',
    clothId: 'tq-shirt-lawn',
    clothName: 'White lawn',
    stackTitle: 'Light mesh cut-away, 32 g',
    layerIds: ['light-mesh-cut-away-32-g'],
    settings: { ironDots: 0, seconds: 0, steam: false, cover: 'none' },
    checks: { held: ['The outline sits on its fill', 'The cloth lies flat round the fill', 'No hoop marks'], failed: [] },
    outcome: 'good',
    predictedBendingLength: null,
    predictedLow: null,
    predictedHigh: null,
    overhang: null,
    stitched: { share: 0.35, held: true },
    note: 'Soft, and flat after pressing.',
  },
];
