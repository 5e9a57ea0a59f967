import { useState } from 'react';
import { toast } from 'sonner';
import type { CutPiece } from '../../core/workpiece';
import type { MendedSeam, Mending } from '../../server/mend-seam';
import type { JudgedSeam } from '../../server/seam-work';
import { call, plainMessage, type ApiError } from '../../ui/api';
import { undoToast } from '../../ui/undo-toast';

/** Seams of a project with their pieces, both as they are after each mending. */
export function useMending(start: JudgedSeam[], startCuts: CutPiece[]) {
  const [list, setList] = useState(start);
  const [cuts, setCuts] = useState(startCuts);
  const [busy, setBusy] = useState(false);

  const show = ({ seams, cuts: now }: Pick<MendedSeam, 'seams' | 'cuts'>) => {
    setList(seams);
    setCuts(now);
  };

  const mend = async ({ seam, first, second }: JudgedSeam, mending: Mending) => {
    setBusy(true);
    try {
      const done = await call<MendedSeam>('POST', `/api/seams/${seam.id}/mend`, {
        ...mending,
        versions: first.piece.id === second.piece.id ? [first.piece] : [first.piece, second.piece],
      });
      show(done);
      undoToast(wordsOf(done), () => takeBack(seam.projectId, done));
    } catch (problem) {
      toast.error(plainMessage(problem as ApiError), { duration: 12_000 });
    } finally {
      setBusy(false);
    }
  };

  const takeBack = async (projectId: string, { before, pieces }: MendedSeam) => {
    for (const piece of before) {
      const { id, shape, marks } = piece;
      const now = pieces.find((each) => each.id === id);
      if (!now || now.version === piece.version) continue;
      await call('PUT', `/api/pieces/${id}`, { ...fieldsOf(now), shape, marks, version: now.version });
    }
    show(await call<Pick<MendedSeam, 'seams' | 'cuts'>>('GET', `/api/projects/${projectId}/seams`));
  };

  return { list, setList, cuts, mend, busy };
}

function fieldsOf({ name, line, allowances, fold, grain, position }: MendedSeam['pieces'][number]) {
  return { name, line, allowances, fold, grain, position };
}

/** What was changed, and what that makes out of date. */
function wordsOf({ before, pieces, tables }: MendedSeam): string {
  const changed = pieces.filter(({ version }, i) => version !== before[i]!.version).map(({ name }) => name);
  if (changed.length === 0) return 'Both are marked in quarters already.';
  const stale = tables.length > 0 ? ` Lay out again: ${tables.join(', ')}.` : '';
  return `${changed.join(' and ')} changed. Print ${changed.length > 1 ? 'their templates' : 'its template'} again.${stale}`;
}
