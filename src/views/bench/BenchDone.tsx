import { keepUnits } from '../../ui/text';
import type { BenchRun } from '../../store/bench-runs';
import LogForm from '../logbook/LogForm';
import type { JobLog } from './job-log';

interface Props {
  run: BenchRun;
  projectId: string;
  logs: Record<string, JobLog>;
}

/** A run that is finished: each of its jobs is filed, or the scrap is read. */
export default function BenchDone({ run, projectId, logs }: Props) {
  const { plan, state } = run;
  const works = plan.works ?? [
    { jobId: run.jobId, name: plan.pieceName, clothName: plan.clothName, stackTitle: plan.stackTitle, outline: plan.outline },
  ];
  const several = works.length > 1;
  const ofWork = (name: string) => (check: string) => !several || check.startsWith(`${name}: `);
  const plain = (name: string) => (check: string) => (several ? check.slice(name.length + 2) : check);
  const checks = plan.steps.flatMap((step) => step.checks ?? []);
  return (
    <main className="mx-auto max-w-3xl space-y-6 p-6" id="main">
      <header>
        <h1 className="text-3xl font-bold">{several ? `${plan.pieceName} are done` : `“${plan.pieceName}” is done`}</h1>
        {!several && (
          <p className="mt-1 text-lg">
            {keepUnits(plan.stackTitle)} on {plan.clothName}.{run.scrapId ? '' : ' How did it come out?'}
          </p>
        )}
      </header>
      {run.scrapId ? (
        <p>Let it lie until it is cold, then read it.</p>
      ) : (
        works.map(({ jobId, name, clothName, stackTitle }) => (
          <section key={jobId} aria-label={name}>
            {several && (
              <h2 className="text-xl font-bold">
                {name}: {keepUnits(stackTitle)} on {clothName}
              </h2>
            )}
            {logs[jobId] ? (
              <LogForm
                start={{
                  ...{ jobId, benchRunId: run.id, kind: 'piece', title: name, clothName, stackTitle },
                  ...logs[jobId],
                }}
                checks={checks.filter(ofWork(name)).map(plain(name))}
                ticked={state.checks.filter(ofWork(name)).map(plain(name))}
                onFiled={() => {
                  if (!several) location.assign(`/projects/${projectId}?job=${jobId}&stage=file`);
                }}
              />
            ) : (
              <p>This job was deleted meanwhile; there is nothing to file.</p>
            )}
          </section>
        ))
      )}
      <a
        className={`btn ${run.scrapId ? 'btn-primary' : 'btn-ghost'}`}
        href={several ? '/bench' : `/projects/${projectId}?job=${run.jobId}&stage=${run.scrapId ? 'scrap' : 'file'}`}
      >
        {run.scrapId ? 'Back to the scrap, to read it' : several ? 'To the bench' : 'File it later'}
      </a>
    </main>
  );
}
