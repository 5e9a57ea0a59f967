import type { Gluing } from '../layers';
import { clothBendingLength, type Fabric } from '../cloth';
import type { PairRecord } from '../learn';
import { schoolsOf } from '../schools';
import type { FoundSetting } from '../steps';
import { motifDensity, typicalDensity } from './embroidery-load';
import { HAND_BANDS, HANDS, type Hand, type Part } from '../part';
import { typicalPiece } from './piece-size';
import type { Asking, Question } from './protocol';
import { QUILT_BLOCK, ROLE_PROFILES } from './roles';
import { isQuiltBlock, traitsOf } from '../part';

/** Nothing was filed yet. */
const NO_MEMORY: ReadonlyMap<string, PairRecord> = new Map();
const NO_GLUING: Gluing = new Map();
const NOTHING_FOUND: ReadonlyMap<string, FoundSetting> = new Map();
const NOTHING_AT_HAND: ReadonlySet<string> = new Set();

/** The next softer feel. */
const SOFTER: Record<Hand, Hand> = { fluid: 'fluid', soft: 'fluid', firm: 'soft', crisp: 'firm', rigid: 'crisp' };

/** The feel a step firmer than the one in whose band a cloth hangs by itself. */
function aStepFirmer(fabric: Fabric): Hand {
  const own = clothBendingLength(fabric).value;
  const at = HANDS.findIndex((hand) => own < HAND_BANDS[hand][1]);
  return HANDS[Math.min(HANDS.length - 1, at < 0 ? HANDS.length - 1 : at + 1)]!;
}

const softerOf = (a: Hand, b: Hand): Hand => (HANDS.indexOf(a) <= HANDS.indexOf(b) ? a : b);

/**
 * Builds the question that rules are written against.
 *
 * @example questionFor(poplin, collar).hand // 'firm'
 */
export function questionFor(fabric: Fabric, part: Part, asking: Asking = {}): Question {
  const usually = isQuiltBlock(part) ? QUILT_BLOCK : ROLE_PROFILES[part.role];
  const area = asking.piece?.area;
  const profile = area === undefined || area === usually.area ? usually : { ...usually, area };
  // A knit hangs softer than any weave; what is firm in a weave would be board-like in jersey.
  const usual = fabric.construction === 'knit' && profile.kind === 'garment' ? SOFTER[profile.hand] : profile.hand;
  // A waist that must keep its stretch is not boarded up.
  const eases = part.role === 'waistband' && part.stretch === 'keep';
  const traits = traitsOf(fabric, part);
  // Cloth that flows is held a step firmer than it hangs by itself, whatever the part is in a crisper cloth.
  const held = traits.flows && profile.kind === 'garment' ? softerOf(usual, aStepFirmer(fabric)) : usual;
  const hand = part.hand ?? (eases ? SOFTER[held] : held);
  const typical = typicalDensity(part.role);
  const motif = part.embroidery
    ? motifDensity(part.embroidery)
    : typical === undefined
      ? undefined
      : motifDensity({ stitches: typical, width: 10, height: 10 });
  return {
    fabric,
    part,
    profile,
    traits,
    hand,
    band: HAND_BANDS[hand],
    motif,
    memory: asking.memory ?? NO_MEMORY,
    gluing: asking.gluing ?? NO_GLUING,
    atHand: asking.atHand ?? NOTHING_AT_HAND,
    wishes: asking.wishes ?? {},
    weights: asking.weights ?? {},
    schools: schoolsOf(asking.schools),
    piece: asking.piece ?? typicalPiece(part.role),
    found: asking.found ?? NOTHING_FOUND,
  };
}
