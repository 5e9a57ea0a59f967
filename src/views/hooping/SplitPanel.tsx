import { hoopOutlines } from '../../core/hoop';
import { call } from '../../ui/api';
import { useAsked, useWrite } from '../../ui/query';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Hooping } from '../../store/hoopings';
import type { KeptHoop } from '../../store/hoops';
import type { KeptMotif } from '../../store/motifs';

interface Props {
  motif: KeptMotif;
  hoop: KeptHoop;
  hoopingId: string;
  /** Saves what is not saved yet. */
  onSaveFirst: () => Promise<Hooping | undefined>;
}

interface ToldPart {
  n: number;
  centre: [number, number];
  turned: boolean;
  stitches: number;
  throughSatin: boolean;
  crosses: [number, number][];
  laid: { part: number; at: [number, number][]; first: boolean }[];
}

/** The hoopings of a motif that is too large for one: where each hoop lies, its crosses, its file for the machine. */
export default function SplitPanel({ motif, hoop, hoopingId, onSaveFirst }: Props) {
  const units = useUnits();
  const { answer, busy, error } = useAsked<{ parts: ToldPart[] }>(`/api/motifs/${motif.id}/parts?hoop=${hoop.id}`);
  const hooping = useWrite(
    async () => {
      await onSaveFirst();
      return call<{ hoopings: Hooping[] }>('POST', `/api/hoopings/${hoopingId}/parts`);
    },
    { onSuccess: ({ hoopings }) => location.assign(`/hoop/jobs/${hoopings[0]!.id}?stage=prepare`) },
  );
  const parts = answer?.parts ?? [];
  const { minX, minY, maxX, maxY } = motif.figures.bounds;
  const away = (mm: number, more: string, less: string) =>
    Math.abs(mm) < 1 ? '' : `${units.length(Math.round(Math.abs(mm)))} ${mm > 0 ? more : less}`;
  if (busy && parts.length === 0) return <p role="status">Looking how it can be parted …</p>;
  if (error || parts.length < 2)
    return error ? (
      <p role="alert" className="font-semibold text-error">
        {error}
      </p>
    ) : (
      <p className="sheet p-4">Too large even for twelve hoopings in this hoop: take a larger one, or draw the motif smaller.</p>
    );
  const fields = parts.map(({ centre: [x, y], turned }) => hoopOutlines(hoop, { x, y, angle: turned ? 90 : 0 }).field);
  const points = fields.flat();
  const [left, right] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [low, high] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const line = (right - left) / 150;
  return (
    <section className="sheet space-y-3 p-4" aria-label="Several hoopings">
      <h2 className="font-semibold">Too large for one hooping</h2>
      <svg
        viewBox={`${left} ${-high} ${right - left} ${high - low}`}
        className="max-h-56 w-full"
        role="img"
        aria-label={`The motif under ${counted(parts.length, 'field')}, with the crosses between`}
      >
        <rect x={minX} y={-maxY} width={maxX - minX} height={maxY - minY} fill="var(--chalk)" fillOpacity={0.2} />
        {fields.map((field, i) => (
          <g key={i}>
            <path
              d={`M${field.map(([x, y]) => `${x} ${-y}`).join('L')}Z`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={line}
              strokeDasharray={`${4 * line} ${2 * line}`}
            />
            <text
              x={parts[i]!.centre[0]}
              y={-parts[i]!.centre[1] + 4 * line}
              fontSize={12 * line}
              fontWeight={700}
              textAnchor="middle"
              fill="var(--ink)"
            >
              {i + 1}
            </text>
          </g>
        ))}
        {parts.flatMap(({ n, crosses }) =>
          crosses.map(([x, y]) => (
            <path
              key={`${n} ${x} ${y}`}
              d={`M${x - 4} ${-y}h8M${x} ${-y - 4}v8`}
              stroke="var(--color-error)"
              strokeWidth={1.2 * line}
            />
          )),
        )}
      </svg>
      <p>
        In this hoop it takes {counted(parts.length, 'hooping')}
        {parts[0]!.turned ? ', turned by a quarter' : ''}. Two crosses on each border are sewn last in the one part; in the next
        they are sewn first and must fall onto those that are there. Pick them out when the next part holds.
      </p>
      {parts.some(({ throughSatin }) => throughSatin) && (
        <p className="border-l-4 border-accent pl-2">
          A satin is longer than the field and is cut across: the join will be seen. A larger hoop keeps it whole.
        </p>
      )}
      <ol className="list-decimal pl-6">
        {parts.map(({ n, centre: [x, y], stitches }) => (
          <li key={n}>
            The hoop’s middle{' '}
            {[away(x - (minX + maxX) / 2, 'to the right', 'to the left'), away(y - (minY + maxY) / 2, 'up', 'down')]
              .filter(Boolean)
              .join(', ') || 'on that of the motif'}
            ; {stitches.toLocaleString('en')} stitches.{' '}
            <a
              className="font-semibold text-primary underline"
              href={`/api/motifs/${motif.id}/parts/${n}.dst?hoop=${hoop.id}`}
              download
            >
              File of part {n}
            </a>
          </li>
        ))}
      </ol>
      <button type="button" className="btn btn-primary w-full" disabled={hooping.isPending} onClick={() => hooping.mutate()}>
        Hoop the {parts.length} parts, each with its own card
      </button>
      {hooping.error && (
        <p role="alert" className="font-semibold text-error">
          {hooping.error.message}
        </p>
      )}
    </section>
  );
}
