import { stacksAskedSchema } from '../../../../schemas/stack';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { needsOfStack } from '../../../../server/shopping-needs';

type Asked = Parameters<typeof needsOfStack>[2];

/** What the job by itself would need of every stack that is asked about, as the shopping list has it. */
export const POST = jsonEndpoint(stacksAskedSchema, ({ stacks }, { params }) => {
  const db = database();
  return { needs: stacks.map((stack) => needsOfStack(db, params['id']!, stack as Asked)) };
});
