import type { Job, KeptStack } from '../../store/jobs';
import { call } from '../../ui/api';
import { undoOnNextPage } from '../../ui/undo-next';

/** What a job loses when it gets another stack, in words; nothing where it only had a proposal. */
export function lostBy({ stack, cutDone }: Pick<Job, 'stack' | 'cutDone'>): string | undefined {
  const lost = [
    cutDone ? 'Its layers are cut: another stack means cutting anew, and the tick goes.' : '',
    stack?.own ? `“${stack.title}” was put together by hand.` : '',
  ].filter(Boolean);
  return lost.length > 0 ? lost.join(' ') : undefined;
}

/** A job got another stack and the page is left: there it can have the one before again. @param now the job as it is kept with the new one */
export function offerStackBack(name: string, before: { stack: KeptStack | null; cutDone: boolean }, now: Job): void {
  const { id, cutId: _cut, createdAt: _created, updatedAt: _updated, ...job } = now;
  undoOnNextPage({
    words: `“${name}” has another stack now.`,
    address: `/api/jobs/${id}`,
    body: { ...job, stack: before.stack, cutDone: before.cutDone },
  });
}

/** The job as it is kept. */
export function keptJob(id: string): Promise<Job> {
  return call<Job>('GET', `/api/jobs/${id}`);
}
