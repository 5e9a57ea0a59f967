import { useCallback, useEffect, useRef, useState } from 'react';
import type { DriftOptions } from '../../core/hoop';
import { readWhere, type Where } from '../../core/machine';
import type { Motif } from '../../core/motif';
import { proxy } from 'comlink';
import { Beside } from '../../ui/beside';
import type { MachineBeside } from '../../workers/machine.worker';

export type MachineStopKind = 'colour' | 'break' | 'pause' | 'done';

export interface MachineSeen {
  /** It has answered. */
  ready: boolean;
  sewing: boolean;
  where: Where | undefined;
  /** Why it stands, when it was sewing. */
  stopped: MachineStopKind | undefined;
  /** Everything it said, newest last. */
  lines: string[];
  error: string | undefined;
}

const MOST_LINES = 40;
const NOTHING: MachineSeen = { ready: false, sewing: false, where: undefined, stopped: undefined, lines: [], error: undefined };

interface Options {
  motif: Motif;
  seed: number;
  /** Record at which it goes on. */
  record: number;
  ground: Omit<DriftOptions, 'motif' | 'upTo'>;
  /** Told of every stop, and where. */
  onStop: (kind: MachineStopKind, where: Where) => void;
  /** Told where it is, several times a second. */
  onWhere: (where: Where) => void;
}

/** The simulated machine, in a worker: speaks its lines, hears its answers. */
export function useMachine({ motif, seed, record, ground, onStop, onWhere }: Options) {
  const [seen, setSeen] = useState<MachineSeen>(NOTHING);
  const worker = useRef<Beside<MachineBeside> | undefined>(undefined);
  const heard = useRef({ onStop, onWhere });
  useEffect(() => {
    heard.current = { onStop, onWhere };
  }, [onStop, onWhere]);

  // The record is where this page begins; what the machine sews from then on must not load it anew.
  const start = useRef({ seed, record });
  const load = useCallback(
    (from: { seed: number; record: number }) => {
      worker.current?.close();
      const own = new Beside<MachineBeside>(
        () => new Worker(new URL('../../workers/machine.worker.ts', import.meta.url), { type: 'module' }),
        (error) => setSeen((was) => ({ ...was, sewing: false, error: error.message })),
      );
      worker.current = own;
      setSeen(NOTHING);
      let last: Where | undefined;
      const heardLine = (line: string) => {
        if (worker.current !== own) return;
        const where = readWhere(line);
        if (where) {
          last = where;
          heard.current.onWhere(where);
        }
        const stop = /^STOP (COLOUR|BREAK|PAUSE)|^DONE/.exec(line);
        const kind = stop && ((stop[1]?.toLowerCase() ?? 'done') as MachineStopKind);
        if (kind && last) heard.current.onStop(kind, last);
        setSeen((was) => ({
          ready: was.ready || where !== undefined,
          sewing: kind ? false : was.sewing,
          where: where ?? was.where,
          stopped: kind ?? was.stopped,
          lines: where ? was.lines : [...was.lines.slice(-MOST_LINES), line],
          error: line.startsWith('ERROR') ? line.slice(6) : was.error,
        }));
      };
      void own.ask((machine) => machine.load({ motif, ...from, ground }, proxy(heardLine))).catch(() => {});
    },
    [motif, ground],
  );
  useEffect(() => {
    load(start.current);
    return () => worker.current?.close();
  }, [load]);

  const line = useCallback((text: string) => {
    if (text === 'START') setSeen((was) => ({ ...was, sewing: true, stopped: undefined, error: undefined }));
    void worker.current?.ask((machine) => machine.line(text)).catch(() => {});
  }, []);
  const hurry = useCallback((factor: number) => {
    void worker.current?.ask((machine) => machine.hurry(factor)).catch(() => {});
  }, []);
  return { ...seen, line, hurry, load };
}
