import { isFusible } from '../../layers';
import { shadeMiss } from '../handling';
import type { Criterion, Judged } from '../protocol';
import { points } from './criterion';

interface Fault {
  cost: number;
  words: string;
}

function faults({ layers, question }: Judged): Fault[] {
  const { fabric, profile, traits } = question;
  const found: Fault[] = [];
  const veil = fabric.sheer === 'opaque' ? 0 : fabric.sheer === 'veiled' ? 1 : 2;
  for (const { material, extent } of layers) {
    if (material.form === 'liquid' || material.ends === 'rinsed' || material.ends === 'melted') continue;
    const miss = shadeMiss(fabric.tone, material.tones);
    if (miss > 0 && profile.kind !== 'bag' && profile.kind !== 'hat') {
      found.push({
        cost: miss * (8 + 16 * veil),
        words:
          miss === 2
            ? `Comes only in ${material.tones.join(' and ')}, against ${fabric.tone} cloth.`
            : 'Its shade is near the cloth, not the same.',
      });
    }
    if (veil > 0 && profile.kind !== 'stitch' && isFusible(material.form) && material.opacity !== 'sheer')
      found.push({ cost: 14 * veil, words: 'Glue dots can show through see-through cloth.' });
    if (veil === 2 && profile.kind !== 'stitch' && isFusible(material.form))
      found.push({ cost: 10, words: 'Glue may strike through cloth this sheer.' });
    if (veil > 0 && material.opacity === 'opaque' && profile.kind !== 'bag' && material.family !== 'cloth-underlining') {
      found.push({ cost: 14 * veil, words: 'Its edge can be seen as a line through the cloth.' });
    }
    if (
      profile.kind === 'garment' &&
      (extent === 'trimmed' || extent === 'net') &&
      fabric.arealDensity < 110 &&
      material.thickness > 0.35
    ) {
      found.push({ cost: 16, words: 'Its edge may print through thin cloth as a ridge.' });
    }
    if (traits.needsTopping && isFusible(material.form))
      found.push({ cost: 18, words: 'Pressing it on flattens some of the loft.' });
  }
  return found.sort((a, b) => b.cost - a.cost);
}

/** What can be seen from the outside: shade, glue, ridge, flattened loft. */
export const look: Criterion = {
  id: 'look',
  name: 'Look',
  serves: 50,
  weight: ({ fabric }) => (fabric.sheer === 'opaque' ? 8 : 13),
  score: (stack) => points(100 - faults(stack).reduce((sum, fault) => sum + fault.cost, 0)),
  why: (stack) => {
    const [worst] = faults(stack);
    if (worst) return worst.words;
    const { question, layers } = stack;
    if (question.traits.open && layers.some(({ material }) => material.form !== 'liquid' && material.ends === 'stays'))
      return 'It is seen through the holes: its colour is part of the design.';
    if (question.fabric.sheer !== 'opaque' && layers.some(({ material }) => isFusible(material.form)))
      return 'Nothing but its glue dots might be seen, in daylight.';
    return 'Nothing of it should be seen from the outside.';
  },
};
