import type { Outcome, ScrapPlan } from '../core/scrap';
import { cellWords } from './scrap-words';

interface Props {
  plan: ScrapPlan;
  /** Of stacks that are compared. */
  titles?: readonly string[] | undefined;
  /** Outcome of each piece that was read. */
  outcomes: Record<string, Outcome>;
  chosen: string | null;
  open: string;
  onOpen: (name: string) => void;
}

const MARK: Record<Outcome, string> = { good: '●', fair: '◐', poor: '○' };
const FILL: Record<Outcome, string> = { good: 'var(--moss)', fair: 'var(--basting)', poor: 'var(--pin)' };

/** The scrap with its pieces; one is opened by a tap. Longer pressing to the right, hotter downward; more rounds to the right, more liquid downward. */
export default function ScrapDrawing({ plan, titles, outcomes, chosen, open, onOpen }: Props) {
  const { cells, columns, rows } = plan;
  return (
    <div
      role="group"
      aria-label={`The scrap, ${plan.width} by ${plan.height} mm, in ${cells.length} ${cells.length === 1 ? 'piece' : 'pieces'}`}
      className="grid gap-1 rounded border-2 border-dashed border-base-content/60 bg-base-300/60 p-1"
      style={{
        gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
        gridTemplateRows: `repeat(${rows}, minmax(5.2rem, auto))`,
      }}
    >
      {cells.map((cell) => {
        const { name } = cell;
        const outcome = outcomes[name];
        return (
          <button
            key={name}
            type="button"
            aria-pressed={open === name}
            onClick={() => onOpen(name)}
            className={`rounded border-2 bg-base-100 p-2 text-left leading-snug ${open === name ? 'border-primary' : 'border-base-300 hover:border-primary'}`}
          >
            <span className="flex items-center justify-between font-bold">
              {name}
              {outcome && (
                <span style={{ color: FILL[outcome] }} aria-label={outcome}>
                  {MARK[outcome]}
                </span>
              )}
            </span>
            <span className="block text-[0.92rem]">{cellWords(cell, titles)}</span>
            {chosen === name && <span className="block text-[0.92rem] font-semibold text-success">taken</span>}
          </button>
        );
      })}
    </div>
  );
}
