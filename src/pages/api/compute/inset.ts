import { inset } from '../../../core/shape';
import { insetSchema } from '../../../schemas/compute';
import { computed } from '../../../server/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** Outlines of so many corners are done sooner than a thread is started. */
const FEW = 300;

export const POST = jsonEndpoint(insetSchema, ({ outline, allowance }, { request }) =>
  outline.length <= FEW
    ? inset(outline, allowance as number | number[])
    : computed('inset', { outline, allowance: allowance as number | number[] }, request.signal),
);
