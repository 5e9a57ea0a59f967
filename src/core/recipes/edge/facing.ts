import type { Role } from '../../choose';
import type { RecipePiece, RecipeSeam } from '../recipe';
import { isSymmetric, mirroredMarks, mirroredPart, partAlong, type PiecePart } from './along-edges';
import { SOURCE, type EdgeKind, type EdgeSource } from './edge-kind';

interface Measures {
  depth: number;
  free: number;
  lining: number;
  join: number;
}

/** What tells one facing from another. */
interface FacingKind extends Pick<EdgeKind, 'id' | 'name' | 'words'> {
  role: Role;
  depth: number;
  notes: readonly string[];
}

/** A facing of so much depth along some edges; what is left of the piece can be its lining. */
function facing({ id, name, words, role, depth: usual, notes }: FacingKind): EdgeKind {
  return {
    ...{ id, name, words },
    fields: [
      { field: 'depth', words: 'Depth', kind: 'length', start: usual, min: 5, max: 600 },
      { field: 'free', words: 'Allowance of its inner edge', kind: 'length', start: 0, min: 0, max: 50 },
      { field: 'lining', words: 'A lining that meets it', kind: 'yes', start: 0, min: 0, max: 1 },
      { field: 'join', words: 'Allowance where they meet', kind: 'length', start: 10, min: 0, max: 50 },
    ],
    make(source, values) {
      const { depth, free, lining, join } = values as Record<string, number> & Measures;
      const { along, rest, runs, marks } = partAlong(source.spec, source.edges, depth);
      const inner = lining === 1 ? join : free;
      // It is sewn right sides together and turned: beside an even piece its shape is the mirror image.
      const turned = !isSymmetric(along);
      const part = turned ? mirroredPart(along) : along;
      const pieces: RecipePiece[] = [
        {
          name: `${source.name}: ${name.toLowerCase()}`,
          ...partPiece(source, part, inner, turned),
          marks: turned ? mirroredMarks(marks) : marks,
          cuts: [
            {
              ...cutLike(source, runs, turned),
              duty: 'shell',
              jobs: [{ name: '', place: { kind: 'whole' }, role }],
            },
          ],
        },
      ];
      const meets = edgesOn(part, source.edges);
      const insides = part.from.flatMap((owner, i) => (owner === null ? i : []));
      const seams: RecipeSeam[] = [
        { first: { piece: SOURCE, edges: [...source.edges] }, second: { piece: 0, edges: meets, times: runs } },
      ];
      if (lining === 1) {
        pieces.push({
          name: `${source.name}: lining`,
          ...partPiece(source, rest, join, false),
          marks: [],
          // Its halves are those of the piece.
          cuts: [{ ...cutLike(source, 1, true), duty: 'lining', jobs: [] }],
        });
        const open = rest.from.flatMap((owner, i) => (owner === null ? i : []));
        seams.push({ first: { piece: 0, edges: insides, times: runs }, second: { piece: 1, edges: open, times: 1 } });
      }
      const sum = (list: readonly number[]) => list.reduce((all, i) => all + part.lengths[i]!, 0);
      return {
        pieces,
        seams,
        facts: [
          { words: 'Along the edge', length: sum(meets) },
          { words: 'Along its inner edge', length: sum(insides) },
        ],
        notes: [...notes, ...(lining === 1 ? ['Sew the lining to the inner edge of the facing before both go in.'] : [])],
      };
    },
  };
}

/** Edges of a part that lie on these edges of the piece. */
const edgesOn = ({ from }: PiecePart, edges: readonly number[]): number[] =>
  from.flatMap((owner, i) => (owner !== null && edges.includes(owner) ? i : []));

/** Shape, allowances and grain of a part: along the piece's own edges as its cloth has it. */
function partPiece({ spec }: EdgeSource, { shape, from }: PiecePart, inner: number, turned: boolean) {
  return {
    shape,
    allowances: from.map((owner) => (owner === null ? inner : (spec.own?.[owner] ?? spec.allowances[owner]!))),
    grain: turned ? -spec.grain : spec.grain,
  };
}

/** As often as the piece itself; both halves where it comes twice in the opened piece. */
function cutLike({ count, pairs, orientation }: EdgeSource, runs: number, turned: boolean) {
  const both = runs > 1 || (pairs && turned);
  return { count: runs > 1 ? 2 * count : count, orientation, ...(both ? { pairs: true } : {}) };
}

const SEWN = [
  'The layer goes onto the facing first; join facings at their short ends, and press these seams open.',
  'Sew it to the edge right sides together, marks on marks.',
  'Trim the allowances in steps, the facing’s the narrowest, and clip where it curves inward, to within 2 mm of the stitching.',
  'Press the allowances towards the facing and stitch them to it 2 mm beside the seam, then turn it in and press.',
  'Catch its inner edge at the seams only.',
];

/** Round a neckline. */
export const neckFacing = facing({
  ...{ id: 'edge-neck', name: 'Neck facing', role: 'neck-facing', depth: 60, notes: SEWN },
  words: 'A band along the edges that are touched, everywhere as deep: it is turned in and holds a neckline.',
});
/** Round an armhole. */
export const armholeFacing = facing({
  ...{ id: 'edge-armhole', name: 'Armhole facing', role: 'armhole-facing', depth: 50, notes: SEWN },
  words: 'A band along the edges that are touched, for an armhole without a sleeve.',
});
/** Along a hem that is curved, or of which nothing is left to turn up. */
export const hemFacing = facing({
  ...{ id: 'edge-hem', name: 'Hem facing', role: 'hem', depth: 50 },
  words: 'A band of the hem’s own curve, where a hem cannot be turned up: flared, shaped, or short of cloth.',
  notes: [
    ...SEWN.slice(0, 2),
    'Press the allowances towards the facing, stitch them to it 2 mm beside the seam, turn it up and press.',
    'Sew its upper edge by hand, a thread or two of the cloth at a time.',
  ],
});
