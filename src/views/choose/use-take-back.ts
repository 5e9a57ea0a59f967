import { useState } from 'react';
import { toast } from 'sonner';
import type { Part, RankedStack } from '../../core/choose';
import type { Schools } from '../../core/schools';
import type { Job } from '../../store/jobs';
import { call } from '../../ui/api';
import { useWrite } from '../../ui/query';
import { keptStack } from './answers';
import { keptJob, lostBy, offerStackBack } from './take-stack';

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
  /** A stack that would cost work, and what. */
  const [asked, setAsked] = useState<{ stack: RankedStack; lost: string }>();
  const taking = useWrite(
    async ({ stack, sure }: { stack: RankedStack; sure: boolean }) => {
      const kept = await keptJob(from!.jobId);
      const lost = sure ? undefined : lostBy(kept);
      if (lost !== undefined) return setAsked({ stack, lost });
      const { id, cutId: _cut, createdAt: _c, updatedAt: _u, ...job } = kept;
      const { cut: _orientation, ...wished } = part;
      const now = await call<Job>('PUT', `/api/jobs/${id}`, {
        ...job,
        wish: { ...job.wish, ...wished },
        stack: keptStack(stack, schools),
        cutDone: false,
      });
      offerStackBack(from!.name, kept, now);
      location.assign(`/projects/${from!.projectId}?job=${from!.jobId}&stage=scrap`);
      return undefined;
    },
    { onError: (problem) => toast.error(problem.message) },
  );
  return from && from.clothId === clothId
    ? {
        name: from.name,
        project: from.projectName,
        take: (stack: RankedStack) => taking.mutate({ stack, sure: false }),
        asked: asked && {
          lost: asked.lost,
          yes: () => taking.mutate({ stack: asked.stack, sure: true }),
          no: () => setAsked(undefined),
        },
      }
    : undefined;
}
