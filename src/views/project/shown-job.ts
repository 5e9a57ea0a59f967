import { jobFor, questionFor, sizeOfPiece, type WorkedHow } from '../../core/choose';
import { fabricOf } from '../../core/cloth';
import type { Material } from '../../core/layers';
import { openPiece } from '../../core/pieces';
import { schoolsOf } from '../../core/schools';
import type { WorkJob } from '../../core/techniques';
import type { Cloth } from '../../store/cloths';
import type { Settings } from '../../store/settings';
import type { StageLayer } from './CutStage';
import type { Worked } from './worked';

/** A job as the bench has it, for one piece; none where it has no cloth or no layers yet. */
export function shownJob(
  work: Worked,
  cloth: Cloth | undefined,
  layers: readonly StageLayer[],
  { trim, schools }: Pick<Settings, 'trim' | 'schools'>,
  how: WorkedHow,
): WorkJob | undefined {
  if (!cloth || !work.stack) return undefined;
  const known = layers.filter((layer): layer is StageLayer & { material: Material } => layer.material !== undefined);
  const piece = openPiece(work);
  const question = questionFor(fabricOf(cloth), work.wish, {
    schools: schoolsOf(schools, work.stack.schools),
    piece: sizeOfPiece(piece, work.wish.role, work.count, trim, work.place),
  });
  return jobFor(question, known, {
    ...{ ...how, clothCut: work.done, layersCut: work.cutDone },
    ...{ piece, place: work.place, cuts: known.map(({ cut }) => cut) },
  });
}
