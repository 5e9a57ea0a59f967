import { useMemo } from 'react';
import { openPiece } from '../../core/pieces';
import { keptKey } from '../../core/layers';
import type { LogEntry } from '../../store/log';
import PredictedMeasured from '../../ui/PredictedMeasured';
import { readableDate } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import FoundCauses from '../logbook/FoundCauses';
import LogForm from '../logbook/LogForm';
import { schoolsOf, type Schools } from '../../core/schools';
import { usedSetting, type FoundSetting } from '../../core/steps';
import type { LastRun } from '../../server/job-log';
import type { StageLayer } from './CutStage';
import type { Worked } from './worked';

interface Props {
  work: Worked;
  cloth: Cloth | undefined;
  log: LogEntry[];
  layers: StageLayer[];
  /** Ways of working of the person; a job may have its own. */
  schools: Partial<Schools>;
  /** What scraps found for its layers on its cloth. */
  found: readonly FoundSetting[];
  /** The run at the bench that it was worked in last. */
  lastRun: LastRun | undefined;
  /** What is looked at, by its steps; where it was not worked at the bench. */
  checks: string[];
  onFiled: (entry: LogEntry) => void;
}

const OUTCOME_WORDS: Record<LogEntry['outcome'], string> = { good: 'came out well', fair: 'passable', poor: 'went wrong' };

/** What has been filed about the job, and the form to file more. */
export default function FileStage({ work, cloth, layers, schools, found, log, lastRun, checks, onFiled }: Props) {
  const { said } = useUnits();
  const opened = useMemo(() => openPiece(work), [work]);
  // A run is filed once; what is filed after it is another look.
  const run = lastRun && !lastRun.filed && !log.some(({ benchRunId }) => benchRunId === lastRun.id) ? lastRun : undefined;
  return (
    <div className="space-y-5">
      {log.map((entry) => (
        <article key={entry.id} className="sheet grid gap-4 p-4 md:grid-cols-[1fr_16rem]">
          <div>
            <h2 className="chalk-heading">
              {readableDate(entry.doneOn)}: {OUTCOME_WORDS[entry.outcome]}
            </h2>
            <p>{entry.stackTitle}</p>
            {entry.checks.failed.length > 0 && <p className="quiet">Not ticked: {said(entry.checks.failed.join('; '))}</p>}
            <FoundCauses causes={entry.causes} />
            {entry.note && <p className="mt-1">{entry.note}</p>}
          </div>
          {entry.predictedBendingLength !== null && (
            <PredictedMeasured
              predicted={entry.predictedBendingLength}
              low={entry.predictedLow!}
              high={entry.predictedHigh!}
              measured={entry.measuredBendingLength}
            />
          )}
        </article>
      ))}
      {work.stack && cloth ? (
        <div className="sheet p-5">
          <h2 className="text-xl font-bold">{log.length > 0 ? 'File another' : `File “${work.name}”`}</h2>
          {run && (
            <p className="quiet">Worked at the bench on {readableDate(run.finishedAt)}; what was ticked there is ticked here.</p>
          )}
          <LogForm
            key={run?.id ?? 'by hand'}
            start={{
              jobId: work.id,
              benchRunId: run?.id ?? null,
              kind: 'piece',
              title: work.name,
              clothId: cloth.id,
              clothName: cloth.name,
              stackTitle: work.stack.title,
              layerIds: work.stack.layers.map(keptKey),
              settings: usedSetting(
                layers.flatMap(({ material }) => material ?? []),
                { fabric: cloth, schools: schoolsOf(schools, work.stack.schools), found },
              ),
              predicted: work.stack.predicted,
            }}
            checks={run?.checks ?? checks}
            ticked={run?.ticked ?? []}
            causes={run?.causes ?? []}
            piece={opened}
            grain={work.wish.cut}
            cutId={work.cutId}
            onFiled={onFiled}
          />
        </div>
      ) : (
        <p className="sheet p-6">There is nothing to file yet: it has no layers.</p>
      )}
    </div>
  );
}
