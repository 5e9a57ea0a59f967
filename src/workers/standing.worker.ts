import { expose, transfer } from 'comlink';
import {
  fall,
  FALL_STEPS_PER_SECOND,
  flaredNet,
  layFlared,
  readFlared,
  type FlaredReading,
  type FlaredShape,
  type HemBraid,
  type SheetCloth,
} from '../core/drape';

/** What is hung. */
export interface StandingAsked {
  shape: FlaredShape;
  cloth: SheetCloth;
  hem: HemBraid | null;
}

/** A flared sheet as it is at a moment. */
export interface StandingFrame {
  rows: number;
  columns: number;
  position: Float32Array;
  reading: FlaredReading;
  /** It moves no more, or has had all of its time. */
  still: boolean;
  /** Of its time, 0–1. */
  done: number;
}

/** Slower than this nothing of it is seen to move, mm/s. */
const STILL = 8;
/** Longest that a sheet is let fall, s; and least, as it begins at rest. */
const LONGEST = 3;
const LEAST = 1;
/** Time that is simulated between two frames, s. */
const FRAME = 1 / 30;

let turn = 0;

const pause = () => new Promise((go) => setTimeout(go, 0));

const standing = {
  /** Lets a flared sheet fall until it hangs still. @param shown is told every frame @returns false where something else was asked meanwhile */
  async stand({ shape, cloth, hem }: StandingAsked, shown: (frame: StandingFrame) => void): Promise<boolean> {
    const own = ++turn;
    const { rows, columns } = flaredNet(shape);
    const sheet = layFlared(cloth, shape, rows, columns, hem);
    const frames = LONGEST / FRAME;
    for (let frame = 1; frame <= frames; frame++) {
      const speed = fall(sheet, Math.round(FALL_STEPS_PER_SECOND * FRAME));
      const still = (speed < STILL && frame * FRAME > LEAST) || frame === frames;
      const position = Float32Array.from(sheet.position);
      shown(transfer({ rows, columns, position, reading: readFlared(sheet), still, done: still ? 1 : frame / frames }, [position.buffer])); // prettier-ignore
      if (still) break;
      // A pause lets the next question in.
      await pause();
      if (own !== turn) return false;
    }
    return true;
  },
  /** Nothing more is wanted. */
  stop(): void {
    turn++;
  },
};
export type Standings = typeof standing;

expose(standing);
