import { bounds, type Outline } from '../core/shape';
import type { OpenPiece } from '../core/pieces';
import { inset } from '../core/shape';
import { useUnits } from './units-context';

interface Props {
  piece: OpenPiece;
  cut: 'straight' | 'cross' | 'bias';
  /** Where the fold lies in the opened piece: a vertical or level line through its middle. */
  fold: 0 | 1 | 2 | 3 | null;
  /** Layer outlines drawn on the piece. */
  layer?: Outline[];
  /** Tallest the drawing may be, rem. */
  height?: string;
  label: string;
}

function path(outline: Outline): string {
  return `${outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${-y}`).join('')}Z`;
}

/** A piece with its cut line, seam line, fold and grain, drawn to scale, y up. */
export default function PieceDrawing({ piece, cut, fold, layer, height = '15rem', label }: Props) {
  const units = useUnits();
  const box = bounds(piece.outline);
  const width = box.maxX - box.minX;
  const tall = box.maxY - box.minY;
  const unit = Math.max(width, tall) / 100;
  const margin = 12 * unit;
  const seam = inset(piece.outline, piece.allowances).outlines;
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  const grain = Math.min(width, tall) * 0.3;
  const turn = cut === 'straight' ? 0 : cut === 'cross' ? 90 : 45;
  const font = 5 * unit;
  return (
    <svg
      viewBox={`${box.minX - margin} ${-box.maxY - margin} ${width + 2 * margin} ${tall + 2 * margin}`}
      style={{ maxHeight: height }}
      className="w-full"
      role="img"
      aria-label={label}
    >
      <path d={path(piece.outline)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={0.9 * unit} />
      {layer?.map((outline, i) => (
        <path key={i} d={path(outline)} fill="var(--chalk)" fillOpacity={0.2} stroke="var(--chalk)" strokeWidth={0.9 * unit} />
      ))}
      {seam.map((outline, i) => (
        <path
          key={i}
          d={path(outline)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={0.6 * unit}
          strokeDasharray={`${2.2 * unit} ${1.6 * unit}`}
        />
      ))}
      {fold !== null && (
        <g stroke="var(--pin)" strokeWidth={0.8 * unit}>
          {fold % 2 === 0 ? (
            <path d={`M${box.minX} ${-cy}H${box.maxX}`} strokeDasharray={`${4 * unit} ${1.5 * unit} ${unit} ${1.5 * unit}`} />
          ) : (
            <path d={`M${cx} ${-box.maxY}V${-box.minY}`} strokeDasharray={`${4 * unit} ${1.5 * unit} ${unit} ${1.5 * unit}`} />
          )}
        </g>
      )}
      <g
        transform={`translate(${cx + (fold !== null && fold % 2 === 1 ? 8 * unit : 0)} ${-cy + (fold !== null && fold % 2 === 0 ? 8 * unit : 0)}) rotate(${turn})`}
        stroke="var(--ink)"
        strokeWidth={0.8 * unit}
        fill="none"
      >
        <path
          d={`M0 ${grain}V${-grain}M${-2 * unit} ${-grain + 3 * unit}L0 ${-grain}L${2 * unit} ${-grain + 3 * unit}M${-2 * unit} ${grain - 3 * unit}L0 ${grain}L${2 * unit} ${grain - 3 * unit}`}
        />
      </g>
      <text x={cx} y={-box.minY + margin * 0.62} fontSize={font} textAnchor="middle" fill="var(--ink)">
        {units.length(width)}
      </text>
      <text
        x={box.minX - margin * 0.35}
        y={-cy}
        fontSize={font}
        textAnchor="middle"
        fill="var(--ink)"
        transform={`rotate(-90 ${box.minX - margin * 0.35} ${-cy})`}
      >
        {units.length(tall)}
      </text>
    </svg>
  );
}
