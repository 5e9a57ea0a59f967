import { fabricOf } from '../core/cloth';
import { designWords, hoopCard, hoopLines, hoopOutlines, placedMotif, type HoopedSet } from '../core/hoop';
import { InputError } from '../core/input-error';
import { islandsOf, motifFigures } from '../core/motif';
import { formatLength } from '../core/units';
import { hoopCardSheet, type Paper } from '../formats/pdf';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import type { Hooping } from '../store/hoopings';
import { hoops } from '../store/hoops';
import { readSettings } from '../store/settings';
import { codeAddress } from './code-address';
import { keptStitches } from './motif-work';

/** A hooping as its cards are drawn from. @throws {InputError} where no hoop lies on it yet */
export function hoopedSet({ ground, place, hoopPlace, pairs, sizes, landed }: Hooping): HoopedSet {
  if (!hoopPlace) throw new InputError('hoopPlace', 'is missing; lay a hoop over the motif first');
  return { outline: ground.outline, place, hoop: hoopPlace, pairs, sizes, landed };
}

/** The copy that an address asks for, from 0. @throws {InputError} */
export function copyAsked(url: URL, count: number): number {
  const asked = url.searchParams.get('copy') ?? '0';
  const copy = /^\d{1,4}$/.test(asked) ? Number(asked) : NaN;
  if (!(copy < count))
    throw new InputError('copy', `must be a copy of the set, 0 to ${count - 1}, saw ${JSON.stringify(asked.slice(0, 20))}`);
  return copy;
}

/** A card at full size, as a print. @throws {InputError} where no hoop lies on it yet */
export async function printedCard(db: Db, hooping: Hooping, copy: number, paper: Paper, request: Request): Promise<Uint8Array> {
  const set = hoopedSet(hooping);
  const card = hoopCard(set, copy);
  const { units } = readSettings(db).settings;
  const length = (mm: number) => formatLength(mm, units);
  const { motif } = keptStitches(db, hooping.motifId);
  const box = motifFigures(motif).bounds!;
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const outlines = islandsOf(motif, box).flatMap((island) => island.outlines);
  const same = Array.from({ length: hooping.count }, (_, n) => n).filter((n) => {
    const other = hoopCard(set, n);
    return other.mirrored === card.mirrored && JSON.stringify(other.edges) === JSON.stringify(card.edges);
  });
  // Turned by no quarter, only the middle of the hoop comes to lie on the folds.
  const straight = Math.abs(Math.sin((card.tilt * Math.PI) / 90)) < 0.02;
  const lines = hoopLines(card, fabricOf(cloths.get(db, hooping.clothId)), length);
  const done = lines.called === 'folds' ? 'press both folds along the dashed lines' : 'chalk both lines along the dashed ones';
  const laid =
    lines.each.length === 0
      ? 'The heavy line is the edge of the cloth: lay it on, and set the four marks of the hoop where the card has them.'
      : `${lines.each.join(' ')} The heavy line is the edge of the cloth: lay it on, ${done}, and set the four marks of the hoop onto ${straight ? 'them' : `their places: the hoop lies turned, its middle where the ${lines.called} cross`}.`;
  return hoopCardSheet(
    {
      title: `${hooping.name}${card.mirrored ? ', mirrored' : ''}`,
      words: `${laid} At the machine: ${designWords(card, length)} Dashed inside: what the needle reaches. For these pieces:`,
      card,
      hoop: hoopOutlines(hoops.get(db, hooping.hoopId!), card.hoop),
      motif: outlines.map((outline) =>
        placedMotif(
          outline.map(([x, y]) => [x - cx, y - cy]),
          card.place,
        ),
      ),
      folds: lines.labels,
      copies: same.map((n) => String(n + 1)),
      code: codeAddress(request, `/hoop/jobs/${hooping.id}?stage=prepare&copy=${copy}`),
    },
    paper,
  );
}
