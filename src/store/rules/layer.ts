import type { LawFigure } from '../../core/layers';
import { familyLaw } from '../../core/library';
import type { LayerFields } from '../layers';

/** A layer as a form, a table or a bundle gives it: what was not measured is left out. */
export type LayerBody = Omit<LayerFields, LawFigure | 'origin' | 'estimated' | 'fibres' | 'tests' | 'bottle'> &
  Partial<Pick<LayerFields, LawFigure | 'fibres' | 'tests' | 'bottle'>> & { estimated?: readonly LawFigure[] | undefined };

/**
 * Fills in what was not measured by the law of the layer's family at its weight, and marks it as estimated: a firm layer is never
 * silently given the figures of a light one.
 */
export function withEstimates(body: LayerBody, origin: LayerFields['origin']): LayerFields {
  const law = familyLaw(body.family, body.arealDensity, body.form);
  const figures: LawFigure[] = ['thickness', 'bendingLength', 'membraneStiffness'];
  const estimated = figures.filter((figure) => body[figure] === undefined || body.estimated?.includes(figure));
  const filled = Object.fromEntries(estimated.map((figure) => [figure, law[figure]]));
  return { fibres: [], tests: {}, bottle: {}, ...body, ...filled, origin, estimated } as LayerFields;
}
