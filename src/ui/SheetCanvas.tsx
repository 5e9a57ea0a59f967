import { useEffect, useRef } from 'react';
import type { Support } from '../core/drape';
import type { DrapeFrame } from '../workers/drape.worker';

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

/** One thread in so many is drawn. */
const THREADS = 3;
/** Steps between a cell in full light and one in full shade; more cannot be told apart. */
const SHADES = 32;

interface Colours {
  ink: string;
  line: string;
  /** Threads between the cells. */
  thread: string;
  /** Fill of a cell from full shade to full light. */
  shades: string[];
}

/** Colours of the theme in hand. Ink darkens what is turned away; by lamplight it is bright and lights what faces the lamp. */
function coloursOf(element: HTMLElement): Colours {
  const style = getComputedStyle(element);
  const paper = style.getPropertyValue('--color-base-100');
  const ink = style.getPropertyValue('--color-base-content');
  const dark = style.colorScheme.includes('dark');
  const mix = (share: number) => mixed(ink, paper, share);
  return {
    ink,
    line: ink,
    thread: mix(dark ? 0.45 : 0.5),
    shades: Array.from({ length: SHADES }, (_, i) => {
      const light = i / (SHADES - 1);
      return mix(0.06 + 0.5 * (dark ? light : 1 - light));
    }),
  };
}

/** A share of one `#rrggbb` over another, as the canvas reads it fastest. */
function mixed(over: string, under: string, share: number): string {
  const channel = (colour: string, at: number) => parseInt(colour.trim().slice(1 + 2 * at, 3 + 2 * at), 16);
  const parts = [0, 1, 2].map((at) => Math.round(channel(over, at) * share + channel(under, at) * (1 - share)));
  return `rgb(${parts.join(' ')})`;
}

/** A draped square drawn from its net: each cell is shaded by how it faces the light, far ones first. */
export default function SheetCanvas({ frame, support, turn, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    const pen = element?.getContext('2d');
    if (!element || !pen || !frame) return undefined;
    // Frames that come faster than the screen shows them are drawn once.
    const request = requestAnimationFrame(() => {
      const width = element.clientWidth * devicePixelRatio;
      const height = width * ASPECT;
      if (element.width !== Math.round(width)) {
        element.width = Math.round(width);
        element.height = Math.round(height);
      }
      draw(pen, frame, support, turn, element);
    });
    return () => cancelAnimationFrame(request);
  }, [frame, support, turn]);
  return (
    <canvas ref={canvas} role="img" aria-label={label} className="block w-full" style={{ aspectRatio: String(1 / ASPECT) }} />
  );
}

function draw(pen: CanvasRenderingContext2D, frame: DrapeFrame, support: Support, turn: number, element: HTMLCanvasElement) {
  const colours = coloursOf(element);
  const { cells, position: p } = frame;
  const side = cells + 1;
  const scale = (element.width / frame.size) * (support === 'round' ? 0.7 : 0.6);
  const yaw = (turn * Math.PI) / 180;
  const pitch = (PITCH * Math.PI) / 180;
  const [cy, sy, cp, sp] = [Math.cos(yaw), Math.sin(yaw), Math.cos(pitch), Math.sin(pitch)];
  const middle = { x: element.width / 2, y: element.height * (support === 'round' ? 0.27 : 0.4) };
  /** Screen x, y and distance from the eye. */
  const project = (x: number, y: number, z: number): [number, number, number] => {
    const u = x * cy - y * sy;
    const v = x * sy + y * cy;
    return [middle.x + u * scale, middle.y + (v * sp - z * cp) * scale, v * cp + z * sp];
  };
  pen.clearRect(0, 0, element.width, element.height);
  pen.lineJoin = 'round';
  drawSupport(pen, frame, support, project, colours, scale);

  const screen = new Float32Array(side * side * 3);
  for (let node = 0; node < side * side; node++) {
    const [x, y, depth] = project(p[3 * node]!, p[3 * node + 1]!, p[3 * node + 2]!);
    screen[3 * node] = x;
    screen[3 * node + 1] = y;
    screen[3 * node + 2] = depth;
  }
  const quads: { a: number; depth: number }[] = [];
  for (let row = 0; row < cells; row++) {
    for (let column = 0; column < cells; column++) {
      const a = row * side + column;
      quads.push({ a, depth: screen[3 * a + 2]! + screen[3 * (a + side + 1) + 2]! });
    }
  }
  quads.sort((first, second) => first.depth - second.depth);
  for (const { a } of quads) {
    const corners = [a, a + 1, a + side + 1, a + side];
    pen.beginPath();
    corners.forEach((node, i) => {
      if (i === 0) pen.moveTo(screen[3 * node]!, screen[3 * node + 1]!);
      else pen.lineTo(screen[3 * node]!, screen[3 * node + 1]!);
    });
    pen.closePath();
    const light = lightOn(p, a, side, cy, sy);
    pen.fillStyle = colours.shades[Math.round(light * (SHADES - 1))]!;
    pen.fill();
    // The cut edge in a stronger line, cell by cell, so that what lies behind stays hidden.
    const row = Math.floor(a / side);
    const column = a % side;
    // Every third thread is drawn; the fills leave a breath of the others. Strokes are what a frame spends its time on.
    if (row % THREADS === 0 || column % THREADS === 0) {
      pen.strokeStyle = colours.thread;
      pen.lineWidth = devicePixelRatio * 0.7;
      pen.beginPath();
      pen.moveTo(screen[3 * corners[3]!]!, screen[3 * corners[3]! + 1]!);
      if (column % THREADS === 0) pen.lineTo(screen[3 * a]!, screen[3 * a + 1]!);
      else pen.moveTo(screen[3 * a]!, screen[3 * a + 1]!);
      if (row % THREADS === 0) pen.lineTo(screen[3 * (a + 1)]!, screen[3 * (a + 1) + 1]!);
      pen.stroke();
    }
    const edges: [boolean, number, number][] = [
      [row === 0, 0, 1],
      [column === cells - 1, 1, 2],
      [row === cells - 1, 2, 3],
      [column === 0, 3, 0],
    ];
    for (const [cut, from, to] of edges) {
      if (!cut) continue;
      pen.strokeStyle = colours.line;
      pen.lineWidth = devicePixelRatio * 1.6;
      pen.beginPath();
      pen.moveTo(screen[3 * corners[from]!]!, screen[3 * corners[from]! + 1]!);
      pen.lineTo(screen[3 * corners[to]!]!, screen[3 * corners[to]! + 1]!);
      pen.stroke();
    }
  }
  pen.globalAlpha = 1;
}

/** 0 for a cell turned away from the light, 1 for one that faces it; both faces count alike. */
function lightOn(p: Float32Array, a: number, side: number, cy: number, sy: number): number {
  const b = 3 * (a + 1);
  const c = 3 * (a + side);
  const o = 3 * a;
  const ux = p[b]! - p[o]!;
  const uy = p[b + 1]! - p[o + 1]!;
  const uz = p[b + 2]! - p[o + 2]!;
  const vx = p[c]! - p[o]!;
  const vy = p[c + 1]! - p[o + 1]!;
  const vz = p[c + 2]! - p[o + 2]!;
  const nx = uy * vz - uz * vy;
  const ny = uz * vx - ux * vz;
  const nz = ux * vy - uy * vx;
  const length = Math.hypot(nx, ny, nz) || 1;
  // From above left of the eye, whichever way the cloth is turned.
  const x = (nx * cy - ny * sy) / length;
  const y = (nx * sy + ny * cy) / length;
  const z = nz / length;
  return Math.min(1, Math.abs(-0.45 * x - 0.2 * y + 0.87 * z));
}

function drawSupport(
  pen: CanvasRenderingContext2D,
  { size, radius }: DrapeFrame,
  support: Support,
  project: (x: number, y: number, z: number) => [number, number, number],
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
