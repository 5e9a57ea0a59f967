import type { MotifPart } from '../../core/hoop';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { KeptMotif } from '../../store/motifs';

interface Props {
  motif: KeptMotif;
  parts: readonly MotifPart[];
  hoopId: string;
}

/** The hoopings of a motif that is too large for one: where each hoop lies, and its file for the machine. */
export default function SplitPanel({ motif, parts, hoopId }: Props) {
  const units = useUnits();
  const { minX, minY, maxX, maxY } = motif.figures.bounds;
  const away = (mm: number, more: string, less: string) =>
    Math.abs(mm) < 1 ? '' : `${units.length(Math.round(Math.abs(mm)))} ${mm > 0 ? more : less}`;
  return (
    <section className="sheet p-4" aria-label="Several hoopings">
      <h2 className="font-semibold">Too large for one hooping</h2>
      <p className="mt-1">
        In this hoop it takes {counted(parts.length, 'hooping')}, {parts[0]!.turned ? 'turned by a quarter, ' : ''}laid to each
        other by two crosses on every border. The middle of the hoop lies, from the middle of the motif:
      </p>
      <ol className="mt-1 list-decimal pl-6">
        {parts.map(({ centre: [x, y] }, i) => (
          <li key={i}>
            {[away(x - (minX + maxX) / 2, 'to the right', 'to the left'), away(y - (minY + maxY) / 2, 'up', 'down')]
              .filter(Boolean)
              .join(', ') || 'on it'}
          </li>
        ))}
      </ol>
      <div className="mt-2 flex flex-wrap gap-2">
        {parts.map((_, i) => (
          <a key={i} className="btn" href={`/api/motifs/${motif.id}/parts/${i + 1}.dst?hoop=${hoopId}`} download>
            Part {i + 1}
          </a>
        ))}
      </div>
    </section>
  );
}
