import { useMemo } from 'react';
import { openPiece } from '../../core/pieces';
import { keptKey } from '../../core/layers';
import type { LogEntry } from '../../store/log';
import PredictedMeasured from '../../ui/PredictedMeasured';
import { readableDate } from '../../ui/text';
import type { Cloth } from '../../store/cloths';
import LogForm from '../logbook/LogForm';
import { usedSetting } from '../logbook/used-setting';
import type { StageLayer } from './CutStage';
import type { Worked } from './worked';

interface Props {
  work: Worked;
  cloth: Cloth | undefined;
  layers: StageLayer[];
  log: LogEntry[];
  onFiled: (entry: LogEntry) => void;
}

const OUTCOME_WORDS: Record<LogEntry['outcome'], string> = { good: 'came out well', fair: 'passable', poor: 'went wrong' };

/** What has been filed about the job, and the form to file more. */
export default function FileStage({ work, cloth, layers, log, onFiled }: Props) {
  const opened = useMemo(() => openPiece(work), [work]);
  const pressed = layers.find(({ material }) => (material?.leaflet.seconds ?? 0) > 0)?.material;
  return (
    <div className="space-y-5">
      {log.map((entry) => (
        <article key={entry.id} className="sheet grid gap-4 p-4 md:grid-cols-[1fr_16rem]">
          <div>
            <h2 className="chalk-heading">
              {readableDate(entry.doneOn)}: {OUTCOME_WORDS[entry.outcome]}
            </h2>
            <p>{entry.stackTitle}</p>
            {entry.checks.failed.length > 0 && <p className="quiet">Not ticked: {entry.checks.failed.join('; ')}</p>}
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
          <LogForm
            start={{
              jobId: work.id,
              benchRunId: null,
              kind: 'piece',
              title: work.name,
              clothId: cloth.id,
              clothName: cloth.name,
              stackTitle: work.stack.title,
              layerIds: work.stack.layers.map(keptKey),
              settings: usedSetting(work.stack.setting, pressed?.leaflet),
              predicted: work.stack.predicted,
            }}
            checks={['Edges hold against a fingernail', 'Corners hold', 'No bubbles', 'Same size as the paper pattern']}
            ticked={[]}
            piece={opened}
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
