import { useCallback, useEffect, useRef, useState } from 'react';
import type { DriftOptions } from '../../core/hoop';
import { readWhere, type Where } from '../../core/machine';
import type { Motif } from '../../core/motif';
import { onTrouble } from '../../ui/worker-trouble';
import type { MachineRequest } from '../../workers/machine.worker';

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
  const worker = useRef<Worker | undefined>(undefined);
  const heard = useRef({ onStop, onWhere });
  useEffect(() => {
    heard.current = { onStop, onWhere };
  }, [onStop, onWhere]);
  const send = useCallback((request: MachineRequest) => worker.current?.postMessage(request), []);

  // The record is where this page begins; what the machine sews from then on must not load it anew.
  const start = useRef({ seed, record });
  const load = useCallback(
    (from: { seed: number; record: number }) => {
      worker.current?.terminate();
      const own = new Worker(new URL('../../workers/machine.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      setSeen(NOTHING);
      let last: Where | undefined;
      own.onmessage = ({ data: line }: MessageEvent<string>) => {
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
      onTrouble(own, (error) => setSeen((was) => ({ ...was, sewing: false, error: error.message })));
      own.postMessage({ kind: 'load', motif, ...from, ground } satisfies MachineRequest);
    },
    [motif, ground],
  );
  useEffect(() => {
    load(start.current);
    return () => worker.current?.terminate();
  }, [load]);

  const line = useCallback(
    (text: string) => {
      if (text === 'START') setSeen((was) => ({ ...was, sewing: true, stopped: undefined, error: undefined }));
      send({ kind: 'line', line: text });
    },
    [send],
  );
  return { ...seen, line, hurry: useCallback((factor: number) => send({ kind: 'hurry', factor }), [send]), load };
}
