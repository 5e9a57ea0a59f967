import { FILL_MARGINS, placedMotif, type FilledHoop, type MotifPart, type MotifPlace } from '../core/hoop';
import { InputError, requireNumber } from '../core/input-error';
import type { Db } from '../store/database';
import { hoopings, type Hooping } from '../store/hoopings';
import { hoops } from '../store/hoops';
import type { KeptMotif } from '../store/motifs';
import { computed } from './compute';
import { keepMade, keptStitches } from './motif-work';

/** The hoopings that a motif takes in a hoop. @throws {NotFoundError} */
export function partsIn(db: Db, motifId: string, hoopId: string, signal: AbortSignal): Promise<MotifPart[]> {
  const { motif } = keptStitches(db, motifId);
  return computed('splitMotif', { motif, hoop: hoops.get(db, hoopId) }, signal);
}

/** A part as the endpoint tells it. */
export function toldPart({ motif, centre, turned, bounds, crosses, throughSatin }: MotifPart, n: number) {
  return {
    ...{ n: n + 1, centre, turned, bounds, throughSatin },
    stitches: motif.command.reduce((sum, command) => sum + (command === 0 ? 1 : 0), 0),
    crosses: crosses.flatMap(({ at }) => at),
    laid: crosses.map(({ with: other, at, laid }) => ({ part: other + 1, at, first: laid })),
  };
}

/** As many copies of a motif as a hoop holds, in one hooping. @throws {InputError} */
export function filled(db: Db, motifId: string, hoopId: string, margin: number, signal: AbortSignal): Promise<FilledHoop> {
  const { motif } = keptStitches(db, motifId);
  return computed('fillHoop', { motif, hoop: hoops.get(db, hoopId), margin }, signal);
}

/** Room between copies that an address asks for, mm. @throws {InputError} */
export function marginAsked(url: URL): number {
  const asked = url.searchParams.get('margin') ?? '6';
  const margin = /^\d+(\.\d+)?$/.test(asked) ? Number(asked) : NaN;
  return requireNumber('margin', margin, 'mm', FILL_MARGINS);
}

/** Keeps a filled hoop as a motif of its own. */
export function keepFilled(db: Db, motifId: string, made: FilledHoop): KeptMotif {
  const { kept } = keptStitches(db, motifId);
  return keepMade(db, `${made.places.length} × ${kept.name}`, made.motif, kept.colours);
}

/**
 * A hooping that takes several: one for every part, each with its own motif, where its own hoop and its own stitches lie on the cloth.
 *
 * @throws {InputError} where it fits in one, or in no sensible number
 */
export async function hoopParts(db: Db, hooping: Hooping, signal: AbortSignal): Promise<Hooping[]> {
  if (hooping.hoopId === null) throw new InputError('hoopId', 'is missing; say in which hoop it is sewn');
  const parts = await partsIn(db, hooping.motifId, hooping.hoopId, signal);
  if (parts.length < 2)
    throw new InputError(
      'hoopId',
      parts.length === 1 ? 'holds the motif in one hooping' : 'would take more hoopings than twelve',
    );
  const { kept } = keptStitches(db, hooping.motifId);
  const { bounds } = kept.figures;
  const middle = [(bounds.minX + bounds.maxX) / 2, (bounds.minY + bounds.maxY) / 2] as const;
  const onCloth = (x: number, y: number): [number, number] =>
    placedMotif([[x - middle[0], y - middle[1]]], hooping.place)[0] as [number, number];
  return db
    .transaction(() =>
      parts.map((part, n) => {
        const name = `${hooping.name}, part ${n + 1} of ${parts.length}`;
        const own = keepMade(db, `${kept.name}, part ${n + 1} of ${parts.length}`, part.motif, kept.colours);
        const box = own.figures.bounds;
        const [x, y] = onCloth((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2);
        const [hx, hy] = onCloth(...part.centre);
        const place: MotifPlace = { ...hooping.place, x, y };
        const { id: _id, version: _v, createdAt: _c, updatedAt: _u, ...fields } = hooping;
        return hoopings.insert(db, {
          ...fields,
          ...{ name, motifId: own.id, place, note: crossWords(part) },
          hoopPlace: { x: hx, y: hy, angle: hooping.place.angle + (part.turned ? 90 : 0) },
          ...{ prepared: [], landed: null, sewn: [], run: null, result: null },
        });
      }),
    )
    .immediate();
}

/** What is done with the crosses of a part. */
function crossWords({ crosses }: MotifPart): string {
  return crosses
    .map(({ with: other, laid }) =>
      laid
        ? `The first two crosses must fall onto those of part ${other + 1}: lower the needle over each before you start.`
        : `The last two crosses are for part ${other + 1}: leave them in until it is hooped.`,
    )
    .concat('Sew the crosses in a thread that is seen; pick them out when the next part holds.')
    .join(' ');
}
