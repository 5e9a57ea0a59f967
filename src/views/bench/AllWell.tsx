import { useState } from 'react';
import type { JobLog } from '../../server/job-log';
import type { LogEntry } from '../../store/log';
import { call } from '../../ui/api';
import { CheckField } from '../../ui/form/form-fields';
import { useWrite } from '../../ui/query';
import { counted, keepUnits, today } from '../../ui/text';

interface Job {
  jobId: string;
  name: string;
  clothName: string;
  stackTitle: string;
  log: JobLog;
  checks: string[];
  ticked: string[];
  causes: string[];
}

interface Props {
  runId: string;
  /** Jobs of the run that are not filed yet. */
  jobs: readonly Job[];
  onFiled: (jobId: string) => void;
}

/** The entry of a job that came out well, with what was ticked at the bench and nothing measured. */
function entryOf(runId: string, { jobId, name, clothName, stackTitle, log, checks, ticked, causes }: Job) {
  const { clothId, layerIds, settings, predicted } = log;
  return {
    ...{ jobId, benchRunId: runId, kind: 'piece', title: name, clothId, clothName, stackTitle, layerIds, settings },
    causes,
    ...{ doneOn: today(), outcome: 'good', checks: { held: ticked, failed: checks.filter((check) => !ticked.includes(check)) } },
    predictedBendingLength: predicted.bendingLength,
    predictedLow: predicted.low,
    predictedHigh: predicted.high,
  };
}

/** Files what came out well in one go; what did not keeps its own form below. */
export default function AllWell({ runId, jobs, onFiled }: Props) {
  const [badly, setBadly] = useState<readonly string[]>([]);
  const well = jobs.filter(({ jobId }) => !badly.includes(jobId));
  const filing = useWrite(async (chosen: readonly Job[]) => {
    // One after the other: what is filed stays filed, whatever becomes of the next.
    for (const job of chosen) {
      await call<LogEntry>('POST', '/api/log', entryOf(runId, job));
      onFiled(job.jobId);
    }
  });
  return (
    <section className="sheet p-4" aria-label="All that came out well">
      <h2 className="text-xl font-bold">What came out well?</h2>
      <p className="quiet">It is filed at once, with what you ticked. Take out what did not; its own form stands below.</p>
      <div className="mt-2 grid gap-x-6 sm:grid-cols-2">
        {jobs.map(({ jobId, name, stackTitle }) => (
          <CheckField
            key={jobId}
            label={`${name}: ${keepUnits(stackTitle)}`}
            checked={!badly.includes(jobId)}
            onChange={(on) => setBadly((was) => (on ? was.filter((id) => id !== jobId) : [...was, jobId]))}
          />
        ))}
      </div>
      {filing.error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {filing.error.message}
        </p>
      )}
      <button
        type="button"
        className="btn btn-primary mt-3"
        disabled={well.length === 0 || filing.isPending}
        onClick={() => filing.mutate(well)}
      >
        {well.length === jobs.length ? 'All came out well: file them' : `File ${counted(well.length, 'job')} that came out well`}
      </button>
    </section>
  );
}
