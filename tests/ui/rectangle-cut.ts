import type { CutPiece } from '../../src/core/workpiece';

/** A plain rectangle, 10 cm high, cut once, with 10 mm on each edge. @param width mm */
export function rectangleCut(name: string, width: number): CutPiece {
  return {
    ...{ id: name, projectId: 'p', pieceId: `piece-${name}`, pieceName: name, name, position: 0, duty: 'shell', clothId: null },
    ...{ count: 1, pairs: false, oneWay: false, own: null, done: false, stack: null, wish: { cut: 'straight' } },
    shape: { kind: 'rectangle', width, height: 100, corners: [false, false, false, false], corner: 0 },
    ...{ line: 'cut', allowances: [10, 10, 10, 10], fold: null, grain: 0, marks: [] },
  } as CutPiece;
}
