import { useEffect, useMemo, useRef, useState } from 'react';
import { hoopOutlines, mountPoint, placedMotif, type Hoop, type PlacingTrouble } from '../../core/hoop';
import type { Motif } from '../../core/motif';
import { bounds, type Outline, type Point } from '../../core/shape';
import { drawStitches } from '../../ui/motif/draw-motif';
import { closedPath, closedPaths, pointerPlace } from '../../ui/svg-path';
import type { Placed } from './stages';

interface Props {
  placed: Placed;
  hull: Outline;
  stitches: Motif;
  colours: readonly string[];
  motifBounds: { minX: number; minY: number; maxX: number; maxY: number };
  hoop: Hoop | undefined;
  troubles: readonly PlacingTrouble[];
  /** The edges from which the middle is measured. */
  measured: { edge: number; distance: number; words: string }[];
  frozen: boolean;
  onDrag: (place: Placed['place'], done: boolean) => void;
}

const ROOM = 70;
/** Light in both themes: thread is drawn in its own colours. */
const MOTIF_GROUND = '#f6f1e4';
/** Longer side of the picture of the motif, px. */
const PICTURE = 700;

/** The cloth as it is cut, the hoop and its field on it, and the motif to be dragged. Millimetres, y up. */
export default function PlacingCanvas({
  placed,
  hull,
  stitches,
  colours,
  motifBounds,
  hoop,
  troubles,
  measured,
  frozen,
  onDrag,
}: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<{ from: Point; place: Placed['place'] } | undefined>(undefined);
  const [picture, setPicture] = useState('');
  const { ground, place, hoopPlace, floats } = placed;
  // The view stays put while the motif is dragged; a ring that hangs over the edge still shows.
  const box = bounds(ground.outline);
  const view = `${box.minX - ROOM} ${-box.maxY - ROOM} ${box.maxX - box.minX + 2 * ROOM} ${box.maxY - box.minY + 2 * ROOM}`;
  const unit = Math.max(box.maxX - box.minX, box.maxY - box.minY) / 500;
  const [width, height] = [motifBounds.maxX - motifBounds.minX, motifBounds.maxY - motifBounds.minY];
  useEffect(() => {
    const canvas = document.createElement('canvas');
    const scale = PICTURE / Math.max(width, height, 1);
    canvas.width = Math.max(1, Math.ceil(width * scale));
    canvas.height = Math.max(1, Math.ceil(height * scale));
    const context = canvas.getContext('2d')!;
    drawStitches(
      context,
      stitches,
      colours,
      { scale, x: -motifBounds.minX * scale, y: motifBounds.maxY * scale },
      0,
      stitches.command.length,
    );
    setPicture(canvas.toDataURL());
  }, [stitches, colours, motifBounds, width, height]);
  const lines = useMemo(() => hoop && hoopPlace && hoopOutlines(hoop, hoopPlace), [hoop, hoopPlace]);
  const there = placedMotif(hull, place);
  const bad = troubles.length > 0;
  const mount = hoop && hoopPlace ? mountPoint(hoop, hoopPlace) : undefined;
  return (
    <svg
      ref={svg}
      viewBox={view}
      className="sheet block h-[560px] w-full"
      role="group"
      aria-label="Cloth, hoop and motif"
      style={{ touchAction: 'none' }}
    >
      <path d={closedPath(ground.outline)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={1.6 * unit} />
      {ground.strips.length > 0 && (
        <path
          d={closedPaths(ground.strips)}
          fill="var(--color-base-300)"
          opacity={0.7}
          stroke="var(--ink)"
          strokeWidth={unit}
          strokeDasharray={`${3 * unit} ${3 * unit}`}
        />
      )}
      {ground.obstacles.length > 0 && (
        <path d={closedPaths(ground.obstacles)} fill="var(--basting)" opacity={0.35} stroke="var(--basting)" strokeWidth={unit} />
      )}
      {lines && (
        <g opacity={floats ? 0.55 : 1}>
          <path
            d={`${closedPath(lines.outer)}${closedPath(lines.inner)}`}
            fillRule="evenodd"
            fill="color-mix(in oklab, var(--ink) 20%, transparent)"
            stroke="var(--ink)"
            strokeWidth={unit}
            {...(floats ? { strokeDasharray: `${6 * unit} ${4 * unit}` } : {})}
          />
          <path
            d={closedPath(lines.field)}
            fill="none"
            stroke="var(--chalk)"
            strokeWidth={1.4 * unit}
            strokeDasharray={`${5 * unit} ${4 * unit}`}
          />
          {mount && <circle cx={mount[0]} cy={-mount[1]} r={5 * unit} fill="var(--ink)" />}
        </g>
      )}
      {troubles.map(({ kind, where }) => (
        <path key={kind} d={closedPaths(where)} fill="var(--pin)" opacity={0.55} />
      ))}
      <g
        role="button"
        tabIndex={frozen ? -1 : 0}
        aria-label={`The motif, ${bad ? 'not held here' : 'held'}`}
        className={`outline-none ${frozen ? '' : 'cursor-grab active:cursor-grabbing'}`}
        onPointerDown={(event) => {
          if (frozen) return;
          const from = pointerPlace(svg.current!, event);
          if (!from) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          drag.current = { from, place };
        }}
        onPointerMove={(event) => {
          const to = drag.current && pointerPlace(svg.current!, event);
          if (!to || !drag.current) return;
          const { from, place: was } = drag.current;
          onDrag({ ...was, x: was.x + to[0] - from[0], y: was.y + to[1] - from[1] }, false);
        }}
        onPointerUp={(event) => {
          const to = drag.current && pointerPlace(svg.current!, event);
          if (to && drag.current) {
            const { from, place: was } = drag.current;
            onDrag({ ...was, x: Math.round(was.x + to[0] - from[0]), y: Math.round(was.y + to[1] - from[1]) }, true);
          }
          drag.current = undefined;
        }}
      >
        <path d={closedPath(there)} fill={MOTIF_GROUND} stroke={bad ? 'var(--pin)' : 'var(--moss)'} strokeWidth={1.4 * unit} />
        {picture && (
          <image
            href={picture}
            x={-width / 2}
            y={-height / 2}
            width={width}
            height={height}
            transform={`translate(${place.x} ${-place.y}) rotate(${-place.angle}) scale(${place.flipped ? -1 : 1} 1)`}
            preserveAspectRatio="none"
          />
        )}
        <path
          d={`M${place.x - 7 * unit} ${-place.y}h${14 * unit}M${place.x} ${-place.y - 7 * unit}v${14 * unit}`}
          stroke="var(--ink)"
          strokeWidth={1.4 * unit}
        />
      </g>
      <g pointerEvents="none">
        {measured.map(({ edge, distance, words }) => {
          const [a, b] = [ground.outline[edge]!, ground.outline[(edge + 1) % ground.outline.length]!];
          const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
          const n: Point = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
          const foot: Point = [place.x - n[0] * distance, place.y - n[1] * distance];
          return (
            <g key={edge}>
              <line x1={place.x} y1={-place.y} x2={foot[0]} y2={-foot[1]} stroke="var(--chalk)" strokeWidth={1.2 * unit} />
              <text
                x={place.x + 0.72 * (foot[0] - place.x) + 4 * unit}
                y={-(place.y + 0.72 * (foot[1] - place.y)) - 4 * unit}
                fontSize={15 * unit}
                fontWeight={600}
                fill="var(--ink)"
                stroke="var(--color-base-100)"
                strokeWidth={4 * unit}
                paintOrder="stroke"
              >
                {words}
              </text>
            </g>
          );
        })}
      </g>
    </svg>
  );
}
