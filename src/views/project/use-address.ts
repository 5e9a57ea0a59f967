import { useEffect, useRef } from 'react';
import type { Stage } from './types';

/** Where one is in a project: its pieces laid out, or a job (or a cut without one) at a stage. */
export interface At {
  laidOut: boolean;
  selected: string | null;
  stage: Stage;
}

/** Keeps the address of the page to where one is, so that a reload comes back to it. */
export function useAddress({ laidOut, selected, stage }: At): void {
  const first = useRef(true);
  useEffect(() => {
    // As it was opened it is right.
    if (first.current) {
      first.current = false;
      return;
    }
    const asked = new URLSearchParams({ ...(selected ? { job: selected } : {}), stage });
    history.replaceState(null, '', laidOut ? location.pathname : `?${asked}`);
  }, [laidOut, selected, stage]);
}
