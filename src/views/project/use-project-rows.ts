import { useCallback, useState } from 'react';
import type { Cut } from '../../store/cuts';
import type { Job } from '../../store/jobs';
import { call } from '../../ui/api';
import { useRemoval } from '../../ui/use-removal';
import { attempt, undoToast } from '../../ui/undo-toast';
import type { RowChange } from './several';
import { useWorkSavers, type Level, type Row } from './use-work-savers';
import type { Rows, WorkChange, Worked } from './worked';

const replaced = <T extends { id: string }>(list: T[], row: T): T[] => list.map((each) => (each.id === row.id ? row : each));

/**
 * Pieces, cuts and jobs of a project as they stand on the screen, and everything that changes them.
 *
 * @param onRemoved told when one is deleted on the server, and when it is there again
 */
export function useProjectRows(start: Rows, onRemoved: () => void) {
  const [rows, setRows] = useState(start);
  /** Changes of several so far: the form of a piece begins anew after each, and never puts back what stood there. */
  const [changed, setChanged] = useState(0);
  const put = useCallback((level: Level, row: Row) => {
    setRows((all) => ({ ...all, [level]: replaced<Row>(all[level], row) }));
  }, []);
  const savers = useWorkSavers(put);
  /** Saves a change of a job or what it is on; other jobs of a cut that gets another cloth choose again too. Throws on bad input. */
  const save = async (of: Worked, change: WorkChange): Promise<boolean> => {
    const kept = await savers.save(of, change);
    if ('clothId' in change && change.clothId !== of.clothId)
      for (const job of rows.jobs.filter((each) => each.cutId === of.cutId && each.id !== of.id && each.stack))
        await savers.saveRow('jobs', job, { stack: null, cutDone: false } as Partial<Row>);
    return kept;
  };
  /** Changes several records, each saved by itself; one touch takes all of it back. */
  const changeSeveral = async (changes: RowChange[], words: string) => {
    const put = (which: 'change' | 'before') => async () => {
      for (const each of changes) await savers.saveRow(each.level, each.row, each[which]);
      setChanged((times) => times + 1);
    };
    if (await attempt('Not all of it could be changed', put('change'))) undoToast(words, put('before'));
  };
  const add = (added: Rows) =>
    setRows((all) => ({
      pieces: [...all.pieces, ...added.pieces],
      cuts: [...all.cuts, ...added.cuts],
      jobs: [...all.jobs, ...added.jobs],
    }));
  /** Adds jobs to a cut, each as it is kept; one touch takes all of them away again. */
  const addJobs = async (on: Cut, bodies: readonly object[], words: string) => {
    const added: Job[] = [];
    const adding = async () => {
      for (const body of bodies.slice(added.length)) {
        const job = await call<Job>('POST', `/api/cuts/${on.id}/jobs`, body);
        added.push(job);
        add({ pieces: [], cuts: [], jobs: [job] });
      }
      undoToast(words, async () => {
        for (const { id } of added) await call('DELETE', `/api/jobs/${id}`);
        setRows((all) => ({ ...all, jobs: all.jobs.filter(({ id }) => !added.some((job) => job.id === id)) }));
      });
    };
    await attempt('Not all of them could be added', adding);
    return added;
  };
  /** Everything as the server has it now. */
  const renew = (now: Rows) => {
    for (const level of ['pieces', 'cuts', 'jobs'] as const) for (const row of now[level]) savers.take(level, row);
    setRows(now);
  };
  /** Puts the pieces into another order, at once on the screen and then for good; what is refused jumps back. */
  const reorder = async (ids: string[]) => {
    const before = rows.pieces;
    const moved = before.filter(({ id, position }) => position !== ids.indexOf(id) + 1);
    setRows((all) => ({ ...all, pieces: all.pieces.map((piece) => ({ ...piece, position: ids.indexOf(piece.id) + 1 })) }));
    const kept = await attempt('The order could not be kept', async () => {
      for (const piece of moved) await savers.saveRow('pieces', piece, { position: ids.indexOf(piece.id) + 1 });
    });
    if (!kept) setRows((all) => ({ ...all, pieces: before }));
  };
  const remove = useRemoval<{ level: Level; row: Row; name: string }, Row>({
    address: ({ level, row }) => `/api/${level}/${row.id}`,
    gone: ({ name }) => `“${name}” is deleted.`,
    failed: ({ name }) => `“${name}” could not be deleted`,
    drop: ({ level, row }) => setRows((all) => ({ ...all, [level]: (all[level] as Row[]).filter(({ id }) => id !== row.id) })),
    settled: onRemoved,
    put: ({ level, row }, back = row) => setRows((all) => ({ ...all, [level]: [...(all[level] as Row[]), back] })),
  });
  return { rows, savers, save, add, addJobs, renew, reorder, remove, changeSeveral, changed };
}
