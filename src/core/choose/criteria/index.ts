import { atHand } from './at-hand';
import { bulk } from './bulk';
import { care } from './care';
import { carry } from './carry';
import { cost } from './cost';
import { effort } from './effort';
import { feel } from './feel';
import { give } from './give';
import { look } from './look';
import { opacity } from './opacity';
import { past } from './past';
import { purpose } from './purpose';
import { weight } from './weight';
import type { Criterion } from '../protocol';

/** All criteria in the order in which the screens show them. */
export const CRITERIA: readonly Criterion[] = [
  purpose,
  feel,
  carry,
  opacity,
  weight,
  give,
  look,
  care,
  bulk,
  effort,
  cost,
  atHand,
  past,
];
