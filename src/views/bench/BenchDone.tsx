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
  /** What is ticked for one job; boxes of a batch carry its name. What was checked for all of them counts for each. */
  const checksOf = (work: number, name: string) => {
    const boxes = plan.steps
      .filter((step) => !several || step.work === undefined || step.work === work)
      .flatMap((step) => step.checks ?? []);
    const plain = (check: string) => (several && check.startsWith(`${name}: `) ? check.slice(name.length + 2) : check);
    return { checks: boxes.map(plain), ticked: boxes.filter((check) => state.checks.includes(check)).map(plain) };
  };
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
        works.map(({ jobId, name, clothName, stackTitle }, i) => (
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
                {...checksOf(i, name)}
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
