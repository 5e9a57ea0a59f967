import { useCallback } from 'react';
import type { Support } from '../core/drape';
import type { DrapeFrame } from '../workers/drape.worker';
import { coloursOf, drawNet, projection, THREADS, type Colours, type Net, type Project } from './net-drawing';
import NetCanvas from './NetCanvas';

interface Props {
  frame: DrapeFrame | undefined;
  support: Support;
  /** Turn about the upright axis, degrees. */
  turn: number;
  label: string;
}

/** Looking down at the cloth from this height, degrees. */
const PITCH = 28;
/** Height of the drawing against its width. */
const ASPECT = 0.7;

/** A draped square drawn from its net: each cell is shaded by how it faces the light, far ones first. */
export default function SheetCanvas({ frame, support, turn, label }: Props) {
  const draw = useCallback(
    (pen: CanvasRenderingContext2D, element: HTMLCanvasElement) => frame && drawSheet(pen, frame, support, turn, element),
    [frame, support, turn],
  );
  return <NetCanvas aspect={ASPECT} label={label} draw={draw} />;
}

function drawSheet(pen: CanvasRenderingContext2D, frame: DrapeFrame, support: Support, turn: number, element: HTMLCanvasElement) {
  const colours = coloursOf(element);
  const scale = (element.width / frame.size) * (support === 'round' ? 0.7 : 0.6);
  const middle = { x: element.width / 2, y: element.height * (support === 'round' ? 0.27 : 0.4) };
  const seen = { turn, tilt: PITCH, scale, middle };
  const project = projection(seen);
  drawSupport(pen, frame, support, project, colours, scale);
  drawNet(pen, squareNet(frame), colours, project, turn);
  pen.globalAlpha = 1;
}

/** The square's cells; every third thread of it is drawn. */
function squareNet({ cells, position }: DrapeFrame): Net {
  const side = cells + 1;
  const corners = new Int32Array(4 * cells * cells);
  const [cut, thread] = [new Uint8Array(cells * cells), new Uint8Array(cells * cells)];
  for (let cell = 0; cell < cells * cells; cell++) {
    const [row, column] = [Math.floor(cell / cells), cell % cells];
    const a = row * side + column;
    corners.set([a, a + 1, a + side + 1, a + side], 4 * cell);
    thread[cell] = (row % THREADS === 0 ? 1 : 0) | (column % THREADS === 0 ? 8 : 0);
    cut[cell] = (row === 0 ? 1 : 0) | (column === cells - 1 ? 2 : 0) | (row === cells - 1 ? 4 : 0) | (column === 0 ? 8 : 0);
  }
  return { position, corners, cut, thread };
}

function drawSupport(
  pen: CanvasRenderingContext2D,
  { size, radius }: DrapeFrame,
  support: Support,
  project: Project,
  colours: Colours,
  scale: number,
) {
  const trace = (points: [number, number, number][]) => {
    pen.beginPath();
    points.forEach(([x, y, z], i) => {
      const [px, py] = project(x, y, z);
      if (i === 0) pen.moveTo(px, py);
      else pen.lineTo(px, py);
    });
  };
  pen.strokeStyle = colours.line;
  pen.lineWidth = devicePixelRatio * 1.2;
  pen.globalAlpha = 0.6;
  if (support === 'round') {
    const foot = -size * 0.62;
    pen.lineWidth = scale * 14;
    pen.globalAlpha = 0.18;
    trace([
      [0, 0, 0],
      [0, 0, foot],
    ]);
    pen.stroke();
    pen.globalAlpha = 0.6;
    pen.lineWidth = devicePixelRatio * 1.2;
    trace(circle(radius * 0.9, foot));
    pen.closePath();
    pen.stroke();
  } else {
    const far = -size * 0.62;
    const thick = -size * 0.06;
    for (const [from, to] of [
      [
        [far, 0],
        [0, 0],
      ],
      [
        [0, far],
        [0, 0],
      ],
    ] as [[number, number], [number, number]][]) {
      trace([
        [from[0], from[1], 0],
        [to[0], to[1], 0],
        [to[0], to[1], thick],
        [from[0], from[1], thick],
      ]);
      pen.closePath();
      pen.globalAlpha = 0.12;
      pen.fillStyle = colours.ink;
      pen.fill();
      pen.globalAlpha = 0.6;
      pen.stroke();
    }
    trace([
      [far, far, 0],
      [0, far, 0],
      [0, 0, 0],
      [far, 0, 0],
    ]);
    pen.closePath();
    pen.stroke();
  }
  pen.globalAlpha = 1;
}

function circle(radius: number, z: number): [number, number, number][] {
  return Array.from({ length: 48 }, (_, i) => {
    const angle = (i / 48) * 2 * Math.PI;
    return [radius * Math.cos(angle), radius * Math.sin(angle), z];
  });
}
