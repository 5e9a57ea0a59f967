import { useEffect, useRef } from 'react';
import { toast } from 'sonner';
import type { BenchTimer } from '../core/bench';
import { ring, TIMER_RINGS } from './sounds';
import { useAsked } from './query';
import { keepScreenAwake } from './screen-awake';

/** How often the bench is asked what runs there, ms. */
const ASKED_EVERY = 20_000;
/** What ended longer ago was heard or seen by now, ms. */
const OLD = 600_000;
const TOLD = 'nembrel-timer:';

/** Whether this browser tells of a timer for the first time; a reload does not tell it again. */
function first({ runId, endsAt }: BenchTimer): boolean {
  const key = `${TOLD}${runId} ${endsAt}`;
  try {
    if (sessionStorage.getItem(key)) return false;
    sessionStorage.setItem(key, 'yes');
  } catch {
    // Without a store it may be told twice.
  }
  return true;
}

/** Timers of the bench ring wherever in the product somebody is. */
export default function TimerWatch({ sound }: { sound: boolean }) {
  const { answer, again } = useAsked<{ timers: BenchTimer[] }>('/api/bench/timers');
  const audio = useRef<AudioContext>(undefined);
  useEffect(() => {
    const asking = setInterval(() => void again(), ASKED_EVERY);
    // A browser lets a page sound only after it was touched.
    const touched = () => (audio.current ??= new AudioContext());
    addEventListener('pointerdown', touched, { once: true });
    addEventListener('keydown', touched, { once: true });
    return () => {
      clearInterval(asking);
      removeEventListener('pointerdown', touched);
      removeEventListener('keydown', touched);
    };
  }, [again]);
  // While something is pressed, dries or cools the screen stays lit, so that it can ring.
  const running = (answer?.timers ?? []).length > 0;
  useEffect(() => (running ? keepScreenAwake() : undefined), [running]);
  useEffect(() => {
    const now = Date.now();
    const clocks = (answer?.timers ?? [])
      .filter(({ endsAt }) => now - Date.parse(endsAt) < OLD)
      .map((timer) =>
        setTimeout(
          () => {
            if (!first(timer)) return;
            if (sound) ring(audio.current, TIMER_RINGS);
            const action = { label: 'To the bench', onClick: () => location.assign(`/bench/${timer.runId}`) };
            toast(`Time is up: ${timer.label}`, { duration: Infinity, action });
          },
          Math.max(0, Date.parse(timer.endsAt) - now),
        ),
      );
    return () => clocks.forEach((clock) => clearTimeout(clock));
  }, [answer, sound]);
  return null;
}
