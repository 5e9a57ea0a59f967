import { Download } from 'lucide-react';
import { DIRECTIONS, type Island } from '../../core/motif';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { KeptMotif } from '../../store/motifs';
import SpeedSlider from '../../ui/motif/SpeedSlider';

interface Props {
  motif: KeptMotif;
  /** Running time at the chosen speed, s. */
  seconds: number;
  speed: number;
  onSpeed: (speed: number) => void;
  islands: readonly Island[] | undefined;
}

/** What was counted and measured of a motif. */
export default function Figures({ motif: { id, colours, figures }, seconds, speed, onSpeed, islands }: Props) {
  const units = useUnits();
  const { bounds } = figures;
  const metres = (mm: number) => (units.system === 'metric' ? `${(mm / 1000).toFixed(1)} m` : `${(mm / 914.4).toFixed(1)} yd`);
  const rows: [string, string][] = [
    ['Size', units.size(bounds.maxX - bounds.minX, bounds.maxY - bounds.minY)],
    ['Stitches', figures.stitches.toLocaleString('en')],
    ['Travels, cuts', `${figures.jumps}, ${figures.trims}`],
    ['Islands', islands ? String(islands.length) : String(figures.islands)],
    ...(figures.narrowestGap === null
      ? []
      : [['Least gap between them', `${figures.narrowestGap.toFixed(1)} mm`] as [string, string]]),
    ['Longest stitch', `${figures.longest.toFixed(1)} mm${figures.veryLong > 0 ? `; ${figures.veryLong} over 8 mm` : ''}`],
    ['Under 0.5 mm', counted(figures.veryShort, 'stitch', 'stitches')],
    ['Most holes in one spot', String(figures.samePlace.count)],
  ];
  return (
    <aside className="sheet space-y-3 p-4" aria-label="Figures">
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="quiet">{name}</dt>
            <dd className="text-right font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <div>
        <h2 className="font-semibold">Thread</h2>
        <ul>
          {figures.colours.map(({ stitches, threadLength }, i) => (
            <li key={i} className="flex items-center gap-2">
              <span
                className="inline-block size-4 rounded-full border border-base-content"
                style={{ background: colours[i % Math.max(1, colours.length)] }}
                aria-hidden="true"
              />
              <span>colour {i + 1}</span>
              <span className="quiet ml-auto text-[0.95rem]">
                {stitches.toLocaleString('en')} stitches, {metres(threadLength)}
              </span>
            </li>
          ))}
        </ul>
      </div>
      <div className="flex items-center gap-3">
        <Rose directions={figures.directions} />
        <p className="quiet text-[0.95rem] leading-snug">Where the thread runs, and so where the cloth is drawn in most.</p>
      </div>
      <SpeedSlider speed={speed} onSpeed={onSpeed} words={`About ${minutes(seconds)} at ${speed} a minute`} />
      <div className="flex flex-wrap gap-2">
        <a className="btn" href={`/api/motifs/${id}/files/paper.pdf`} download>
          <Download size={18} aria-hidden="true" /> Paper 1:1
        </a>
        <a className="btn" href={`/api/motifs/${id}/files/motif.dst`} download aria-label="Stitches for the machine">
          Stitches
        </a>
        <a className="btn" href={`/api/motifs/${id}/files/motif.csv`} download aria-label="Table of stitches">
          Table
        </a>
      </div>
    </aside>
  );
}

function minutes(seconds: number): string {
  const rounded = Math.max(1, Math.round(seconds / 60));
  if (rounded < 60) return `${rounded} min`;
  return `${Math.floor(rounded / 60)} h ${rounded % 60} min`;
}

/** Length that is sewn in each direction, as a rose: stitches pull both ways, so every petal has its twin. */
function Rose({ directions }: { directions: readonly number[] }) {
  const most = Math.max(...directions, 1);
  const petal = (turn: number, length: number) => {
    const half = Math.PI / DIRECTIONS / 2.2;
    const r = 8 + 38 * Math.sqrt(length / most);
    const point = (t: number) => `${50 + r * Math.cos(t)} ${50 - r * Math.sin(t)}`;
    return `M50 50 L${point(turn - half)} L${point(turn + half)} Z`;
  };
  return (
    <svg viewBox="0 0 100 100" width={84} height={84} className="shrink-0" role="img" aria-label="Directions of the stitches">
      <circle cx={50} cy={50} r={46} fill="none" stroke="var(--ink)" strokeWidth={0.8} opacity={0.4} />
      {directions.flatMap((length, i) =>
        length / most < 0.005
          ? []
          : [0, Math.PI].map((half) => (
              <path
                key={`${i} ${half}`}
                d={petal((i * Math.PI) / DIRECTIONS + half, length)}
                fill="var(--chalk)"
                opacity={0.75}
              />
            )),
      )}
    </svg>
  );
}
