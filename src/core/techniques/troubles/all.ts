import { FUSED_TROUBLES } from './fused';
import { HOOPED_TROUBLES } from './hooped';
import { SEWN_TROUBLES } from './sewn';
import type { Trouble } from './trouble';
import { WETTED_TROUBLES } from './wetted';

/** All that can be seen to be wrong, in the order in which it is met. */
export const SEEN_TROUBLES: readonly Trouble[] = [...FUSED_TROUBLES, ...WETTED_TROUBLES, ...SEWN_TROUBLES, ...HOOPED_TROUBLES];
