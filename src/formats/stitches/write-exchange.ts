import { COLOUR, JUMP, STITCH, TRIM, type Motif } from '../../core/motif';
import { LONGEST_MOVE, writeMove, type Move } from './exchange-record';

const HEADER = 512;

/**
 * Writes a motif in the three-byte exchange format. Places are rounded to a tenth of a millimetre, each from the start, so that
 * roundings do not add up; moves that are too long for a record are jumped in parts.
 */
export function writeExchange({ name, x, y, command }: Motif): Uint8Array {
  const body: number[] = [];
  let records = 0;
  let colours = 0;
  let [atX, atY] = [0, 0];
  let [minX, minY, maxX, maxY] = [0, 0, 0, 0];
  const add = (dx: number, dy: number, kind: Move) => {
    body.push(...writeMove(dx, dy, kind));
    records++;
    atX += dx;
    atY += dy;
    minX = Math.min(minX, atX);
    maxX = Math.max(maxX, atX);
    minY = Math.min(minY, atY);
    maxY = Math.max(maxY, atY);
  };
  for (let i = 0; i < command.length; i++) {
    const [toX, toY] = [Math.round(10 * x[i]!), Math.round(10 * y[i]!)];
    const farthest = () => Math.max(Math.abs(toX - atX), Math.abs(toY - atY));
    while (farthest() > LONGEST_MOVE) {
      const parts = Math.ceil(farthest() / LONGEST_MOVE);
      add(Math.round((toX - atX) / parts), Math.round((toY - atY) / parts), 'jump');
    }
    if (command[i] === TRIM) {
      if (toX !== atX || toY !== atY) add(toX - atX, toY - atY, 'jump');
      add(1, 1, 'jump');
      add(-2, -2, 'jump');
      add(1, 1, 'jump');
    } else if (command[i] === COLOUR) {
      colours++;
      add(toX - atX, toY - atY, 'colour');
    } else add(toX - atX, toY - atY, command[i] === STITCH ? 'stitch' : command[i] === JUMP ? 'jump' : 'stitch');
  }
  body.push(...writeMove(0, 0, 'end'));
  const number = (value: number, width: number) => String(Math.abs(value)).padStart(width, ' ');
  const signed = (value: number) => `${value < 0 ? '-' : '+'}${number(value, 5)}`;
  const lines = [
    `LA:${latin(name).slice(0, 16).padEnd(16, ' ')}`,
    `ST:${number(records, 7)}`,
    `CO:${number(colours, 3)}`,
    `+X:${number(maxX, 5)}`,
    `-X:${number(minX, 5)}`,
    `+Y:${number(maxY, 5)}`,
    `-Y:${number(minY, 5)}`,
    `AX:${signed(atX)}`,
    `AY:${signed(atY)}`,
    'MX:+    0',
    'MY:+    0',
    'PD:******',
  ];
  const head = `${lines.join('\r')}\r\u001a`.padEnd(HEADER, ' ');
  const bytes = new Uint8Array(HEADER + body.length);
  for (let i = 0; i < HEADER; i++) bytes[i] = head.charCodeAt(i) & 0xff;
  bytes.set(body, HEADER);
  return bytes;
}

function latin(text: string): string {
  return text.replace(/[^\x20-\x7e]/g, '?');
}
