/** Where a point of a net lies on the screen, and how far from the eye. */
export type Project = (x: number, y: number, z: number) => [x: number, y: number, depth: number];

/** How a net is looked at. */
export interface Seen {
  /** About the upright axis, and down on it from above, degrees. */
  turn: number;
  tilt: number;
  /** Pixels of a millimetre, and where the axis stands. */
  scale: number;
  middle: { x: number; y: number };
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

export function projection({ turn, tilt, scale, middle }: Seen): Project {
  const [yaw, pitch] = [radians(turn), radians(tilt)];
  const [cy, sy, cp, sp] = [Math.cos(yaw), Math.sin(yaw), Math.cos(pitch), Math.sin(pitch)];
  return (x, y, z) => {
    const u = x * cy - y * sy;
    const v = x * sy + y * cy;
    return [middle.x + u * scale, middle.y + (v * sp - z * cp) * scale, v * cp + z * sp];
  };
}

/** A net of cells: its nodes, and of each cell its four corners in turn. */
export interface Net {
  position: Float32Array;
  corners: Int32Array;
  /** Sides of each cell (first to second corner, and so on) that are a cut edge, and those whose thread is drawn: one bit for each. */
  cut: Uint8Array;
  thread: Uint8Array;
}

/** One thread in so many is drawn; the fills leave a breath of the others. Strokes are what a frame spends its time on. */
export const THREADS = 3;
/** Steps between a cell in full light and one in full shade; more cannot be told apart. */
const SHADES = 32;

export interface Colours {
  ink: string;
  line: string;
  /** Threads between the cells. */
  thread: string;
  /** Fill of a cell from full shade to full light. */
  shades: string[];
}

/** Colours of the theme in hand. Ink darkens what is turned away; by lamplight it is bright and lights what faces the lamp. */
export function coloursOf(element: HTMLElement): Colours {
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

/** Draws a net: each cell is shaded by how it faces the light, far ones first, so that what lies behind stays hidden. */
export function drawNet(pen: CanvasRenderingContext2D, net: Net, colours: Colours, project: Project, turn: number): void {
  const { position: p, corners, cut, thread } = net;
  const screen = new Float32Array(p.length);
  for (let i = 0; i < p.length; i += 3) screen.set(project(p[i]!, p[i + 1]!, p[i + 2]!), i);
  const at = (cell: number, corner: number) => 3 * corners[4 * cell + (corner % 4)]!;
  const depth = new Float32Array(cut.length);
  for (let cell = 0; cell < cut.length; cell++) depth[cell] = screen[at(cell, 0) + 2]! + screen[at(cell, 2) + 2]!;
  const order = Array.from(depth.keys()).sort((first, second) => depth[first]! - depth[second]!);
  const [cos, sin] = [Math.cos(radians(turn)), Math.sin(radians(turn))];
  const line = (cell: number, side: number) => {
    pen.moveTo(screen[at(cell, side)]!, screen[at(cell, side) + 1]!);
    pen.lineTo(screen[at(cell, side + 1)]!, screen[at(cell, side + 1) + 1]!);
  };
  const strokes = (cell: number, sides: number, style: string, width: number) => {
    if (sides === 0) return;
    pen.strokeStyle = style;
    pen.lineWidth = devicePixelRatio * width;
    pen.beginPath();
    for (let side = 0; side < 4; side++) if (sides & (1 << side)) line(cell, side);
    pen.stroke();
  };
  pen.lineJoin = 'round';
  for (const cell of order) {
    pen.beginPath();
    pen.moveTo(screen[at(cell, 0)]!, screen[at(cell, 0) + 1]!);
    for (let corner = 1; corner < 4; corner++) pen.lineTo(screen[at(cell, corner)]!, screen[at(cell, corner) + 1]!);
    pen.closePath();
    pen.fillStyle = colours.shades[Math.round(lightOn(p, at(cell, 0), at(cell, 1), at(cell, 3), cos, sin) * (SHADES - 1))]!;
    pen.fill();
    strokes(cell, thread[cell]!, colours.thread, 0.7);
    strokes(cell, cut[cell]!, colours.line, 1.6);
  }
}

/** 0 for a cell turned away from the light, 1 for one that faces it; both faces count alike. */
function lightOn(p: Float32Array, o: number, b: number, c: number, cy: number, sy: number): number {
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
