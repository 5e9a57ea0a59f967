import { connect } from '../../store/database';
import { dayRuns } from '../day-work';
import { planNow } from '../plan-now';
import { answer } from './answer';

/** Works the day out on a connection of its own: what jobs and runs come to as tasks, or what the plan says to do now. */
void answer(
  (asked: { path: string } & ({ jobIds: string[]; runIds: string[]; hoopingIds: string[] } | { without: string | null })) => {
    const db = connect(asked.path);
    try {
      return 'jobIds' in asked
        ? { runs: dayRuns(db, asked.jobIds, asked.runIds, asked.hoopingIds) }
        : planNow(db, asked.without ?? undefined);
    } finally {
      db.close();
    }
  },
);
