import { grainLine, MARK_WORDS, markLines, type Mark, type OpenPiece, type GrainCut } from '../../core/pieces';
import type { Placement } from '../../core/nesting';
import { bounds, innermost, isInside, type Outline, type Point } from '../../core/shape';

/** A piece for a file: opened out, or a half with its fold. */
export interface WrittenPiece {
  /** Name of the piece, as people read it. */
  name: string;
  outline: Outline;
  seam: Outline[];
  holes: Outline[];
  /** Direction of the grain line, degrees counter-clockwise from upright; null where there is none. */
  grain: number | null;
  /** How it lies to the grain. */
  cut: GrainCut;
  /** It lies one way up only. */
  oneWay: boolean;
  /** Ends of the line that is laid at a fold; null where there is none. */
  fold: readonly Point[] | null;
  marks: readonly Mark[];
  count: number;
}

/** What is said beside the arrow. */
export function grainWords({ grain, cut, oneWay }: Pick<WrittenPiece, 'grain' | 'cut' | 'oneWay'>): string {
  const way = oneWay ? ', one way up' : '';
  if (grain === null) return oneWay ? 'One way up' : '';
  return `${{ straight: 'Straight grain', cross: 'Across the grain', bias: 'Bias' }[cut]}${way}`;
}

export interface WrittenLayout {
  pieces: { id: string; piece: WrittenPiece }[];
  /** Copies where they lie, mm. */
  placements: Placement[];
}

/** A piece of a project in the form that files take. */
export function writtenPiece(
  name: string,
  piece: OpenPiece,
  lies: { cut: GrainCut; grain: number; oneWay?: boolean },
  count: number,
): WrittenPiece {
  return {
    name,
    outline: piece.outline,
    seam: piece.seam,
    holes: piece.holes.map(({ outline }) => outline),
    grain: grainLine(lies),
    cut: lies.cut,
    oneWay: lies.oneWay ?? false,
    fold: null,
    marks: piece.marks,
    count,
  };
}

/**
 * Pieces as a DXF file (R12, text) on the layers of the apparel pattern standard, each piece a block in millimetres: 1 cut line,
 * 14 sew line, 11 openings, 7 grain line, 6 fold, 4 notches, 13 other marks with what they say beside them, 8 the lines of darts, folds and zips, and its name and quantity as text.
 * With a layout, every copy is inserted where it lies.
 */
// The sections of the file in their order, read from top to bottom.
// eslint-disable-next-line max-lines-per-function
export function writeDxf(pieces: readonly WrittenPiece[], layout?: { index: number; placement: Placement }[]): string {
  const out: string[] = [];
  const add = (...pairs: [number, string | number][]) => {
    for (const [code, value] of pairs) out.push(String(code), typeof value === 'number' ? figure(value) : value);
  };
  add([999, 'Nembrel'], [0, 'SECTION'], [2, 'HEADER'], [9, '$ACADVER'], [1, 'AC1009'], [9, '$INSUNITS']);
  out.push('70', '4');
  add([0, 'ENDSEC'], [0, 'SECTION'], [2, 'BLOCKS']);
  const names = blockNames(pieces);
  pieces.forEach((piece, i) => {
    add([0, 'BLOCK'], [8, '1'], [2, names[i]!]);
    out.push('70', '0');
    add([10, 0], [20, 0], [30, 0], [3, names[i]!]);
    const text = (words: string) => {
      add([0, 'TEXT'], [8, '1'], [10, piece.outline[0]![0]], [20, piece.outline[0]![1]], [30, 0], [40, 5], [1, plain(words)]);
    };
    text(`PIECE NAME: ${piece.name}`);
    text(`QUANTITY: ${piece.count}`);
    polyline('1', piece.outline);
    for (const seam of piece.seam) polyline('14', seam);
    for (const hole of piece.holes) polyline('11', hole);
    if (piece.grain !== null) {
      const [a, b] = grainEnds(piece, piece.grain);
      add([0, 'LINE'], [8, '7'], [10, a[0]], [20, a[1]], [30, 0], [11, b[0]], [21, b[1]], [31, 0]);
    }
    if (grainWords(piece)) text(`ANNOTATION: ${grainWords(piece).toUpperCase()}`);
    if (piece.fold) {
      const [a, b] = [piece.fold[0]!, piece.fold.at(-1)!];
      add([0, 'LINE'], [8, '6'], [10, a[0]], [20, a[1]], [30, 0], [11, b[0]], [21, b[1]], [31, 0]);
      text('ANNOTATION: LAID AT THE FOLD');
    }
    for (const mark of piece.marks) {
      const {
        kind,
        at: [x, y],
        to,
        width,
      } = mark;
      const layer = kind === 'notch' ? '4' : '13';
      add([0, 'POINT'], [8, layer], [10, x], [20, y], [30, 0]);
      if (kind !== 'notch' && kind !== 'drill')
        add(
          [0, 'TEXT'],
          [8, layer],
          [10, x],
          [20, y],
          [30, 0],
          [40, 4],
          [1, `MARK: ${MARK_WORDS[kind].toUpperCase()}${ends(to, width)}`],
        );
      for (const line of markLines(mark)) polyline('8', line, false);
    }
    add([0, 'ENDBLK'], [8, '1']);
  });
  add(
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    [0, 'TEXT'],
    [8, '1'],
    [10, 0],
    [20, 0],
    [30, 0],
    [40, 5],
    [1, 'UNITS: METRIC'],
  );
  const placed =
    layout ?? pieces.map((_, index) => ({ index, placement: { id: '', copy: 0, rotation: 0, flipped: false, x: 0, y: 0 } }));
  for (const { index, placement } of placed) {
    const { flipped, rotation, x, y } = placement;
    add([0, 'INSERT'], [8, '1'], [2, names[index]!], [10, x], [20, y], [30, 0]);
    add([41, flipped ? -1 : 1], [42, 1], [43, 1], [50, rotation]);
  }
  add([0, 'ENDSEC'], [0, 'EOF']);
  return `${out.join('\r\n')}\r\n`;

  function polyline(layer: string, points: Outline, closed = true): void {
    add([0, 'POLYLINE'], [8, layer]);
    out.push('66', '1', '70', closed ? '1' : '0');
    add([10, 0], [20, 0], [30, 0]);
    for (const [x, y] of points) add([0, 'VERTEX'], [8, layer], [10, x], [20, y], [30, 0]);
    add([0, 'SEQEND'], [8, layer]);
  }
}

/** A billionth of a metre: finer than anything that comes in. */
function figure(value: number): string {
  return value.toFixed(6);
}

/** Text in letters that every reader knows; others by their number, as such files write them: \\U+6F22. */
function plain(text: string): string {
  return text.replace(/[^\u0020-\u007e]/g, (letter) => `\\U+${letter.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}`);
}

/** Names of blocks: capitals, figures and underscores, no two alike. */
function blockNames(pieces: readonly WrittenPiece[]): string[] {
  const used = new Set<string>();
  return pieces.map(({ name }) => {
    const base =
      name
        .toUpperCase()
        .replace(/[^A-Z0-9]+/g, '_')
        .replace(/^_+|_+$/g, '')
        .slice(0, 24) || 'PIECE';
    let unique = base;
    for (let i = 2; used.has(unique); i++) unique = `${base}_${i}`;
    used.add(unique);
    return unique;
  });
}

/** Of the room around the point furthest from all edges an arrow takes so much. */
const OF_ROOM = 0.8;

/**
 * Ends of a grain line through the middle of a piece, half as long as it is there; where the middle is cut out or lies beside a crescent,
 * through the point that is furthest from every edge: an arrow has to be on the cloth.
 */
export function grainEnds({ outline, holes }: Pick<WrittenPiece, 'outline' | 'holes'>, grain: number): [Point, Point] {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const a = (grain * Math.PI) / 180;
  const through = ([x, y]: Point, reach: number): [Point, Point] => [
    [x + Math.sin(a) * reach, y - Math.cos(a) * reach],
    [x - Math.sin(a) * reach, y + Math.cos(a) * reach],
  ];
  const middle = through([(minX + maxX) / 2, (minY + maxY) / 2], Math.min(maxX - minX, maxY - minY) / 4);
  if (isOnPiece(middle, { outline, holes })) return middle;
  const { at, distance } = innermost(outline, holes);
  return through(at, OF_ROOM * distance);
}

/** Places along a line that are looked at. */
const LOOKED_AT = 8;

function isOnPiece([a, b]: [Point, Point], { outline, holes }: Pick<WrittenPiece, 'outline' | 'holes'>): boolean {
  return Array.from({ length: LOOKED_AT + 1 }, (_, i): Point => {
    const t = i / LOOKED_AT;
    return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
  }).every((p) => isInside(p, outline) && !holes.some((hole) => isInside(p, hole)));
}

/** Where a mark that runs on ends, and how wide it is, as its text says it. */
function ends(to: Point | undefined, width: number | undefined): string {
  return to ? ` TO ${figure(to[0])} ${figure(to[1])}${width ? ` WIDTH ${figure(width)}` : ''}` : '';
}
