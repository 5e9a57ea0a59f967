import type { Mark } from '../pieces';
import type { PieceShape, Point } from '../shape';
import type { Role } from '../choose';
import { ALLOWANCE } from './allowance-field';
import { hat, hatOval, type HatDuty, type HatInput, type HatLayer, type HatPiece, type HatPieceName } from './hat';
import { besideOval, ovalOf, type Oval } from './oval';
import type { RecipeKind, RecipePiece, RecipeSeam } from './recipe';

const PIECE_WORDS: Record<HatPieceName, string> = { tip: 'Tip', band: 'Side band', brim: 'Brim' };
const LAYER_WORDS: Record<HatDuty, string> = {
  lining: 'lining',
  base: 'base',
  'soft-interlining': 'soft interlining',
  shell: 'outer cloth',
};
const ROLES: Record<HatPieceName, Role> = { tip: 'hat-tip', band: 'hat-band', brim: 'hat-brim' };

/** Tip, side band and brim over a stiff base: every layer has pieces of its own, as each is a little longer than the one under it. */
export const hatRecipe: RecipeKind = {
  id: 'hat',
  name: 'Hat',
  words:
    'Tip, side band and brim over a stiff base, every layer in its own length. Most heads are 1.15 to 1.3 times as long as wide; 0 leaves brim, interlining or lining out.',
  fields: [
    { field: 'head', words: 'Head', kind: 'length', start: 570, min: 200, max: 900 },
    { field: 'ease', words: 'Ease', kind: 'length', start: 12, min: 0, max: 100 },
    {
      field: 'oval',
      words: 'Length ÷ width',
      kind: 'number',
      start: 1.2,
      min: 1,
      max: 2,
    },
    { field: 'bandHeight', words: 'Band height', kind: 'length', start: 85, min: 10, max: 500 },
    { field: 'brimWidth', words: 'Brim width', kind: 'length', start: 60, min: 0, max: 500 },
    ALLOWANCE,
    { field: 'base', words: 'Base, thick', kind: 'length', start: 0.8, min: 0.1, max: 10 },
    { field: 'interlining', words: 'Interlining, thick', kind: 'length', start: 1.2, min: 0, max: 10 },
    { field: 'shell', words: 'Cloth, thick', kind: 'length', start: 0.6, min: 0.1, max: 10 },
    { field: 'lining', words: 'Lining, thick', kind: 'length', start: 0.2, min: 0, max: 10 },
  ],
  make(values) {
    const { head, ease, oval, bandHeight, brimWidth, allowance } = values as Record<string, number> & Hatted;
    const layers = (['lining', 'base', 'soft-interlining', 'shell'] as const).flatMap((duty): HatLayer[] => {
      const thickness = values[duty === 'soft-interlining' ? 'interlining' : duty]!;
      return thickness > 0 ? [{ id: duty, duty, thickness }] : [];
    });
    const found = hat({ head, ease, oval, bandHeight, brimWidth, allowance, layers });
    const round = ovalOf(head + ease, oval);
    const size = hatOval({ head, ease, oval });
    const made = layers.flatMap(({ id, duty }) =>
      found.filter(({ layer }) => layer === id).map((piece) => pieceOf(piece, duty, round, { allowance, brimWidth, bandHeight })),
    );
    return {
      pieces: made,
      seams: layers.flatMap(({ duty }) => hatSeams(made, duty)),
      facts: [
        { words: 'Oval, length', length: size.length },
        { words: 'Oval, width', length: size.width },
        ...layers.map(({ id, duty }) => ({
          words: `Joined round, ${LAYER_WORDS[duty]}`,
          length: found.find(({ layer }) => layer === id)!.joint,
        })),
      ],
      notes: [
        'Tip and brim lie on the bias, the band along the grain. Cut the base just inside its drawn line.',
        'Mark centre front, centre back and both sides on every piece; they meet when it is joined.',
        'Close each band at the back first, then join the tip to it, and the brim last.',
      ],
    };
  },
};

/** Of one layer: the band closed at the back, the tip on it, the brim under it. */
function hatSeams(pieces: readonly RecipePiece[], duty: HatDuty): RecipeSeam[] {
  const at = (piece: HatPieceName) => pieces.findIndex(({ name, cuts }) => name === PIECE_WORDS[piece] && cuts[0]!.duty === duty);
  const [tip, bandAt, brim] = [at('tip'), at('band'), at('brim')];
  return [
    { first: { piece: bandAt, edges: [1] }, second: { piece: bandAt, edges: [3] } },
    { first: { piece: tip, edges: [0, 1, 2, 3] }, second: { piece: bandAt, edges: [2] } },
    ...(brim < 0 ? [] : [{ first: { piece: brim, edges: [4] }, second: { piece: bandAt, edges: [0] } }]),
  ];
}

type Hatted = Omit<HatInput, 'layers'>;

/** Which edges have an allowance is what the lines say: cut and sewn line agree where there is none. */
function pieceOf(
  { piece, sewLine, cutLine, opening, offset, joint, cut }: HatPiece,
  duty: HatDuty,
  round: Oval,
  { allowance, brimWidth, bandHeight }: Pick<Hatted, 'allowance' | 'brimWidth' | 'bandHeight'>,
): RecipePiece {
  const joined = cutLine === sewLine || opening === sewLine ? 0 : allowance;
  const common = {
    name: PIECE_WORDS[piece],
    cuts: [
      {
        duty,
        count: 1,
        orientation: cut,
        // Base and interlining are layers of the cupboard; what is seen, and the lining, are cloth.
        jobs:
          duty === 'base' || duty === 'soft-interlining'
            ? [{ name: '', place: { kind: 'whole' } as const, role: ROLES[piece] }]
            : [],
      },
    ],
  };
  if (piece === 'band') {
    const long = duty === 'base' || duty === 'soft-interlining' ? 0 : allowance;
    return {
      ...common,
      shape: { kind: 'rectangle', width: joint, height: bandHeight, corners: [false, false, false, false], corner: 0 },
      allowances: [long, allowance, long, allowance],
      grain: 90,
      marks: bandMarks(joint, bandHeight),
    };
  }
  if (piece === 'tip')
    return {
      ...common,
      shape: ovalShape(round, offset),
      allowances: [joined, joined, joined, joined],
      grain: 0,
      marks: ovalMarks(round, offset),
    };
  const outer = duty === 'base' || duty === 'soft-interlining' ? 0 : allowance;
  return {
    ...common,
    shape: { ...ovalShape(round, brimWidth), holes: [besideOval(round, offset).flat()] },
    allowances: [outer, outer, outer, outer, joined],
    grain: 0,
    marks: ovalMarks(round, offset),
  };
}

/** Four edges, from side to front, front to side, side to back, back to side. */
function ovalShape(round: Oval, distance: number): PieceShape & { kind: 'drawn' } {
  return { kind: 'drawn', edges: besideOval(round, distance).map(([from, ...via]) => ({ from: from!, via })) };
}

function ovalMarks(round: Oval, distance: number): Mark[] {
  const [side, front, other, back] = besideOval(round, distance).map((quarter) => quarter[0]!);
  return [
    { kind: 'centre-front', at: front! },
    { kind: 'centre-back', at: back! },
    { kind: 'side', at: side! },
    { kind: 'side', at: other! },
  ];
}

/** The back seam is at both ends; the front is in the middle, the sides halfway. */
function bandMarks(joint: number, height: number): Mark[] {
  const on = (x: number, kind: Mark['kind']): Mark[] =>
    (
      [
        [x, 0],
        [x, height],
      ] as Point[]
    ).map((at) => ({ kind, at }));
  return [...on(0, 'centre-back'), ...on(joint / 4, 'side'), ...on(joint / 2, 'centre-front'), ...on((3 * joint) / 4, 'side')];
}
