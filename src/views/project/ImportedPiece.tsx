import { bounds, drawShape, type Point } from '../../core/shape';
import type { FoundPiece } from '../../formats/drawing';
import { CheckField } from '../../ui/form/form-fields';
import OutlineThumb from '../../ui/OutlineThumb';
import { counted } from '../../ui/text';

/** What is done with one piece of the file. */
export interface Choice {
  take: boolean;
  name: string;
  count: number;
  /** What lies inside it is cut out. */
  openings: boolean;
  /** Grain line and marks that are drawn on it are taken. */
  marks: boolean;
}

interface Props {
  piece: FoundPiece;
  /** From 1, as it is called out. */
  number: number;
  choice: Choice;
  /** How large it is, in words. */
  size: string;
  /** What is not sure of it. */
  unsure: readonly string[];
  onChange: (change: Partial<Choice>) => void;
}

/** One piece of a file or a photograph: whether it is taken, what it is called, how many are cut. */
export default function ImportedPiece({ piece, number, choice, size, unsure, onChange }: Props) {
  return (
    <li className={`sheet flex gap-4 p-3 ${choice.take ? '' : 'opacity-60'}`}>
      <div className="text-center">
        <OutlineThumb
          outlines={[
            drawShape({ kind: 'drawn', edges: piece.shape.edges }).outline,
            ...(choice.openings ? (piece.shape.holes ?? []) : []),
          ]}
          size={84}
          lines={choice.marks ? drawnLines(piece) : []}
          label={`Outline of ${choice.name}`}
        />
        <p className="font-bold tabular-nums" aria-hidden="true">
          {number}
        </p>
      </div>
      <div className="min-w-0 flex-1 space-y-1">
        <CheckField label={`Take it, ${size}`} checked={choice.take} onChange={(take) => onChange({ take })} />
        <div className="grid grid-cols-[1fr_5rem] gap-2">
          <input
            className="input"
            aria-label={`Name of piece ${number}`}
            value={choice.name}
            maxLength={120}
            disabled={!choice.take}
            onChange={(event) => onChange({ name: event.target.value })}
          />
          <input
            className="input"
            type="number"
            min={1}
            max={1000}
            aria-label={`How many of piece ${number}`}
            value={choice.count}
            disabled={!choice.take}
            onChange={(event) => onChange({ count: Math.max(1, Math.min(1000, Number(event.target.value))) })}
          />
        </div>
        {unsure.map((words) => (
          <p key={words} className="text-base font-semibold">
            Look again: {words}.
          </p>
        ))}
        {drawnWords(piece) && (
          <CheckField label={`Take ${drawnWords(piece)}`} checked={choice.marks} onChange={(marks) => onChange({ marks })} />
        )}
        {piece.inner > 0 && (
          <CheckField
            label={`Cut out ${counted(piece.inner, 'opening')}`}
            checked={choice.openings}
            onChange={(openings) => onChange({ openings })}
          />
        )}
      </div>
    </li>
  );
}

/** What is drawn on it: “the grain line and 2 notches”; nothing for a piece that lies straight and has no marks. */
function drawnWords({ grain, marks }: FoundPiece): string {
  const notches = marks.filter(({ kind }) => kind === 'notch').length;
  const others = marks.length - notches;
  return [
    ...(grain === 0 ? [] : [`the grain line, ${Math.round(Math.abs(grain))}° off upright`]),
    ...(notches > 0 ? [counted(notches, 'notch', 'notches')] : []),
    ...(others > 0 ? [counted(others, 'mark')] : []),
  ].join(' and ');
}

/** Its grain line across the middle and a short stroke at each mark. */
function drawnLines({ shape, grain, marks }: FoundPiece): [Point, Point][] {
  const { minX, minY, maxX, maxY } = bounds(drawShape({ kind: 'drawn', edges: shape.edges }).outline);
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const reach = 0.3 * Math.min(maxX - minX, maxY - minY);
  const angle = (grain * Math.PI) / 180;
  const [dx, dy] = [-reach * Math.sin(angle), reach * Math.cos(angle)];
  const toMiddle = ([u, v]: Point): Point => {
    const far = Math.hypot(x - u, y - v) || 1;
    return [u + ((x - u) * 0.25 * reach) / far, v + ((y - v) * 0.25 * reach) / far];
  };
  return [
    ...(grain === 0
      ? []
      : [
          [
            [x - dx, y - dy],
            [x + dx, y + dy],
          ] as [Point, Point],
        ]),
    ...marks.map(({ at }): [Point, Point] => [at, toMiddle(at)]),
  ];
}
