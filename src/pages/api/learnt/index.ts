import { learntSchema } from '../../../schemas/learnt';
import { database } from '../../../server/database';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { allLearnt, forgetLearnt } from '../../../server/learnt';

/** What the house has learnt from its own readings. */
export const GET = endpoint(() => allLearnt(database()));

/** Readings of one thing up to now count no more, or all of them count again. */
export const POST = jsonEndpoint(learntSchema, ({ subject, forgotten }) =>
  forgetLearnt(database(), subject, forgotten, new Date().toISOString()),
);
