import type { Evidence } from '../techniques';
import type { Dampness, Hanging, Weighing } from '../liquid';
import type { PressStop } from '../press';
import type { Outline } from '../shape';
import type { BatchStep } from '../steps';

/** A step with the iron stops that were planned for it, when it is pressed. */
export interface BenchStep extends BatchStep {
  stops?: PressStop[];
  /** Number of the sheet or load that it is done on, from 0. */
  on?: number;
  /** What of the sheet lies on the board, when it goes over it in several moves. mm. */
  area?: { minX: number; minY: number; maxX: number; maxY: number };
}

/** An uncut layer with pieces on it, or a load of a flat press. mm. */
export interface BenchSheet {
  outline: Outline;
  pieces: { name: string; workId: string; outline: Outline }[];
  /** Plate of the press under which it lies; without one it is pressed with the iron. */
  plate?: Outline;
  /** A length of cloth lies on all of it. */
  whole?: true;
  /** It is the plate itself, with cut pieces and cut layers on it. */
  load?: true;
}

/** One job of a batch. */
export interface BenchWork {
  jobId: string;
  name: string;
  clothName: string;
  stackTitle: string;
  outline: Outline;
}

/** What a run was started with; it does not change when its jobs are edited later. */
export interface BenchPlan {
  pieceName: string;
  clothName: string;
  stackTitle: string;
  outline: Outline;
  plate: Outline;
  steps: BenchStep[];
  /** The jobs of a batch; a run of one job has none. */
  works?: BenchWork[];
  /** For each job what was planned for it (layers, outline, how many) in short, so that it is seen when that is no longer so. */
  prints?: Record<string, string>;
  /** What several pieces lie on at once. */
  sheets?: BenchSheet[];
  /** For each of its jobs where each of its layers lies on the piece, as its face is seen, mm. */
  regions?: Outline[][][];
  /** For each of its jobs what was known before it was begun that speaks for a cause, in words. */
  known?: Partial<Record<Evidence, string>>[];
  /** Where cloth hangs to dry: for each of its jobs which, and how many times longer than computed it was taken to take. */
  hangs?: Hanging[];
}

export interface BenchState {
  step: number;
  stop: number;
  /** ISO time at which the running countdown ends. */
  endsAt: string | null;
  /** Seconds left when it was paused. */
  pausedLeft: number | null;
  /** Pieces that cool or dry while the next is worked on. */
  timers: { label: string; endsAt: string }[];
  /** Checks that are ticked. */
  checks: string[];
  /** On which paired device a check was ticked; none for what was ticked at the computer itself. */
  tickedBy?: { check: string; device: string }[];
  /** What was found to be the cause of a trouble, and of which job (by its number in the batch; none for all of them). */
  causes?: { found: string; work: number | null }[];
  /** When steps were come to, one after the other. */
  stamps?: { step: number; at: string }[];
  /** Stops of the iron that were paused and not begun anew: with how many seconds left. */
  paused?: { step: number; stop: number; left: number }[];
  /** How long cloth hung until it was as it should be, or was found too dry: by the hand. Seconds. */
  hung?: { step: number; seconds: number; found: Dampness }[];
  /** What hung was put on a scale. */
  weighed?: ({ step: number } & Weighing)[];
}

/** Where a run begins. */
export const START_STATE: BenchState = { step: 0, stop: 0, endsAt: null, pausedLeft: null, timers: [], checks: [] };

/** Something that runs by itself at the bench. */
export interface BenchTimer {
  runId: string;
  label: string;
  endsAt: string;
}
