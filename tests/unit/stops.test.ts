import { describe, expect, it } from 'vitest';
import { questionFor, type Part } from '../../src/core/choose';
import type { Question } from '../../src/core/choose/protocol';
import { STOPS } from '../../src/core/choose/stops';
import type { LayerDuty } from '../../src/core/choose/protocol';
import type { Fabric } from '../../src/core/cloth';
import type { Material } from '../../src/core/layers';

/** A cloth, a part and a layer that no rule minds. */
const fabric = {
  ...{ construction: 'woven', weave: 'plain', fibres: [{ fibre: 'cotton', percent: 100 }], arealDensity: 120 },
  ...{ stretchLength: 1, stretchCross: 2, ironDots: 3, water: 'safe', sheer: 'opaque', tone: 'light', surface: [], fray: 'low' },
} as Fabric;
const part: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const layer = {
  ...{ id: 'plain', name: 'Plain', family: 'nonwoven', form: 'sew-in', arealDensity: 40, thickness: 0.2, bendingLength: 25 },
  ...{ membraneStiffness: 900, stretchLength: 2, stretchCross: 3, tones: ['light'], opacity: 'opaque', rollWidth: 900 },
  ...{ leaflet: { ironDots: 0, seconds: 0, steam: false, cover: 'none', coolMinutes: 0 }, glue: 'none', wash: 'hot' },
  ...{ dryClean: true, preShrink: false, grain: false, ends: 'stays', stiffening: 1, pricePerMetre: 500 },
} as unknown as Material;

interface Case {
  fabric?: Partial<Fabric>;
  part?: Partial<Part>;
  layer?: Partial<Material>;
  /** Laid over the question itself, for what is worked out from the rest. */
  question?: object;
  duty?: LayerDuty;
}
/** A case in which a rule holds, and cases that differ in one thing and in which it does not. */
type Row = [id: string, holds: Case, ...others: Case[]];

const press = (more: object) => ({ leaflet: { ...layer.leaflet, ironDots: 2, ...more } });
const profile = (kind: string) => ({ profile: { kind } });
const traits = (more: object) => ({ traits: { sealed: false, open: false, ruinedByPressing: false, ...more } });

const ROWS: Row[] = [
  ['avoid-fusible', { part: { avoid: ['fusible'] }, layer: { form: 'fusible' } }, { part: { avoid: [] } }, { layer: { form: 'sew-in' } }],
  ['avoid-liquid', { part: { avoid: ['liquid'] }, layer: { form: 'liquid' } }, { part: { avoid: ['fusible'] } }, { layer: { form: 'fusible' } }],
  ['avoid-spray', { part: { avoid: ['spray-glue'] }, layer: { form: 'spray-glued' } }, { part: { avoid: ['liquid'] } }, { layer: { form: 'fusible' } }],
  ['avoid-hand-sewing', { part: { avoid: ['sewing-by-hand'] }, layer: { family: 'hair-canvas' } }, { part: { avoid: [] } }, { layer: { family: 'nonwoven' } }, { layer: { family: 'hair-canvas', form: 'fusible' } }],
  ['stay-sheer', { question: { wishes: { staySheer: true } } }, { question: { wishes: {} } }, { layer: { opacity: 'sheer' } }, { layer: { ends: 'torn' } }, { layer: { form: 'liquid' } }, { layer: { opacity: 'veiled' }, fabric: { sheer: 'veiled' } }],
  ['stay-sheer', { question: { wishes: { staySheer: true } }, layer: { opacity: 'veiled' }, fabric: { sheer: 'sheer' } }, { fabric: { sheer: 'veiled' } }],
  ['not-at-hand', { question: { wishes: { useMine: true }, atHand: new Set(['other']) } }, { question: { wishes: {}, atHand: new Set() } }, { question: { wishes: { useMine: true }, atHand: new Set(['plain']) } }],
  ['no-starch', { question: { schools: { starch: 'never' } }, layer: { family: 'starch' } }, { question: { schools: { starch: 'spray' } } }, { layer: { family: 'pressing-spray' } }],
  ['strip-width', { part: { role: 'waistband' }, layer: { family: 'waistband-strip', rollWidth: 25 } }, { part: { role: 'cuff' } }, { layer: { family: 'nonwoven' } }],
  ['strip-width', { part: { role: 'curved-waistband' }, layer: { family: 'waistband-strip', rollWidth: 25 } }, { part: { role: 'hem' } }],
  ['no-iron', { fabric: { ironDots: 0 }, layer: press({}) }, { fabric: { ironDots: 1 } }, { layer: press({ ironDots: 0 }) }],
  ['too-hot', { fabric: { ironDots: 1 }, layer: press({}) }, { fabric: { ironDots: 2 } }, { layer: press({ ironDots: 1 }) }, { fabric: { ironDots: 0 } }],
  ['steam-spots', { fabric: { water: 'spots' }, layer: press({ steam: true }) }, { fabric: { water: 'safe' } }, { layer: press({ steam: false }) }],
  ['steam-spots', { fabric: { water: 'spots' }, layer: press({ cover: 'damp-cloth' }) }, { fabric: { water: 'resists' } }, { layer: press({ cover: 'cloth' }) }],
  ['liquid-spots', { fabric: { water: 'spots' }, layer: { form: 'liquid' } }, { fabric: { water: 'safe' } }, { layer: { form: 'loose' } }],
  ['rinse-spots', { fabric: { water: 'spots' }, layer: { ends: 'rinsed' } }, { fabric: { water: 'safe' } }, { layer: { ends: 'torn' } }],
  ['liquid-resists', { fabric: { water: 'resists' }, layer: { form: 'liquid' } }, { fabric: { water: 'safe' } }, { layer: { form: 'sew-in' } }],
  ['liquid-resists', { fabric: { surface: ['coated'] }, layer: { form: 'liquid' } }, { fabric: { surface: [] } }],
  ['sealed-fusible', { fabric: { construction: 'leather' }, layer: { form: 'fusible' } }, { fabric: { construction: 'woven' } }, { layer: { form: 'sew-in' } }],
  ['pressing-ruins', { fabric: { surface: ['beaded'] }, layer: { form: 'fusible' } }, { fabric: { surface: ['lofty'] } }, { layer: { form: 'sew-in' } }],
  ['pressing-ruins', { fabric: { surface: ['pile'] }, layer: { family: 'starch' } }, { layer: { family: 'nonwoven' } }],
  ['pressing-ruins', { fabric: { surface: ['crinkled'] }, layer: { ends: 'melted' } }, { layer: { ends: 'torn' } }],
  ['glue-through-holes', { fabric: { surface: ['openwork'] }, layer: { form: 'fusible' } }, { fabric: { surface: [] } }, { layer: { form: 'sew-in' } }],
  ['gives-not', { fabric: { stretchCross: 20 }, part: { stretch: 'keep' } }, { part: { stretch: 'any' } }, { fabric: { stretchCross: 5 } }, { duty: 'topping' }, { duty: 'patch' }, { layer: { ends: 'torn' } }, { layer: { stretchCross: 30 } }, { question: profile('stitch') }],
  ['gives-not', { fabric: { stretchLength: 25, stretchCross: 25 }, part: { stretch: 'keep' }, layer: { stretchCross: 30 } }, { fabric: { stretchLength: 10, stretchCross: 25 } }, { layer: { stretchLength: 8, stretchCross: 30 } }],
  ['gives-too-much', { part: { stretch: 'stop' }, layer: { stretchCross: 20 } }, { part: { stretch: 'any' } }, { layer: { stretchCross: 10 } }, { duty: 'topping' }, { layer: { stretchCross: 20, form: 'liquid' } }, { layer: { stretchCross: 20, ends: 'torn' } }, { question: profile('stitch') }],
  ['curved-waist', { part: { role: 'curved-waistband' }, layer: { family: 'weft' } }, { part: { role: 'waistband' } }, { layer: { family: 'woven' } }],
  ['curved-waist', { part: { role: 'curved-waistband' }, layer: { family: 'waistband-strip' } }, { part: { role: 'collar' } }],
  ['care-wash', { layer: { wash: 'hand' } }, { part: { care: 'hand-wash' } }, { part: { care: 'none' } }, { part: { care: 'dry-clean' } }, { layer: { wash: 'warm' } }, { layer: { wash: 'hand', ends: 'torn' } }],
  ['care-wash', { part: { care: 'wash-hot' }, layer: { wash: 'warm' } }, { part: { care: 'wash-warm' } }, { layer: { wash: 'hot' } }],
  ['care-clean', { part: { care: 'dry-clean' }, layer: { dryClean: false } }, { part: { care: 'wash-warm' } }, { layer: { dryClean: true } }, { layer: { dryClean: false, ends: 'melted' } }],
  ['cannot-be-rinsed', { part: { care: 'dry-clean' }, layer: { ends: 'rinsed' } }, { part: { care: 'wash-warm' } }, { layer: { ends: 'torn' } }, { layer: { ends: 'rinsed', form: 'liquid' } }],
  ['soak-when-clean-only', { part: { care: 'dry-clean' }, layer: { form: 'liquid', family: 'starch' } }, { part: { care: 'none' } }, { layer: { form: 'liquid', family: 'pressing-spray' } }, { layer: { form: 'sew-in', family: 'starch' } }],
  ['washes-out', { part: { role: 'modelling' }, layer: { form: 'liquid' }, question: profile('treat') }, { part: { role: 'collar' } }, { part: { role: 'modelling', care: 'none' } }, { part: { role: 'modelling', care: 'dry-clean' } }, { layer: { form: 'sew-in' } }, { question: profile('garment') }],
  ['cut-already', { part: { cutAlready: true }, layer: { form: 'liquid', arealDensity: 12 } }, { part: { cutAlready: false } }, { layer: { form: 'liquid', arealDensity: 9 } }, { layer: { form: 'sew-in', arealDensity: 12 } }],
  ['cut-already', { part: { cutAlready: true }, layer: { form: 'liquid', family: 'starch', arealDensity: 5, stiffening: 4 } }, { layer: { form: 'liquid', family: 'starch', arealDensity: 5, stiffening: 2 } }, { layer: { form: 'liquid', family: 'pressing-spray', arealDensity: 5, stiffening: 4 } }],
  ['too-heavy', { layer: { arealDensity: 130 } }, { layer: { arealDensity: 119 } }, { duty: 'strip' }, { question: profile('hat') }, { layer: { arealDensity: 130, ends: 'torn' } }, { layer: { arealDensity: 130, family: 'stay-tape' } }, { layer: { arealDensity: 130, form: 'liquid' } }, { fabric: { arealDensity: 140 } }],
  ['too-heavy', { fabric: { arealDensity: 15 }, layer: { arealDensity: 27 } }, { layer: { arealDensity: 24 } }],
  ['shows-through', { fabric: { sheer: 'sheer' } }, { fabric: { sheer: 'veiled' } }, { layer: { opacity: 'veiled' } }, { duty: 'strip' }, { layer: { ends: 'torn' } }, { question: profile('hat') }, { part: { role: 'badge' } }],
  ['see-through-itself', { layer: { family: 'organza' }, question: { wishes: { opaque: true } } }, { layer: { family: 'woven' } }, { question: { wishes: {} } }, { duty: 'strip' }, { layer: { form: 'liquid' } }, { layer: { ends: 'torn' } }],
  ['see-through-itself', { layer: { opacity: 'sheer' }, question: { wishes: { opaque: true } } }, { layer: { opacity: 'veiled' } }],
  ['wrong-shade', { fabric: { sheer: 'veiled', tone: 'dark' } }, { fabric: { sheer: 'opaque', tone: 'dark' } }, { fabric: { sheer: 'veiled', tone: 'mid' } }, { layer: { tones: ['light', 'dark'] } }, { layer: { tones: ['mid'] } }, { layer: { opacity: 'sheer' } }, { layer: { ends: 'rinsed' } }, { question: profile('hat') }],
  ['tears-on-stretch', { fabric: { construction: 'knit' }, part: { role: 'embroidery' }, layer: { family: 'tear-away' } }, { fabric: { construction: 'woven' } }, { layer: { family: 'cut-away' } }, { question: profile('garment') }],
  ['heat-away-gives', { fabric: { construction: 'knit' }, part: { role: 'embroidery' }, layer: { family: 'heat-away' } }, { fabric: { construction: 'woven' } }, { layer: { family: 'cut-away' } }, { question: profile('garment') }, { fabric: { construction: 'knit', surface: ['openwork'] } }],
  ['heat-away-gives', { fabric: { construction: 'knit' }, part: { role: 'embroidery' }, layer: { family: 'wash-away' } }, { layer: { family: 'topping' } as unknown as Partial<Material> }],
  ['must-float', { part: { role: 'embroidery' }, layer: { form: 'loose' }, question: traits({ hoopMarks: true }) }, { layer: { form: 'fusible' } }, { question: traits({ hoopMarks: false }) }, { duty: 'topping' }, { question: { ...traits({ hoopMarks: true }), ...profile('garment') } }],
]; // prettier-ignore

/** Whether a rule holds when a case is laid over the first one. */
function holds(id: string, base: Case, other: Case = {}): boolean {
  const cloth = { ...fabric, ...base.fabric, ...other.fabric };
  const wish = { ...part, ...base.part, ...other.part };
  const asked = questionFor(cloth, wish, {});
  const question = { ...asked, ...base.question, ...other.question } as Question;
  const own = { ...layer, ...base.layer, ...other.layer };
  const rule = STOPS.find((stop) => stop.id === id)!;
  return rule.when(question, own, other.duty ?? base.duty ?? 'main');
}

describe('every condition of every stop', () => {
  it.each(ROWS)('%s', (id, base, ...others) => {
    expect(holds(id, base)).toBe(true);
    for (const other of others) expect([holds(id, base, other), JSON.stringify(other)]).toEqual([false, JSON.stringify(other)]);
  });

  it('is tried', () => {
    const tried = new Set(ROWS.map(([id]) => id));
    expect(STOPS.map(({ id }) => id).filter((id) => !tried.has(id))).toEqual([]);
  });

  it('holds for nothing that is plain', () => {
    expect(STOPS.filter(({ id }) => holds(id, {})).map(({ id }) => id)).toEqual([]);
  });
});
