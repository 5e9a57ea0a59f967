import { useGesture } from '@use-gesture/react';
import { useRef, useState } from 'react';
import { bounds, cubicPoints, edgePoints, endOf, type Edited, type Outline, type Point } from '../../core/shape';
import { closedPath, openPath, pointerPlace } from '../svg-path';
import { useUnits } from '../units-context';

/** What is taken hold of: a corner, or an edge. */
export type Held = { kind: 'corner' | 'edge'; index: number };

interface Props {
  edited: Edited;
  holes: Outline[];
  held: Held;
  /** Another number shows all of the outline again. */
  fit: number;
  onHold: (held: Held) => void;
  /** A corner is moved; `done` when it is let go. */
  onCorner: (corner: number, to: Point) => void;
  onControl: (edge: number, which: 0 | 1, to: Point) => void;
  onNudge: (by: Point) => void;
  onRemove: () => void;
}

/** Lines of the ground: every centimetre, or every half inch. */
const GRID = { metric: 10, inch: 12.7 };

/** Points of every edge, for drawing and for finding the nearest one. */
function edgeLines(edited: Edited): Outline[] {
  return edited.edges.map((edge, i) => [...edgePoints(edge, endOf(edited, i)), endOf(edited, i)]);
}

/** The outline with its corners and control points, to be dragged. Wheel and pinch zoom, dragging the ground moves it. */
export default function EditorCanvas({ edited, holes, held, fit, onHold, onCorner, onControl, onNudge, onRemove }: Props) {
  const { system } = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const [view, setView] = useState(() => viewOf(edited));
  const [dragged, setDragged] = useState<{ kind: 'corner'; index: number } | { kind: 'control'; index: number; which: 0 | 1 }>();
  const unit = view.size / 100;
  const lines = edgeLines(edited);
  const zoom = (by: number) => setView((was) => ({ ...was, size: Math.min(40_000, Math.max(20, was.size * by)) }));

  useGesture(
    {
      onWheel: ({ event, delta: [, dy] }) => {
        event.preventDefault();
        zoom(Math.exp(dy / 500));
      },
      onPinch: ({ delta: [d], event }) => {
        event.preventDefault();
        zoom(1 - d / 2);
      },
    },
    { target: svg, eventOptions: { passive: false } },
  );
  // The ground is moved with the pointer that pressed it.
  const panned = useRef<{ x: number; y: number } | undefined>(undefined);

  const [fitted, setFitted] = useState(fit);
  if (fitted !== fit) {
    setFitted(fit);
    setView(viewOf(edited));
  }

  const step = GRID[system];
  const gridFrom = [view.x - view.size, view.y - view.size].map((v) => Math.floor(v / step) * step) as [number, number];
  const gridLines = Math.min(160, Math.ceil((2 * view.size) / step));
  return (
    <svg
      ref={svg}
      viewBox={`${view.x - view.size * 0.75} ${-view.y - view.size / 2} ${1.5 * view.size} ${view.size}`}
      preserveAspectRatio="xMidYMid meet"
      className="h-full w-full touch-none bg-base-100"
      role="application"
      aria-label="Outline of the piece. Choose a corner with Tab, move it with the arrow keys."
      onPointerDown={(event) => {
        if (event.target !== svg.current) return;
        panned.current = { x: event.clientX, y: event.clientY };
        svg.current!.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        const place = svg.current && pointerPlace(svg.current, event);
        if (!place) return;
        if (dragged?.kind === 'corner') onCorner(dragged.index, place);
        else if (dragged?.kind === 'control') onControl(dragged.index, dragged.which, place);
        else if (panned.current) {
          const scale = view.size / svg.current!.clientHeight;
          const { x, y } = panned.current;
          panned.current = { x: event.clientX, y: event.clientY };
          setView((was) => ({ ...was, x: was.x - (event.clientX - x) * scale, y: was.y + (event.clientY - y) * scale }));
        }
      }}
      onPointerUp={() => {
        setDragged(undefined);
        panned.current = undefined;
      }}
      onKeyDown={(event) => {
        const way: Record<string, Point> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
        const by = way[event.key];
        if (by) {
          event.preventDefault();
          const times = event.shiftKey ? 10 : 1;
          onNudge([by[0] * times, by[1] * times]);
        }
        if (event.key === 'Delete' || event.key === 'Backspace') {
          event.preventDefault();
          onRemove();
        }
      }}
    >
      {step / view.size > 1 / 160 && (
        <g stroke="var(--color-base-300)" strokeWidth={0.12 * unit} pointerEvents="none">
          {Array.from({ length: gridLines }, (_, i) => (
            <path
              key={i}
              d={`M${gridFrom[0] + i * step} ${-view.y - view.size}v${2 * view.size}M${view.x - view.size} ${-(gridFrom[1] + i * step)}h${2 * view.size}`}
            />
          ))}
        </g>
      )}
      <path
        d={closedPath(lines.flatMap((line) => line.slice(0, -1)))}
        fill="var(--chalk)"
        fillOpacity={0.1}
        pointerEvents="none"
      />
      {holes.map((hole, i) => (
        <path key={i} d={closedPath(hole)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={0.3 * unit} />
      ))}
      {lines.map((line, i) => (
        <g key={i}>
          <path
            d={openPath(line)}
            fill="none"
            stroke={held.kind === 'edge' && held.index === i ? 'var(--basting)' : 'var(--ink)'}
            strokeWidth={(held.kind === 'edge' && held.index === i ? 1.3 : 0.6) * unit}
          />
          <path
            d={openPath(line)}
            fill="none"
            stroke="transparent"
            strokeWidth={4 * unit}
            className="cursor-pointer outline-none"
            role="button"
            tabIndex={0}
            aria-label={`Edge ${i + 1}`}
            onFocus={() => onHold({ kind: 'edge', index: i })}
            onPointerDown={(event) => {
              event.stopPropagation();
              onHold({ kind: 'edge', index: i });
            }}
          />
        </g>
      ))}
      {edited.edges.map(({ curve }, i) => {
        const near = held.kind === 'edge' ? held.index === i : i === held.index || (i + 1) % edited.edges.length === held.index;
        if (!curve || !near) return null;
        return ([0, 1] as const).map((which) => {
          const [x, y] = curve[which];
          const end = which === 0 ? edited.edges[i]!.from : endOf(edited, i);
          return (
            <g key={`${i}-${which}`}>
              <path d={openPath([end, curve[which]])} stroke="var(--chalk)" strokeWidth={0.3 * unit} />
              <rect
                x={x - 1.1 * unit}
                y={-y - 1.1 * unit}
                width={2.2 * unit}
                height={2.2 * unit}
                fill="var(--color-base-100)"
                stroke="var(--chalk)"
                strokeWidth={0.5 * unit}
              />
              <circle
                cx={x}
                cy={-y}
                r={3.2 * unit}
                fill="transparent"
                className="cursor-move"
                onPointerDown={(event) => {
                  event.stopPropagation();
                  svg.current!.setPointerCapture(event.pointerId);
                  setDragged({ kind: 'control', index: i, which });
                }}
              />
            </g>
          );
        });
      })}
      {edited.edges.map(({ from: [x, y] }, i) => {
        const own = held.kind === 'corner' && held.index === i;
        return (
          <g key={i}>
            <circle
              cx={x}
              cy={-y}
              r={(own ? 1.7 : 1.2) * unit}
              fill={own ? 'var(--color-accent)' : 'var(--chalk)'}
              stroke="var(--color-base-100)"
              strokeWidth={0.35 * unit}
            />
            <circle
              cx={x}
              cy={-y}
              r={3.2 * unit}
              fill="transparent"
              className="cursor-move outline-none"
              role="button"
              tabIndex={0}
              aria-label={`Corner ${i + 1}`}
              onFocus={() => onHold({ kind: 'corner', index: i })}
              onPointerDown={(event) => {
                event.stopPropagation();
                onHold({ kind: 'corner', index: i });
                svg.current!.setPointerCapture(event.pointerId);
                setDragged({ kind: 'corner', index: i });
              }}
            />
          </g>
        );
      })}
    </svg>
  );
}

/** The whole outline with room around it. */
function viewOf(edited: Edited): { x: number; y: number; size: number } {
  const points = edited.edges.flatMap((edge, i) =>
    edge.curve ? cubicPoints(edge.from, edge.curve[0], edge.curve[1], endOf(edited, i)) : [edge.from, ...(edge.via ?? [])],
  );
  const { minX, minY, maxX, maxY } = bounds(points);
  return { x: (minX + maxX) / 2, y: (minY + maxY) / 2, size: 1.3 * Math.max(maxY - minY, (maxX - minX) / 1.5, 20) };
}
