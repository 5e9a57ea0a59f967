import { useId, useRef } from 'react';
import { edgeRuns, MARK_LETTERS, MARK_WORDS, markLines, type Mark, type OpenPiece } from '../../core/pieces';
import { bounds, nearestOnBorder, type Outline, type Point } from '../../core/shape';
import { closedPath, closedPaths, openPath, pointerPlace } from '../svg-path';
import { useUnits } from '../units-context';

interface Props {
  piece: OpenPiece;
  /** Direction of the grain, degrees counter-clockwise from upright. */
  grain: number;
  /** Layer outlines drawn on the piece, with their openings. */
  layer?: Outline[];
  /** What the layer leaves free is hatched. */
  hatched?: boolean;
  /** Tallest the drawing may be, rem. */
  height?: string;
  label: string;
  /** Edge that is worked on. */
  edge?: number | null;
  /** Edges that are chosen. */
  marked?: readonly number[];
  /** Edges can be touched. */
  onEdge?: ((edge: number) => void) | undefined;
  /** Places can be touched. */
  onPlace?: ((place: Point) => void) | undefined;
  /** Mark that is worked on. */
  chosen?: number | null;
  /** Width of each allowance is written beside its edge. */
  written?: boolean;
}

/** More edges than this are not written on: it would be a thicket. */
const MOST_WRITTEN = 10;

/** A piece with its cut line, seam line, fold, grain and marks, drawn to scale, y up. */
export default function PieceDrawing({
  piece,
  grain,
  layer,
  hatched = false,
  height = '15rem',
  label,
  edge = null,
  marked = [],
  onEdge,
  onPlace,
  chosen = null,
  written = false,
}: Props) {
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const hatch = `hatch-${useId()}`;
  const box = bounds(piece.outline);
  const width = box.maxX - box.minX;
  const tall = box.maxY - box.minY;
  const unit = Math.max(width, tall) / 100;
  const margin = 12 * unit;
  const reach = Math.min(width, tall) * 0.28;
  const [cx, cy] = grainPlace(piece, reach, 8 * unit);
  const font = 4.6 * unit;
  const runs = edgeRuns(piece);
  const outlines = [piece.outline, ...piece.holes.map(({ outline }) => outline)];
  return (
    <svg
      ref={svg}
      viewBox={`${box.minX - margin} ${-box.maxY - margin} ${width + 2 * margin} ${tall + 2 * margin}`}
      style={{ maxHeight: height }}
      className={`w-full ${onPlace ? 'cursor-crosshair' : ''}`}
      role="img"
      aria-label={label}
      onClick={(event) => {
        const place = svg.current && pointerPlace(svg.current, event);
        if (place) onPlace?.(place);
      }}
    >
      {hatched && (
        <defs>
          <pattern id={hatch} width={3 * unit} height={3 * unit} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d={`M0 0V${3 * unit}`} stroke="var(--ink)" strokeOpacity={0.35} strokeWidth={0.5 * unit} />
          </pattern>
        </defs>
      )}
      <path
        d={closedPaths(outlines)}
        fill={hatched ? `url(#${hatch})` : 'var(--color-base-100)'}
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth={0.9 * unit}
      />
      {layer && layer.length > 0 && (
        <>
          <path d={closedPaths(layer)} fill="var(--color-base-100)" fillRule="evenodd" />
          <path
            d={closedPaths(layer)}
            fill="var(--chalk)"
            fillOpacity={0.2}
            fillRule="evenodd"
            stroke="var(--chalk)"
            strokeWidth={0.9 * unit}
          />
        </>
      )}
      {piece.seam.map((outline, i) => (
        <path
          key={i}
          d={closedPath(outline)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={0.6 * unit}
          strokeDasharray={`${2.2 * unit} ${1.6 * unit}`}
        />
      ))}
      {piece.fold && (
        <path
          d={openPath(piece.fold)}
          stroke="var(--pin)"
          strokeWidth={0.8 * unit}
          strokeDasharray={`${4 * unit} ${1.5 * unit} ${unit} ${1.5 * unit}`}
        />
      )}
      {runs.map(({ edge: own, points, closed }, k) => (
        <g key={k}>
          {(own === edge || marked.includes(own)) && (
            <path
              d={closed ? closedPath(points) : openPath(points)}
              fill="none"
              stroke="var(--basting)"
              strokeWidth={2.4 * unit}
              strokeLinecap="round"
            />
          )}
          {onEdge && (
            <path
              d={closed ? closedPath(points) : openPath(points)}
              fill="none"
              stroke="transparent"
              strokeWidth={7 * unit}
              className="cursor-pointer"
              onClick={(event) => {
                event.stopPropagation();
                onEdge(own);
              }}
            />
          )}
        </g>
      ))}
      <g transform={`translate(${cx} ${-cy}) rotate(${-grain})`} stroke="var(--ink)" strokeWidth={0.8 * unit} fill="none">
        <path
          d={`M0 ${reach}V${-reach}M${-2 * unit} ${-reach + 3 * unit}L0 ${-reach}L${2 * unit} ${-reach + 3 * unit}M${-2 * unit} ${reach - 3 * unit}L0 ${reach}L${2 * unit} ${reach - 3 * unit}`}
        />
      </g>
      {piece.marks.map((mark, i) => (
        <MarkSign key={i} mark={mark} piece={piece} unit={unit} chosen={i === chosen} />
      ))}
      {written &&
        runs.length <= MOST_WRITTEN &&
        runs.map(({ edge: own, points }, k) => {
          const { at, turn } = besideEdge(points, 5.2 * unit);
          return (
            <text
              key={k}
              transform={`translate(${at[0]} ${-at[1]}) rotate(${-turn})`}
              fontSize={font * 0.86}
              textAnchor="middle"
              dominantBaseline="middle"
              fill="var(--ink)"
              fontWeight={own === edge ? 700 : 400}
            >
              {units.length(allowanceOf(piece, own))}
            </text>
          );
        })}
      {!written && (
        <>
          <text x={(box.minX + box.maxX) / 2} y={-box.minY + margin * 0.62} fontSize={font} textAnchor="middle" fill="var(--ink)">
            {units.length(width)}
          </text>
          <text
            fontSize={font}
            textAnchor="middle"
            fill="var(--ink)"
            transform={`translate(${box.minX - margin * 0.35} ${-(box.minY + box.maxY) / 2}) rotate(-90)`}
          >
            {units.length(tall)}
          </text>
        </>
      )}
    </svg>
  );
}

function allowanceOf(piece: OpenPiece, edge: number): number {
  const segment = piece.edges.indexOf(edge);
  return segment >= 0 ? piece.allowances[segment]! : (piece.holes.find((hole) => hole.edge === edge)?.allowance ?? 0);
}

/** A place outside the middle of an edge, and the way writing runs there, never upside down. */
function besideEdge(points: Outline, away: number): { at: Point; turn: number } {
  const lengths = points.slice(1).map((b, i) => Math.hypot(b[0] - points[i]![0], b[1] - points[i]![1]));
  let rest = lengths.reduce((sum, length) => sum + length, 0) / 2;
  let i = 0;
  while (i < lengths.length - 1 && rest > lengths[i]!) rest -= lengths[i++]!;
  const a = points[i]!;
  const b = points[i + 1]!;
  const t = lengths[i]! > 0 ? rest / lengths[i]! : 0;
  const d: Point = [(b[0] - a[0]) / (lengths[i]! || 1), (b[1] - a[1]) / (lengths[i]! || 1)];
  const turn = (Math.atan2(d[1], d[0]) * 180) / Math.PI;
  return {
    at: [a[0] + t * (b[0] - a[0]) + away * d[1], a[1] + t * (b[1] - a[1]) - away * d[0]],
    turn: turn > 90.5 ? turn - 180 : turn < -89.5 ? turn + 180 : turn,
  };
}

/** Where the grain arrow stands: in the widest stretch through the middle of the piece, beside marks, not on them. */
function grainPlace({ outline, holes, marks }: OpenPiece, reach: number, room: number): Point {
  const { minX, minY, maxX, maxY } = bounds(outline);
  let best = { from: minX, to: maxX, y: (minY + maxY) / 2 };
  let widest = 0;
  for (const share of [0.5, 0.4, 0.6]) {
    const y = minY + share * (maxY - minY);
    const crossings: number[] = [];
    for (const line of [outline, ...holes.map((hole) => hole.outline)])
      line.forEach((a, i) => {
        const b = line[(i + 1) % line.length]!;
        if (a[1] <= y !== b[1] <= y) crossings.push(a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
      });
    crossings.sort((p, q) => p - q);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const width = crossings[k + 1]! - crossings[k]!;
      if (width <= widest * 1.05) continue;
      widest = width;
      best = { from: crossings[k]!, to: crossings[k + 1]!, y };
    }
  }
  const { from, to, y } = best;
  const places = [0.5, 0.38, 0.62].map((share): Point => [from + share * (to - from), y]);
  return (
    places.find(([x]) => marks.every(({ at: [mx, my] }) => Math.abs(mx - x) > room || Math.abs(my - y) > reach + room)) ??
    places[0]!
  );
}

/** A notch stands inward from the nearest edge; darts, folds and windows are drawn as lines; anything else is a small sign with its letters. */
function MarkSign({ mark, piece, unit, chosen }: { mark: Mark; piece: OpenPiece; unit: number; chosen: boolean }) {
  const [x, y] = mark.at;
  const ink = chosen ? 'var(--pin)' : 'var(--ink)';
  if (mark.kind === 'notch') {
    const [ux, uy] = inwardAt(piece.outline, mark.at);
    return <path d={`M${x} ${-y}L${x + 5 * unit * ux} ${-(y + 5 * unit * uy)}`} stroke={ink} strokeWidth={1.2 * unit} />;
  }
  const lines = markLines(mark);
  const letters = MARK_LETTERS[mark.kind];
  return (
    <g stroke={ink} strokeWidth={0.8 * unit} fill="none">
      <title>{MARK_WORDS[mark.kind]}</title>
      {lines.map((line, i) => (
        <path key={i} d={openPath(line)} strokeDasharray={mark.kind === 'fold-line' ? `${3 * unit} ${1.4 * unit}` : undefined} />
      ))}
      {lines.length === 0 && <path d={signPath(mark, unit)} />}
      {letters && (
        <text
          x={x + 2.6 * unit}
          y={-y - 1.4 * unit}
          fontSize={4 * unit}
          fill={ink}
          stroke="var(--color-base-100)"
          strokeWidth={1.6 * unit}
          paintOrder="stroke"
        >
          {letters}
        </text>
      )}
    </g>
  );
}

/** A buttonhole is a bar with ends, a snap or ring a circle, anything else a cross. */
function signPath({ kind, at: [x, y] }: Mark, unit: number): string {
  if (kind === 'buttonhole')
    return `M${x - 3 * unit} ${-y}h${6 * unit}M${x - 3 * unit} ${-y - unit}v${2 * unit}M${x + 3 * unit} ${-y - unit}v${2 * unit}`;
  if (kind === 'snap') {
    const r = 1.8 * unit;
    return `M${x - r} ${-y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
  }
  return `M${x - 2 * unit} ${-y}h${4 * unit}M${x} ${-y - 2 * unit}v${4 * unit}`;
}

/** Unit vector into the piece from the segment nearest to a place. */
function inwardAt(outline: Outline, place: Point): Point {
  const { edge } = nearestOnBorder(outline, place);
  const [a, b] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
}
