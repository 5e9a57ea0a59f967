import type { ReactNode } from 'react';
import { bounds, type Outline } from '../../core/shape';
import type { Act } from '../../core/steps';
import { Arrow, At, Bottle, Bowl, Clock, Hand, Hoop, Iron, Line, Needle, Scissors } from './tools';

/** Room for the piece in the middle of a drawing of 200 × 130. */
const ROOM = { x: 100, y: 72, width: 128, height: 78 };

/** The outline drawn into that room, at so many parts of its size, with its place. */
export function fitted(outline: Outline, size = 1, dx = 0, dy = 0): string {
  return fittedWith(outline, [outline], size, dx, dy);
}

/** What lies on an outline, drawn as that is fitted into the room. */
export function fittedWith(frame: Outline, drawn: readonly Outline[], size = 1, dx = 0, dy = 0): string {
  const own = bounds(frame);
  // A long piece lies along the table.
  const upright = own.maxY - own.minY > own.maxX - own.minX;
  const lying = (outline: Outline): Outline => (upright ? outline.map(([x, y]) => [y, -x]) : outline);
  const { minX, minY, maxX, maxY } = bounds(lying(frame));
  const scale = Math.min(ROOM.width / Math.max(1, maxX - minX), ROOM.height / Math.max(1, maxY - minY));
  const path = (outline: Outline) =>
    `${lying(outline)
      .map(([x, y], i) => {
        const px = ROOM.x + dx + (x - (minX + maxX) / 2) * scale * size;
        const py = ROOM.y + dy - (y - (minY + maxY) / 2) * scale * size;
        return `${i === 0 ? 'M' : 'L'}${px.toFixed(1)} ${py.toFixed(1)}`;
      })
      .join('')}Z`;
  return drawn.map(path).join('');
}

/** What the scenes are drawn from: the piece in its two faces, the layer on it, a whole sheet; lines and fills. */
interface Parts {
  outline: Outline;
  /** The layer where it lies on the piece, moved by so much, as a path. */
  layerPath: (dx?: number, dy?: number) => string;
  ink: { stroke: string; strokeWidth: number; strokeLinejoin: 'round' };
  /** Fill of what carries glue. */
  glue: string;
  face: ReactNode;
  wrong: ReactNode;
  layer: ReactNode;
  /** The part of the piece that is wetted, where it is not all of it. */
  where: ReactNode;
  sheet: ReactNode;
}

/** What the hands do, by act: the piece, the tool, and which way it goes. */
export const SCENES: Record<Act, (parts: Parts) => ReactNode> = {
  wash: ({ outline, ink }) => (
    <>
      <path d={fitted(outline, 0.45, 0, -34)} {...ink} fill="var(--color-base-200)" />
      <At x={100} y={74}>
        <Bowl />
      </At>
      <Arrow d="M60 30C76 14 124 14 138 28" />
    </>
  ),
  shrink: ({ outline, ink, glue }) => (
    <>
      <path d={fitted(outline, 0.5, 0, -22)} {...ink} fill={glue} />
      <At x={100} y={74}>
        <Bowl />
      </At>
    </>
  ),
  'press-flat': ({ face }) => (
    <>
      {face}
      <At x={76} y={72}>
        <Iron />
      </At>
      <Arrow d="M116 66H160" />
    </>
  ),
  spray: ({ wrong, where }) => (
    <>
      {wrong}
      {where}
      <At x={146} y={34}>
        <Bottle />
      </At>
      <Arrow d="M60 118C40 118 30 104 34 90" />
    </>
  ),
  soak: ({ outline, ink }) => (
    <>
      <path d={fitted(outline, 0.5, 0, -8)} {...ink} fill="var(--color-base-200)" />
      <At x={100} y={70}>
        <Bowl />
      </At>
      <At x={118} y={48} turn={-70}>
        <Hand />
      </At>
      <Arrow d="M60 30V62" />
    </>
  ),
  hang: ({ outline, ink }) => (
    <>
      <At x={100} y={22}>
        <Line />
      </At>
      <path d={fitted(outline, 0.9, 0, 2)} {...ink} fill="var(--color-base-200)" />
      <Arrow d="M20 66C26 60 30 72 36 66" />
      <Arrow d="M20 86C26 80 30 92 36 86" />
    </>
  ),
  rest: ({ face, where }) => (
    <>
      {face}
      {where}
      <At x={166} y={30}>
        <Clock />
      </At>
    </>
  ),
  'press-sections': ({ ink, wrong }) => (
    <>
      {wrong}
      <path d={`M40 ${ROOM.y - 30}H160`} {...ink} fill="none" strokeDasharray="6 4" />
      {[64, 104].map((x) => (
        <At key={x} x={x} y={72}>
          <Iron />
        </At>
      ))}
      <Arrow d="M84 30C96 18 110 18 120 28" />
    </>
  ),
  press: ({ wrong, layer }) => (
    <>
      {wrong}
      {layer}
      <At x={66} y={76}>
        <Iron />
      </At>
      <g opacity={0.45}>
        <At x={132} y={56}>
          <Iron />
        </At>
      </g>
      <Arrow d="M74 36C90 14 112 12 128 20" />
    </>
  ),
  cool: ({ wrong, layer }) => (
    <>
      {wrong}
      {layer}
      <At x={166} y={28}>
        <Clock />
      </At>
    </>
  ),
  cut: ({ outline, ink }) => (
    <>
      <path d={fitted(outline)} {...ink} fill="var(--color-base-200)" strokeDasharray="5 3" />
      <At x={128} y={ROOM.y + 39} turn={-6}>
        <Scissors />
      </At>
      <Arrow d="M92 124H48" />
    </>
  ),
  'lay-face-down': ({ layerPath, ink, glue, wrong }) => (
    <>
      {wrong}
      <path d={layerPath(10, -22)} {...ink} fill={glue} fillOpacity={0.9} />
      <Arrow d="M30 34C26 50 28 60 36 70" />
    </>
  ),
  'lay-on-layer': ({ outline, ink, sheet }) => (
    <>
      {sheet}
      <path d={fitted(outline, 0.62, -22, -4)} {...ink} fill="var(--color-base-200)" />
      <path d={fitted(outline, 0.62, 26, 8)} {...ink} fill="var(--color-base-200)" />
      <Arrow d="M30 12C44 12 56 18 62 34" />
    </>
  ),
  'smooth-on': ({ wrong, layer }) => (
    <>
      {wrong}
      {layer}
      <At x={112} y={74}>
        <Hand />
      </At>
      <Arrow d="M84 62C70 52 58 48 44 48" />
      <Arrow d="M140 90C150 98 158 102 168 102" />
    </>
  ),
  baste: ({ outline, layerPath, ink, glue, wrong }) => (
    <>
      {wrong}
      <path d={layerPath()} {...ink} fill={glue} />
      <path d={fitted(outline, 0.93)} fill="none" stroke="var(--color-accent)" strokeWidth={2.4} strokeDasharray="7 5" />
      <At x={ROOM.x + 30} y={ROOM.y + 32}>
        <Needle />
      </At>
    </>
  ),
  feel: ({ face }) => (
    <>
      {face}
      <At x={150} y={ROOM.y + 34} turn={20}>
        <Hand />
      </At>
      <Arrow d="M112 124H60" />
    </>
  ),
  'cut-loose': ({ outline, ink, sheet }) => (
    <>
      {sheet}
      <path d={fitted(outline, 0.8)} {...ink} fill="var(--color-base-200)" />
      <path d={fitted(outline, 0.92)} fill="none" stroke="var(--chalk)" strokeWidth={1.8} strokeDasharray="5 4" />
      <At x={164} y={40} turn={30}>
        <Scissors />
      </At>
    </>
  ),
  check: ({ ink, face }) => (
    <>
      {face}
      <circle
        cx={ROOM.x + 44}
        cy={ROOM.y - 20}
        r={20}
        {...ink}
        fill="var(--color-base-100)"
        fillOpacity={0.7}
        strokeWidth={2.4}
      />
      <path d={`M${ROOM.x + 58} ${ROOM.y - 6}l18 18`} {...ink} strokeWidth={4} />
    </>
  ),
  hoop: ({ outline, ink }) => (
    <>
      <path d={fitted(outline, 1.12)} {...ink} fill="var(--color-base-200)" />
      <At x={100} y={72}>
        <Hoop width={82} height={62} />
      </At>
      <Arrow d="M30 72H14" />
      <Arrow d="M176 104H190" />
    </>
  ),
  'slide-under': ({ ink, glue }) => (
    <>
      <rect x={10} y={86} width={110} height={34} {...ink} fill={glue} />
      <At x={108} y={58}>
        <Hoop width={96} height={66} />
      </At>
      <Arrow d="M24 128H70" />
    </>
  ),
  'lay-on-top': ({ ink }) => (
    <>
      <At x={100} y={78}>
        <Hoop width={96} height={66} />
      </At>
      <rect x={66} y={30} width={92} height={62} {...ink} fill="var(--color-base-100)" fillOpacity={0.6} strokeDasharray="3 3" />
      <Arrow d="M40 20C36 36 40 48 54 56" />
    </>
  ),
  stitch: ({ ink }) => (
    <>
      <At x={100} y={78}>
        <Hoop width={110} height={70} />
      </At>
      {[0, 1, 2, 3, 4].map((row) => (
        <path
          key={row}
          d={`M${76} ${64 + 7 * row}H${124}`}
          stroke="var(--color-accent)"
          strokeWidth={2.6}
          strokeDasharray="6 3"
        />
      ))}
      <path d="M100 14V62M96 14H104" {...ink} fill="none" strokeWidth={2.4} />
      <Arrow d="M116 22V48" />
    </>
  ),
  'take-away': ({ ink, glue, face }) => (
    <>
      {face}
      <rect x={76} y={52} width={48} height={40} {...ink} fill="var(--color-accent)" fillOpacity={0.5} />
      <path d="M40 40C60 30 62 60 72 48S70 96 54 106H36Z" {...ink} fill={glue} />
      <Arrow d="M50 40C40 26 28 24 18 30" />
    </>
  ),
};
