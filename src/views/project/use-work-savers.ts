import { useCallback, useRef, useState } from 'react';
import { edgeNames } from '../../core/shape';
import { Saver, type Conflict, type SavingState, type SettledBy } from '../../ui/saving/saver';
import { useLeaving } from '../../ui/saving/use-leaving';
import type { Cut } from '../../store/cuts';
import type { Job } from '../../store/jobs';
import type { Piece } from '../../store/pieces';
import type { WorkChange, Worked } from './worked';

/** A piece, a cut or a job: what a project's screen saves. */
export type Row = Piece | Cut | Job;
export type Level = 'pieces' | 'cuts' | 'jobs';

/** Which record each field of a job with all that it is done on is kept in. */
const FIELDS: Record<Level, readonly string[]> = {
  pieces: ['name', 'shape', 'line', 'allowances', 'fold', 'grain', 'marks', 'position'],
  cuts: ['duty', 'clothId', 'count', 'pairs', 'oneWay', 'own', 'orientation', 'done'],
  jobs: ['jobName', 'place', 'wish', 'stack', 'glueUp', 'cutDone'],
};

/** The part of a change that one record keeps; what stands there already is no change. */
function partOf(change: WorkChange, level: Level, row: Row): Partial<Row> | undefined {
  const own = Object.entries(change)
    .filter(([field]) => FIELDS[level].includes(field))
    .map(([field, value]): [string, unknown] => [field === 'jobName' ? 'name' : field, value])
    .filter(([field, value]) => JSON.stringify(value) !== JSON.stringify((row as unknown as Record<string, unknown>)[field]));
  return own.length === 0 ? undefined : (Object.fromEntries(own) as Partial<Row>);
}

/** Fields of a record that a save sends back. */
function bodyOf(row: Row): object {
  const { id: _id, createdAt: _created, updatedAt: _updated, ...rest } = row;
  for (const owner of ['projectId', 'pieceId', 'cutId'] as const) delete (rest as Record<string, unknown>)[owner];
  return rest;
}

/**
 * Saves pieces, cuts and jobs of a project, each in a queue of its own; what is changed shows at once.
 *
 * @param onRow is told of a record as it stands, changed or saved
 */
export function useWorkSavers(onRow: (level: Level, row: Row) => void) {
  const savers = useRef(new Map<string, Saver<Row>>());
  const [error, setError] = useState<string>();
  const [conflict, setConflict] = useState<Conflict<Row>>();
  const [away, setAway] = useState(false);
  const saverOf = useCallback(
    (level: Level, row: Row): Saver<Row> => {
      const key = `${level}/${row.id}`;
      const known = savers.current.get(key);
      if (known) return known;
      const saver = new Saver<Row>(row, {
        base: `/api/${level}`,
        toBody: bodyOf,
        onState: (state: SavingState<Row>) => {
          setConflict(state.conflict);
          setError(state.error?.message);
          setAway([...savers.current.values()].some((each) => each.state.away));
          const { current } = saver;
          if (current) onRow(level, current);
        },
      });
      savers.current.set(key, saver);
      return saver;
    },
    [onRow],
  );
  useLeaving(useCallback(() => [...savers.current.values()].map((saver) => saver.leave()).some(Boolean), []));

  const rowsOf = ({ piece, cut, job }: Worked): [Level, Row][] => [
    ['pieces', piece],
    ['cuts', cut],
    ['jobs', job],
  ];
  /** Saves a change of one record. @returns whether it is kept now @throws {ApiError} for what is refused; then nothing of it stays */
  const saveRow = async (level: Level, row: Row, change: Partial<Row>): Promise<boolean> => {
    const saver = saverOf(level, row);
    saver.change(change);
    if (await saver.save()) return true;
    const { error: refused } = saver.state;
    if (!refused) return false;
    saver.drop();
    throw refused;
  };

  return {
    saveRow,
    /**
     * Saves a change where its fields belong: piece first, then cut, then job. Where the piece loses edges, what lies along these goes
     * first.
     */
    save: async (work: Worked, change: WorkChange): Promise<boolean> => {
      let kept = true;
      const fewer = change.shape && edgeNames(change.shape).length < edgeNames(work.shape).length;
      for (const [level, row] of fewer ? rowsOf(work).reverse() : rowsOf(work)) {
        const own = partOf(change, level, row);
        if (own && !(await saveRow(level, row, own))) kept = false;
      }
      return kept;
    },
    /** Shows a change at once and saves it when the hand rests: for figures that are typed. */
    change: (work: Worked, change: WorkChange) => {
      for (const [level, row] of rowsOf(work)) {
        const own = partOf(change, level, row);
        if (own) saverOf(level, row).change(own);
      }
    },
    /** What was refused of such a change, in words. */
    error,
    /** Takes a record as the server gave it elsewhere. */
    take: (level: Level, row: Row) => saverOf(level, row).take(row),
    conflict,
    away,
    settle: (by: SettledBy) => [...savers.current.values()].find(({ state }) => state.conflict !== undefined)?.settle(by),
  };
}
