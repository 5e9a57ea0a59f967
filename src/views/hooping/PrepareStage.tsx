import { Printer } from 'lucide-react';
import type { Part } from '../../core/choose';
import { hoopingSteps, measuringEdges, offcutsFor, sheetRecipe, starching, type Ground } from '../../core/hoop';
import type { ChosenLayer } from '../../core/layers';
import type { Outline } from '../../core/shape';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import { edgeWords } from './edge-words';
import type { HoopingData, Placed } from './stages';

interface Props extends HoopingData {
  hull: Outline;
  placed: Placed;
  count: number;
  /** Ids of steps that are done. */
  prepared: readonly string[];
  onPrepared: (prepared: string[]) => void;
  onNext: () => void;
}

/** What is cut, starched, marked and hooped before the first stitch. */
export default function PrepareStage({
  motif,
  cloth,
  marks,
  wish,
  sheets,
  hoops,
  placed,
  count,
  prepared,
  onPrepared,
  onNext,
}: Props) {
  const units = useUnits();
  const hoop = hoops.find(({ id }) => id === placed.hoopId);
  if (!hoop || !placed.hoopPlace) return <p>Place the motif first.</p>;
  const layers: ChosenLayer[] = sheets.map(({ material, angle }) => ({ material, angle, extent: 'field' }));
  const ground: Ground = { ...placed.ground, marks };
  const part = { role: 'embroidery', stretch: 'any', cut: wish.cut, care: wish.care } as Part;
  const needs = sheetRecipe(hoop, layers, placed.floats, count);
  const starch = placed.floats ? undefined : starching(cloth.fabric, layers, hoop, placed.hoopPlace, ground, part);
  const steps = hoopingSteps(hoop, placed.floats, layers, starch !== undefined, placed.place.angle);
  const edges = measuringEdges(placed.ground.outline, placed.place);
  const toggle = (id: string) => onPrepared(prepared.includes(id) ? prepared.filter((each) => each !== id) : [...prepared, id]);
  const ids = steps.flatMap(({ id, checks }) => (checks ? checks.map((_, i) => `${id}-${i}`) : [id]));
  const left = ids.filter((id) => !prepared.includes(id)).length;
  return (
    <div className="grid items-start gap-5 lg:grid-cols-2">
      <div className="space-y-4">
        <section className="sheet p-4" aria-labelledby="sheets">
          <h2 id="sheets" className="chalk-heading">
            Cut
          </h2>
          {needs.length === 0 ? (
            <p className="mt-1">Nothing lies under this motif.</p>
          ) : (
            <ul className="mt-1 space-y-3">
              {needs.map((need, i) => {
                const offcuts = offcutsFor(need, sheets.find(({ material }) => material.id === need.materialId)?.stock ?? []);
                return (
                  <li key={i}>
                    <p>
                      <strong>
                        {need.count > 1 ? `${need.count} × ` : ''}
                        {units.size(need.width, need.height)}
                      </strong>{' '}
                      of {need.name.toLowerCase()}
                      {need.angle !== 0 ? `, cut at ${need.angle}°` : ''}: {need.how}.
                    </p>
                    <p className="quiet text-[0.95rem]">
                      {offcuts.length > 0
                        ? `${counted(offcuts.length, 'kept piece')} would do: ${offcuts
                            .slice(0, 2)
                            .map(({ width, length, place }) => `${units.size(width, length)}${place ? ` (${place})` : ''}`)
                            .join(', ')}.`
                        : need.rollLength > 0
                          ? `${units.length(Math.ceil(need.rollLength / 10) * 10)} off the roll.`
                          : ''}
                    </p>
                  </li>
                );
              })}
            </ul>
          )}
        </section>
        {placed.ground.strips.length > 0 && (
          <section className="sheet p-4" aria-labelledby="strips">
            <h2 id="strips" className="chalk-heading">
              Baste on
            </h2>
            <p className="mt-1">
              {counted(placed.ground.strips.length, 'strip')} of waste cloth where the drawing shows{' '}
              {placed.ground.strips.length === 1 ? 'it' : 'them'}, lying 10 mm on the cloth. Hoop across the seam; take{' '}
              {placed.ground.strips.length === 1 ? 'it' : 'them'} off when the motif is sewn.
            </p>
          </section>
        )}
        {starch && (
          <section className="sheet p-4" aria-labelledby="starch">
            <h2 id="starch" className="chalk-heading">
              Starch
            </h2>
            <p className="mt-1">
              The whole ring and 10 mm more, {units.area(starch.area)}: about{' '}
              <strong>{Math.max(1, Math.round(starch.millilitres))} ml</strong>{' '}
              {starch.rounds > 1 ? `in ${starch.rounds} rounds` : 'in one round'}, drying about {starch.minutes} minutes.
            </p>
          </section>
        )}
        <section className="sheet p-4" aria-labelledby="mark">
          <h2 id="mark" className="chalk-heading">
            Mark the middle
          </h2>
          <p className="mt-1">
            {edges.length === 0
              ? 'The edges are curved: lay the paper on and prick through its cross.'
              : `${edges.map(({ edge, distance }) => `${units.length(Math.round(distance))} from the ${edgeWords(placed.ground.outline, edge)}`).join(', ')}.`}
            {placed.place.angle !== 0 && ` The cross is turned by ${Math.round(placed.place.angle)}°.`}
            {placed.place.flipped && ' The motif is mirrored.'}
          </p>
          <div className="mt-3 flex flex-wrap gap-2">
            <a className="btn" href={`/api/motifs/${motif.id}/files/paper.pdf`} download>
              <Printer size={18} aria-hidden="true" /> Paper of the motif
            </a>
            <a className="btn" href={`/api/hoops/${hoop.id}/gauge.pdf`} download>
              <Printer size={18} aria-hidden="true" /> Gauge of the hoop
            </a>
          </div>
        </section>
      </div>
      <section className="sheet p-4" aria-labelledby="steps">
        <h2 id="steps" className="chalk-heading">
          In this order
        </h2>
        <ol className="mt-2 space-y-3">
          {steps.map(({ id, title, detail, safety, checks }, i) => (
            <li key={id} className="flex gap-3">
              <span className="grid size-8 shrink-0 place-items-center rounded-full bg-base-300 font-semibold">{i + 1}</span>
              <div className="flex-1">
                {checks ? (
                  <p className="leading-snug font-semibold">{title}</p>
                ) : (
                  <Tick id={id} words={title} strong done={prepared.includes(id)} onToggle={toggle} />
                )}
                <p className="text-[0.95rem] leading-snug">{detail}</p>
                {checks?.map((words, k) => (
                  <Tick key={words} id={`${id}-${k}`} words={words} done={prepared.includes(`${id}-${k}`)} onToggle={toggle} />
                ))}
                {safety && <p className="mt-1 border-l-4 border-accent pl-2 text-[0.95rem] leading-snug">{safety}</p>}
              </div>
            </li>
          ))}
        </ol>
        <button type="button" className="btn btn-primary mt-4 w-full" onClick={onNext}>
          {left > 0 ? `Sew it, with ${counted(left, 'thing')} not ticked` : 'Sew it'}
        </button>
        <p className="quiet mt-2 text-[0.95rem]">The leaflets of sheet and starch, and your machine’s own manual, go first.</p>
      </section>
    </div>
  );
}

function Tick({
  id,
  words,
  strong = false,
  done,
  onToggle,
}: {
  id: string;
  words: string;
  strong?: boolean;
  done: boolean;
  onToggle: (id: string) => void;
}) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-3">
      <input type="checkbox" className="checkbox" checked={done} onChange={() => onToggle(id)} />
      <span className={strong ? 'leading-snug font-semibold' : 'leading-snug'}>{words}</span>
    </label>
  );
}
