import { InputError } from '../input-error';
import { capital } from '../letters';
import type { Role } from '../part';
import { inReadersUnit, parseLength, type LengthSystem } from '../units';
import type { Duty } from '../workpiece';
import { guessedRole } from './guessed-role';

/** A cloth that may be named in a line. */
export interface NamedCloth {
  id: string;
  name: string;
}

/** A piece as it was typed in one line: a rectangle, its cloths, how it is cut. Lengths in mm. */
export interface TypedPiece {
  name: string;
  count: number;
  pairs: boolean;
  width: number;
  height: number;
  /** It is cut on the fold; on which edge follows from what it is: {@link foldEdge}. */
  onFold: boolean;
  /** The same on every edge but the fold; undefined where it was not said. */
  allowance: number | undefined;
  role: Role;
  /** One cut for each; the outer cloth first, null where none was named. */
  cuts: { duty: Duty; clothId: string | null }[];
}

/** One line of what was typed: a piece, or why it is none. */
export interface TypedLine {
  text: string;
  piece?: TypedPiece;
  trouble?: string;
}

/** Most lines that are read at once. */
const MOST_LINES = 100;

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?(?:\s*[½¼¾⅛⅜⅝⅞]|[ -]\d+\/\d+)?|\d+\/\d+|[½¼¾⅛⅜⅝⅞])`;
const UNIT = String.raw`(?:\s*(?:mm|cm|m\b|in\b|inch(?:es)?\b|"|″|”))?`;
const SIZE = new RegExp(`(${NUMBER})(${UNIT})\\s*(?:x|×|\\*|by)\\s*(${NUMBER})(${UNIT})`, 'i');
/** Right behind a size a fraction is the seam's: 6 x 8 3/8 seam. */
const SEAM_BEHIND_SIZE = new RegExp(
  String.raw`(?<=(?:x|×|\*|by)\s*\d+(?:[.,]\d+)?\s+)(\d+\/\d+|[½¼¾⅛⅜⅝⅞])(${UNIT})\s*(?:seams?|allowances?)(?:\s+allowances?)?`,
  'i',
);
const SEAM = new RegExp(
  `(?:(?<![\\d/.,])(${NUMBER})(${UNIT})\\s*(?:seams?|allowances?)(?:\\s+allowances?)?|(?:seams?|allowances?)(?:\\s+allowances?)?\\s*(${NUMBER})(${UNIT}))`,
  'i',
);
const NO_SEAM = /\b(?:no|without)\s+(?:seams?|allowances?)(?:\s+allowances?)?\b/i;
const FOLD = /\b(?:cut\s+)?(?:on\s+(?:the\s+)?)?fold(?:ed)?\b/i;
const PAIR = /\b(?:(?:a\s+)?pairs?(?:\s+of)?|mirrored|left\s+and\s+right)\b/i;
const COUNT = /^(?:cut\s+)?(\d{1,3})\s*(?:x|×)?\s+(?=[^\d\s])(?!(?:x|×|by)\s*\d)/i;
const DUTY_NAMES: readonly [RegExp, Duty][] = [
  [/^underlin(?:ing|ed(?:\s+with)?)\b/i, 'underlining'],
  [/^(?:soft[\s-]+)?interlin(?:ing|ed(?:\s+with)?)\b/i, 'soft-interlining'],
  [/^lin(?:ing|ed(?:\s+with)?)\b/i, 'lining'],
  [/^pocketing\b/i, 'pocketing'],
];

/**
 * Pieces typed as one speaks, one in a line: `2 flap 26 x 16 canvas, lining poplin`, `collar 45x9 fold`, `4 tabs 6 x 8 3/8 seam`. A size without a
 * unit is in centimetres or inches, as it is set; an allowance without one in millimetres from 5 on, a fraction in inches.
 *
 * @param system in which a bare number is read @param cloths that may be named by any words of their names
 * @returns one for each line that is not empty
 * @throws {InputError} for more than a hundred lines
 * @example readTypedPieces('2 flap 26 x 16 canvas', 'metric', [{ id: 'c', name: 'Duck canvas' }])[0].piece.width // 260
 */
export function readTypedPieces(text: string, system: LengthSystem, cloths: readonly NamedCloth[]): TypedLine[] {
  const lines = text
    .split(/\r?\n|;/)
    .map((line) => line.replace(/^[\s•*–-]+/, '').trim())
    .filter((line) => line !== '');
  if (lines.length > MOST_LINES) throw new InputError('lines', `must be at most ${MOST_LINES}, saw ${lines.length}`);
  return lines.map((line) => {
    try {
      return { text: line, piece: readLine(line, system, cloths) };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { text: line, trouble: inReadersUnit(error.message.replace(/^[^:]*: /, ''), system) };
    }
  });
}

function readLine(line: string, system: LengthSystem, cloths: readonly NamedCloth[]): TypedPiece {
  let rest = line;
  /** Takes a pattern out of the line and gives what it found. */
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest);
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
    return found;
  };
  const pair = take(PAIR)?.[0];
  const count = COUNT.exec(rest.trim());
  if (count) rest = rest.trim().slice(count[0].length);
  const none = take(NO_SEAM) !== null;
  const seam = take(SEAM_BEHIND_SIZE) ?? take(SEAM);
  const size = take(SIZE);
  if (!size) throw new InputError('size', 'write how large it is, such as 26 x 16');
  const fold = take(FOLD) !== null;
  // The unit that stands behind the second figure counts for both.
  const unit = (own: string | undefined) => own?.trim() || size[4]?.trim() || (system === 'inch' ? 'in' : 'cm');
  const [width, height] = [
    lengthOf(size[1]!, unit(size[2]), system, 'width'),
    lengthOf(size[3]!, unit(size[4]), system, 'height'),
  ];
  const [named, ...more] = rest
    .split(/,(?!\d)|\bwith\b/i)
    .map((clause) => clause.replace(/\s+/g, ' ').trim())
    .filter((clause) => clause !== '');
  const { name, cut } = nameAndCloth(named ?? '', cloths);
  const role = guessedRole(name);
  const cuts = [cut, ...more.map((clause) => clothOf(clause, cloths))];
  if (new Set(cuts.map(({ duty }) => duty)).size < cuts.length)
    throw new InputError('cloth', 'names two cloths for one and the same: say which is the lining');
  const number = count ? Number(count[1]) : 1;
  return {
    ...{ name: capital(name), width, height, role, cuts },
    // Two pairs are four; what is only mirrored is as many as are said, two at least.
    count: pair === undefined ? Math.max(1, number) : /pair/i.test(pair) ? 2 * Math.max(1, number) : Math.max(2, number),
    pairs: pair !== undefined,
    onFold: fold,
    allowance: none ? 0 : seam ? seamOf(seam, system) : undefined,
  };
}

function lengthOf(figure: string, unit: string, system: LengthSystem, field: string): number {
  // A fraction without a unit of its own is one of an inch.
  const spoken = /[/½¼¾⅛⅜⅝⅞]/.test(figure) && unit === 'cm' ? 'in' : unit;
  const mm = parseLength(`${figure} ${spoken.replace(/^inch(?:es)?$/i, 'in')}`, system, field);
  if (!(mm >= 1 && mm <= 10_000)) throw new InputError(field, `must be from 1 mm to 10 m, saw ${figure} ${spoken}`);
  return mm;
}

function seamOf(found: RegExpExecArray, system: LengthSystem): number {
  const figure = (found[1] ?? found[3])!;
  const own = (found[2] ?? found[4])?.trim();
  const bare = Number(figure.replace(',', '.'));
  const unit = own || (system === 'inch' || Number.isNaN(bare) ? 'in' : bare < 5 ? 'cm' : 'mm');
  const mm = parseLength(`${figure} ${unit}`, system, 'seam');
  if (mm > 100) throw new InputError('seam', `must be at most 100 mm, saw ${figure} ${unit}`);
  return mm;
}

/** What is folded lengthwise lies with its long edge on the fold; what is cut as a half has its side there. */
const LENGTHWISE: readonly Role[] = ['collar', 'cuff', 'button-band', 'waistband', 'curved-waistband', 'knit-binding', 'bag-strap', 'tab', 'welt']; // prettier-ignore

/**
 * The edge of a rectangle that lies on the fold: a long one of what is folded lengthwise, the left one of what is cut as a half.
 *
 * @returns 2 above, 3 left
 * @example foldEdge({ width: 450, height: 90 }, 'collar') // 2
 */
export function foldEdge({ width, height }: Pick<TypedPiece, 'width' | 'height'>, role: Role): 2 | 3 {
  if (LENGTHWISE.includes(role)) return width >= height ? 2 : 3;
  return 3;
}

/** The name, and behind it a cloth: the longest run of last words that all belong to one cloth. */
function nameAndCloth(clause: string, cloths: readonly NamedCloth[]): { name: string; cut: TypedPiece['cuts'][number] } {
  const words = clause.split(' ').filter((word) => word !== '');
  for (let i = 1; i < words.length; i++) {
    const found = clothNamed(words.slice(i), cloths);
    if (found)
      return {
        name: words
          .slice(0, i)
          .join(' ')
          .replace(/ (?:in|of|from)$/i, ''),
        cut: { duty: 'shell', clothId: found },
      };
  }
  if (words.length === 0) throw new InputError('name', 'write what it is, such as flap or collar');
  return { name: words.join(' '), cut: { duty: 'shell', clothId: null } };
}

/** A further clause: a duty with its cloth, or a cloth alone. */
function clothOf(clause: string, cloths: readonly NamedCloth[]): TypedPiece['cuts'][number] {
  const [pattern, duty] = DUTY_NAMES.find(([each]) => each.test(clause)) ?? [/^(?:in|of|from)\s+/i, 'shell' as const];
  const words = clause
    .replace(pattern, '')
    .trim()
    .split(' ')
    .filter((word) => word !== '');
  if (words.length === 0 && duty !== 'shell') return { duty, clothId: null };
  const clothId = clothNamed(words, cloths);
  if (!clothId) throw new InputError('cloth', `no cloth of the cupboard is called “${words.join(' ')}”`);
  return { duty, clothId };
}

/** The cloth whose name holds all of some words, each from its beginning; the one with fewest words beside them, then the first. */
function clothNamed(words: readonly string[], cloths: readonly NamedCloth[]): string | undefined {
  // “Linen-cotton” is two words of a name, however it is typed.
  const wanted = words.flatMap((word) => word.toLowerCase().split('-')).filter((word) => word !== '');
  if (!wanted.some((word) => word.length > 2)) return undefined;
  let best: { id: string; more: number } | undefined;
  for (const { id, name } of cloths) {
    const own = name.toLowerCase().split(/[\s-]+/);
    if (!wanted.every((word) => own.some((each) => each === word || (word.length > 2 && each.startsWith(word))))) continue;
    if (!best || own.length - wanted.length < best.more) best = { id, more: own.length - wanted.length };
  }
  return best?.id;
}
