import { motifUpdateSchema } from '../../../../schemas/hoop';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { motifs } from '../../../../store/motifs';

export const { GET, PUT, DELETE } = recordEndpoints(motifs, motifUpdateSchema, (body, current) => ({
  ...withoutVersion(body),
  figures: current.figures,
}));
