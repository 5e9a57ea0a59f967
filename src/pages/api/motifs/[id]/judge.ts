import { judgeSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { judgeOnCloth, type JudgeBody } from '../../../../server/motif-work';
import { database } from '../../../../server/database';

export const POST = jsonEndpoint(judgeSchema, (body, { params }) => judgeOnCloth(database(), params['id']!, body as JudgeBody));
