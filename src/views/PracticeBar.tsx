import { call } from '../ui/api';
import { useWrite } from '../ui/query';

/** Stands over every page of the practice house: whose it is, the way home, and the way back to its beginning. */
export default function PracticeBar({ home }: { home: string }) {
  const afresh = useWrite(() => call('POST', '/api/practice/afresh'), { onSuccess: () => location.assign('/') });
  return (
    <aside className="no-print bg-accent text-accent-content" aria-label="Practice house">
      <div className="mx-auto flex w-full max-w-[1400px] flex-wrap items-center gap-x-4 px-4 md:px-6">
        <p className="mr-auto font-semibold">Practice house: nothing here is yours, try anything.</p>
        {afresh.error && <p role="alert">{afresh.error.message}</p>}
        <button type="button" className="btn btn-ghost" disabled={afresh.isPending} onClick={() => afresh.mutate()}>
          Begin it afresh
        </button>
        <a className="btn btn-ghost" href={home}>
          Back to my own house
        </a>
      </div>
    </aside>
  );
}
