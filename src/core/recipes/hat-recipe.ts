import { InputError } from '../input-error';
import type { Role } from '../choose';
import { ALLOWANCE } from './allowance-field';
import { blankOf } from './blank';
import { hat, hatOval, type HatDuty, type HatInput, type HatLayer } from './hat';
import {
  bandShape,
  brimParts,
  brimShape,
  goreShape,
  tipShape,
  type HatBuild,
  type HatLayerLine,
  type HatShape,
} from './hat-pieces';
import { headOval, ovalOf } from './oval';
import type { RecipeKind, RecipePiece, RecipeSeam } from './recipe';

const LAYER_WORDS: Record<HatDuty, string> = {
  lining: 'lining',
  base: 'base',
  'soft-interlining': 'soft interlining',
  shell: 'outer cloth',
};
/** Fewest and most gores of a dome. */
const GORES = { min: 4, max: 12 };

/** Crown, side band and brim over a stiff base: every layer has pieces of its own, as each is a little longer than the one under it. */
export const hatRecipe: RecipeKind = {
  id: 'hat',
  name: 'Hat',
  words:
    'Crown, side band and brim over a stiff base, every layer in its own length. The head by its circumference, or by its length and width; most are 1.15 to 1.3 times as long as wide. 0 leaves a thing out.',
  fields: [
    { field: 'head', words: 'Head', kind: 'length', start: 570, min: 200, max: 900 },
    { field: 'ease', words: 'Ease', kind: 'length', start: 12, min: 0, max: 100 },
    { field: 'oval', words: 'Length ÷ width', kind: 'number', start: 1.2, min: 1, max: 2 },
    { field: 'lengthRead', words: 'Its length was read', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'headLength', words: 'Head, long', kind: 'length', start: 198, min: 60, max: 350, onlyIf: 'lengthRead' },
    { field: 'widthRead', words: 'Its width was read', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'headWidth', words: 'Head, wide', kind: 'length', start: 164, min: 60, max: 350, onlyIf: 'widthRead' },
    { field: 'bandHeight', words: 'Band height', kind: 'length', start: 85, min: 0, max: 500 },
    { field: 'taper', words: 'Band shorter above by', kind: 'length', start: 0, min: 0, max: 500 },
    { field: 'domed', words: 'Crown domed, in gores', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'gores', words: 'Gores', kind: 'number', start: 6, ...GORES, onlyIf: 'domed' },
    { field: 'crown', words: 'Dome, high', kind: 'length', start: 110, min: 20, max: 400, onlyIf: 'domed' },
    { field: 'brimWidth', words: 'Brim width', kind: 'length', start: 60, min: 0, max: 500 },
    { field: 'dip', words: 'Brim slopes, °', kind: 'number', start: 0, min: 0, max: 80, onlyIf: 'brimWidth' },
    { field: 'turned', words: 'The brim is turned up', kind: 'yes', start: 0, min: 0, max: 1, onlyIf: 'dip' },
    ALLOWANCE,
    { field: 'base', words: 'Base, thick', kind: 'length', start: 0.8, min: 0.1, max: 10 },
    { field: 'interlining', words: 'Interlining, thick', kind: 'length', start: 1.2, min: 0, max: 10 },
    { field: 'shell', words: 'Cloth, thick', kind: 'length', start: 0.6, min: 0.1, max: 10 },
    { field: 'lining', words: 'Lining, thick', kind: 'length', start: 0.2, min: 0, max: 10 },
    { field: 'piled', words: 'All of them were piled under a ruler', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'pile', words: 'The pile, thick', kind: 'length', start: 3, min: 0.3, max: 40, onlyIf: 'piled' },
  ],
  make(values) {
    const { ease, bandHeight, brimWidth, allowance, taper, crown, dip } = values as Record<string, number> & Hatted;
    const gores = values['domed'] ? values['gores']! : 0;
    requireCrown(bandHeight, gores, taper);
    const read = (what: 'Length' | 'Width') => (values[`${what.toLowerCase()}Read`] ? values[`head${what}`]! : 0);
    const { head, oval } = headOval({
      ...{ head: values['head']!, oval: values['oval']! },
      ...{ headLength: read('Length'), headWidth: read('Width') },
    });
    const typed = (['lining', 'base', 'soft-interlining', 'shell'] as const).flatMap((duty): HatLayer[] => {
      const thickness = values[duty === 'soft-interlining' ? 'interlining' : duty]!;
      return thickness > 0 ? [{ id: duty, duty, thickness }] : [];
    });
    // One reading of all of them together is surer than four of each: they share it as their figures do.
    const all = typed.reduce((sum, { thickness }) => sum + thickness, 0);
    const by = values['piled'] ? values['pile']! / all : 1;
    const layers = typed.map((layer) => ({ ...layer, thickness: by * layer.thickness }));
    // A hat that is all dome has no band, but its layers lie on each other all the same.
    const found = hat({ head, ease, oval, bandHeight: bandHeight || 1, brimWidth, allowance, layers });
    const size = hatOval({ head, ease, oval });
    const build: HatBuild = { round: ovalOf(head + ease, oval), bandHeight, taper, gores, crown, brimWidth, dip };
    const lines = layers.map(({ duty }) => ({ duty, ...found.find(({ layer }) => layer === duty)! }));
    const parts = brimParts(build, Math.min(...lines.map(({ joint }) => joint)), allowance);
    const made = lines.flatMap(({ duty, offset, joint }) => layerPieces(build, duty, { offset, joint }, allowance, parts));
    return {
      pieces: made,
      seams: layers.flatMap(({ duty }) => hatSeams(made, duty, build, parts)),
      facts: [
        { words: 'Oval, length', length: size.length },
        { words: 'Oval, width', length: size.width },
        ...lines.map(({ duty, joint }) => ({ words: `Joined round, ${LAYER_WORDS[duty]}`, length: joint })),
        ...(taper > 0 ? [{ words: 'Base round, above', length: head + ease - taper }] : []),
      ],
      notes: [...notesOf(build, parts, values['turned'] === 1), ...layers.map(({ duty }) => blanksOf(made, duty))],
    };
  },
};

type Hatted = Omit<HatInput, 'layers'> & HatBuild;

function requireCrown(bandHeight: number, gores: number, taper: number): void {
  if (gores !== 0 && !(gores >= GORES.min && gores % 2 === 0))
    throw new InputError('gores', `must be an even number from ${GORES.min} to ${GORES.max}; saw ${gores}`);
  if (bandHeight < 10 && !(bandHeight === 0 && gores > 0))
    throw new InputError('bandHeight', `must be at least 10 mm; only a domed crown goes without a band; saw ${bandHeight} mm`);
  if (bandHeight === 0 && taper > 0) throw new InputError('taper', `must be 0 where there is no band, saw ${taper} mm`);
}

/** Base and interlining are layers of the cupboard; what is seen, and the lining, are cloth. */
const isStiff = (duty: HatDuty): boolean => duty === 'base' || duty === 'soft-interlining';

/**
 * The pieces of one layer. A stiff base ends at its seam lines but for the seam that joins it: crown below, brim inside, band at the back;
 * so does what softens it. What is seen, and the lining, runs into every seam. A brim is seen from both sides, and has no lining.
 */
function layerPieces(build: HatBuild, duty: HatDuty, line: HatLayerLine, allowance: number, parts: 1 | 2): RecipePiece[] {
  const { gores, bandHeight, brimWidth, dip } = build;
  const open = isStiff(duty) ? 0 : allowance;
  const pieces: RecipePiece[] =
    gores > 0
      ? [pieceOf('Gore', 'hat-tip', duty, goreShape(build, line), [allowance, allowance, allowance], gores)]
      : [pieceOf('Tip', 'hat-tip', duty, tipShape(build, line), [allowance, allowance, allowance, allowance])];
  if (bandHeight > 0)
    pieces.push(pieceOf('Side band', 'hat-band', duty, bandShape(build, line), [open, allowance, open, allowance]));
  if (brimWidth > 0 && duty !== 'lining') {
    const allowances = dip === 0 ? [open, open, open, open, allowance] : [open, allowance, allowance, allowance];
    const faces = duty === 'shell' ? 2 : 1;
    pieces.push(pieceOf('Brim', 'hat-brim', duty, brimShape(build, line, parts), allowances, faces * parts));
  }
  return pieces;
}

function pieceOf(
  name: string,
  role: Role,
  duty: HatDuty,
  { cut, ...shape }: HatShape,
  allowances: number[],
  count = 1,
): RecipePiece {
  const jobs = isStiff(duty) ? [{ name: '', place: { kind: 'whole' } as const, role }] : [];
  return { name, ...shape, allowances, cuts: [{ duty, count, orientation: cut, jobs }] };
}

/** Of one layer: the band closed at the back, the crown on it, the brim under it; without a band the brim under the dome. */
function hatSeams(pieces: readonly RecipePiece[], duty: HatDuty, { gores, dip }: HatBuild, parts: 1 | 2): RecipeSeam[] {
  const at = (piece: string) => pieces.findIndex(({ name, cuts }) => name === piece && cuts[0]!.duty === duty);
  const [tip, gore, band, brim] = [at('Tip'), at('Gore'), at('Side band'), at('Brim')];
  const ends = (piece: number): RecipeSeam => ({ first: { piece, edges: [1] }, second: { piece, edges: [3] } });
  const crown = gores > 0 ? { piece: gore, edges: [0], times: gores } : { piece: tip, edges: [0, 1, 2, 3] };
  const under = band < 0 ? crown : { piece: band, edges: [0] };
  return [
    ...(gores > 0 ? [{ first: { piece: gore, edges: [1] }, second: { piece: gore, edges: [2] } }] : []),
    ...(band < 0 ? [] : [ends(band), { first: crown, second: { piece: band, edges: [2] } }]),
    ...(brim < 0 || dip === 0 ? [] : [ends(brim)]),
    ...(brim < 0
      ? []
      : [{ first: { piece: brim, edges: dip === 0 ? [4] : [2], ...(parts > 1 ? { times: parts } : {}) }, second: under }]),
    // Its two outer faces are sewn together round their outer line.
    ...(brim < 0 || duty !== 'shell' ? [] : [outerFaces(brim, dip)]),
  ];
}

function outerFaces(piece: number, dip: number): RecipeSeam {
  const edges = dip === 0 ? [0, 1, 2, 3] : [0];
  return { first: { piece, edges }, second: { piece, edges } };
}

function notesOf({ gores, bandHeight, brimWidth, dip }: HatBuild, parts: 1 | 2, turned: boolean): string[] {
  const crown = gores > 0 ? 'dome' : 'tip';
  return [
    `${gores > 0 ? 'Gores lie along the grain' : 'The tip lies on the bias'}${bandHeight > 0 ? ', the band along the grain' : ''}${brimWidth > 0 ? ', the brim on the bias' : ''}. Cut the base just inside its drawn line.`,
    'Mark centre front, centre back and both sides on every piece; they meet when it is joined.',
    ...(gores > 0
      ? [
          'Sew the gores into two halves, each to the top, then the halves in one seam over it. The dome is drawn round; on the head it takes the oval.',
        ]
      : []),
    ...(bandHeight > 0
      ? [`Close each band at the back first, then join the ${crown} to it${brimWidth > 0 ? ', and the brim last' : ''}.`]
      : []),
    ...(brimWidth > 0
      ? [
          ...(dip > 0
            ? [
                `${parts > 1 ? 'Join the halves of each brim at the sides' : 'Close each brim at its back seam'}. It is drawn for a round head, and takes the oval when it is joined.`,
              ]
            : []),
          'Catch what softens it onto the base of the brim. Sew its two outer faces together round the outer line, turn them over the base, and join all inside edges to the crown.',
          ...(dip > 0 && turned ? ['Press the brim upward: its wider line lies above.'] : []),
        ]
      : []),
    'The lining is in the crown and the band only, and goes in last.',
  ];
}

/** What is cut out of one layer before anything of it is cut to its line, each along the grain. */
function blanksOf(pieces: readonly RecipePiece[], duty: HatDuty): string {
  const own = pieces.filter(({ cuts }) => cuts[0]!.duty === duty);
  const told = own.map((piece) => {
    const { across, along } = blankOf(piece);
    const { count } = piece.cuts[0]!;
    return `${piece.name.toLowerCase()}${count > 1 ? `, ${count} of` : ''} ${along} mm along, ${across} mm across`;
  });
  return `Blanks of the ${LAYER_WORDS[duty]}: ${told.join('; ')}.`;
}
