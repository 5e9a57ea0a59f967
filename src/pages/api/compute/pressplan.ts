import { pressPlan, type PressOptions } from '../../../core/press';
import { pressPlanSchema } from '../../../schemas/compute';
import { computed } from '../../../server/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** Outlines of so many corners are done sooner than a thread is started, as long as few stops cover them. */
const FEW = 40;
const SMALL = 1500;

function isSmall({ outline }: PressOptions): boolean {
  return outline.length <= FEW && outline.every(([x, y]) => Math.abs(x) <= SMALL && Math.abs(y) <= SMALL);
}

export const POST = jsonEndpoint(pressPlanSchema, (body, { request }) => {
  const options = body as PressOptions;
  const own = options.plate;
  const wide = 'width' in own ? Math.min(own.width, own.height) : 0;
  return isSmall(options) && wide >= 80 ? pressPlan(options) : computed('pressPlan', options, request.signal);
});
