import { ChevronLeft, ChevronRight, Printer } from 'lucide-react';
import { designWords, hoopLines, turnWords, USUAL_NEEDLE, type HoopCard } from '../../core/hoop';
import type { Fabric } from '../../core/cloth';
import { bounds } from '../../core/shape';
import LengthField from '../../ui/LengthField';
import { useUnits } from '../../ui/units-context';
import type { CopySize } from '../../store/hoopings';

interface Props {
  hoopingId: string;
  card: HoopCard;
  /** What is hooped: some cloth must not be folded. */
  fabric: Fabric;
  count: number;
  sizes: readonly CopySize[];
  /** Threads in the order in which they are sewn. */
  colours: readonly string[];
  onCopy: (copy: number) => void;
  onSizes: (sizes: CopySize[]) => void;
}

/** How one piece of the set is folded or marked for the hoop, and what is set at the machine for it. */
export default function CardPanel({ hoopingId, card, fabric, count, sizes, colours, onCopy, onSizes }: Props) {
  const units = useUnits();
  const { copy, mirrored, ground, edges, tilt } = card;
  const lines = hoopLines(card, fabric, units.length);
  const size = sizes.find((each) => each.copy === copy);
  const box = bounds(ground);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const resize = (to: { width: number; height: number }) =>
    onSizes([...sizes.filter((each) => each.copy !== copy), { copy, ...to }]);
  return (
    <section className="sheet p-4" aria-label="Card of this piece">
      <div className="flex items-center justify-between gap-2">
        <h2 className="chalk-heading">
          {count > 1 ? `Piece ${copy + 1} of ${count}` : lines.title}
          {mirrored && ', mirrored'}
        </h2>
        {count > 1 && (
          <div className="flex">
            <button
              type="button"
              className="btn btn-ghost btn-icon"
              aria-label="The piece before"
              disabled={copy === 0}
              onClick={() => onCopy(copy - 1)}
            >
              <ChevronLeft size={20} aria-hidden="true" />
            </button>
            <button
              type="button"
              className="btn btn-ghost btn-icon"
              aria-label="The piece after"
              disabled={copy === count - 1}
              onClick={() => onCopy(copy + 1)}
            >
              <ChevronRight size={20} aria-hidden="true" />
            </button>
          </div>
        )}
      </div>
      {edges.length === 0 ? (
        <p className="mt-1">The edges are curved: lay the printed card on where the drawing shows it, and mark its cross.</p>
      ) : (
        <ul className="mt-1 space-y-0.5">
          {lines.each.map((words, i) => {
            // The figure stands out: it is what is measured.
            const [before, after] = words.split(units.length(edges[i]!.distance));
            return (
              <li key={words}>
                {before}
                <strong>{units.length(edges[i]!.distance)}</strong>
                {after}
              </li>
            );
          })}
        </ul>
      )}
      <p className="mt-1">
        {/* Turned by no quarter, only the middle of the hoop comes to lie on the folds. */}
        {Math.abs(Math.sin((tilt * Math.PI) / 90)) < 0.02
          ? `The marks of the hoop go onto the ${lines.called}`
          : `The middle of the hoop goes onto where the ${lines.called} cross`}
        {turnWords(tilt) && `, the hoop turned ${turnWords(tilt)} against the drawing of the cloth`}.
      </p>
      <h3 className="mt-3 font-semibold">At the machine</h3>
      <p>{designWords(card, units.length)}</p>
      <p className="mt-1 flex flex-wrap items-center gap-1">
        Needle {USUAL_NEEDLE}, threads in this order:
        {colours.map((colour, i) => (
          <span key={i} className="inline-flex items-center gap-1">
            <span
              className="inline-block size-4 rounded-full border border-base-content"
              style={{ background: colour }}
              aria-hidden="true"
            />
            {i + 1}
          </span>
        ))}
      </p>
      <div className="mt-3 grid grid-cols-2 gap-3">
        <LengthField
          label={count > 1 ? 'This piece is wide' : 'It is wide'}
          value={width}
          min={20}
          onChange={(mm) => Math.abs(mm - width) > 0.001 && resize({ width: mm, height })}
        />
        <LengthField
          label="And high"
          value={height}
          min={20}
          onChange={(mm) => Math.abs(mm - height) > 0.001 && resize({ width, height: mm })}
        />
      </div>
      <p className="quiet mt-1 text-[0.95rem]">
        {size
          ? 'As you measured it: the distance from the nearer edge stays, what lies in the middle stays in the middle.'
          : 'As the pattern has it. Type what you measure where a hem came out otherwise.'}
        {size && (
          <button type="button" className="btn btn-ghost" onClick={() => onSizes(sizes.filter((each) => each.copy !== copy))}>
            As the pattern
          </button>
        )}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <a className="btn" href={`/api/hoopings/${hoopingId}/card.pdf?copy=${copy}`} download>
          <Printer size={18} aria-hidden="true" /> Card at full size
        </a>
      </div>
    </section>
  );
}
