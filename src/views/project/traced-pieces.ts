import { straightTurn, type Traced, type TracedPiece } from '../../core/photo';
import { bounds, drawnThrough, transformed, type Point } from '../../core/shape';
import type { FoundPiece, FoundPieces } from '../../formats/drawing';

/** What photographs hold, as a file’s pieces: each turned straight, with the grain line and the notches that are drawn on it. */
export function foundIn({ pieces, warnings }: Traced): FoundPieces {
  return {
    unit: { words: 'millimetres, by the cards', said: true } as FoundPieces['unit'],
    warnings: warnings.map((message, i) => ({ code: `photo-${i}`, message, count: 1 }) as FoundPieces['warnings'][number]),
    pieces: pieces.map(foundPiece),
  };
}

function foundPiece(piece: TracedPiece): FoundPiece {
  const turn = straightTurn(piece);
  const turned = transformed(piece.outline, false, turn);
  const { minX, minY } = bounds(turned);
  const shape = drawnThrough(turned, piece.corners);
  const { grain, notches } = piece.drawn;
  const marks = transformed(notches, false, turn, -minX, -minY).map((at) => ({ kind: 'notch' as const, at }));
  return {
    ...{ name: '', shape, line: 'cut', fold: null, marks, count: 1, inner: 0 },
    grain: grain ? degreesFromUpright(transformed(grain, false, turn) as [Point, Point]) : 0,
    allowances: shape.edges.map(() => 0),
  };
}

/** Within a degree a line drawn by hand is meant to be upright or level. */
const BY_HAND = 1;

/** Direction of a line, degrees counter-clockwise from upright, −90 to 90. */
function degreesFromUpright([a, b]: [Point, Point]): number {
  const degrees = (Math.atan2(a[0] - b[0], b[1] - a[1]) * 180) / Math.PI;
  const straight = 90 * Math.round(degrees / 90);
  const told = Math.abs(degrees - straight) < BY_HAND ? straight : Math.round(degrees * 10) / 10;
  return told > 90 ? told - 180 : told <= -90 ? told + 180 : told;
}
