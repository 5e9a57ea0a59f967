import { MARK_LETTERS, openPiece } from '../../core/pieces';
import { placeAlong, type SeamRun } from '../../core/seams';
import type { Point } from '../../core/shape';
import type { CutPiece } from '../../core/workpiece';
import { closedPath, openPath } from '../../ui/svg-path';

interface Side {
  cut: CutPiece;
  run: SeamRun;
  /** Where it is touched, mm along its line as it is drawn. */
  at: number;
  /** The line is walked against the way it is drawn. */
  backwards: boolean;
  /** Lies turned over. */
  turned: boolean;
}

interface Props {
  first: Side;
  second: Side;
  label: string;
}

/** Least and most that is seen to each side of the place that is touched, mm. */
const NEAREST = 70;
const FARTHEST = 320;
const FONT = 0.034;

/** Two pieces at the place where they touch: the seam runs level there, one above it, one below. Both move as the place is walked on. */
export default function WalkDrawing({ first, second, label }: Props) {
  const reach = Math.min(FARTHEST, Math.max(NEAREST, first.run.length / 3));
  const tall = reach * 0.56;
  return (
    <svg viewBox={`${-reach} ${-tall} ${2 * reach} ${2 * tall}`} className="w-full" role="img" aria-label={label}>
      <Piece side={first} reach={reach} tone="var(--color-base-100)" above />
      <Piece side={second} reach={reach} tone="color-mix(in oklab, var(--chalk) 16%, var(--color-base-100))" above={false} />
      <path
        d={`M0 ${-tall}V${tall}`}
        stroke="var(--basting)"
        strokeWidth={reach / 110}
        strokeDasharray={`${reach / 40} ${reach / 60}`}
      />
      <circle r={reach / 50} fill="var(--basting)" stroke="var(--ink)" strokeWidth={reach / 300} />
    </svg>
  );
}

function Piece({ side, reach, tone, above }: { side: Side; reach: number; tone: string; above: boolean }) {
  const laid = layingOf(side);
  const piece = openPiece(side.cut);
  const lines = [piece.outline, ...piece.holes.map(({ outline }) => outline)].map((line) => line.map(laid));
  const unit = reach / 100;
  const name = above ? [-0.96, -0.49] : [-0.96, 0.53];
  return (
    <g stroke="var(--ink)" strokeWidth={unit * 0.9} fill="none">
      {lines.map((line, i) => (
        <path key={i} d={closedPath(line)} fill={i === 0 ? tone : 'var(--color-base-200)'} fillOpacity={0.72} />
      ))}
      <path d={openPath(side.run.points.map(laid))} strokeWidth={unit * 0.7} strokeDasharray={`${2.4 * unit} ${1.6 * unit}`} />
      {side.run.marks.map(({ kind, at }, i) => {
        const [x, y] = laid(placeAlong(side.run.points, at).place);
        return (
          <g key={i}>
            <circle cx={x} cy={-y} r={1.6 * unit} fill="var(--chalk)" />
            <text x={x + 2.5 * unit} y={-y + (above ? -3 : 6) * unit} fontSize={5 * unit} fill="var(--ink)" stroke="none">
              {kind === 'fold' ? 'fold' : (MARK_LETTERS[kind] ?? '')}
            </text>
          </g>
        );
      })}
      <text
        x={name[0]! * reach}
        y={name[1]! * reach}
        fontSize={FONT * 2 * reach}
        fill="var(--ink)"
        stroke="var(--color-base-100)"
        strokeWidth={2 * unit}
        paintOrder="stroke"
        fontWeight={700}
      >
        {side.cut.name}
      </text>
    </g>
  );
}

/** Moves a piece so that the place lies at the origin, the way that is walked to the right, and the piece above it, or below. */
function layingOf({ run, at, backwards, turned }: Side): (point: Point) => Point {
  const { place, direction } = placeAlong(run.points, at);
  const [dx, dy] = backwards ? [-direction[0], -direction[1]] : direction;
  return ([x, y]: Point): Point => {
    const [u, v] = [x - place[0], y - place[1]];
    const [along, beside] = [u * dx + v * dy, v * dx - u * dy];
    return [along, turned ? -beside : beside];
  };
}
