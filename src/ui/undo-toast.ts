import { toast } from 'sonner';

/** Says what was done, with a way back that tells when it did not work and can be tried again. */
export function undoToast(words: string, takeBack: () => Promise<unknown>): void {
  toast(words, { action: { label: 'Undo', onClick: () => void attempt('That could not be taken back', takeBack) } });
}

/** Does something now; a failure stays on the screen, with its reason and a way to try again. */
export async function attempt(failure: string, action: () => Promise<unknown>): Promise<boolean> {
  try {
    await action();
    return true;
  } catch (problem) {
    toast.error(`${failure}. ${(problem as Error).message}`, {
      duration: Infinity,
      action: { label: 'Try again', onClick: () => void attempt(failure, action) },
    });
    return false;
  }
}
