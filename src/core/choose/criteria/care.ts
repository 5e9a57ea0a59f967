import type { Criterion } from '../protocol';

/** How far the layers are from the edge of what heat and washing they and the cloth bear. */
export const care: Criterion = {
  id: 'care',
  name: 'Heat and care',
  weight: () => 6,
  score: ({ layers, question }) => {
    const { fabric, part } = question;
    let score = 100;
    for (const { material } of layers) {
      if (material.leaflet.ironDots > 0 && material.leaflet.ironDots === fabric.ironDots && fabric.ironDots < 3)
        score = Math.min(score, 82);
      if (material.leaflet.steam && part.care === 'dry-clean') score = Math.min(score, 90);
      if (material.preShrink && fabric.prewashed !== true && part.care !== 'none' && part.care !== 'dry-clean')
        score = Math.min(score, 86);
    }
    return score;
  },
  why: ({ layers, question }) => {
    const { fabric, part } = question;
    const tight = layers.find(
      ({ material }) => material.leaflet.ironDots > 0 && material.leaflet.ironDots === fabric.ironDots && fabric.ironDots < 3,
    );
    if (tight) return 'Needs as much heat as this cloth bears; try it on a scrap first.';
    if (layers.some(({ material }) => material.preShrink) && part.care !== 'none' && part.care !== 'dry-clean') {
      return fabric.prewashed
        ? 'Stands the care; shrink the layer before cutting.'
        : 'Stands the care if cloth and layer are shrunk first.';
    }
    return 'Well inside what the cloth and the care allow.';
  },
};
