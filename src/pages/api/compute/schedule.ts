import type { ScheduleOptions } from '../../../core/schedule';
import { scheduleSchema } from '../../../schemas/compute';
import { computed } from '../../../server/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** The shortest plan that is found for tasks that wait on each other and share what they use. */
export const POST = jsonEndpoint(scheduleSchema, (body, { request }) =>
  computed('schedule', body as ScheduleOptions, request.signal),
);
