import { useGesture } from '@use-gesture/react';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DensityMap, Island, Motif } from '../../core/motif';
import type { Outline, Point } from '../../core/shape';
import { drawStitches, type View } from './draw-motif';

interface Props {
  motif: Motif;
  colours: readonly string[];
  bounds: { minX: number; minY: number; maxX: number; maxY: number };
  /** Records that are drawn. */
  upTo: number;
  heat?: DensityMap | undefined;
  islands?: readonly Island[] | undefined;
  /** Where a sheet is trimmed. */
  trims?: readonly Outline[] | undefined;
  /** Where it is cut apart between islands first. */
  apart?: readonly Point[][] | undefined;
  label: string;
  height: number;
}

const ROOM = 24;
const LEAST_ZOOM = 0.5;
const MOST_ZOOM = 40;
/** Records that are drawn in one frame: a frame stays short, whatever the motif. */
const PER_FRAME = 25_000;
/** Denser than this a cell is drawn in full red, stitches per cm². */
const HOTTEST = 150;

/** A motif as thread that can be looked at closely: zoomed, moved, sewn up to any stitch, with its heat map and islands. */
export default function MotifCanvas({ motif, colours, bounds, upTo, heat, islands, trims, apart, label, height }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [width, setWidth] = useState(600);
  const [look, setLook] = useState({ zoom: 1, x: 0, y: 0 });
  /** What is drawn already: records of which view, on a canvas that is kept between frames. */
  const drawn = useRef<{ key: string; to: number; layer: HTMLCanvasElement } | undefined>(undefined);

  useEffect(() => {
    const element = frame.current!;
    const watch = new ResizeObserver(() => setWidth(element.clientWidth));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);

  const viewOf = useCallback(
    (dense: number): View => {
      const [w, h] = [bounds.maxX - bounds.minX, bounds.maxY - bounds.minY];
      const fitted = Math.min((width - 2 * ROOM) / Math.max(1, w), (height - 2 * ROOM) / Math.max(1, h));
      const scale = fitted * look.zoom;
      return {
        scale: scale * dense,
        x: (width / 2 + look.x - ((bounds.minX + bounds.maxX) / 2) * scale) * dense,
        y: (height / 2 + look.y + ((bounds.minY + bounds.maxY) / 2) * scale) * dense,
      };
    },
    [bounds, width, height, look],
  );

  useEffect(() => {
    const element = canvas.current!;
    const dense = devicePixelRatio || 1;
    const view = viewOf(dense);
    const [w, h] = [Math.round(width * dense), Math.round(height * dense)];
    const key = [w, h, view.scale, view.x, view.y, colours.join()].join('|');
    let request = 0;
    const step = () => {
      // Sewing on adds to what is there; going back or looking elsewhere begins anew.
      if (drawn.current?.key !== key || drawn.current.to > upTo) {
        const layer = document.createElement('canvas');
        layer.width = w;
        layer.height = h;
        drawn.current = { key, to: 0, layer };
      }
      const state = drawn.current;
      const to = Math.min(upTo, state.to + PER_FRAME);
      drawStitches(state.layer.getContext('2d')!, motif, colours, view, state.to, to);
      state.to = to;
      const context = element.getContext('2d')!;
      context.clearRect(0, 0, w, h);
      context.drawImage(state.layer, 0, 0);
      if (heat) drawHeat(context, heat, view);
      if (apart) drawLines(context, apart, false, view, dense);
      if (trims) drawLines(context, trims, true, view, dense);
      if (islands) drawNumbers(context, islands, view, dense);
      if (to < upTo) request = requestAnimationFrame(step);
    };
    request = requestAnimationFrame(step);
    return () => cancelAnimationFrame(request);
  }, [motif, colours, upTo, heat, islands, trims, apart, width, height, viewOf]);

  const zoomAt = (factor: number, px: number, py: number) =>
    setLook((was) => {
      const zoom = Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, was.zoom * factor));
      const by = zoom / was.zoom;
      const [cx, cy] = [px - width / 2, py - height / 2];
      return { zoom, x: cx - (cx - was.x) * by, y: cy - (cy - was.y) * by };
    });
  useGesture(
    {
      onDrag: ({ delta: [dx, dy] }) => setLook((was) => ({ ...was, x: was.x + dx, y: was.y + dy })),
      onPinch: ({ origin: [ox, oy], delta: [d] }) => {
        const box = frame.current!.getBoundingClientRect();
        zoomAt(1 + d, ox - box.left, oy - box.top);
      },
      onWheel: ({ event, delta: [, dy] }) => {
        event.preventDefault();
        const box = frame.current!.getBoundingClientRect();
        zoomAt(Math.exp(-dy / 400), event.clientX - box.left, event.clientY - box.top);
      },
    },
    { target: frame, eventOptions: { passive: false } },
  );
  return (
    <div className="relative">
      <div
        ref={frame}
        role="img"
        aria-label={label}
        tabIndex={0}
        className="motif-ground cursor-grab touch-none overflow-hidden rounded-box border border-base-300 active:cursor-grabbing"
        style={{ height }}
        onKeyDown={(event) => {
          const moves: Record<string, [number, number]> = {
            ArrowLeft: [30, 0],
            ArrowRight: [-30, 0],
            ArrowUp: [0, 30],
            ArrowDown: [0, -30],
          };
          const move = moves[event.key];
          if (move) setLook((was) => ({ ...was, x: was.x + move[0], y: was.y + move[1] }));
          else if (event.key === '+') zoomAt(1.3, width / 2, height / 2);
          else if (event.key === '-') zoomAt(1 / 1.3, width / 2, height / 2);
          else if (event.key === '0') setLook({ zoom: 1, x: 0, y: 0 });
          else return;
          event.preventDefault();
        }}
      >
        <canvas
          ref={canvas}
          width={Math.round(width * (typeof devicePixelRatio === 'number' ? devicePixelRatio : 1))}
          height={Math.round(height * (typeof devicePixelRatio === 'number' ? devicePixelRatio : 1))}
          style={{ width, height }}
          aria-hidden="true"
        />
      </div>
    </div>
  );
}

/** Stitches per cm² as warmth over the thread: clear, yellow, red. */
function drawHeat(context: CanvasRenderingContext2D, { cell, columns, rows, minX, minY, values }: DensityMap, view: View): void {
  const size = cell * view.scale;
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const share = Math.min(1, values[r * columns + c]! / HOTTEST);
      if (share < 0.04) continue;
      context.fillStyle = `hsl(${55 - 55 * share} 90% ${58 - 18 * share}% / ${0.25 + 0.55 * share})`;
      context.fillRect(
        view.x + (minX + c * cell) * view.scale,
        view.y - (minY + (r + 1) * cell) * view.scale,
        size + 0.5,
        size + 0.5,
      );
    }
}

/** Lines that are cut along: dashed and red round stitching, long dashes in ink between islands. */
function drawLines(
  context: CanvasRenderingContext2D,
  lines: readonly (readonly Point[])[],
  closed: boolean,
  view: View,
  dense: number,
): void {
  context.lineWidth = 1.6 * dense;
  context.strokeStyle = closed ? '#a81e2b' : '#1a2238';
  context.setLineDash((closed ? [7, 5] : [16, 6, 3, 6]).map((length) => length * dense));
  for (const line of lines) {
    context.beginPath();
    line.forEach(([x, y], i) => {
      const [px, py] = [view.x + x * view.scale, view.y - y * view.scale];
      if (i === 0) context.moveTo(px, py);
      else context.lineTo(px, py);
    });
    if (closed) context.closePath();
    context.stroke();
  }
  context.setLineDash([]);
}

function drawNumbers(context: CanvasRenderingContext2D, islands: readonly Island[], view: View, dense: number): void {
  context.font = `600 ${15 * dense}px 'Atkinson Hyperlegible Next Variable', sans-serif`;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  for (const { number, bounds } of islands) {
    const [x, y] = [view.x + bounds.minX * view.scale, view.y - bounds.maxY * view.scale];
    context.fillStyle = '#faf6ec';
    context.strokeStyle = '#1a2238';
    context.lineWidth = 1.5 * dense;
    context.beginPath();
    context.arc(x, y, 12 * dense, 0, 2 * Math.PI);
    context.fill();
    context.stroke();
    context.fillStyle = '#1a2238';
    context.fillText(String(number), x, y + dense);
  }
}
