import { openPiece } from '../../core/pieces';
import { cloths } from '../cloths';
import type { Db } from '../database';
import type { PartFields } from '../parts';
import { requireKept, requireStack } from './references';

/** What a schema cannot see: that the shape can be built, and that cloth and layers exist. @throws {InputError} naming the field */
export function requirePart(db: Db, part: PartFields, current?: PartFields): PartFields {
  openPiece(part);
  requireKept(db, [['clothId', cloths, part.clothId]], current);
  requireStack(db, part.stack, current?.stack);
  return part;
}
