import { FlipVertical2, Printer } from 'lucide-react';
import { useState } from 'react';
import { MARK_WORDS } from '../../core/pieces';
import { seamRuns, walkSeam, type Meeting, type SeamRun, type SeamWalk, type Stretch } from '../../core/seams';
import type { CutPiece } from '../../core/workpiece';
import type { JudgedSeam } from '../../server/seam-work';
import { useUnits } from '../../ui/units-context';
import WalkDrawing from './WalkDrawing';

interface Props {
  judged: JudgedSeam;
  first: CutPiece;
  second: CutPiece;
}

/** The seam walked from end to end: both edges along each other, mark to mark, and what creeps between them. */
export default function SeamWalkPanel({ judged, first, second }: Props) {
  const units = useUnits();
  const [turned, setTurned] = useState<boolean>();
  const [share, setShare] = useState(0);
  const runs = [seamRuns(first, judged.seam.firstEdges)[0]!, seamRuns(second, judged.seam.secondEdges)[0]!] as const;
  const walk = walkSeam(...runs, { first: judged.first, second: judged.second }, turned);
  const { stretch, part } = stretchAt(walk, share);
  const [a, b] = [stretch.from.firstAt + part * stretch.first, stretch.from.secondAt + part * stretch.second];
  const names = { first: first.name, second: second.name };
  return (
    <div className="mt-3 border-t border-base-300 pt-3">
      <WalkDrawing
        first={{ cut: first, run: runs[0], at: placeOn(runs[0], walk.begins.first + a), backwards: false, turned: false }}
        second={{
          ...{ cut: second, run: runs[1], backwards: !walk.turned, turned: walk.turned },
          at: placeOn(runs[1], walk.turned ? walk.begins.second + b : walk.begins.second - b),
        }}
        label={`${first.name} and ${second.name} where they are sewn, ${Math.round(100 * share)} per cent along the seam`}
      />
      <label className="mt-2 block">
        <span className="font-semibold">
          Along the seam: {units.length(a)} of {first.name}, {units.length(b)} of {second.name}
        </span>
        <input
          type="range"
          className="range range-primary mt-1 w-full"
          min={0}
          max={1000}
          value={Math.round(1000 * share)}
          aria-label="Place along the seam"
          aria-valuetext={`${units.length(a)} of ${first.name}, ${units.length(b)} of ${second.name}`}
          onChange={(event) => setShare(Number(event.target.value) / 1000)}
        />
      </label>
      <ol className="mt-2 space-y-1">
        {walk.stretches.map((each, i) => (
          <li key={i} className={each === stretch ? 'font-semibold' : ''}>
            <StretchWords stretch={each} names={names} units={units} />
          </li>
        ))}
      </ol>
      {walk.lone.map(({ side, kind, at }, i) => (
        <p key={i} className="font-semibold text-error">
          A {kind === 'fold' ? 'fold' : MARK_WORDS[kind]} of {names[side]}, {units.length(at)} along, meets no mark of{' '}
          {names[side === 'first' ? 'second' : 'first']}.
        </p>
      ))}
      <button type="button" className="btn mt-2" aria-pressed={walk.turned} onClick={() => setTurned(!walk.turned)}>
        <FlipVertical2 size={18} aria-hidden="true" /> Turn {second.name} over
      </button>{' '}
      <a
        className="btn mt-2"
        href={`/api/seams/${judged.seam.id}/tape.pdf?paper=${units.system === 'inch' ? 'letter' : 'a4'}`}
        download
      >
        <Printer size={18} aria-hidden="true" /> Both as a paper tape
      </a>
    </div>
  );
}

function StretchWords({
  stretch,
  names,
  units,
}: {
  stretch: Stretch;
  names: { first: string; second: string };
  units: ReturnType<typeof useUnits>;
}) {
  const { from, to, first, second, difference, fit, gives } = stretch;
  const by = units.length(Math.abs(difference));
  const words = {
    fits: 'alike',
    ease: `ease in ${by} of ${gives && names[gives]}`,
    stretch: `stretch ${gives && names[gives]} by ${by}`,
    misfit: `${by} do not fit`,
  }[fit];
  return (
    <span className={fit === 'misfit' ? 'text-error' : ''}>
      From {placeWords(from, 'the beginning')} to {placeWords(to, 'the end')}: {units.length(first)} and {units.length(second)},{' '}
      {words}.
    </span>
  );
}

function placeWords({ first, second }: Meeting, end: string): string {
  if (first === 'end') return end;
  // Of two marks that meet the one is named that says more.
  const kind = first === 'notch' || first === 'fold' ? second : first;
  if (kind === 'end') return end;
  return kind === 'fold' ? 'the fold' : `the ${MARK_WORDS[kind]}`;
}

/** The stretch that a share of the whole walk falls into, and how far along in it. */
function stretchAt({ stretches }: SeamWalk, share: number): { stretch: Stretch; part: number } {
  let rest = share * stretches.reduce((sum, { first }) => sum + first, 0);
  for (const stretch of stretches) {
    if (rest <= stretch.first) return { stretch, part: stretch.first > 0 ? rest / stretch.first : 0 };
    rest -= stretch.first;
  }
  return { stretch: stretches.at(-1)!, part: 1 };
}

/** A length along a line; round a closed one it goes on past its beginning. */
function placeOn({ closed, length }: SeamRun, at: number): number {
  return closed ? ((at % length) + length) % length : at;
}
