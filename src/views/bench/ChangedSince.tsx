import { useState } from 'react';
import { call } from '../../ui/api';
import { useWrite } from '../../ui/query';

interface Props {
  runId: string;
  /** Names of jobs whose layers or pieces were changed since the run was planned. */
  names: readonly string[];
}

/** Says that the run is of something that its jobs are not any more, and offers to plan it anew. */
export default function ChangedSince({ runId, names }: Props) {
  const [kept, setKept] = useState(false);
  const anew = useWrite(() => call<{ id: string }>('POST', `/api/bench/${runId}/anew`), {
    onSuccess: ({ id }) => location.assign(`/bench/${id}`),
  });
  if (names.length === 0 || kept) return null;
  return (
    <div role="alert" className="mt-2 flex flex-wrap items-center gap-3 rounded-box border-2 border-accent p-2 text-lg">
      <p className="min-w-64 flex-1">
        {names.join(', ')}: layers or piece were changed since this was begun. These steps are for what it was before.
        {anew.error && ` ${anew.error.message}`}
      </p>
      <button type="button" className="btn btn-accent" disabled={anew.isPending} onClick={() => anew.mutate(undefined)}>
        Plan it anew
      </button>
      <button type="button" className="btn btn-outline" onClick={() => setKept(true)}>
        Go on as it was begun
      </button>
    </div>
  );
}
