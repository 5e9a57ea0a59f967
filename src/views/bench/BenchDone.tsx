import { useState } from 'react';
import { tickedFor } from '../../core/bench';
import type { JobLog } from '../../server/job-log';
import type { BenchRun } from '../../store/bench-runs';
import { keepUnits } from '../../ui/text';
import LogForm from '../logbook/LogForm';
import AllWell from './AllWell';

interface Props {
  run: BenchRun;
  projectId: string;
  logs: Record<string, JobLog>;
  /** Ids of its jobs that are in the logbook already. */
  filed: readonly string[];
}

/** A run that is finished: each of its jobs is filed, all that came out well at once; or the scrap is read. */
export default function BenchDone({ run, projectId, logs, filed }: Props) {
  const { plan, state } = run;
  const [done, setDone] = useState<readonly string[]>(filed);
  const works = plan.works ?? [
    { jobId: run.jobId, name: plan.pieceName, clothName: plan.clothName, stackTitle: plan.stackTitle, outline: plan.outline },
  ];
  const several = works.length > 1;
  const jobs = works.map(({ jobId, name, clothName, stackTitle }, i) => {
    const log = logs[jobId];
    return { jobId, name, clothName, stackTitle, log, ...tickedFor(plan, state, i) };
  });
  const open = jobs.filter(({ jobId, log }) => log !== undefined && !done.includes(jobId));
  return (
    <main className="mx-auto max-w-3xl space-y-6 p-6" id="main">
      <header>
        <h1 className="text-3xl font-bold">{several ? `${plan.pieceName} are done` : `“${plan.pieceName}” is done`}</h1>
        {!several && (
          <p className="mt-1 text-lg">
            {keepUnits(plan.stackTitle)} on {plan.clothName}.{run.scrapId || open.length === 0 ? '' : ' How did it come out?'}
          </p>
        )}
      </header>
      {run.scrapId ? (
        <p>Let it lie until it is cold, then read it.</p>
      ) : (
        <>
          {open.length > 1 && (
            <AllWell
              runId={run.id}
              jobs={open.map(({ log, ...job }) => ({ ...job, log: log! }))}
              onFiled={(jobId) => setDone((was) => [...was, jobId])}
            />
          )}
          {jobs.map(({ jobId, name, clothName, stackTitle, log, checks, ticked, causes }) => (
            <section key={jobId} aria-label={name}>
              {several && (
                <h2 className="text-xl font-bold">
                  {name}: {keepUnits(stackTitle)} on {clothName}
                </h2>
              )}
              {!log ? (
                <p>This job was deleted meanwhile; there is nothing to file.</p>
              ) : done.includes(jobId) ? (
                <p role="status" className="mt-1 border-l-4 border-success pl-3">
                  Filed.{' '}
                  <a
                    className="font-semibold underline underline-offset-4"
                    href={`/projects/${projectId}?job=${jobId}&stage=file`}
                  >
                    See it, or correct it
                  </a>
                </p>
              ) : (
                <LogForm
                  start={{
                    ...{ jobId, benchRunId: run.id, kind: 'piece', title: name, clothName, stackTitle },
                    ...{ clothId: log.clothId, layerIds: log.layerIds, settings: log.settings, predicted: log.predicted },
                  }}
                  {...{ checks, ticked, causes, piece: log.piece, grain: log.grain, cutId: log.cutId }}
                  onFiled={() => {
                    setDone((was) => [...was, jobId]);
                    if (!several) location.assign(`/projects/${projectId}?job=${jobId}&stage=file`);
                  }}
                />
              )}
            </section>
          ))}
        </>
      )}
      <a
        className={`btn ${run.scrapId || open.length === 0 ? 'btn-primary' : 'btn-ghost'}`}
        href={several ? '/bench' : `/projects/${projectId}?job=${run.jobId}&stage=${run.scrapId ? 'scrap' : 'file'}`}
      >
        {run.scrapId
          ? 'Back to the scrap, to read it'
          : several
            ? 'To the bench'
            : open.length === 0
              ? 'To the project'
              : 'File it later'}
      </a>
    </main>
  );
}
