/** What is said when a computation beside the page broke off; what was there before stays. */
const WORKER_BROKE = 'The computation broke off. What was there before is kept; try again.';

/** Tells when a worker dies or what it says cannot be read, so that nobody waits for it for ever. */
export function onTrouble(worker: Worker, tell: (error: Error) => void): void {
  const trouble = (event: Event) => {
    event.preventDefault();
    tell(new Error(WORKER_BROKE));
  };
  worker.addEventListener('error', trouble);
  worker.addEventListener('messageerror', trouble);
}
