import type { BaseJoins, EdgeRule } from '../pieces';
import type { Role } from './part';

/**
 * Where a strip runs on the piece of a role when no edge was chosen.
 *
 * @example edgeRuleOf('neck-facing') // 'hollow'
 */
export function edgeRuleOf(role: Role): EdgeRule {
  switch (role) {
    case 'hem':
    case 'flare-hem':
      return 'hem';
    case 'knit-binding':
    case 'shoulder-seam':
    case 'zip-area':
      return 'longest';
    case 'neck-facing':
    case 'armhole-facing':
      return 'hollow';
    case 'waistband':
    case 'curved-waistband':
      return 'fold';
    default:
      return 'top';
  }
}

const JOINS: Partial<Record<Role, BaseJoins>> = { 'hat-tip': 'outside', 'hat-brim': 'opening', 'hat-band': 'ends' };

/**
 * What the role of a piece says of how its layers are cut, before anything else says it.
 *
 * @example cutOfRole('hat-brim').joins // 'opening'
 */
export function cutOfRole(role: Role): { rule: EdgeRule; joins?: BaseJoins } {
  const joins = JOINS[role];
  return { rule: edgeRuleOf(role), ...(joins ? { joins } : {}) };
}
