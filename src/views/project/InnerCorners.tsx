import { useMemo } from 'react';
import { cornerSquare, type Care } from '../../core/choose';
import { InputError } from '../../core/input-error';
import { innerCorners, type InnerCorner, type Place } from '../../core/pieces';
import type { Cut } from '../../store/cuts';
import type { Job } from '../../store/jobs';
import type { Piece } from '../../store/pieces';
import { counted } from '../../ui/text';

interface Props {
  piece: Piece;
  cut: Cut;
  /** All of the project. */
  jobs: readonly Job[];
  /** Care of the whole project, where it is said. */
  care: Care | null;
  onHold: (on: Cut, jobs: readonly object[], words: string) => void;
}

/** A patch this near to a corner holds it, mm. */
const NEAR = 5;

/** Corners at which the piece turns inward, and nothing holds the cloth that is clipped there: offered to be held, each by a square. */
export default function InnerCorners({ piece, cut, jobs, care, onHold }: Props) {
  const on = useMemo(() => jobs.filter(({ cutId }) => cutId === cut.id), [jobs, cut.id]);
  const open = useMemo(() => openCorners(piece, cut, on), [piece, cut, on]);
  if (open.length === 0 || cut.duty !== 'shell') return null;
  const hold = () => {
    const wish = { role: 'inner-corner', stretch: 'any', care: on[0]?.wish.care ?? care ?? 'wash-warm' };
    const bodies = open.map(({ at, allowance }, i) => {
      const place: Place = { kind: 'patch', at, size: cornerSquare([allowance]) };
      return { name: open.length > 1 ? `inner corner ${i + 1}` : 'inner corner', place, wish };
    });
    onHold(cut, bodies, `${counted(open.length, 'inner corner')} of “${piece.name}” to be held: choose what with.`);
  };
  return (
    <section className="sheet space-y-2 p-3" aria-label="Inner corners">
      <p>
        “{piece.name}” turns inward at {counted(open.length, 'corner')}. The cloth is clipped there to the thread: a thin, tight
        square keeps it from tearing.
      </p>
      <button type="button" className="btn h-auto w-full py-1.5" onClick={hold}>
        {open.length === 1 ? 'Hold it with a square' : `Hold ${open.length === 2 ? 'both' : `all ${open.length}`}, a square each`}
      </button>
    </section>
  );
}

/** Inner corners that no job is at. */
function openCorners(piece: Piece, { own }: Cut, on: readonly Job[]): InnerCorner[] {
  const { shape, line, allowances, fold, grain, marks } = piece;
  const held = ({ at: [x, y] }: InnerCorner) =>
    on.some(({ place, wish }) => {
      if (wish.role !== 'inner-corner') return false;
      return place.kind !== 'patch' || Math.hypot(place.at[0] - x, place.at[1] - y) < NEAR;
    });
  try {
    return innerCorners({ shape, line, allowances, own, fold, grain, marks }).filter((corner) => !held(corner));
  } catch (problem) {
    // What cannot be opened out says so in its own form.
    if (!(problem instanceof InputError)) throw problem;
    return [];
  }
}
