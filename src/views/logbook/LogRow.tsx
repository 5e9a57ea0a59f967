import { Pencil, Trash2 } from 'lucide-react';
import type { ListedEntry } from '../../store/lists';
import type { LogEntry } from '../../store/log';
import FoundCauses from './FoundCauses';
import PredictedMeasured from '../../ui/PredictedMeasured';
import SmallDrawing from '../../ui/SmallDrawing';
import { useUnits } from '../../ui/units-context';
import { keepUnits, readableDate } from '../../ui/text';

export const OUTCOME_WORDS: Record<LogEntry['outcome'], { words: string; badge: string; mark: string }> = {
  good: { words: 'came out well', badge: 'badge-success', mark: '●' },
  fair: { words: 'passable', badge: 'badge-accent', mark: '◐' },
  poor: { words: 'went wrong', badge: 'badge-error', mark: '○' },
};

interface Props {
  entry: ListedEntry;
  onEdit: () => void;
  onRemove: () => void;
}

/** One entry of the logbook: what was put on what, how it came out, what was expected and measured. */
export default function LogRow({ entry, onEdit, onRemove }: Props) {
  const { project: of } = entry;
  const { said } = useUnits();
  const words = OUTCOME_WORDS[entry.outcome];
  return (
    <li className="sheet grid gap-x-4 gap-y-1 p-3 md:grid-cols-[1fr_13rem_92px]">
      <div className="min-w-0">
        {of && entry.jobId && <SmallDrawing of="jobs" id={entry.jobId} className="float-right ml-3 h-12 w-20" />}
        <p className="flex flex-wrap items-center gap-x-3">
          <span className="font-bold">{entry.title}</span>
          <span className={`badge ${words.badge}`}>
            <span aria-hidden="true">{words.mark}</span> {words.words}
          </span>
          <span className="quiet text-[0.92rem]">
            {readableDate(entry.doneOn)}
            {entry.kind === 'scrap' ? ', scrap test' : ''}
          </span>
        </p>
        <p>
          {keepUnits(entry.stackTitle)} on {entry.clothName}
          {of && (
            <>
              {', in '}
              <a
                className="font-semibold text-primary underline underline-offset-2"
                href={`/projects/${of.id}?job=${entry.jobId}&stage=file`}
              >
                {of.name}
              </a>
            </>
          )}
        </p>
        {entry.checks.failed.length > 0 && <p className="text-[0.95rem]">Not ticked: {said(entry.checks.failed.join('; '))}</p>}
        <FoundCauses causes={entry.causes} />
        {entry.note && <p className="quiet text-[0.95rem]">{entry.note}</p>}
      </div>
      {entry.predictedBendingLength !== null ? (
        <PredictedMeasured
          predicted={entry.predictedBendingLength}
          low={entry.predictedLow!}
          high={entry.predictedHigh!}
          measured={entry.measuredBendingLength}
        />
      ) : (
        <span />
      )}
      <span className="flex">
        <button
          type="button"
          className="btn btn-ghost btn-icon"
          aria-label={`Correct ${entry.title} of ${readableDate(entry.doneOn)}`}
          onClick={onEdit}
        >
          <Pencil size={18} aria-hidden="true" />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-icon"
          aria-label={`Take ${entry.title} of ${readableDate(entry.doneOn)} out`}
          onClick={onRemove}
        >
          <Trash2 size={18} aria-hidden="true" />
        </button>
      </span>
    </li>
  );
}
