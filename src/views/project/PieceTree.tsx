import { arrayMove } from '@dnd-kit/sortable';
import { Copy, Plus, Trash2 } from 'lucide-react';
import { ROLE_WORDS } from '../../core/choose';
import { DUTY_WORDS } from '../../core/workpiece';
import { SortableList, SortableRow } from '../../ui/Sortable';
import { counted } from '../../ui/text';
import { useTouched } from '../../ui/use-touched';
import type { Cut } from '../../store/cuts';
import type { Job } from '../../store/jobs';
import type { Piece } from '../../store/pieces';
import { isOfLayer, tree, type Rows } from './worked';
import { capital } from '../../core/letters';

interface Props {
  rows: Rows;
  clothName: (id: string | null) => string;
  /** The job in hand, or a cut on which nothing is done. */
  selected: string | null;
  onSelect: (id: string) => void;
  onCopy: (piece: Piece) => void;
  onDelete: (level: 'pieces' | 'cuts' | 'jobs', row: Piece | Cut | Job, name: string) => void;
  onAddCut: (piece: Piece) => void;
  onAddJob: (cut: Cut) => void;
  /** The pieces in another order, by their ids. */
  onOrder: (ids: string[]) => void;
}

/** The pieces of a project, what each is cut from, and what is done to each cut. */
export default function PieceTree({
  rows,
  clothName,
  selected: inUse,
  onSelect,
  onCopy,
  onDelete,
  onAddCut,
  onAddJob,
  onOrder,
}: Props) {
  const all = tree(rows);
  const { shown: selected, touch } = useTouched(inUse, (id) => id !== null && onSelect(id));
  return (
    <SortableList
      ids={all.map(({ piece }) => piece.id)}
      onMove={(from, to) =>
        onOrder(
          arrayMove(
            all.map(({ piece }) => piece.id),
            from,
            to,
          ),
        )
      }
    >
      <ul className="space-y-3">
        {all.map(({ piece, cuts }) => {
          // What can be added and deleted is shown of the piece in hand alone: the list stays short.
          const inHand = cuts.some(({ cut, jobs }) => cut.id === selected || jobs.some(({ id }) => id === selected));
          return (
            <SortableRow
              key={piece.id}
              id={piece.id}
              name={piece.name}
              className="rounded-box border border-base-300 bg-base-100 p-2"
            >
              {(handle) => (
                <>
                  <div className="flex items-center gap-1">
                    {all.length > 1 && handle}
                    <h3 className="min-w-0 flex-1 leading-snug font-bold">{piece.name}</h3>
                    <button
                      type="button"
                      className="btn btn-ghost btn-icon"
                      aria-label={`Copy ${piece.name}`}
                      title="Copy this piece"
                      onClick={() => onCopy(piece)}
                    >
                      <Copy size={17} aria-hidden="true" />
                    </button>
                    <button
                      type="button"
                      className="btn btn-ghost btn-icon"
                      aria-label={`Delete ${piece.name}`}
                      title="Delete this piece"
                      onClick={() => onDelete('pieces', piece, piece.name)}
                    >
                      <Trash2 size={17} aria-hidden="true" />
                    </button>
                  </div>
                  {cuts.map(({ cut, jobs }) => (
                    <div key={cut.id} className="mt-1 border-t border-base-300 pt-1">
                      <div className="flex items-center gap-1 pl-1">
                        <p className="quiet min-w-0 flex-1 text-[0.88rem] leading-snug">
                          {capital(DUTY_WORDS[cut.duty])}:{' '}
                          {jobs.some(({ stack }) => isOfLayer({ cut, stack })) ? 'of its layer' : clothName(cut.clothId)},{' '}
                          {counted(cut.count, 'piece')}
                        </p>
                        {inHand && cuts.length > 1 && (
                          <button
                            type="button"
                            className="btn btn-ghost btn-icon"
                            aria-label={`Delete the ${DUTY_WORDS[cut.duty]} of ${piece.name}`}
                            onClick={() => onDelete('cuts', cut, `${piece.name}, ${DUTY_WORDS[cut.duty]}`)}
                          >
                            <Trash2 size={17} aria-hidden="true" />
                          </button>
                        )}
                      </div>
                      {jobs.length === 0 && (
                        <Choice current={cut.id === selected} onClick={() => touch(cut.id)} words="Nothing is done to it" />
                      )}
                      {jobs.map((job) => (
                        <div key={job.id} className="flex items-stretch gap-1">
                          <Choice
                            current={job.id === selected}
                            onClick={() => touch(job.id)}
                            words={capital(job.name || ROLE_WORDS[job.wish.role])}
                            more={job.stack ? job.stack.title : 'no layers yet'}
                          />
                          {inHand && jobs.length > 1 && (
                            <button
                              type="button"
                              className="btn btn-ghost btn-icon h-auto"
                              aria-label={`Delete the job ${job.name || ROLE_WORDS[job.wish.role]} on ${piece.name}`}
                              onClick={() => onDelete('jobs', job, `${piece.name}: ${job.name || ROLE_WORDS[job.wish.role]}`)}
                            >
                              <Trash2 size={17} aria-hidden="true" />
                            </button>
                          )}
                        </div>
                      ))}
                      {inHand && (
                        <button
                          type="button"
                          className="btn btn-ghost btn-sm min-h-[44px] w-full justify-start"
                          onClick={() => onAddJob(cut)}
                        >
                          <Plus size={16} aria-hidden="true" /> {jobs.length === 0 ? 'A job on it' : 'Another job on it'}
                        </button>
                      )}
                    </div>
                  ))}
                  {inHand && (
                    <button
                      type="button"
                      className="btn btn-ghost btn-sm mt-1 min-h-[44px] w-full justify-start border-t border-base-300"
                      onClick={() => onAddCut(piece)}
                    >
                      <Plus size={16} aria-hidden="true" /> Cut it from another cloth too
                    </button>
                  )}
                </>
              )}
            </SortableRow>
          );
        })}
      </ul>
    </SortableList>
  );
}

function Choice({ current, words, more, onClick }: { current: boolean; words: string; more?: string; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-current={current ? 'true' : undefined}
      onClick={onClick}
      className={`min-h-[48px] w-full min-w-0 flex-1 rounded-field border-2 px-3 py-1 text-left ${current ? 'border-primary bg-base-200' : 'border-transparent hover:border-primary'}`}
    >
      <span className="block leading-snug font-semibold">{words}</span>
      {more && <span className="quiet block text-[0.88rem] leading-snug">{more}</span>}
    </button>
  );
}
