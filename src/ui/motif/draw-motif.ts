import { COLOUR, STITCH, type Motif } from '../../core/motif';

/** From millimetres of the motif to pixels: scale and the pixel of the origin; y runs up in millimetres. */
export interface View {
  scale: number;
  x: number;
  y: number;
}

/** Thread as it is drawn, mm. */
const THREAD = 0.38;
/** Stitches in one stroke: few enough that later rows lie over earlier ones, as thread does. */
const STROKE = 120;
/** Light falls from upper left: thread that runs across it is lighter. */
const SHADES = 5;

/** A colour in steps from darker to lighter. */
export function shadesOf(colour: string): string[] {
  const [r, g, b] = [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16)) as [number, number, number];
  return Array.from({ length: SHADES }, (_, k) => {
    const by = 0.78 + (0.44 * k) / (SHADES - 1);
    const lit = (v: number) => Math.round(Math.min(255, by > 1 ? v + (255 - v) * (by - 1) : v * by));
    return `rgb(${lit(r)} ${lit(g)} ${lit(b)})`;
  });
}

/** Draws the stitches of records `from` up to `to`, not included, in the colours of their blocks. */
export function drawStitches(
  context: CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D,
  { x, y, command }: Motif,
  colours: readonly string[],
  view: View,
  from: number,
  to: number,
): void {
  context.lineWidth = Math.max(0.6, THREAD * view.scale);
  context.lineCap = 'round';
  let block = 0;
  for (let i = 0; i < from; i++) if (command[i] === COLOUR) block++;
  let shades = shadesOf(colours[block % Math.max(1, colours.length)] ?? '#1f4e79');
  let [open, shade] = [0, -1];
  const end = () => {
    if (open > 0) context.stroke();
    open = 0;
  };
  for (let i = Math.max(1, from); i < to; i++) {
    if (command[i] === COLOUR) {
      end();
      block++;
      shades = shadesOf(colours[block % Math.max(1, colours.length)] ?? '#1f4e79');
      shade = -1;
      continue;
    }
    if (command[i] !== STITCH || command[i - 1] !== STITCH) continue;
    const [dx, dy] = [x[i]! - x[i - 1]!, y[i]! - y[i - 1]!];
    const across = Math.abs(Math.sin(Math.atan2(dy, dx) - Math.PI * 0.75));
    const now = Math.min(SHADES - 1, Math.floor((1 - across) * SHADES));
    if (now !== shade || open >= STROKE) {
      end();
      context.strokeStyle = shades[now]!;
      context.beginPath();
      shade = now;
    }
    context.moveTo(view.x + x[i - 1]! * view.scale, view.y - y[i - 1]! * view.scale);
    context.lineTo(view.x + x[i]! * view.scale, view.y - y[i]! * view.scale);
    open++;
  }
  end();
}
