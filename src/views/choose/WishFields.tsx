import { CUTS, CUT_WORDS, type Avoid } from '../../core/choose';
import { CheckField } from '../../ui/form/form-fields';
import type { SentenceState } from './sentence-state';
import Word from './Word';

const AVOID_WORDS: [Avoid, string][] = [
  ['fusible', 'fusing'],
  ['liquid', 'liquids'],
  ['spray-glue', 'spray glue'],
  ['sewing-by-hand', 'hand sewing'],
];

/** Wishes beyond the sentence, as they are told on the chip that opens them; nothing where there are none. */
export function wishWords({ cut, cutAlready, avoid, staySheer, opaque, useMine, lead }: SentenceState): string {
  const words = [
    cut === 'straight' ? '' : CUT_WORDS[cut],
    cutAlready ? 'cut already' : '',
    avoid.length > 0
      ? `without ${AVOID_WORDS.filter(([id]) => avoid.includes(id))
          .map(([, word]) => word)
          .join(', ')}`
      : '',
    staySheer ? 'stays sheer' : '',
    opaque ? 'becomes opaque' : '',
    useMine ? 'what I have' : '',
    lead === 'cost' ? 'cheapest first' : lead === 'effort' ? 'quickest first' : '',
  ];
  return words.filter(Boolean).join(' · ');
}

interface Props {
  state: SentenceState;
  onChange: (change: Partial<SentenceState>) => void;
}

/** Wishes beyond the sentence: grain, what is done without, see-through, the cupboard, what comes first. */
export default function WishFields({ state, onChange }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-5">
      <span className="flex flex-wrap items-center gap-x-1">
        It is cut
        <Word label="Grain" value={state.cut} onChange={(cut) => onChange({ cut: cut as SentenceState['cut'] })}>
          {CUTS.map((cut) => (
            <option key={cut} value={cut}>
              {CUT_WORDS[cut]}
            </option>
          ))}
        </Word>
      </span>
      <CheckField
        small
        label="pieces are cut already"
        checked={state.cutAlready}
        onChange={(cutAlready) => onChange({ cutAlready })}
      />
      <fieldset className="flex flex-wrap items-center gap-x-4">
        <legend className="sr-only">Do without</legend>
        <span aria-hidden="true">Without:</span>
        {AVOID_WORDS.map(([avoid, word]) => (
          <CheckField
            key={avoid}
            small
            label={word}
            checked={state.avoid.includes(avoid)}
            onChange={(checked) =>
              onChange({ avoid: checked ? [...state.avoid, avoid] : state.avoid.filter((a) => a !== avoid) })
            }
          />
        ))}
      </fieldset>
      <CheckField
        small
        label="must stay sheer"
        checked={state.staySheer}
        onChange={(staySheer) => onChange({ staySheer, opaque: false })}
      />
      <CheckField
        small
        label="must become opaque"
        checked={state.opaque}
        onChange={(opaque) => onChange({ opaque, staySheer: false })}
      />
      <CheckField small label="use what I have" checked={state.useMine} onChange={(useMine) => onChange({ useMine })} />
      <span className="flex flex-wrap items-center gap-x-1">
        First comes
        <Word label="What comes first" value={state.lead} onChange={(lead) => onChange({ lead: lead as SentenceState['lead'] })}>
          <option value="best">the best fit</option>
          <option value="cost">the cheapest that fits</option>
          <option value="effort">the quickest that fits</option>
        </Word>
      </span>
    </div>
  );
}
