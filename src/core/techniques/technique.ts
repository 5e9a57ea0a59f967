import type { LayerOutline } from '../pieces';
import type { Step } from '../steps';
import type { LayerAt } from './job';
import type { TroubleId } from './troubles/trouble';

/** What a layer takes. Units by kind: mm², mm, a number, ml, g, mm of thread. */
export type AmountKind = 'area' | 'length' | 'pieces' | 'millilitres' | 'grams' | 'thread';

/** So much of something for one layer, of all copies. */
export interface Amount {
  /** Place of the layer in the stack, from 0. */
  layer: number;
  kind: AmountKind;
  amount: number;
}

/** What is looked at or measured when a layer is on, and the trouble that it is when it is not so. */
export interface Check {
  words: string;
  trouble?: TroubleId;
}

/**
 * What a practised hand does with one layer at one place. It alone knows where the layer lies, what it takes, how it is done and what is
 * looked at; choosing, cutting, buying, bench, hoop and log ask it. Adding one touches its file and the list.
 */
export interface Technique {
  id: string;
  /** As a person says it. */
  words: string;
  /** It is the one for this layer; the first of the list that says so is taken. */
  serves: (at: LayerAt) => boolean;
  /** Exact region of the layer on the opened piece; undefined where none is cut of it, or nothing is known of the piece. */
  lies: (at: LayerAt) => LayerOutline | undefined;
  /** How the layer is cut, as half a sentence behind its name; empty where nothing is cut. */
  cut: (at: LayerAt) => string;
  needs: (at: LayerAt) => Amount[];
  /** In working order; of one copy, and of what is done once. */
  steps: (at: LayerAt) => Step[];
  checks: (at: LayerAt) => Check[];
}

/** A technique with what most have in common left out. */
export type TechniqueParts = Pick<Technique, 'id' | 'words' | 'serves' | 'steps' | 'checks'> &
  Partial<Pick<Technique, 'lies' | 'cut' | 'needs'>>;
