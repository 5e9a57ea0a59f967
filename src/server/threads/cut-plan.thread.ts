import { cutPlan, type CutPlanOptions } from '../../core/cutplan';
import { answer } from './answer';

/** Lays pieces in a thread, so that the server goes on answering others meanwhile. */
void answer((options: CutPlanOptions) => cutPlan(options, () => performance.now()));
