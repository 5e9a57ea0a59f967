import {
  CRITERION_IDS,
  LEADS,
  ROLE_PROFILES,
  type Avoid,
  type Care,
  type CriterionId,
  type CutGrain,
  type Hand,
  type Lead,
  type Part,
  type PieceSize,
  type Role,
  type StretchWish,
  type Weights,
} from '../../core/choose';
import { fabricLike, type Fabric, type LikeChange } from '../../core/cloth';
import { SCHOOLS, type Schools } from '../../core/schools';

/** Figures by which a cloth may differ from the known one; any cloth, to see whether they can be. */
const LIKE: readonly (keyof LikeChange)[] = ['arealDensity', 'stretchCross', 'ironDots'];
const PLAIN = { construction: 'woven', fibres: [], arealDensity: 100 } as unknown as Fabric;

/** What the front sentence says, with the wishes under it. */
export interface SentenceState {
  clothId: string;
  /** How the cloth in hand differs from the one that is named. */
  like: LikeChange;
  role: Role;
  /** `usual` leaves the feel to what the part is usually given. */
  hand: Hand | 'usual';
  stretch: StretchWish;
  care: Care;
  cut: CutGrain;
  cutAlready: boolean;
  avoid: Avoid[];
  stitches: number;
  width: number;
  height: number;
  /** Upper thread of the motif, mm; 0 when it is not known. */
  threadLength: number;
  staySheer: boolean;
  /** The opposite wish. */
  opaque: boolean;
  useMine: boolean;
  lead: Lead | 'best';
  weights: Weights;
  schools: Partial<Schools>;
  /** The person's own pieces; undefined for the usual ones of the part. */
  piece: PieceSize | undefined;
}

export const START: SentenceState = {
  clothId: 'linen-cotton',
  like: {},
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
  threadLength: 0,
  staySheer: false,
  opaque: false,
  useMine: false,
  lead: 'best',
  weights: {},
  schools: {},
  piece: undefined,
};

/** The part as the choosing rules take it. */
export function partOf(state: SentenceState): Part {
  const stitched = ROLE_PROFILES[state.role].kind === 'stitch';
  const { stitches, width, height, threadLength } = state;
  return {
    role: state.role,
    ...(state.hand === 'usual' ? {} : { hand: state.hand }),
    cut: state.cut,
    stretch: state.stretch,
    care: state.care,
    ...(state.cutAlready ? { cutAlready: true } : {}),
    ...(state.avoid.length > 0 ? { avoid: state.avoid } : {}),
    ...(stitched ? { embroidery: { stitches, width, height, ...(threadLength > 0 ? { threadLength } : {}) } } : {}),
  };
}

/** Wishes, weights, schools and pieces as the endpoints take them; what stands at its start is left out. */
export function askedWith(state: SentenceState) {
  const wishes = {
    ...(state.staySheer ? { staySheer: true } : {}),
    ...(state.opaque ? { opaque: true } : {}),
    ...(state.useMine ? { useMine: true } : {}),
    ...(state.lead === 'best' ? {} : { lead: state.lead }),
  };
  return {
    // What was filed about the known cloth says little of another.
    ...(Object.keys(state.like).length > 0 ? {} : { clothId: state.clothId }),
    ...(Object.keys(wishes).length > 0 ? { wishes } : {}),
    ...(Object.keys(state.weights).length > 0 ? { weights: state.weights } : {}),
    ...(Object.keys(state.schools).length > 0 ? { schools: state.schools } : {}),
    ...(state.piece ? { piece: state.piece } : {}),
  };
}

/** `key:value` pairs with spaces between. */
function pairs(text: string | null): [string, string][] {
  return (text ?? '')
    .split(' ')
    .map((pair) => pair.split(':'))
    .filter((pair): pair is [string, string] => pair.length === 2);
}

function writePairs(record: object): string {
  return Object.entries(record)
    .map(([key, value]) => `${key}:${String(value)}`)
    .join(' ');
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
  const like: LikeChange = {};
  for (const [key, value] of pairs(query.get('but')))
    if (LIKE.includes(key as keyof LikeChange) && value !== '' && Number.isFinite(Number(value)))
      like[key as keyof LikeChange] = Number(value);
  try {
    fabricLike(PLAIN, like);
    state['like'] = like;
  } catch {
    // A cloth that cannot be is the known one.
  }
  if (query.get('already') === 'yes') state['cutAlready'] = true;
  const avoid = query.get('without')?.split(' ') ?? [];
  state['avoid'] = avoid.filter((word) => ['liquid', 'spray-glue', 'fusible', 'sewing-by-hand'].includes(word));
  for (const key of ['stitches', 'width', 'height', 'threadLength'] as const) {
    const value = Number(query.get(key));
    if (Number.isFinite(value) && value > 0) state[key] = value;
  }
  state['staySheer'] = query.get('sheer') === 'yes';
  // Both at once cannot be.
  state['opaque'] = query.get('sheer') === 'no';
  state['useMine'] = query.get('mine') === 'yes';
  const lead = query.get('lead');
  if (LEADS.includes(lead as Lead)) state['lead'] = lead;
  const weights: Weights = {};
  for (const [id, value] of pairs(query.get('weigh'))) {
    const weight = Number(value);
    if (CRITERION_IDS.includes(id as CriterionId) && weight >= 0 && weight <= 4) weights[id as CriterionId] = weight;
  }
  state['weights'] = weights;
  const schools: Record<string, string> = {};
  for (const [id, option] of pairs(query.get('ways'))) {
    if (SCHOOLS.some((school) => school.id === id && school.options.some((each) => each.id === option))) schools[id] = option;
  }
  state['schools'] = schools;
  const [width, height, count] = (query.get('piece') ?? '').split('x').map(Number);
  if (
    width! > 0 &&
    height! > 0 &&
    width! <= 20_000 &&
    height! <= 20_000 &&
    Number.isInteger(count) &&
    count! > 0 &&
    count! <= 1000
  )
    state['piece'] = { width, height, count };
  return state as unknown as SentenceState;
}

/** Writes the sentence into an address, leaving out what stands at its start. */
export function toQuery(state: SentenceState): string {
  const query = new URLSearchParams();
  if (state.clothId !== START.clothId) query.set('cloth', state.clothId);
  if (Object.keys(state.like).length > 0) query.set('but', writePairs(state.like));
  for (const key of ['role', 'hand', 'stretch', 'care', 'cut', 'stitches', 'width', 'height', 'threadLength', 'lead'] as const) {
    if (state[key] !== START[key]) query.set(key, String(state[key]));
  }
  if (state.cutAlready) query.set('already', 'yes');
  if (state.avoid.length > 0) query.set('without', state.avoid.join(' '));
  if (state.staySheer) query.set('sheer', 'yes');
  else if (state.opaque) query.set('sheer', 'no');
  if (state.useMine) query.set('mine', 'yes');
  if (Object.keys(state.weights).length > 0) query.set('weigh', writePairs(state.weights));
  if (Object.keys(state.schools).length > 0) query.set('ways', writePairs(state.schools));
  if (state.piece) query.set('piece', `${state.piece.width}x${state.piece.height}x${state.piece.count}`);
  const text = query.toString();
  return text ? `?${text}` : '';
}
