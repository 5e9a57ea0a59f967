import { InputError } from '../../../../core/input-error';
import { tableUpdateSchema } from '../../../../schemas/tables';
import { requireTable, type TableBody } from '../../../../store/rules/table';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { requireSoundTable } from '../../../../server/sound-table';
import { cutTables } from '../../../../store/cut-tables';
import { database } from '../../../../server/database';

export const { GET, PUT, DELETE } = recordEndpoints(cutTables, tableUpdateSchema, (body, current) => {
  if (current.done) throw new InputError('done', 'is set: what is cut cannot be laid again; take the cutting back first');
  const changed = withoutVersion(body) as TableBody;
  if (changed.ofKind !== current.ofKind || changed.ofId !== current.ofId)
    throw new InputError('ofId', 'cannot be changed; start another table');
  return {
    ...requireSoundTable(database(), requireTable(database(), changed)),
    projectId: current.projectId,
    done: current.done,
  };
});
