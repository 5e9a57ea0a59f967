import { useEffect, useState } from 'react';

/** How often the clock goes on, ms. */
const TICK = 200;

/** The time, five times a second; the screen stays lit and dark-themed as long as it runs. */
export function useClock(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    document.documentElement.dataset['theme'] = 'lamplight';
    const tick = setInterval(() => setNow(Date.now()), TICK);
    let lock: WakeLockSentinel | undefined;
    const keepAwake = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (held) => (lock = held),
          () => undefined,
        );
    };
    keepAwake();
    document.addEventListener('visibilitychange', keepAwake);
    return () => {
      clearInterval(tick);
      document.removeEventListener('visibilitychange', keepAwake);
      void lock?.release();
    };
  }, []);
  return now;
}
