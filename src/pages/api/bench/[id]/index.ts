import type { APIRoute } from 'astro';
import { benchUpdateSchema } from '../../../../schemas/bench';
import { database } from '../../../../server/database';
import { learnTimes } from '../../../../server/own-times';
import { recordEndpoints } from '../../../../server/record-endpoints';
import type { BenchState } from '../../../../core/bench';
import { benchRuns } from '../../../../store/bench-runs';

const record = recordEndpoints(benchRuns, benchUpdateSchema, ({ state, finished }, current) => ({
  jobId: current.jobId,
  scrapId: current.scrapId,
  plan: current.plan,
  state: state as BenchState,
  finishedAt: finished ? (current.finishedAt ?? new Date().toISOString()) : null,
}));

export const { GET, DELETE } = record;

/** Keeps where a run stands; when it is finished, what it tells of the person's pace. */
export const PUT: APIRoute = async (context) => {
  const answer = await record.PUT(context);
  if (answer.ok) learnTimes(database(), context.params['id']!);
  return answer;
};
