import { judgeShape, type CheckLength, type ShapeJudged } from '../../core/press';
import { bounds, type Outline } from '../../core/shape';
import { TextInput } from '../../ui/form/form-fields';
import { closedPath } from '../../ui/svg-path';
import { useUnits } from '../../ui/units-context';

const WAY_WORDS = { along: 'Along the grain', across: 'Across', bias: 'On the bias', edge: 'Along the curved edge' } as const;

/** What a verdict asks for, with the largest difference in words. */
function verdictWords({ verdict, differences }: ShapeJudged, write: (mm: number) => string): string {
  const largest = write(Math.max(...differences.map((each) => Math.abs(each ?? 0))));
  switch (verdict) {
    case 'go-on':
      return 'It has the size of its pattern. Go on.';
    case 'trim':
      return `It came out up to ${largest} too long. Lay the pattern on, trim it to it, and go on.`;
    case 'less-allowance':
      return `It came out up to ${largest} short. Sew it with half of that less allowance on either side, so that the seam line keeps its length.`;
    case 'recut':
      return `It came out up to ${largest} short, more than its seam allowance can give. Cut it anew, larger by that, or put the layer on before it is cut.`;
    case 'lay-again':
      return 'It was pulled out of shape: longer one way, or along a curve, than the other. Damp it, coax it to the pattern, press it without moving the iron; then read again.';
  }
}

/** Where the number of a length stands: outside the piece, so that narrow ones stay readable. */
function besideLine(lengths: readonly CheckLength[], i: number, unit: number, [left, right]: [number, number]) {
  const { way, from, to, path } = lengths[i]!;
  if (path) {
    const [x, y] = path[Math.floor(path.length / 2)]!;
    return { x, y: -y - 7 * unit };
  }
  const first = lengths.findIndex((each) => each.way === way) === i;
  const outLeft = left - 8 * unit;
  const outRight = right + 8 * unit;
  if (way === 'along') return { x: first ? outLeft : outRight, y: -(from[1] + (to[1] - from[1]) * 0.15) };
  if (way === 'across') return { x: outRight, y: -to[1] };
  return { x: outLeft, y: -from[1] };
}

interface Props {
  /** The piece as it is cut, mm. */
  outline: Outline;
  lengths: readonly CheckLength[];
  /** Smallest seam allowance, mm. */
  allowance: number;
  /** What was read, mm; null where a field is empty or cannot be read. */
  measured: readonly (number | null)[];
  /** Address of the template at full size that it is laid on. */
  paper: string | undefined;
  /** Props of the field of a length. */
  field: (index: number) => object;
}

/** Three or four lengths of a piece against its pattern, and what to do about them. */
export default function ShapeCheck({ outline, lengths, allowance, measured, paper, field }: Props) {
  const units = useUnits();
  const { minX, minY, maxX, maxY } = bounds(outline);
  const unit = Math.max(maxX - minX, maxY - minY) / 100;
  let judged: ShapeJudged | undefined;
  try {
    judged = judgeShape(lengths, measured, allowance);
  } catch {
    judged = undefined;
  }
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Does it still have its shape?</legend>
      <p className="quiet">
        Cold and flat, with the ruler along the lines that are drawn, a tape along curves. Leave empty what you did not measure.
        {paper && (
          <>
            {' '}
            Where an edge curves, lay it on{' '}
            <a className="font-semibold text-primary underline underline-offset-2" href={paper} download>
              the check template
            </a>
            .
          </>
        )}
      </p>
      <div className="mt-2 grid gap-5 md:grid-cols-[15rem_1fr]">
        <svg
          viewBox={`${minX - 14 * unit} ${-maxY - 4 * unit} ${maxX - minX + 28 * unit} ${maxY - minY + 8 * unit}`}
          className="max-h-48 w-full"
          role="img"
          aria-label={`The piece with the ${lengths.length} lengths to measure, numbered`}
        >
          <path d={closedPath(outline)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={unit} />
          {lengths.map(({ from, to, path = [from, to] }, i) => (
            <g key={i}>
              <path
                d={path.map(([x, y], k) => `${k === 0 ? 'M' : 'L'}${x} ${-y}`).join('')}
                fill="none"
                stroke="var(--chalk)"
                strokeWidth={1.4 * unit}
                strokeDasharray={`${3 * unit} ${2 * unit}`}
              />
              <text
                {...besideLine(lengths, i, unit, [minX, maxX])}
                fontSize={9 * unit}
                fontWeight={700}
                textAnchor="middle"
                dominantBaseline="central"
                fill="var(--ink)"
              >
                {i + 1}
              </text>
            </g>
          ))}
        </svg>
        <div>
          <div className="grid gap-3 sm:grid-cols-2">
            {lengths.map(({ way, length }, i) => (
              <TextInput
                key={i}
                label={`${i + 1} ${WAY_WORDS[way]}`}
                placeholder={units.length(length)}
                hint={`${units.length(length)} by the pattern`}
                {...field(i)}
              />
            ))}
          </div>
          {judged && (
            <p
              role="status"
              className={`mt-3 border-l-4 pl-3 ${judged.verdict === 'go-on' ? 'border-success' : 'border-accent'}`}
            >
              {verdictWords(judged, (mm) => units.length(Math.max(0.5, Math.round(mm * 2) / 2)))}
            </p>
          )}
        </div>
      </div>
    </fieldset>
  );
}
