import { useMemo } from 'react';
import { setOut } from '../../../core/pieces';
import { bounds, type Point } from '../../../core/shape';
import { closedPath, closedPaths, openPath } from '../../../ui/svg-path';
import { cornersOf, nameOnBoard, runsOf, sameTouch, type BoardCut, type Touched } from './board-cuts';

interface Props {
  cuts: readonly BoardCut[];
  touched: readonly Touched[];
  onTouch: (on: Touched, more: boolean) => void;
}

/** Sides of the board as it is laid on the screen, px: text keeps its size however large the pieces are. */
const BOARD = { width: 900, height: 420 };
/** Room of the words under a piece, and of one letter, px. */
const WORDS = { height: 40, letter: 7.4, most: 24 };
const GAP = 22;
/** Cloth keeps its own tone in both themes. */
const CLOTH = { light: '#f3ecdc', mid: '#cdbf9f', dark: '#7b7263' };
const INK = '#1b1f33';

/** What waits for a cut: the first thing that has to be done to it. */
function waits({ jobs }: BoardCut): string {
  if (jobs.length === 0) return 'nothing is done to it';
  const open = jobs.filter(({ next }) => next !== null);
  if (open.length === 0) return 'done';
  const [first] = open;
  const words = { cloth: 'no cloth yet', choose: 'to choose', cut: 'to cut', apply: 'to be put on' }[first!.next as 'cloth'];
  return open.length > 1 ? `${words}, and ${open.length - 1} more` : words;
}

const shortened = (name: string) => (name.length > WORDS.most ? `${name.slice(0, WORDS.most - 1)}…` : name);

/** Sizes as they are laid, with room for words that do not grow with the pieces. */
function laidOn(cuts: readonly BoardCut[]) {
  let unit = 0;
  let set = setOut([], 1, 0);
  let boxes: { width: number; height: number }[] = [];
  // The room of the words depends on how large a pixel comes out: it settles at once.
  for (let i = 0; i < 3; i++) {
    boxes = cuts.map((each) => ({
      width: Math.max(each.width, Math.max(shortened(nameOnBoard(each)).length + 4, 14) * WORDS.letter * unit),
      height: each.height + WORDS.height * unit,
    }));
    set = setOut(boxes, BOARD.width / BOARD.height, GAP * unit);
    unit = Math.max(set.width / BOARD.width, set.height / BOARD.height, 0.05);
  }
  return { set, unit, boxes };
}

/** The pieces of a project laid out, to scale, in the tone of their cloth, with their jobs where they are done. */
export default function BoardDrawing({ cuts, touched, onTouch }: Props) {
  const { set, unit, boxes } = useMemo(() => laidOn(cuts), [cuts]);
  const room = 8 * unit;
  return (
    <svg
      viewBox={`${-room} ${-room} ${set.width + 2 * room} ${set.height + 2 * room}`}
      className="block max-h-[27rem] w-full select-none"
      role="group"
      aria-label="Pieces laid out, to scale"
    >
      {cuts.map((each, i) => {
        const { minX, minY, maxY } = bounds(each.open.outline);
        const [x, y] = set.at[i]!;
        const left = x + (boxes[i]!.width - each.width) / 2;
        // The drawing has y downward: the upper edge of what lies there comes to lie on the upper edge of its box.
        const move = each.turned ? `translate(${left - minY} ${-y - minX}) rotate(90)` : `translate(${left - minX} ${maxY - y})`;
        return (
          <LaidPiece
            key={each.cut.id}
            of={each}
            unit={unit}
            move={move}
            under={[x + boxes[i]!.width / 2, each.height - y]}
            touched={touched.filter(({ cutId }) => cutId === each.cut.id)}
            onTouch={onTouch}
          />
        );
      })}
    </svg>
  );
}

interface Laid {
  of: BoardCut;
  unit: number;
  move: string;
  under: Point;
  touched: readonly Touched[];
  onTouch: Props['onTouch'];
}

function LaidPiece({ of, unit, move, under, touched, onTouch }: Laid) {
  const { cut, open, tone, jobs } = of;
  const is = (on: Touched) => touched.some((each) => sameTouch(each, on));
  const whole: Touched = { cutId: cut.id, on: 'piece' };
  const words = waits(of);
  const name = shortened(nameOnBoard(of));
  const runs = runsOf(open);
  // Of a small piece something is left in the middle to be touched as a whole.
  const least = Math.min(of.width, of.height);
  const [reach, corner] = [Math.min(13 * unit, 0.3 * least), Math.min(9 * unit, 0.2 * least)];
  const done = jobs.length > 0 && jobs.every(({ next }) => next === null);
  return (
    <g>
      <g transform={move}>
        <g
          role="button"
          tabIndex={0}
          aria-pressed={is(whole)}
          aria-label={`${nameOnBoard(of)}${cut.count > 1 ? `, ${cut.count} times` : ''}: ${words}`}
          className="cursor-pointer outline-none focus-visible:[&>path:first-child]:stroke-[var(--chalk)]"
          onClick={(event) => onTouch(whole, event.shiftKey || event.ctrlKey || event.metaKey)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            onTouch(whole, event.shiftKey);
          }}
        >
          <path
            d={closedPaths([open.outline, ...open.holes.map(({ outline }) => outline)])}
            fill={tone ? CLOTH[tone] : 'var(--color-base-100)'}
            fillRule="evenodd"
            stroke={is(whole) ? 'var(--chalk)' : INK}
            strokeWidth={(is(whole) ? 4 : 1.4) * unit}
          />
          {jobs.flatMap(({ work, region, next }) =>
            region.map((layer, k) => (
              <path
                key={`${work.id} ${k}`}
                d={closedPaths(layer)}
                fillRule="evenodd"
                fill={next === null ? '#3f7d4e' : '#2b62a8'}
                fillOpacity={work.stack ? (next === 'apply' ? 0.34 : 0.2) : 0}
                stroke={next === null ? '#2d5f3a' : tone === 'dark' ? '#ffffff' : '#1d4a84'}
                strokeWidth={1.3 * unit}
                {...(work.stack ? {} : { strokeDasharray: `${5 * unit} ${4 * unit}` })}
              />
            )),
          )}
          {open.fold && (
            <path
              d={openPath(open.fold)}
              stroke="#b3261e"
              strokeWidth={1.3 * unit}
              strokeDasharray={`${7 * unit} ${3 * unit} ${2 * unit} ${3 * unit}`}
            />
          )}
        </g>
        {runs.map(({ edge, points, closed }, k) => {
          const on: Touched = { cutId: cut.id, on: 'edge', edge };
          const path = closed ? closedPath(points) : openPath(points);
          return (
            <g key={k}>
              {is(on) && <path d={path} fill="none" stroke="var(--chalk)" strokeWidth={5 * unit} strokeLinecap="round" />}
              <path
                d={path}
                fill="none"
                stroke="transparent"
                strokeWidth={reach}
                className="cursor-pointer"
                onClick={(event) => onTouch(on, event.shiftKey || event.ctrlKey || event.metaKey)}
              />
            </g>
          );
        })}
        {cornersOf(open).map(({ cut: [x, y], sewn }, k) => {
          const on: Touched = { cutId: cut.id, on: 'corner', at: sewn };
          return (
            <circle
              key={k}
              cx={x}
              cy={-y}
              r={corner}
              fill={is(on) ? 'var(--chalk)' : 'transparent'}
              fillOpacity={0.7}
              className="cursor-pointer"
              onClick={(event) => onTouch(on, event.shiftKey || event.ctrlKey || event.metaKey)}
            />
          );
        })}
      </g>
      <g textAnchor="middle" fill="var(--ink)" aria-hidden="true" pointerEvents="none">
        <text x={under[0]} y={under[1] + 16 * unit} fontSize={13.5 * unit} fontWeight={700}>
          {name}
          {cut.count > 1 ? ` ×${cut.count}` : ''}
        </text>
        <text x={under[0]} y={under[1] + 32 * unit} fontSize={12 * unit} fillOpacity={0.85}>
          {done ? '✓ ' : ''}
          {words}
        </text>
      </g>
    </g>
  );
}
