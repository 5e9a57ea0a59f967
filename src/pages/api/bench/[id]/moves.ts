import { benchMovesSchema } from '../../../../schemas/moves';
import { database } from '../../../../server/database';
import { deviceOf } from '../../../../server/door/the-door';
import { jsonEndpoint } from '../../../../server/endpoint';
import { moveBench } from '../../../../server/move-bench';
import type { BenchMove } from '../../../../core/bench';
import type { SentMove } from '../../../../store/moves';

/** What was done at the bench, however many tablets stand there and however late one of them is heard. */
export const POST = jsonEndpoint(benchMovesSchema, ({ moves }, { params, request }) =>
  moveBench(database(), params['id']!, moves as SentMove<BenchMove>[], deviceOf(request)),
);
