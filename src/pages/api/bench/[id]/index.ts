import { benchUpdateSchema } from '../../../../schemas/records';
import { recordEndpoints } from '../../../../server/record-endpoints';
import { benchRuns, type BenchState } from '../../../../store/bench-runs';

export const { GET, PUT, DELETE } = recordEndpoints(benchRuns, benchUpdateSchema, ({ state, finished }, current) => ({
  jobId: current.jobId,
  scrapId: current.scrapId,
  plan: current.plan,
  state: state as BenchState,
  finishedAt: finished ? (current.finishedAt ?? new Date().toISOString()) : null,
}));
