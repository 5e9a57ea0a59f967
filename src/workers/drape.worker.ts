/// <reference lib="webworker" />
import { advance, layFlat, readDrape, setCloth, STILL, type Sheet, type SheetCloth, type Support } from '../core/drape';

/** What the page asks: a new pair of sheets on a support, or other cloth for one that hangs already. */
export type DrapeRequest =
  { kind: 'start'; support: Support; cloths: SheetCloth[] } | { kind: 'cloth'; index: number; cloth: SheetCloth };

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

let sheets: { sheet: Sheet; stillFor: number }[] = [];
let running = false;

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
    const message: DrapeFrame = {
      index,
      cells: entry.sheet.cells,
      size: entry.sheet.size,
      radius: entry.sheet.radius,
      position,
      shadow,
      depth,
      still,
    };
    postMessage(message, [position.buffer]);
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

onmessage = ({ data }: MessageEvent<DrapeRequest>) => {
  if (data.kind === 'start') {
    sheets = data.cloths.map((cloth) => ({ sheet: layFlat(cloth, data.support, SIZE, CELLS), stillFor: 0 }));
  } else {
    const entry = sheets[data.index];
    if (!entry) return;
    setCloth(entry.sheet, data.cloth);
    entry.stillFor = 0;
  }
  run();
};
