import type { CutPlan } from '../../../core/nesting';
import { cutPlanSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';
import { inThread } from '../../../server/threads/in-thread';

/** Two searches run side by side from different seeds; so far apart that neighbouring seeds share none. */
const SECOND_SEED = 1_000_000_007;

export const POST = jsonEndpoint(cutPlanSchema, async (body, { request }) => {
  const seed = body.seed ?? 1;
  const since = Date.now();
  const plans = await Promise.all(
    (body.seconds > 0 ? [seed, seed + SECOND_SEED] : [seed]).map((each) =>
      inThread<CutPlan>('cut-plan', { ...body, seed: each, since }, { signal: request.signal, seconds: 2 * body.seconds + 30 }),
    ),
  );
  return plans.reduce((best, plan) => (isBetter(plan, best) ? plan : best));
});

/** More is laid, else less length is used, else more is left over in one piece. */
function isBetter(plan: CutPlan, than: CutPlan): boolean {
  const area = ({ leftover }: CutPlan) => leftover.width * leftover.height;
  if (plan.unplaced.length !== than.unplaced.length) return plan.unplaced.length < than.unplaced.length;
  if (Math.abs(plan.length - than.length) > SAME_LENGTH) return plan.length < than.length;
  return area(plan) > area(than);
}

/** Lengths this close count as the same, mm. */
const SAME_LENGTH = 0.5;
