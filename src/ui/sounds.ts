/** Tones of one sound, one after the other, Hz. */
type Motif = readonly number[];

/** End of a stop, and the iron has to stand. */
export const STOP_ENDS: Motif = [880];
export const SET_DOWN: Motif = [660];
/** A timer of the bench, on another screen. */
export const TIMER_RINGS: Motif = [520, 660, 880];
/** Timers that run alongside: each has a motif of its own, so that they are told apart from the other side of the room. */
const TIMERS: readonly Motif[] = [[520], [520, 660], [660, 520], [440, 520, 660], [660, 440, 660], [440, 440, 660]];

/** Length of a tone and its share of silence after it, s. */
const TONE = 0.7;
const STEP = 0.35;

/** The motif of the timer that stands at this place among those that run. */
export function timerMotif(place: number): Motif {
  return TIMERS[place % TIMERS.length]!;
}

/** Rings a motif; nothing before the page was first touched. */
export function ring(context: AudioContext | undefined, motif: Motif): void {
  if (!context) return;
  motif.forEach((pitch, i) => {
    const at = context.currentTime + i * STEP;
    const oscillator = context.createOscillator();
    const gain = context.createGain();
    oscillator.frequency.value = pitch;
    gain.gain.setValueAtTime(0.35, at);
    gain.gain.exponentialRampToValueAtTime(0.001, at + TONE);
    oscillator.connect(gain).connect(context.destination);
    oscillator.start(at);
    oscillator.stop(at + TONE);
  });
}

/** Whether this browser can speak. */
export const canSpeak = (): boolean => typeof speechSynthesis !== 'undefined';

/** Says a few words, instead of what it was saying. */
export function say(words: string): void {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}
