import {
  ROLE_PROFILES,
  type Avoid,
  type Care,
  type Cut,
  type Hand,
  type Part,
  type Role,
  type StretchWish,
} from '../../core/choose';

/** What the front sentence says. */
export interface SentenceState {
  clothId: string;
  role: Role;
  /** `usual` leaves the feel to what the part is usually given. */
  hand: Hand | 'usual';
  stretch: StretchWish;
  care: Care;
  cut: Cut;
  cutAlready: boolean;
  avoid: Avoid[];
  stitches: number;
  width: number;
  height: number;
}

export const START: SentenceState = {
  clothId: 'linen-cotton',
  role: 'collar',
  hand: 'usual',
  stretch: 'any',
  care: 'wash-warm',
  cut: 'straight',
  cutAlready: false,
  avoid: [],
  stitches: 6000,
  width: 90,
  height: 90,
};

/** The part as the choosing rules take it. */
export function partOf(state: SentenceState): Part {
  const stitched = ROLE_PROFILES[state.role].kind === 'stitch';
  return {
    role: state.role,
    ...(state.hand === 'usual' ? {} : { hand: state.hand }),
    cut: state.cut,
    stretch: state.stretch,
    care: state.care,
    ...(state.cutAlready ? { cutAlready: true } : {}),
    ...(state.avoid.length > 0 ? { avoid: state.avoid } : {}),
    ...(stitched ? { embroidery: { stitches: state.stitches, width: state.width, height: state.height } } : {}),
  };
}

/** Reads the sentence from an address; words that are not known stay at their start. */
export function fromQuery(
  query: URLSearchParams,
  allowed: { [K in 'role' | 'hand' | 'stretch' | 'care' | 'cut']: readonly string[] },
): SentenceState {
  const state: Record<string, unknown> = { ...START };
  for (const key of ['role', 'hand', 'stretch', 'care', 'cut'] as const) {
    const value = query.get(key);
    if (value !== null && (allowed[key].includes(value) || (key === 'hand' && value === 'usual'))) state[key] = value;
  }
  if (query.get('cloth')) state['clothId'] = query.get('cloth');
  if (query.get('already') === 'yes') state['cutAlready'] = true;
  const avoid = query.get('without')?.split(' ') ?? [];
  state['avoid'] = avoid.filter((word) => ['liquid', 'spray-glue', 'fusible', 'sewing-by-hand'].includes(word));
  for (const key of ['stitches', 'width', 'height'] as const) {
    const value = Number(query.get(key));
    if (Number.isFinite(value) && value > 0) state[key] = value;
  }
  return state as unknown as SentenceState;
}

/** Writes the sentence into an address, leaving out what stands at its start. */
export function toQuery(state: SentenceState): string {
  const query = new URLSearchParams();
  if (state.clothId !== START.clothId) query.set('cloth', state.clothId);
  for (const key of ['role', 'hand', 'stretch', 'care', 'cut', 'stitches', 'width', 'height'] as const) {
    if (state[key] !== START[key]) query.set(key, String(state[key]));
  }
  if (state.cutAlready) query.set('already', 'yes');
  if (state.avoid.length > 0) query.set('without', state.avoid.join(' '));
  const text = query.toString();
  return text ? `?${text}` : '';
}
