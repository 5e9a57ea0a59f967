/** A shirting and a collar of it, as they are sent. */
export const FABRIC = {
  construction: 'woven',
  weave: 'plain',
  fibres: [{ fibre: 'cotton', percent: 100 }],
  arealDensity: 115,
  stretchLength: 1,
  stretchCross: 2,
  ironDots: 3,
  water: 'safe',
  sheer: 'opaque',
  tone: 'light',
  surface: [],
  fray: 'low',
};
export const PART = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
