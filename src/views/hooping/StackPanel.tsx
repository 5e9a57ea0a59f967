import { useState } from 'react';
import { usedOf } from '../../core/layers';
import { useAsked } from '../../ui/query';
import type { HoopingStack } from '../../store/hoopings';
import type { Judgement } from '../../server/motif-work';
import PutOwnSheets from '../compose/PutOwnSheets';

interface Props {
  motifId: string;
  clothId: string;
  wish: { cut: string; care: string };
  /** What it is: embroidery, a badge, a block. */
  role: string;
  cloths: { id: string; name: string; own: boolean }[];
  stack: HoopingStack | null;
  frozen: boolean;
  onStack: (stack: HoopingStack) => void;
}

/** What lies under and over the motif, and what else would do. */
export default function StackPanel({ motifId, clothId, wish, role, cloths, stack, frozen, onStack }: Props) {
  const [asking, setAsking] = useState(false);
  const question = { clothId, role, ...wish };
  const { answer, error } = useAsked<Judgement>(asking ? `/api/motifs/${motifId}/judge` : undefined, question);
  const judged = asking ? answer : undefined;
  return (
    <section className="sheet space-y-2 p-4" aria-label="What goes under it">
      <h2 className="font-semibold">What goes under it</h2>
      <p>{stack ? stack.title : 'Nothing is chosen yet.'}</p>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      {!frozen && !asking && (
        <button type="button" className={`btn ${stack ? '' : 'btn-primary'}`} onClick={() => setAsking(true)}>
          {stack ? 'Take something else' : 'Choose it'}
        </button>
      )}
      {judged && (
        <ul className="space-y-2">
          {judged.offered.map(({ title, layers, verdict }) => (
            <li key={title}>
              <button
                type="button"
                className="w-full rounded-box border border-base-300 bg-base-100 p-3 text-left hover:bg-base-300/40"
                onClick={() => {
                  onStack({ title, layers: layers.map(({ materialId, angle }) => ({ ...usedOf(materialId), angle })) });
                  setAsking(false);
                }}
              >
                <span className="block leading-snug font-semibold text-primary">{title}</span>
                <span className="block text-[0.95rem]">
                  about {Math.max(5, Math.round((100 * verdict.share) / 5) * 5)} % of what it bears
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {judged && (
        <PutOwnSheets
          motifId={motifId}
          asked={question}
          cloths={cloths}
          take="Take this"
          onTake={(own) => {
            onStack(own);
            setAsking(false);
          }}
        />
      )}
    </section>
  );
}
