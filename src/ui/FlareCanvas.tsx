import { useCallback } from 'react';
import type { StandingFrame } from '../workers/standing.worker';
import { coloursOf, drawNet, projection, THREADS, type Net } from './net-drawing';
import NetCanvas from './NetCanvas';

interface Props {
  frame: StandingFrame | undefined;
  /** How far it reaches to each side at most, and down, mm. */
  reach: number;
  depth: number;
  /** About the upright axis, and down on it from above, degrees. */
  turn: number;
  tilt: number;
  label: string;
}

/** Height of the drawing against its width. */
const ASPECT = 0.72;
/** Share of the drawing that stays free round it. */
const FREE = 0.06;

/** A flared sheet as it hangs from its waist. */
export default function FlareCanvas({ frame, reach, depth, turn, tilt, label }: Props) {
  const draw = useCallback(
    (pen: CanvasRenderingContext2D, element: HTMLCanvasElement) => {
      if (!frame) return;
      const { width, height } = element;
      const [sin, cos] = [Math.sin((tilt * Math.PI) / 180), Math.cos((tilt * Math.PI) / 180)];
      // From the far side of the hem down to its near side.
      const high = depth * cos + 2 * reach * sin;
      const scale = (1 - 2 * FREE) * Math.min(width / (2 * reach), height / high);
      const middle = { x: width / 2, y: (height - high * scale) / 2 + reach * sin * scale };
      drawNet(pen, flaredNet(frame), coloursOf(element), projection({ turn, tilt, scale, middle }), turn);
    },
    [frame, reach, depth, turn, tilt],
  );
  return <NetCanvas aspect={ASPECT} label={label} draw={draw} />;
}

/** Its cells, all the way round; its waist and its hem are lines. */
function flaredNet({ rows, columns, position }: StandingFrame): Net {
  const corners = new Int32Array(4 * rows * columns);
  const [cut, thread] = [new Uint8Array(rows * columns), new Uint8Array(rows * columns)];
  for (let cell = 0; cell < rows * columns; cell++) {
    const [row, column] = [Math.floor(cell / columns), cell % columns];
    const next = row * columns + ((column + 1) % columns);
    corners.set([cell, next, next + columns, cell + columns], 4 * cell);
    thread[cell] = column % THREADS === 0 ? 8 : 0;
    cut[cell] = (row === 0 ? 1 : 0) | (row === rows - 1 ? 4 : 0);
  }
  return { position, corners, cut, thread };
}
