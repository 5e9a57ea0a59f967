import { CARE_WORDS, ROLE_PROFILES, type Choice } from '../../core/choose';
import type { Fabric } from '../../core/cloth';
import { keepUnits } from '../../ui/text';
import type { SentenceState } from './sentence-state';

/** Parts that are backed all over: whether cloth that is seen through stays so has to be said. */
const BACKED: readonly SentenceState['role'][] = ['bodice', 'whole-panel'];

function asksWhichWay({ sheer, surface, weave }: Fabric, { role, staySheer, opaque }: SentenceState): boolean {
  if (staySheer || opaque || !BACKED.includes(role)) return false;
  return sheer !== 'opaque' || surface.includes('openwork') || weave === 'eyelet';
}

const TURN = 'mt-2 flex flex-wrap items-center gap-3 border-l-4 border-accent pl-3';

interface Props {
  choice: Choice;
  fabric: Fabric;
  state: SentenceState;
  onChange: (change: Partial<SentenceState>) => void;
}

/** What a helper across the table would ask or say before any answer. */
export default function Hints({ choice: { care }, fabric, state, onChange }: Props) {
  return (
    <>
      {asksWhichWay(fabric, state) && (
        <p className={TURN}>
          This cloth is seen through. Should {ROLE_PROFILES[state.role].phrase} stay so, or become opaque?
          <button type="button" className="btn" onClick={() => onChange({ staySheer: true })}>
            Stay as sheer as it is
          </button>
          <button type="button" className="btn" onClick={() => onChange({ opaque: true })}>
            Become opaque
          </button>
        </p>
      )}
      {care && (
        <p className={TURN}>
          <span>
            Usual here is <strong>{keepUnits(care.title)}</strong>, but it is ruled out. {care.why}
          </span>
          <button type="button" className="btn" onClick={() => onChange({ care: care.care })}>
            It will be {CARE_WORDS[care.care]} instead
          </button>
        </p>
      )}
    </>
  );
}
