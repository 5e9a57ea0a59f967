import { useId } from 'react';
import type { HoopScene } from '../../core/hoop';
import { bounds, type Point } from '../../core/shape';
import StepDrawing from '../../ui/steps/StepDrawing';
import { closedPath, closedPaths } from '../../ui/svg-path';
import { useUnits } from '../../ui/units-context';

interface Props {
  scene: HoopScene;
  /** What is seen, for those who do not see it: the step itself. */
  words: string;
  /** Where the folds cross. */
  middle: Point;
}

const SIZE = 'h-36 w-52 shrink-0';
/** Free room round what is drawn, as a share of its longer side. */
const ROOM = 0.05;

/** One step of hooping, drawn with this cloth, hoop and sheet: from above, or as the machine carries the hoop. */
export default function PrepareDrawing({ scene, words, middle }: Props) {
  if (scene.kind === 'by-hand')
    return <StepDrawing act={scene.act} outline={scene.cloth} region={scene.region} className={SIZE} />;
  return <FromAbove scene={scene} words={words} middle={middle} />;
}

function FromAbove({ scene, words, middle }: Omit<Props, 'scene'> & { scene: Extract<HoopScene, { kind: 'in-hoop' }> }) {
  const units = useUnits();
  const id = useId().replace(/:/g, '');
  const { cloth, strips, sheets, film, folds, ring, mount, motif, near, brings } = scene;
  const round = [...(ring ? [ring.outer] : []), ...sheets, ...film];
  const { minX, minY, maxX, maxY } = bounds([...round, ...(near || !cloth ? [] : [cloth, ...strips])].flat());
  const unit = Math.max(maxX - minX, 1.4 * (maxY - minY)) / 100;
  const room = 100 * unit * ROOM;
  const view = [minX - room, -maxY - room, maxX - minX + 2 * room, maxY - minY + 2 * room];
  const ink = { stroke: 'var(--ink)', strokeWidth: 0.9 * unit, strokeLinejoin: 'round' } as const;
  const dashes = { strokeDasharray: `${3 * unit} ${2 * unit}` };
  return (
    <svg viewBox={view.join(' ')} className={SIZE} role="img" aria-label={words}>
      <defs>
        <pattern id={`sheet-${id}`} width={4 * unit} height={4 * unit} patternUnits="userSpaceOnUse">
          <rect width={4 * unit} height={4 * unit} fill="var(--color-base-100)" />
          <circle cx={unit} cy={unit} r={0.55 * unit} fill="var(--ink)" fillOpacity="0.45" />
          <circle cx={3 * unit} cy={3 * unit} r={0.55 * unit} fill="var(--ink)" fillOpacity="0.45" />
        </pattern>
      </defs>
      {sheets.length > 0 && <path d={closedPath(sheets[0]!)} {...ink} fill={`url(#sheet-${id})`} />}
      {cloth && <path d={closedPath(cloth)} {...ink} fill="var(--color-base-200)" fillOpacity={sheets.length > 0 ? 0.82 : 1} />}
      {strips.length > 0 && <path d={closedPaths(strips)} {...ink} {...dashes} fill="var(--color-base-300)" fillOpacity={0.7} />}
      {/* Where the sheet lies under the cloth. */}
      {cloth && sheets.map((sheet, i) => <path key={i} d={closedPath(sheet)} {...ink} {...dashes} fill="none" />)}
      {ring && (
        <path
          d={`${closedPath(ring.outer)}${closedPath(ring.inner)}`}
          {...ink}
          fillRule="evenodd"
          fill="color-mix(in oklab, var(--ink) 30%, transparent)"
        />
      )}
      {film.map((each, i) => (
        <path
          key={i}
          d={closedPath(each)}
          stroke="var(--chalk)"
          strokeWidth={1.3 * unit}
          fill="var(--chalk)"
          fillOpacity={0.22}
        />
      ))}
      {motif && ring && (
        <>
          <path d={closedPath(ring.field)} fill="none" stroke="var(--chalk)" strokeWidth={0.9 * unit} {...dashes} />
          <path d={closedPath(motif)} {...ink} fill="var(--moss)" fillOpacity={0.35} />
        </>
      )}
      {mount && ring && <Mount at={mount} middle={motif ? [0, 0] : middle} unit={unit} />}
      {folds.map(({ from, to, edge, distance }) => {
        const far = ([x, y]: Point) => Math.hypot(x - middle[0], y - middle[1]);
        const end = far(to) > far(from) ? to : from;
        const upright = Math.abs(to[1] - from[1]) > Math.abs(to[0] - from[0]);
        return (
          <g key={edge}>
            <path
              d={`M${from[0]} ${-from[1]}L${to[0]} ${-to[1]}`}
              fill="none"
              stroke="var(--chalk)"
              strokeWidth={1.3 * unit}
              {...dashes}
            />
            {!ring && (
              <text
                x={middle[0] + 0.62 * (end[0] - middle[0]) + (upright ? 3 * unit : 0)}
                y={-(middle[1] + 0.62 * (end[1] - middle[1])) - (upright ? 0 : 3 * unit)}
                textAnchor={upright ? 'start' : 'middle'}
                fontSize={9 * unit}
                fontWeight={600}
                fill="var(--ink)"
                stroke="var(--color-base-200)"
                strokeWidth={3 * unit}
                paintOrder="stroke"
              >
                {units.length(distance)}
              </text>
            )}
          </g>
        );
      })}
      {brings === 'sheet' && ring && <Comes to={[0, bounds(ring.outer).minY]} unit={unit} />}
    </svg>
  );
}

/** The arm or bar at the side on which the hoop is carried. */
function Mount({ at, middle, unit }: { at: Point; middle: Point; unit: number }) {
  const far = Math.hypot(at[0] - middle[0], at[1] - middle[1]) || 1;
  const [ux, uy] = [(at[0] - middle[0]) / far, (at[1] - middle[1]) / far];
  const end: Point = [at[0] + 9 * unit * ux, at[1] + 9 * unit * uy];
  return <path d={`M${at[0]} ${-at[1]}L${end[0]} ${-end[1]}`} stroke="var(--ink)" strokeWidth={7 * unit} />;
}

/** A sheet comes from the front, under the hoop. */
function Comes({ to: [x, y], unit }: { to: Point; unit: number }) {
  const tip = -y - 8 * unit;
  return (
    <path
      d={`M${x} ${tip + 14 * unit}V${tip}M${x - 4 * unit} ${tip + 5 * unit}L${x} ${tip}L${x + 4 * unit} ${tip + 5 * unit}`}
      fill="none"
      stroke="var(--chalk)"
      strokeWidth={1.8 * unit}
    />
  );
}
