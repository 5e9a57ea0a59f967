import { stacksSchema } from '../../../../schemas/plan';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { giveStacks, type GivenStack } from '../../../../server/plan-project';

/** Gives many jobs their stacks at once. */
export const PUT = jsonEndpoint(stacksSchema, (body, { params }) =>
  giveStacks(database(), params['id']!, body.stacks as GivenStack[]),
);
