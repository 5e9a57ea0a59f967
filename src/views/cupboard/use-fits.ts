import { useEffect, useRef, useState } from 'react';
import type { WaitingHere } from '../../server/leftover-fits';
import { call } from '../../ui/api';
import { GivenUp } from '../../ui/beside';
import type { LayoutRunner } from '../../ui/layout-runner';

/** How many of a piece that waits can be cut from one piece of the cupboard. */
export interface Fitting {
  /** The piece of the cupboard. */
  stockId: string;
  projectId: string;
  project: string;
  name: string;
  fits: number;
  of: number;
}

/** One piece is laid for so long, s: a few more may fit, never fewer. */
const SECONDS = 0.5;

/** Lays what waits in open projects on pieces of the cupboard, each by itself, one after the other in a worker. */
export function useFits(stockIds: readonly string[]) {
  const [found, setFound] = useState<Fitting[]>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const runner = useRef<LayoutRunner | undefined>(undefined);
  const going = useRef(true);
  useEffect(() => {
    going.current = true;
    return () => {
      going.current = false;
      runner.current?.close();
      runner.current = undefined;
    };
  }, []);

  const lookOn = async (stockId: string) => {
    // What lays comes with the first question: the cupboard is light without it.
    const [{ BUY, shoppingQuestion }, { LayoutRunner: Runner }] = await Promise.all([
      import('../../core/cutlist'),
      import('../../ui/layout-runner'),
    ]);
    const { waiting, trim } = await call<{ waiting: WaitingHere[]; trim: number }>('GET', `/api/stock/${stockId}/fits`);
    for (const { projectId, project, need } of waiting) {
      const { list, question } = shoppingQuestion(need, trim);
      const sources = question?.sources.filter(({ id }) => id !== BUY) ?? [];
      if (!question || sources.length === 0) continue;
      for (const piece of question.pieces) {
        if (!going.current) return;
        runner.current ??= new Runner();
        const plan = await runner.current.lay({ ...question, sources, pieces: [piece], seconds: SECONDS });
        const fits = plan.laid.reduce((sum, { placements }) => sum + placements.length, 0);
        const item = list.items.find(({ id }) => id === piece.id);
        const name = `${item?.name ?? ''}${item?.mirrored ? ', mirrored' : ''}`;
        const fitting = { stockId, projectId, project, name, fits, of: piece.count };
        if (fits > 0 && going.current) setFound((all = []) => [...all, fitting]);
      }
    }
  };
  const look = async () => {
    setBusy(true);
    setError(undefined);
    setFound([]);
    try {
      for (const stockId of stockIds) await lookOn(stockId);
    } catch (problem) {
      if (!(problem instanceof GivenUp)) setError((problem as Error).message);
    } finally {
      if (going.current) setBusy(false);
    }
  };
  return { found, busy, error, look: () => void look() };
}
