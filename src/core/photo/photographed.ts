import { InputError, requireNumber } from '../input-error';
import { solveCamera, type Solved } from './camera';
import { MARKER } from './card-codes';
import { sharpened } from './card-edges';
import { findCards } from './find-cards';
import { madeSmaller, requirePicture, Sampler, type Picture, type Small } from './picture';

/** A photograph whose camera is known. */
export interface Photographed extends Solved {
  picture: Picture;
  /** Made smaller, to look for things in. */
  small: Small;
  sampler: Sampler;
}

/** Told as a photograph is worked through: what is done, and which share of all is done, 0–1. */
export type Progress = (doing: string, share: number) => void;

/** Pixels of the longer side in which cards and pieces are looked for. */
const LOOKED_AT = 1200;
/** Corners that stand off by more than this are no cards of that size on one plane, mm. */
const MOST_OFF = 4;

/**
 * Finds the cards in a photograph and from them the camera.
 *
 * @param marker side of a card's black square as measured on the print, mm, 10–300
 * @param options.upright a card that must be there and whose axes are taken @param options.trimmed it has no margin above and to the right
 * @throws {InputError} for a picture without cards, or with cards that do not lie on one plane
 * @example photographed(picture, 60).cards.length // 4
 */
export function photographed(
  picture: Picture,
  marker = MARKER,
  { upright, trimmed = false, progress }: { upright?: number; trimmed?: boolean; progress?: Progress | undefined } = {},
): Photographed {
  requireNumber('marker', marker, 'mm', { min: 10, max: 300 });
  requirePicture(picture);
  progress?.('Looking for the cards', 0.05);
  const small = madeSmaller(picture, LOOKED_AT);
  const seen = findCards(small, upright);
  if (seen.length === 0)
    throw new InputError(
      'picture',
      'must show at least one printed card, whole, sharp and with its white margin; none was found',
    );
  if (upright !== undefined && !seen.some(({ id }) => id === upright))
    throw new InputError('picture', `must show card ${upright} whole; found card ${seen.map(({ id }) => id).join(', ')}`);
  const { cards, exponent } = sharpened(picture, seen, trimmed ? upright : undefined);
  progress?.('Working the camera out', 0.3);
  const solved = solveCamera(cards, picture.width, picture.height, marker, upright);
  if (!solved || !(solved.residual < MOST_OFF))
    throw new InputError('picture', 'must show cards of one size that lie flat on one table; what was found fits no camera');
  return { ...solved, picture, small, sampler: new Sampler(picture, exponent) };
}
