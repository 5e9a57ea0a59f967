import { RotateCcw } from 'lucide-react';
import { toast } from 'sonner';
import { call } from '../../ui/api';
import { useAsked } from '../../ui/query';
import VirtualRows from '../../ui/VirtualRows';
import { readableDate } from '../../ui/text';
import { attempt } from '../../ui/undo-toast';
import type { Deleted, DeletedKind } from '../../store/bin';

const KIND_WORDS: Record<DeletedKind, string> = {
  project: 'project',
  piece: 'piece',
  cut: 'cut of a piece',
  job: 'job',
  seam: 'seam',
  cloth: 'cloth',
  layer: 'layer',
  stock: 'kept piece',
  log: 'logbook entry',
  scrap: 'scrap test',
  hoop: 'hoop',
  motif: 'motif',
  hooping: 'hooping',
};

/** What was deleted in the last thirty days, each with its way back. */
export default function BinPanel() {
  const { answer, error, again } = useAsked<{ deleted: Deleted[] }>('/api/bin');
  const deleted = answer?.deleted;
  const takeBack = async (row: Deleted) => {
    if (!(await attempt(`“${row.name}” could not be taken back`, () => call('POST', row.restore)))) return;
    toast(`“${row.name}” is back.`);
    await again();
  };
  return (
    <section className="sheet space-y-3 p-5" aria-labelledby="bin">
      <h2 id="bin" className="chalk-heading">
        Deleted
      </h2>
      <p>What was deleted in the last thirty days can be taken back.</p>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      {deleted?.length === 0 && <p className="quiet">Nothing was deleted lately.</p>}
      {deleted && deleted.length > 0 && (
        <div role="list" aria-label="Deleted things">
          <VirtualRows
            className="max-h-96"
            count={deleted.length}
            height={56}
            keyOf={(i) => `${deleted[i]!.kind}-${deleted[i]!.id}`}
          >
            {(i) => {
              const row = deleted[i]!;
              return (
                <div role="listitem" className="flex min-h-[52px] items-center gap-3">
                  <span className="min-w-0 flex-1">
                    <span className="block truncate font-semibold">{row.name}</span>
                    <span className="quiet block text-[0.92rem]">
                      {KIND_WORDS[row.kind]}
                      {row.of && ` of ${row.of}`}, {readableDate(row.deletedAt)}
                    </span>
                  </span>
                  <button type="button" className="btn" onClick={() => void takeBack(row)} aria-label={`Take back ${row.name}`}>
                    <RotateCcw size={17} aria-hidden="true" /> Take back
                  </button>
                </div>
              );
            }}
          </VirtualRows>
        </div>
      )}
    </section>
  );
}
