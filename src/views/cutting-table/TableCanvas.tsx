import { useGesture } from '@use-gesture/react';
import { Lock } from 'lucide-react';
import { useRef, useState } from 'react';
import { copyName, type CutItem, type TableSource } from '../../core/cutlist';
import type { Laid } from '../../core/cutplan';
import type { Placement } from '../../core/nesting';
import { bounds, transformed, type Outline, type Point } from '../../core/shape';
import { useUnits } from '../../ui/units-context';
import { lockKey, type InHand, type Trouble } from './table-state';

interface Props {
  sources: readonly TableSource[];
  laid: readonly Laid[];
  items: readonly CutItem[];
  locked: readonly string[];
  inHand: InHand | undefined;
  /** What stands in the way, by `source id copy`. */
  troubles: ReadonlyMap<string, Trouble>;
  /** Pixels a millimetre. */
  scale: number;
  onScale: (scale: number) => void;
  onHold: (inHand: InHand | undefined) => void;
  /** A piece is moved by so many mm; the last move of a drag says so. */
  onMove: (inHand: InHand, by: Point, last: boolean) => void;
  /** What is written under a source. */
  words: (source: TableSource) => string;
  disabled: boolean;
}

/** Marks along the tape every 10 cm, or every 4 in. */
const TAPE_STEP = { metric: 100, inch: 101.6 };
/** Room of a written mark, px. */
const LEGIBLE = 56;
/** Room above each source for its name and tape, px. */
const HEAD = 58;
const SIDE = 12;

/**
 * Everything that is cut from, one below the other, the length running to the right. Pieces are dragged, or chosen with Tab
 * and moved with the arrow keys.
 */
export default function TableCanvas(props: Props) {
  const { sources, laid, scale, onScale } = props;
  const frame = useRef<HTMLDivElement>(null);
  useGesture(
    {
      onPinch: ({ delta: [d], event }) => {
        event.preventDefault();
        onScale(scale * (1 + d));
      },
      onWheel: ({ event, delta: [, dy] }) => {
        if (!event.ctrlKey && !event.metaKey) return;
        event.preventDefault();
        onScale(scale * Math.exp(-dy / 400));
      },
    },
    { target: frame, eventOptions: { passive: false } },
  );
  const shown = sources.filter(({ source }) =>
    laid.some(({ sourceId, placements }) => sourceId === source.id && placements.length > 0),
  );
  let top = 0;
  const placed = shown.map((each) => {
    const own = laid.find(({ sourceId }) => sourceId === each.source.id);
    const at = top;
    top += HEAD + each.fullWidth * scale + 14;
    return { each, own, at };
  });
  const longest = Math.max(100, ...placed.map(({ each, own }) => shownLength(each, own?.length ?? 0)));
  return (
    // Scrolled by keyboard too while no piece can be taken in hand.
    <div
      ref={frame}
      tabIndex={0}
      role="region"
      aria-label="Table, scrolled"
      className="max-h-[70vh] min-h-[18rem] overflow-auto rounded-box border border-base-300 bg-base-200"
    >
      <svg
        width={longest * scale + 2 * SIDE}
        height={top}
        role="group"
        aria-label="Cutting table"
        className="block min-w-full select-none"
        onPointerDown={(event) => {
          if (event.target === event.currentTarget) props.onHold(undefined);
        }}
      >
        {placed.map(({ each, own, at }) => (
          <g key={each.source.id} transform={`translate(${SIDE} ${at + HEAD})`}>
            <SourceDrawing {...props} table={each} own={own} />
          </g>
        ))}
      </svg>
    </div>
  );
}

/** How much of a source is drawn: all of a leftover or sheet, of a roll a little more than is used. */
export function shownLength({ source, stock, fullWidth }: TableSource, used: number): number {
  if (stock && stock.kind !== 'roll') return source.length!;
  return Math.min(source.length ?? Infinity, Math.max(used * 1.05 + 60, fullWidth));
}

function SourceDrawing({ table, own, ...props }: Props & { table: TableSource; own: Laid | undefined }) {
  const units = useUnits();
  const { scale, items, locked, inHand, troubles, words } = props;
  const { source, fullWidth, margin } = table;
  const used = own?.length ?? 0;
  const length = shownLength(table, used);
  const step = TAPE_STEP[units.system];
  const every = Math.max(1, Math.ceil(LEGIBLE / (step * scale)));
  const marks = Array.from({ length: Math.floor(length / step) + 1 }, (_, i) => i);
  const x = (mm: number) => mm * scale;
  /** On the table the length runs to the right and the width down, which turns the layout by a quarter and mirrors nothing. */
  const path = (outline: Outline) => `${outline.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${x(py)} ${x(px)}`).join('')}Z`;
  const top = x(margin);
  return (
    <>
      <text x={0} y={-38} fontSize={16} fontWeight={650} fill="var(--ink)">
        {words(table)}
      </text>
      <g fontSize={12.5} fill="var(--ink)">
        <rect x={0} y={-24} width={x(length)} height={20} fill="var(--color-accent)" fillOpacity={0.28} />
        {marks.map((i) => (
          <g key={i}>
            <path d={`M${x(i * step)} -4v${i % every === 0 ? -16 : -5}`} stroke="var(--ink)" strokeWidth={1} />
            {i % every === 0 && i > 0 && (
              <text x={x(i * step) - 4} y={-11} textAnchor="end">
                {units.length(i * step)}
              </text>
            )}
          </g>
        ))}
      </g>
      {source.outline ? (
        <path d={path(source.outline)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={1.5} />
      ) : (
        <>
          <rect width={x(length)} height={x(fullWidth)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={1.5} />
          {margin > 0 && (
            <g fill="var(--ink)" fillOpacity={0.12}>
              <rect width={x(length)} height={x(margin)} />
              <rect y={x(margin + source.width)} width={x(length)} height={Math.max(0, x(fullWidth - margin - source.width))} />
            </g>
          )}
        </>
      )}
      {source.spots?.map((spot, i) => (
        <path key={i} d={path(spot)} fill="var(--pin)" fillOpacity={0.25} stroke="var(--pin)" strokeWidth={1.5}>
          <title>A spot that may not be used</title>
        </path>
      ))}
      <g transform={`translate(0 ${top})`}>
        {own?.placements.map((placement) => {
          const item = items.find(({ id }) => id === placement.id);
          if (!item) return null;
          const key = lockKey(source.id, placement);
          return (
            <Piece
              key={key}
              {...props}
              sourceId={source.id}
              item={item}
              placement={placement}
              path={path}
              isLocked={locked.includes(key)}
              isHeld={inHand?.sourceId === source.id && inHand.id === placement.id && inHand.copy === placement.copy}
              trouble={troubles.get(key)}
            />
          );
        })}
      </g>
      {used > 0 && !source.outline && (
        <>
          <path d={`M${x(used)} -4V${x(fullWidth) + 6}`} stroke="var(--pin)" strokeWidth={2} />
          <text
            x={x(used) + 6}
            y={x(fullWidth) - 8}
            fontSize={14}
            fontWeight={650}
            fill="var(--pin)"
            stroke="var(--color-base-100)"
            strokeWidth={5}
            paintOrder="stroke"
          >
            {units.length(used)}
          </text>
        </>
      )}
    </>
  );
}

interface PieceProps extends Props {
  sourceId: string;
  item: CutItem;
  placement: Placement;
  path: (outline: Outline) => string;
  isLocked: boolean;
  isHeld: boolean;
  trouble: Trouble | undefined;
}

/** One piece: its outline, seam, grain, name, and what stands in its way. */
function Piece({ sourceId, item, placement, path, isLocked, isHeld, trouble, scale, disabled, onHold, onMove }: PieceProps) {
  const held: InHand = { sourceId, id: item.id, copy: placement.copy };
  const start = useRef<{ x: number; y: number; moved: boolean } | undefined>(undefined);
  const [dragging, setDragging] = useState(false);
  const { flipped, rotation, x, y } = placement;
  const put = (outline: Outline) => transformed(outline, flipped, rotation, x, y);
  const there = put(item.outline);
  const box = bounds(there);
  const [width, height] = [(box.maxY - box.minY) * scale, (box.maxX - box.minX) * scale];
  const at: Point = [((box.minY + box.maxY) / 2) * scale, ((box.minX + box.maxX) / 2) * scale];
  const upright = height > width * 1.6;
  const room = upright ? height : width;
  const label = copyName(item, placement.copy);
  const font = Math.max(0, Math.min(15, (upright ? width : height) * 0.45, (room / label.length) * 1.7));
  const wrong = trouble !== undefined && (trouble.outside || trouble.overlaps || trouble.spoilt);
  // An arrow would say that a direction has to be kept.
  const grain = item.free || item.grain === null ? undefined : grainLine(item.grain, flipped, rotation);
  const by = (event: { clientX: number; clientY: number }): Point => {
    const from = start.current!;
    return [(event.clientY - from.y) / scale, (event.clientX - from.x) / scale];
  };
  return (
    <g
      role="button"
      tabIndex={disabled ? -1 : 0}
      aria-label={`${label}${item.mirrored ? ', pattern face down' : ''}${isLocked ? ', locked' : ''}${wrong ? ', in the way of another or beside the cloth' : ''}`}
      className={`outline-none ${disabled ? '' : isLocked ? 'cursor-pointer' : dragging ? 'cursor-grabbing' : 'cursor-grab'}`}
      style={{ touchAction: disabled ? 'auto' : 'none' }}
      onFocus={() => onHold(held)}
      onPointerDown={(event) => {
        if (disabled) return;
        event.stopPropagation();
        onHold(held);
        if (isLocked) return;
        start.current = { x: event.clientX, y: event.clientY, moved: false };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (!start.current) return;
        const [dx, dy] = by(event);
        if (!start.current.moved && Math.hypot(dx, dy) * scale < 4) return;
        start.current.moved = true;
        setDragging(true);
        onMove(held, [dx, dy], false);
        start.current = { x: event.clientX, y: event.clientY, moved: true };
      }}
      onPointerUp={(event) => {
        if (start.current?.moved) onMove(held, by(event), true);
        start.current = undefined;
        setDragging(false);
      }}
    >
      <path
        d={path(there)}
        fill={wrong ? 'var(--pin)' : isHeld ? 'var(--color-accent)' : 'var(--chalk)'}
        fillOpacity={wrong ? 0.35 : isHeld ? 0.45 : 0.16}
        stroke={wrong ? 'var(--pin)' : 'var(--ink)'}
        strokeWidth={isHeld ? 2.6 : 1.3}
      />
      {item.seam.map((seam, i) => (
        <path
          key={i}
          d={path(put(seam))}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={0.8}
          strokeDasharray="5 4"
          pointerEvents="none"
        />
      ))}
      {grain && Math.min(width, height) > 26 && (
        <GrainArrow at={at} way={grain} reach={Math.min(60, 0.32 * Math.min(width, height))} />
      )}
      {font >= 7 && (
        <text
          transform={`translate(${at[0]} ${at[1]})${upright ? ' rotate(-90)' : ''}`}
          y={font * 0.35}
          fontSize={font}
          textAnchor="middle"
          fill="var(--ink)"
          fontWeight={600}
          stroke="var(--color-base-100)"
          strokeWidth={3}
          paintOrder="stroke"
          pointerEvents="none"
        >
          {label}
        </text>
      )}
      {isLocked && <Lock x={at[0] - 9} y={at[1] + font * 0.7} size={18} aria-hidden="true" />}
    </g>
  );
}

/** Direction of the grain on the table, as a unit vector on the screen. */
function grainLine(grain: number, flipped: boolean, rotation: number): Point {
  const angle = (((flipped ? -grain : grain) + rotation) * Math.PI) / 180;
  // Upright in the piece runs along the length, which lies to the right.
  return [Math.cos(angle), -Math.sin(angle)];
}

function GrainArrow({ at: [cx, cy], way: [dx, dy], reach }: { at: Point; way: Point; reach: number }) {
  const head = (side: number) => {
    const [hx, hy] = [cx + side * reach * dx, cy + side * reach * dy];
    const back = 7 * side;
    return `M${hx - back * dx - 4 * dy} ${hy - back * dy + 4 * dx}L${hx} ${hy}L${hx - back * dx + 4 * dy} ${hy - back * dy - 4 * dx}`;
  };
  return (
    <path
      d={`M${cx - reach * dx} ${cy - reach * dy}L${cx + reach * dx} ${cy + reach * dy}${head(1)}${head(-1)}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={1}
      strokeOpacity={0.6}
      pointerEvents="none"
    />
  );
}
