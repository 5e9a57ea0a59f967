import { useState, useTransition } from 'react';

/**
 * What was touched is shown as such at once; what follows from it is painted when it is ready, and holds up no other touch.
 *
 * @param current what is in hand @param onChange takes another into hand
 */
export function useTouched<T>(current: T, onChange: (next: T) => void) {
  const [touched, setTouched] = useState(current);
  const [waiting, start] = useTransition();
  return {
    shown: waiting ? touched : current,
    waiting,
    touch: (next: T) => {
      setTouched(() => next);
      start(() => onChange(next));
    },
  };
}
