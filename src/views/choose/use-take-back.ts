import { toast } from 'sonner';
import type { Part, RankedStack } from '../../core/choose';
import type { Schools } from '../../core/schools';
import type { Job } from '../../store/jobs';
import { call } from '../../ui/api';
import { useWrite } from '../../ui/query';
import { keptStack } from './answers';

/** A job of a project from which somebody came to choose. */
export interface FromJob {
  jobId: string;
  name: string;
  clothId: string | null;
  projectId: string;
  projectName: string;
}

/**
 * Takes an answer back to the job that somebody came from, with the wishes as the sentence has them now. None where they did not come from
 * one, or look at another cloth than it is cut from.
 */
export function useTakeBack(from: FromJob | null, clothId: string, part: Part, schools: Partial<Schools>) {
  const taking = useWrite(
    async (stack: RankedStack) => {
      const { id, cutId: _cut, createdAt: _c, updatedAt: _u, ...job } = await call<Job>('GET', `/api/jobs/${from!.jobId}`);
      const { cut: _orientation, ...wished } = part;
      await call('PUT', `/api/jobs/${id}`, {
        ...job,
        wish: { ...job.wish, ...wished },
        stack: keptStack(stack, schools),
        cutDone: false,
      });
    },
    {
      onSuccess: () => location.assign(`/projects/${from!.projectId}?job=${from!.jobId}&stage=scrap`),
      onError: (problem) => toast.error(problem.message),
    },
  );
  return from && from.clothId === clothId ? { name: from.name, project: from.projectName, take: taking.mutate } : undefined;
}
