import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { hoopOutlines, stackInPlane } from '../../core/hoop';
import { stackStiffness, type ChosenLayer } from '../../core/layers';
import { SPEEDS, type Where } from '../../core/machine';
import type { Motif } from '../../core/motif';
import { bounds, transformed } from '../../core/shape';
import type { HoopingRun } from '../../store/hoopings';
import type { HoopingData, Placed } from './stages';
import { useMachine } from './use-machine';

/** How often how far it has come is kept while it sews, ms. */
const KEEP_EVERY = 2000;

interface Options extends Pick<HoopingData, 'motif' | 'cloth' | 'marks' | 'sheets' | 'hoops'> {
  stitches: Motif;
  placed: Placed;
  run: HoopingRun | null;
  onRun: (run: HoopingRun) => void;
}

/** A motif under way at the simulated machine: where it stands, kept as it goes on. */
export function useSewing({ motif, cloth, marks, sheets, hoops, stitches, placed, run, onRun }: Options) {
  const hoop = hoops.find(({ id }) => id === placed.hoopId)!;
  const ground = useMemo(() => {
    const layers: ChosenLayer[] = sheets.map(({ material, angle }) => ({ material, angle, extent: 'field' }));
    const { minX, maxX, minY, maxY } = motif.figures.bounds;
    // The hoop's window in the motif's own place.
    const { place, hoopPlace } = placed;
    const inner = hoopPlace
      ? transformed(
          hoopOutlines(hoop, hoopPlace).inner.map(([x, y]): [number, number] => [x - place.x, y - place.y]),
          false,
          -place.angle,
          (minX + maxX) / 2,
          (minY + maxY) / 2,
        )
      : [];
    return {
      window: bounds(inner),
      inPlane: stackInPlane(cloth.fabric, layers),
      rigidity: stackStiffness(
        cloth.fabric,
        layers.map(({ material }) => material),
      ).rigidity,
      taut: !placed.floats && !marks,
    };
  }, [sheets, motif, placed, hoop, cloth, marks]);

  const state = useRef<HoopingRun>(
    run ?? {
      record: 0,
      stitches: 0,
      colour: 1,
      drift: 0,
      speed: SPEEDS.usual,
      seed: 1 + Math.floor(Math.random() * 1e6),
      stops: [],
      done: false,
      pieces: 0,
    },
  );
  const [shown, setShown] = useState(state.current);
  const put = useCallback((next: Partial<HoopingRun>, keep: boolean) => {
    state.current = { ...state.current, ...next };
    setShown(state.current);
    if (keep) kept.current(state.current);
  }, []);
  const kept = useRef(onRun);
  useEffect(() => {
    kept.current = onRun;
  }, [onRun]);
  const last = useRef(0);
  const at = ({ record, stitches: sewn, colour, drift }: Where) => ({ record, stitches: sewn, colour, drift });
  const machine = useMachine({
    motif: stitches,
    seed: state.current.seed,
    record: state.current.done ? 0 : state.current.record,
    ground,
    onWhere: (where) => {
      if (state.current.done) return;
      const keep = performance.now() - last.current > KEEP_EVERY && where.record !== state.current.record && where.record > 0;
      if (keep) last.current = performance.now();
      put(at(where), keep);
    },
    onStop: (kind, where) => {
      if (kind === 'done') put({ ...at(where), done: true, pieces: state.current.pieces + 1 }, true);
      else
        put(
          { ...at(where), stops: [...state.current.stops, { kind, record: where.record, at: new Date().toISOString() }] },
          true,
        );
    },
  });
  return { shown, put, machine };
}
