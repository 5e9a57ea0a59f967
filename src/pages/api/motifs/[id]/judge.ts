import { judgeSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { judge, type JudgeBody } from '../../../../server/motif-work';

export const POST = jsonEndpoint(judgeSchema, (body, { params }) => judge(params['id']!, body as JudgeBody));
