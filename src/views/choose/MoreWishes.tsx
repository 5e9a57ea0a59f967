import { useState } from 'react';
import { typicalPiece, type CriterionId } from '../../core/choose';
import { schoolsOf, type Schools } from '../../core/schools';
import type { Fabric } from '../../core/cloth';
import { formatArealDensity } from '../../core/units';
import Field from '../../ui/form/Field';
import LengthField from '../../ui/LengthField';
import SchoolSelects from '../../ui/SchoolSelects';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import WeightSliders from '../../ui/WeightSliders';
import type { SentenceState } from './sentence-state';
import LikeCloth from './LikeCloth';
import { likeWords } from './like-words';
import WishFields, { wishWords } from './WishFields';

interface Props {
  state: SentenceState;
  /** The cloth that is named. */
  cloth: Fabric & { name: string };
  /** Criteria that count for the question in hand. */
  criteria: readonly CriterionId[];
  /** The person's settings. */
  ways: Partial<Schools>;
  onChange: (change: Partial<SentenceState>) => void;
}

type Tab = 'cloth' | 'wishes' | 'matters' | 'pieces' | 'ways';

/** What is asked less often: grain and what is done without, what matters more, how large the pieces are, ways of working. Folded away. */
export default function MoreWishes({ state, cloth, criteria, ways, onChange }: Props) {
  const [tab, setTab] = useState<Tab>();
  const units = useUnits();
  const piece = state.piece ?? typicalPiece(state.role);
  const weighed = Object.keys(state.weights).length;
  const switched = Object.keys(state.schools).length;
  const tabs: [Tab, string, string][] = [
    ['cloth', 'Cloth', likeWords(state.like, (gsm) => formatArealDensity(gsm, units.system)) || 'as named'],
    ['wishes', 'Wishes', wishWords(state) || 'none besides'],
    ['matters', 'What matters', weighed > 0 ? `${counted(weighed, 'change')}` : 'as usual'],
    ['pieces', 'Pieces', `${piece.count} of ${units.size(piece.width, piece.height)}${state.piece ? '' : ', as usual'}`],
    ['ways', 'Ways of working', switched > 0 ? `${counted(switched, 'change')}` : 'as in the settings'],
  ];
  const setPiece = (change: Partial<typeof piece>) => onChange({ piece: { ...piece, ...change } });
  return (
    <div className="mt-1">
      <div className="flex flex-wrap gap-2">
        {tabs.map(([id, word, now]) => (
          <button
            key={id}
            type="button"
            aria-expanded={tab === id}
            aria-controls="more-wishes"
            className={`min-h-[44px] rounded-field border px-3 ${tab === id ? 'border-primary bg-base-200' : 'border-base-300 hover:border-primary'}`}
            onClick={() => setTab(tab === id ? undefined : id)}
          >
            <span className="font-semibold">{word}:</span> {now}
          </button>
        ))}
      </div>
      <div id="more-wishes" className={tab ? 'sheet mt-2 p-4' : 'hidden'}>
        {tab === 'cloth' && <LikeCloth cloth={cloth} like={state.like} onChange={(like) => onChange({ like })} />}
        {tab === 'wishes' && <WishFields state={state} onChange={onChange} />}
        {tab === 'matters' && (
          <>
            <WeightSliders shown={criteria} weights={state.weights} onChange={(weights) => onChange({ weights })} />
            {weighed > 0 && (
              <button type="button" className="btn mt-2" onClick={() => onChange({ weights: {} })}>
                All as usual again
              </button>
            )}
          </>
        )}
        {tab === 'pieces' && (
          <div className="grid max-w-3xl gap-4 sm:grid-cols-3">
            <LengthField
              label="Width of a piece"
              value={piece.width}
              min={1}
              onChange={(width) => setPiece({ width: Math.min(width, 20_000) })}
            />
            <LengthField
              label="Height of a piece"
              value={piece.height}
              min={1}
              onChange={(height) => setPiece({ height: Math.min(height, 20_000) })}
            />
            <Field label="How many" id="piece-count">
              <input
                id="piece-count"
                type="number"
                className="input"
                min={1}
                max={1000}
                value={piece.count}
                onChange={(e) => setPiece({ count: Math.max(1, Math.min(1000, Math.round(Number(e.target.value)) || 1)) })}
              />
            </Field>
            <p className="quiet sm:col-span-3">
              With their allowances. Lengths, costs and times are told for these pieces, laid in plain rows.{' '}
              {state.piece && (
                <button
                  type="button"
                  className="font-semibold text-primary underline underline-offset-2"
                  onClick={() => onChange({ piece: undefined })}
                >
                  Take the usual ones
                </button>
              )}
            </p>
          </div>
        )}
        {tab === 'ways' && (
          <SchoolSelects value={state.schools} base={schoolsOf(ways)} onChange={(schools) => onChange({ schools })} />
        )}
      </div>
    </div>
  );
}
