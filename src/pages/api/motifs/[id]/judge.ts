import { judgeSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { judge, type JudgeBody } from '../../../../server/motif-work';
import { database } from '../../../../server/database';

export const POST = jsonEndpoint(judgeSchema, (body, { params }) => judge(database(), params['id']!, body as JudgeBody));
