import type { Role } from '../part';

/** Words of a name and the part that they speak of; what is said more exactly comes first. */
const SPOKEN: readonly [RegExp, Role][] = [
  [/\bunder ?collar/, 'undercollar'],
  [/\bcollar|\bstand\b/, 'collar'],
  [/\bcuff/, 'cuff'],
  [/\bbutton.?(?:band|stand|placket)|\bplacket/, 'button-band'],
  [/\bbutton.?hole/, 'buttonhole'],
  [/\b(?:arm|sleeve).*facing/, 'armhole-facing'],
  [/\bfacing/, 'neck-facing'],
  [/\bcurved.*waist|\byoke/, 'curved-waistband'],
  [/\bwaist.?band|\bbelt\b/, 'waistband'],
  [/\bneck.?band|\bbinding|\bribbing/, 'knit-binding'],
  [/\bhem\b/, 'hem'],
  [/\bwelt/, 'welt'],
  [/\bbag.*flap/, 'bag-flap'],
  [/\bflap/, 'pocket-flap'],
  [/\blapel/, 'lapel'],
  [/\bjacket|\bcoat/, 'jacket-front'],
  [/\bbodice|\btop\b|\bfront\b|\bback\b/, 'bodice'],
  [/\bstrap|\bhandle/, 'bag-strap'],
  [/\bbase|\bbottom/, 'bag-base'],
  [/\bbag.*lining/, 'bag-lining'],
  [/\bbag|\bpouch|\btote|\btool roll/, 'bag-panel'],
  [/\btab/, 'tab'],
  [/\bbox|\btray/, 'box-panel'],
  [/\bblock|\bpatchwork|\bquilt/, 'quilt-piece'],
  [/\bbadge/, 'badge'],
  [/\bnapkin|\btowel|\bbanner/, 'embroidery'],
  [/\bgodet/, 'godet-slash'],
];

/**
 * The part that a name most likely speaks of; a whole panel where it says nothing.
 *
 * @example guessedRole('Pocket flaps') // 'pocket-flap'
 */
export function guessedRole(name: string): Role {
  const words = name.toLowerCase();
  return SPOKEN.find(([pattern]) => pattern.test(words))?.[1] ?? 'whole-panel';
}
