import { bendingLengthFromDrop, bendingLengthFromOverhang, droopProfile, flexuralRigidity } from '../../../core/cloth';
import { InputError } from '../../../core/input-error';
import { droopSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

export const POST = jsonEndpoint(droopSchema, ({ arealDensity, overhang, angle, length, drop, profileLength }) => {
  let bendingLength: number;
  if (overhang !== undefined) {
    if (length !== undefined || drop !== undefined)
      throw new InputError(length !== undefined ? 'length' : 'drop', 'does not go with overhang; give one reading or the other');
    bendingLength = bendingLengthFromOverhang(overhang, angle);
  } else if (length !== undefined || drop !== undefined) {
    if (length === undefined) throw new InputError('length', 'is missing; it goes with drop');
    if (drop === undefined) throw new InputError('drop', 'is missing; it goes with length');
    if (angle !== undefined) throw new InputError('angle', 'goes with overhang, not with length and drop');
    bendingLength = bendingLengthFromDrop(length, drop);
  } else {
    throw new InputError('overhang', 'is missing; give overhang, or length with drop');
  }
  return {
    bendingLength,
    rigidity: flexuralRigidity(arealDensity, bendingLength),
    ...(profileLength === undefined ? {} : { profile: droopProfile(bendingLength, profileLength) }),
  };
});
