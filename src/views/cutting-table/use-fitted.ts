import { useCallback, useEffect, useRef, useState } from 'react';
import type { TableSource } from '../../core/cutlist';
import { shownLength } from './TableCanvas';
import type { Arranged } from './table-state';

/** Fitted, nothing is drawn larger than life and no source taller than this, px. */
const MOST_FITTED = 1;
const TALLEST = 430;
const LEAST_SCALE = 0.05;
const MOST_SCALE = 4;

/** Scale at which the table is drawn: as it fits until it is zoomed by hand, px/mm. */
export function useFitted(laid: Arranged['laid'], sources: readonly TableSource[]) {
  const [scale, setScale] = useState<number>();
  const canvas = useRef<HTMLDivElement>(null);
  const fit = useCallback(() => {
    const width = canvas.current?.clientWidth ?? 900;
    const shown = laid.flatMap(({ sourceId, length }) => {
      const own = sources.find(({ source }) => source.id === sourceId);
      return own ? [{ width: own.fullWidth, length: shownLength(own, length) }] : [];
    });
    const widest = Math.max(200, ...shown.map((each) => each.width));
    const along = (width - 40) / Math.max(300, ...shown.map((each) => each.length));
    setScale(Math.min(MOST_FITTED, Math.max(LEAST_SCALE, Math.min(along, TALLEST / widest))));
  }, [laid, sources]);
  // Fits while nothing was zoomed by hand.
  const zoomed = useRef(false);
  useEffect(() => {
    if (!zoomed.current) fit();
  }, [fit]);
  const zoom = (next: number) => {
    zoomed.current = true;
    setScale(Math.min(MOST_SCALE, Math.max(LEAST_SCALE, next)));
  };

  const fitAgain = () => {
    zoomed.current = false;
    fit();
  };
  return { canvas, scale, zoom, fitAgain };
}
