import { useMemo, type ReactNode } from 'react';
import {
  CARES,
  CARE_WORDS,
  HANDS,
  ROLES,
  ROLE_PROFILES,
  ROLE_WORDS,
  STRETCHES,
  STRETCH_WORDS,
  type Role,
} from '../../core/choose';
import { lower } from '../../core/letters';
import Combobox from '../../ui/Combobox';
import LengthField from '../../ui/LengthField';
import Field from '../../ui/form/Field';
import type { SentenceState } from './sentence-state';
import Word from './Word';

export interface ClothChoice {
  id: string;
  name: string;
  own: boolean;
}

interface Props {
  state: SentenceState;
  cloths: ClothChoice[];
  /** Feel that the part is usually given. */
  usualHand: string;
  onChange: (change: Partial<SentenceState>) => void;
  /** What is asked less often, at the end of the wishes. */
  children?: ReactNode;
}

const ROLE_GROUPS: [string, (role: Role) => boolean][] = [
  ['Clothes', (role) => ROLE_PROFILES[role].kind === 'garment'],
  ['Hats', (role) => ROLE_PROFILES[role].kind === 'hat'],
  ['Bags and boxes', (role) => ROLE_PROFILES[role].kind === 'bag'],
  ['Quilts', (role) => ROLE_PROFILES[role].kind === 'quilt'],
  ['Stitching on cloth', (role) => ROLE_PROFILES[role].kind === 'stitch'],
  ['Treatments', (role) => ROLE_PROFILES[role].kind === 'treat'],
];

/** Takes the article off the phrase, since the sentence brings its own. */
function article(role: Role): string {
  const { phrase } = ROLE_PROFILES[role];
  return phrase.startsWith('an ') ? 'an' : phrase.startsWith('a ') ? 'a' : phrase.startsWith('the ') ? 'the' : '';
}

function afterArticle(role: Role): string {
  return ROLE_PROFILES[role].phrase.replace(/^(a|an|the) /, '');
}

/** The question as a sentence whose underlined words are changed in place. */
export default function Sentence({ state, cloths, usualHand, onChange, children }: Props) {
  const stitched = ROLE_PROFILES[state.role].kind === 'stitch';
  const groups = useMemo(() => {
    const optionsOf = (own: boolean) =>
      cloths.filter((cloth) => cloth.own === own).map(({ id, name }) => ({ id, words: lower(name) }));
    return [
      { label: 'My own', options: optionsOf(true) },
      { label: 'Library', options: optionsOf(false) },
    ];
  }, [cloths]);
  return (
    <section aria-label="What you have and what it is for">
      <h1 className="text-[1.25rem] leading-[1.8] font-normal md:text-[1.36rem]">
        I have{' '}
        <Combobox
          word="Cloth"
          value={state.clothId}
          groups={groups}
          nothing={
            <p className="mt-2">
              <a className="btn w-full justify-start" href="/cupboard?shelf=cloth&add=yes">
                Describe it
              </a>
            </p>
          }
          onChange={(clothId) => clothId && onChange({ clothId, like: {} })}
        />{' '}
        for {article(state.role)}{' '}
        <Word label="Part" value={state.role} onChange={(role) => onChange({ role: role as Role })}>
          {ROLE_GROUPS.map(([group, belongs]) => (
            <optgroup key={group} label={group}>
              {ROLES.filter(belongs).map((role) => (
                <option key={role} value={role}>
                  {role === state.role ? afterArticle(role) : ROLE_WORDS[role]}
                </option>
              ))}
            </optgroup>
          ))}
        </Word>{' '}
        that should{' '}
        {!stitched && (
          <>
            feel{' '}
            <Word label="Feel" value={state.hand} onChange={(hand) => onChange({ hand: hand as SentenceState['hand'] })}>
              <option value="usual">{usualHand}</option>
              {HANDS.map((hand) => (
                <option key={hand} value={hand}>
                  {hand === usualHand ? `just ${hand}` : hand}
                </option>
              ))}
            </Word>
            ,{' '}
          </>
        )}
        <Word
          label="Stretch"
          value={state.stretch}
          onChange={(stretch) => onChange({ stretch: stretch as SentenceState['stretch'] })}
        >
          {STRETCHES.map((stretch) => (
            <option key={stretch} value={stretch}>
              {STRETCH_WORDS[stretch]}
            </option>
          ))}
        </Word>{' '}
        and be{' '}
        <Word label="Care" value={state.care} onChange={(care) => onChange({ care: care as SentenceState['care'] })}>
          {CARES.map((care) => (
            <option key={care} value={care}>
              {CARE_WORDS[care]}
            </option>
          ))}
        </Word>
        .
      </h1>
      {children}
      {stitched && (
        <div className="mt-2 grid max-w-3xl grid-cols-2 gap-4 sm:grid-cols-4">
          <Field label="Stitches" id="stitches">
            <input
              id="stitches"
              type="number"
              min={1}
              max={2000000}
              step={100}
              className="input"
              value={state.stitches}
              onChange={(e) => onChange({ stitches: Math.max(1, Math.min(2_000_000, Number(e.target.value) || 1)) })}
            />
          </Field>
          <LengthField
            label="Motif width"
            value={state.width}
            min={1}
            onChange={(width) => onChange({ width: Math.min(width, 2000) })}
          />
          <LengthField
            label="Motif height"
            value={state.height}
            min={1}
            onChange={(height) => onChange({ height: Math.min(height, 2000) })}
          />
          <Field label="Thread, m" id="thread" hint="0 when not known">
            <input
              id="thread"
              type="number"
              min={0}
              max={10000}
              className="input"
              value={state.threadLength / 1000}
              onChange={(e) => onChange({ threadLength: Math.max(0, Math.min(10_000, Number(e.target.value) || 0)) * 1000 })}
            />
          </Field>
        </div>
      )}
    </section>
  );
}
