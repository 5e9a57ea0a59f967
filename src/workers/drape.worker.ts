import { expose, transfer } from 'comlink';
import { advance, layFlat, readDrape, setCloth, STILL, type DrapeSheet, type SheetCloth, type Support } from '../core/drape';

/** One frame of one sheet. */
export interface DrapeFrame {
  index: number;
  cells: number;
  size: number;
  radius: number;
  position: Float32Array;
  shadow: number;
  depth: number;
  still: boolean;
}

const SIZE = 400;
/** Fine enough for the folds that the eye sees, coarse enough for thirty frames a second. */
const CELLS = 24;
/** Time spent on each sheet before a frame is shown, ms. */
const BUDGET = 7;
/** Steps between two looks at the clock. */
const BURST = 4;
/** Frames in a row that must be still before the work stops. */
const STILL_FRAMES = 12;

let sheets: { sheet: DrapeSheet; stillFor: number }[] = [];
let running = false;
let show: (frame: DrapeFrame) => void = () => {};

function frame(): void {
  let moving = false;
  for (const [index, entry] of sheets.entries()) {
    if (entry.stillFor > STILL_FRAMES) continue;
    const end = performance.now() + BUDGET;
    let speed = 0;
    do speed = advance(entry.sheet, BURST);
    while (performance.now() < end);
    entry.stillFor = speed < STILL ? entry.stillFor + 1 : 0;
    const still = entry.stillFor > STILL_FRAMES;
    if (!still) moving = true;
    const { shadow, depth } = readDrape(entry.sheet);
    const position = Float32Array.from(entry.sheet.position);
    const seen: DrapeFrame = {
      index,
      cells: entry.sheet.cells,
      size: entry.sheet.size,
      radius: entry.sheet.radius,
      position,
      shadow,
      depth,
      still,
    };
    show(transfer(seen, [position.buffer]));
  }
  running = moving;
  // A pause lets the next request in.
  if (moving) setTimeout(frame, 0);
}

function run(): void {
  if (running) return;
  running = true;
  setTimeout(frame, 0);
}

const drapes = {
  /** Hangs new sheets over a support. @param shown is told every frame of each */
  start(support: Support, cloths: SheetCloth[], shown: (frame: DrapeFrame) => void): void {
    show = shown;
    sheets = cloths.map((cloth) => ({ sheet: layFlat(cloth, support, SIZE, CELLS), stillFor: 0 }));
    run();
  },
  /** Other cloth for a sheet that hangs already. */
  cloth(index: number, cloth: SheetCloth): void {
    const entry = sheets[index];
    if (!entry) return;
    setCloth(entry.sheet, cloth);
    entry.stillFor = 0;
    run();
  },
};
export type Drapes = typeof drapes;

expose(drapes);
