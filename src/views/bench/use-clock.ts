import { useEffect, useState } from 'react';
import { keepScreenAwake } from '../../ui/screen-awake';

/** How often the clock goes on, ms. */
const TICK = 200;

/** The time, five times a second; the screen stays lit and dark-themed as long as it runs. */
export function useClock(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    document.documentElement.dataset['theme'] = 'lamplight';
    const tick = setInterval(() => setNow(Date.now()), TICK);
    const sleep = keepScreenAwake();
    return () => {
      clearInterval(tick);
      sleep();
    };
  }, []);
  return now;
}
