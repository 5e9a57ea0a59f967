import { InputError } from '../input-error';
import { ALLOWANCE } from './allowance-field';
import { plainRectangle } from './plain-rectangle';
import type { RecipeCut, RecipeKind, RecipeNotion, RecipePiece, RecipeSeam } from './recipe';

/** A firm base stays so far inside the seams on every side, mm. */
const CLEAR = 3;
/** A zip window is so high, mm; a pocket behind it is so much wider than the zip on each side. */
const WINDOW = 10;
const BESIDE_ZIP = 20;
/** What a tab and a strap of it take: folded twice they are four times as wide. */
const FOLDED = 4;

/** Two panels, and one strip that is their sides and their base; pockets, flap and tabs by variant. Edges of each piece: bottom, right, top, left. */
export const gussetBagRecipe: RecipeKind = {
  id: 'gusset-bag',
  name: 'Bag with a gusset',
  words:
    'Two panels with one strip between them for sides and base, straps, a lining; with a flap, pockets and tabs as wanted. 0 leaves a thing out.',
  fields: [
    { field: 'width', words: 'Wide', kind: 'length', start: 360, min: 60, max: 1500 },
    { field: 'height', words: 'High', kind: 'length', start: 320, min: 60, max: 1500 },
    { field: 'depth', words: 'Deep', kind: 'length', start: 100, min: 20, max: 600 },
    { field: 'strap', words: 'Straps, long', kind: 'length', start: 600, min: 0, max: 2500 },
    { field: 'strapWidth', words: 'Straps, wide', kind: 'length', start: 25, min: 8, max: 120 },
    { field: 'firm', words: 'A firm base laid in', kind: 'yes', start: 1, min: 0, max: 1 },
    { field: 'lined', words: 'Lined with the same pieces', kind: 'yes', start: 1, min: 0, max: 1 },
    { field: 'flap', words: 'Flap, deep', kind: 'length', start: 0, min: 0, max: 1000 },
    { field: 'snaps', words: 'Snaps of the flap', kind: 'number', start: 1, min: 0, max: 6, onlyIf: 'flap' },
    { field: 'pocket', words: 'Pocket inside, wide', kind: 'length', start: 0, min: 0, max: 1200 },
    { field: 'pocketHeight', words: 'Pocket, high', kind: 'length', start: 140, min: 30, max: 1200, onlyIf: 'pocket' },
    { field: 'zip', words: 'Zip of a pocket behind a window, long', kind: 'length', start: 0, min: 0, max: 800 },
    { field: 'zipDepth', words: 'Zip pocket, deep', kind: 'length', start: 150, min: 40, max: 1000, onlyIf: 'zip' },
    { field: 'tabs', words: 'Tabs with a ring', kind: 'number', start: 0, min: 0, max: 12 },
    { field: 'tabWidth', words: 'Tabs, wide', kind: 'length', start: 20, min: 8, max: 80, onlyIf: 'tabs' },
    { field: 'padded', words: 'Padded, out of the seams', kind: 'yes', start: 0, min: 0, max: 1 },
    ALLOWANCE,
  ],
  make(values) {
    const typed = values as Record<string, number> & Bag;
    // What is counted comes whole.
    const bag = { ...typed, tabs: Math.round(typed.tabs), snaps: Math.round(typed.snaps) };
    requireBag(bag);
    const { width, height, depth, allowance } = bag;
    const { pieces, seams } = piecesOf(bag);
    return {
      pieces,
      seams,
      notions: notionsOf(bag),
      facts: [
        { words: 'Round its opening', length: 2 * (width + depth) },
        { words: 'Gusset, as it is cut', length: 2 * height + width + 2 * allowance },
        { words: 'Holds', value: `about ${litres(width * height * depth)} l` },
      ],
      notes: notesOf(bag),
    };
  },
};

function requireBag({ width, height, pocket, pocketHeight, zip, zipDepth }: Bag): void {
  if (pocket > width) throw new InputError('pocket', `must be no wider than the bag, ${width} mm; saw ${pocket} mm`);
  if (pocket > 0 && pocketHeight > height) throw new InputError('pocketHeight', `must be no higher than the bag, ${height} mm; saw ${pocketHeight} mm`); // prettier-ignore
  const widest = width - 2 * BESIDE_ZIP;
  if (zip > widest)
    throw new InputError('zip', `must leave ${BESIDE_ZIP} mm at both ends, so at most ${widest} mm; saw ${zip} mm`);
  if (zip > 0 && zipDepth > height)
    throw new InputError('zipDepth', `must be no deeper than the bag, ${height} mm; saw ${zipDepth} mm`);
}

/** Panel and gusset come first; what a variant has follows. */
function piecesOf(bag: Bag): { pieces: RecipePiece[]; seams: RecipeSeam[] } {
  const { width, height, depth, firm, lined, allowance, padded, strap, strapWidth, flap, tabs, tabWidth } = bag;
  const all = [allowance, allowance, allowance, allowance];
  const outer = (count: number, jobs: RecipeCut['jobs']): RecipeCut[] => [
    { duty: 'shell', count, orientation: 'straight', jobs },
    ...(lined === 1 ? [{ duty: 'lining' as const, count, orientation: 'straight' as const, jobs: [] }] : []),
  ];
  const panelJobs: RecipeCut['jobs'] = [
    { name: '', place: { kind: 'whole' }, role: 'bag-panel' },
    ...(padded === 1 ? [{ name: 'padding', place: { kind: 'whole' } as const, role: 'bag-panel' as const }] : []),
  ];
  const run = 2 * height + width;
  const pieces: RecipePiece[] = [
    {
      name: 'Panel',
      shape: plainRectangle(width, height),
      allowances: all,
      grain: 0,
      marks: panelMarks(bag),
      cuts: outer(2, panelJobs),
    },
    {
      ...{ name: 'Gusset', shape: plainRectangle(run, depth), allowances: all, grain: 90 },
      // Where the lower corners of the panels come, on both long edges.
      marks: [height, height + width].flatMap((x) => [0, depth].map((y) => ({ kind: 'notch' as const, at: [x, y] as [number, number] }))), // prettier-ignore
      cuts: outer(1, panelJobs),
    },
  ];
  // Down one side of the panel, along its base and up the other: the first panel below, the second above.
  const seams: RecipeSeam[] = [
    { first: { piece: 0, edges: [3, 0, 1] }, second: { piece: 1, edges: [0] } },
    { first: { piece: 0, edges: [3, 0, 1] }, second: { piece: 1, edges: [2] } },
  ];
  if (firm === 1)
    pieces.push({
      ...{ name: 'Base', shape: plainRectangle(width - 2 * CLEAR, depth - 2 * CLEAR), allowances: [0, 0, 0, 0], grain: 0 },
      marks: [],
      cuts: [
        { duty: 'base', count: 1, orientation: 'straight', jobs: [{ name: '', place: { kind: 'whole' }, role: 'bag-base' }] },
      ],
    });
  if (strap > 0) pieces.push(folded('Strap', strap, strapWidth, 2, allowance, 'bag-strap'));
  if (flap > 0) {
    seams.push({ first: { piece: pieces.length, edges: [2] }, second: { piece: 0, edges: [2] } });
    pieces.push(...flapOf(bag));
  }
  pieces.push(...pocketsOf(bag));
  // Long enough to go round a ring as wide as it is, with its seam.
  if (tabs > 0) pieces.push(folded('Tab', 3 * tabWidth, tabWidth, tabs, allowance, 'tab'));
  return { pieces, seams };
}

/** Folded to the middle from both sides and once more: nothing is allowed along it. */
function folded(
  name: string,
  long: number,
  wide: number,
  count: number,
  allowance: number,
  role: 'bag-strap' | 'tab',
): RecipePiece {
  return {
    ...{ name, shape: plainRectangle(long, FOLDED * wide), allowances: [0, allowance, 0, allowance], grain: 90 },
    marks: [1, 2, 3].map((k) => ({ kind: 'fold-line' as const, at: [0, k * wide], to: [long, k * wide] })),
    cuts: [{ duty: 'shell', count, orientation: 'straight', jobs: [{ name: '', place: { kind: 'whole' }, role }] }],
  };
}

/** Its lower corners are rounded; its snaps lie evenly, an inch from its lower edge. Without a lining it is faced with its own cloth. */
function flapOf({ width, flap, snaps, allowance, lined }: Bag): RecipePiece[] {
  const cut = (duty: 'shell' | 'lining', jobs: RecipeCut['jobs']): RecipeCut => ({
    duty,
    count: 1,
    orientation: 'straight',
    jobs,
  });
  const own: Omit<RecipePiece, 'name' | 'cuts'> = {
    shape: {
      kind: 'rounded',
      width,
      height: flap,
      corners: [true, true, false, false],
      corner: Math.min(40, flap / 2, width / 4),
    },
    allowances: [allowance, allowance, allowance, allowance],
    grain: 0,
    marks: snapsAlong(width, Math.min(25, flap / 2), snaps),
  };
  const outer = cut('shell', [{ name: '', place: { kind: 'whole' }, role: 'bag-flap' }]);
  if (lined === 1) return [{ name: 'Flap', ...own, cuts: [outer, cut('lining', [])] }];
  return [{ name: 'Flap', ...own, cuts: [outer] }, { name: 'Flap facing', ...own, marks: [], cuts: [cut('shell', [])] }]; // prettier-ignore
}

const snapsAlong = (width: number, y: number, count: number): RecipePiece['marks'] =>
  Array.from({ length: count }, (_, k) => ({ kind: 'snap', at: [(width * (k + 1)) / (count + 1), y] }));

/** Where the flap's snaps meet the front panel. */
function panelMarks({ width, height, flap, snaps }: Bag): RecipePiece['marks'] {
  const y = height - flap + Math.min(25, flap / 2);
  return flap > 0 && y > 0 ? snapsAlong(width, y, snaps) : [];
}

/** A patch pocket, doubled with its fold above; and one behind a zip window, in one length. */
function pocketsOf({ pocket, pocketHeight, zip, zipDepth, allowance }: Bag): RecipePiece[] {
  const all = [allowance, allowance, allowance, allowance];
  const pieces: RecipePiece[] = [];
  if (pocket > 0)
    pieces.push({
      ...{ name: 'Pocket', shape: plainRectangle(pocket, 2 * pocketHeight), allowances: all, grain: 0 },
      marks: [{ kind: 'fold-line', at: [0, pocketHeight], to: [pocket, pocketHeight] }],
      cuts: [{ duty: 'lining', count: 1, orientation: 'straight', jobs: [] }],
    });
  if (zip > 0) {
    const [long, top] = [zip + 2 * BESIDE_ZIP, 2 * zipDepth + WINDOW];
    // The window lies as far below the upper edge as the zip is set below the opening.
    const window: [[number, number], [number, number]] = [[BESIDE_ZIP, top - 30], [BESIDE_ZIP + zip, top - 30]]; // prettier-ignore
    pieces.push({
      ...{ name: 'Zip pocket', shape: plainRectangle(long, top), allowances: all, grain: 0 },
      marks: [
        { kind: 'zip', at: window[0], to: window[1], width: WINDOW },
        { kind: 'fold-line', at: [0, top / 2], to: [long, top / 2] },
      ],
      cuts: [{ duty: 'lining', count: 1, orientation: 'straight', jobs: [{ name: 'window', place: { kind: 'line', line: window, width: 4 * WINDOW }, role: 'zip-area' }] }], // prettier-ignore
    });
  }
  return pieces;
}

function notionsOf({ zip, tabs, tabWidth, flap, snaps }: Bag): RecipeNotion[] {
  return [
    ...(zip > 0 ? [{ name: `Zip, ${Math.round(zip)} mm`, count: 1 }] : []),
    ...(tabs > 0 ? [{ name: `Ring, ${Math.round(tabWidth)} mm inside`, count: tabs }] : []),
    ...(flap > 0 && snaps > 0 ? [{ name: 'Snap', count: snaps }] : []),
  ];
}

function notesOf({ strap, firm, lined, flap, snaps, pocket, zip, tabs, padded }: Bag): string[] {
  return [
    'The layers go on first: firm ones end at the seam lines, padding stays out of every seam.',
    ...(padded === 1 ? ['Padding lies over the firm layer, towards the lining.'] : []),
    ...(strap > 0
      ? ['Fold the straps to the middle and once more, stitch both edges, and baste them to the upper edges of the panels.']
      : []),
    ...(tabs > 0
      ? ['Fold the tabs like the straps, draw each through its ring, and baste its ends to the upper edge of the gusset.']
      : []),
    ...(flap > 0
      ? [
          `Sew the flap to its facing round its sides and its lower edge, notch the curves, turn, and baste its open edge to the back panel.${snaps > 0 ? ' Set the snaps before the lining is in: their backs need the firm layer.' : ''}`,
        ]
      : []),
    ...(pocket > 0
      ? ['Fold the pocket right sides in, sew round but for a gap, turn, and stitch it on the lining of a panel on three sides.']
      : []),
    ...(zip > 0
      ? [
          'Lay the zip pocket right side down on the lining of a panel, stitch round the window, cut it along its middle and into the corners, turn the pocket through, set the zip behind it, then fold the pocket up and close its three sides.',
        ]
      : []),
    'Sew the gusset to a panel from the middle of the base outwards; clip its allowance to the stitching at the two notches, so that it turns the corner.',
    ...(firm === 1 ? ['Catch the base to the allowances of the gusset before the lining goes in.'] : []),
    ...(lined === 1
      ? ['Sew the lining the same way, with 10 cm of its base left open; join both round the opening, turn, and close the gap.']
      : ['Turn the upper edge in twice and stitch it.']),
  ];
}

/** mm³ as litres, as roughly as a bag is filled. */
const litres = (volume: number): string => (volume / 1e6 < 3 ? (volume / 1e6).toFixed(1) : String(Math.round(volume / 1e6)));

interface Bag {
  width: number;
  height: number;
  depth: number;
  strap: number;
  strapWidth: number;
  firm: number;
  lined: number;
  flap: number;
  snaps: number;
  pocket: number;
  pocketHeight: number;
  zip: number;
  zipDepth: number;
  tabs: number;
  tabWidth: number;
  padded: number;
  allowance: number;
}
