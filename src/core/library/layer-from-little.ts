import type { Tone } from '../cloth';
import { InputError, requireNumber } from '../input-error';
import { isFusible, LAW_FIGURES, type Family, type Form, type Leaflet, type Material } from '../layers';
import { familyLaw, familyUsual } from './layers';

/** What is known of a layer that somebody has just bought. */
export interface BoughtLayer {
  name: string;
  family: Family;
  /** g/m². */
  arealDensity: number;
  /** How it is put on, where that is not as usual for its family. */
  form?: Form | undefined;
  /** mm. */
  rollWidth?: number | undefined;
  tones?: Tone[] | undefined;
  /** What its leaflet says of pressing it; the rest is as usual. */
  leaflet?: Partial<Leaflet> | undefined;
}

/** How a glued layer without a leaflet is pressed: medium, dry, through a cloth, a little longer than most. */
const PRESSED: Leaflet = { ironDots: 2, seconds: 12, steam: false, cover: 'cloth', coolMinutes: 5 };
const NOT_PRESSED: Leaflet = { ironDots: 0, seconds: 0, steam: false, cover: 'none', coolMinutes: 0 };

/**
 * A layer from little: what was not said follows from its family at its weight, and thickness and stiffness are marked as estimated.
 *
 * @throws {InputError} for a weight that cannot be
 * @example layerFromLittle({ name: 'Mine', family: 'firm-nonwoven', arealDensity: 200 }).bendingLength // 75
 */
export function layerFromLittle({
  name,
  family,
  arealDensity,
  form,
  rollWidth,
  tones,
  leaflet,
}: BoughtLayer): Omit<Material, 'id'> {
  requireNumber('arealDensity', arealDensity, 'g/m²', { above: 0, max: 3000 });
  const usual = familyUsual(family);
  const put = form ?? usual.form;
  if (put === 'liquid' && usual.form !== 'liquid') throw new InputError('form', `must not be liquid for ${family}`);
  const asUsual = put === usual.form;
  const glue = asUsual ? usual.glue : isFusible(put) || put === 'sticky' ? 'dots' : 'none';
  const [base, perGsm] = usual.price;
  return {
    name,
    family,
    form: put,
    arealDensity,
    ...familyLaw(family, arealDensity, put),
    stretchLength: usual.stretch[0],
    stretchCross: usual.stretch[1],
    tones: tones ?? ['light'],
    opacity: 'opaque',
    rollWidth: rollWidth ?? usual.rollWidth,
    leaflet: { ...(asUsual ? usual.leaflet : isFusible(put) ? PRESSED : NOT_PRESSED), ...leaflet },
    glue,
    wash: usual.wash,
    dryClean: usual.dryClean,
    preShrink: usual.preShrink,
    grain: usual.grain,
    ends: usual.ends,
    stiffening: put === 'liquid' ? 2 : 1,
    pricePerMetre: Math.round((base + perGsm * arealDensity) / 10) * 10,
    estimated: LAW_FIGURES,
  };
}
