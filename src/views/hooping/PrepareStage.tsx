import { useState } from 'react';
import { Printer } from 'lucide-react';
import type { Part } from '../../core/choose';
import {
  groundOfCopy,
  hoopCard,
  hoopPreparation,
  hoopScene,
  sheetRecipe,
  sheetSources,
  starching,
  type Ground,
  type Landed,
  type HoopWork,
  type StitchRole,
} from '../../core/hoop';
import type { ChosenLayer } from '../../core/layers';
import { schoolsOf } from '../../core/schools';
import type { Outline } from '../../core/shape';
import type { CopySize, CopyTicks } from '../../store/hoopings';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import CardPanel from './CardPanel';
import PrepareDrawing from './PrepareDrawing';
import SetRoutine from './SetRoutine';
import type { HoopingData, Placed } from './stages';

interface Props extends HoopingData {
  hull: Outline;
  placed: Placed;
  count: number;
  /** What it is sewn as. */
  role: StitchRole;
  /** Number of the piece of the set that is in hand, from 0. */
  pieceNumber: number;
  prepared: readonly CopyTicks[];
  hoopingId: string;
  /** Of what is kept: what the set takes is asked anew when it changes. */
  version: number;
  pairs: boolean;
  sizes: readonly CopySize[];
  landed: Landed | null;
  onSizes: (sizes: CopySize[]) => void;
  onPrepared: (prepared: CopyTicks[]) => void;
  onNext: () => void;
}

/** What is cut, starched, marked and hooped before the first stitch. */
export default function PrepareStage({
  motif,
  cloth,
  hull,
  marks,
  wish,
  sheets,
  hoops,
  settings,
  placed,
  count,
  role,
  pieceNumber,
  prepared,
  hoopingId,
  version,
  pairs,
  sizes,
  landed,
  onSizes,
  onPrepared,
  onNext,
}: Props) {
  const units = useUnits();
  const [copy, setCopy] = useState(pieceNumber);
  const hoop = hoops.find(({ id }) => id === placed.hoopId);
  if (!hoop || !placed.hoopPlace) return <p>Place the motif first.</p>;
  const layers: ChosenLayer[] = sheets.map(({ material, angle }) => ({ material, angle, extent: 'field' }));
  const card = hoopCard(
    { outline: placed.ground.outline, place: placed.place, hoop: placed.hoopPlace, pairs, sizes, landed },
    copy,
  );
  const ground: Ground = groundOfCopy({ ...placed.ground, marks }, card);
  const part = { role, stretch: 'any', cut: wish.cut, care: wish.care } as Part;
  const needs = sheetRecipe(hoop, layers, placed.floats, count);
  const ofSheet = (id: string) => sheets.find(({ material }) => material.id === id);
  const sources = sheetSources(
    needs,
    (id) => ofSheet(id)?.stock ?? [],
    (id) => ofSheet(id)?.material.rollWidth ?? 0,
  );
  const work: HoopWork = {
    ...{ fabric: cloth.fabric, part, layers, hoop, at: card.hoop, ground, floats: placed.floats, count },
    schools: schoolsOf(settings.schools),
  };
  const starch = starching(work);
  const steps = hoopPreparation(work);
  const ticks = prepared.find((each) => each.copy === copy)?.ticks ?? [];
  const isDone = (id: string) => ticks.includes(id);
  const toggle = (id: string) =>
    onPrepared([
      ...prepared.filter((each) => each.copy !== copy),
      { copy, ticks: isDone(id) ? ticks.filter((each) => each !== id) : [...ticks, id] },
    ]);
  const ids = steps.flatMap(({ id, checks }) => (checks ? checks.map((_, i) => `${id}-${i}`) : [id]));
  const left = ids.filter((id) => !isDone(id)).length;
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
                const source = sources[i]!;
                return (
                  <li key={i}>
                    <p>
                      <strong>
                        {need.count > 1 ? `${need.count} × ` : ''}
                        {units.size(need.width, need.height)}
                      </strong>{' '}
                      of {need.name.toLowerCase()}
                      {need.angle !== 0 ? `, cut at ${need.angle}°` : ''}: {units.said(need.how)}.
                    </p>
                    <p className="quiet text-[0.95rem]">
                      {source.from.length > 0 &&
                        `${source.from.reduce((sum, each) => sum + each.sheets, 0)} of ${need.count} from what is kept: ${source.from
                          .slice(0, 3)
                          .map(
                            ({ piece: { width, length, place }, sheets: many }) =>
                              `${many > 1 ? `${many} from ` : ''}${units.size(width, length)}${place ? ` (${place})` : ''}`,
                          )
                          .join(', ')}. `}
                      {source.rollLength > 0 &&
                        `${source.from.length > 0 ? `The other ${source.left}: ` : ''}${units.length(Math.ceil(source.rollLength / 10) * 10)} off the roll.`}
                      {source.short > 0 &&
                        source.roll &&
                        ` There is ${units.length(Math.ceil(source.short / 10) * 10)} too little on it.`}
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
              {placed.ground.strips.length === 1 ? 'it' : 'them'}, lying {units.said('10 mm')} on the cloth. Hoop across the seam;
              take {placed.ground.strips.length === 1 ? 'it' : 'them'} off when the motif is sewn.
            </p>
          </section>
        )}
        {starch && (
          <section className="sheet p-4" aria-labelledby="starch">
            <h2 id="starch" className="chalk-heading">
              Starch
            </h2>
            <p className="mt-1">
              The whole ring and {units.said('10 mm')} more, {units.area(starch.area)}: about{' '}
              <strong>{millilitres(starch.each)}</strong> {starch.rounds === 1 ? 'a piece' : `a round, ${starch.rounds} rounds`},
              until it feels wet{count > 1 ? `, on each of ${count} pieces` : ''}:{' '}
              <strong>{millilitres(starch.millilitres)}</strong> in all.{' '}
              {starch.minutes > 0
                ? `It dries in about ${starch.minutes} minutes${count > 1 ? ', all side by side' : ''}.`
                : 'Each round is pressed dry under a cloth.'}
              {starch.rinsed && ' It is rinsed out once everything is sewn.'}
            </p>
          </section>
        )}
        {count > 1 && <SetRoutine hoopingId={hoopingId} version={version} left={count - pieceNumber} />}
        <CardPanel
          hoopingId={hoopingId}
          card={card}
          fabric={cloth.fabric}
          count={count}
          sizes={sizes}
          colours={motif.colours}
          onCopy={setCopy}
          onSizes={onSizes}
        />
        <p className="flex flex-wrap gap-2">
          <a className="btn" href={`/api/hoops/${hoop.id}/gauge.pdf`} download>
            <Printer size={18} aria-hidden="true" /> Gauge of the hoop
          </a>
        </p>
      </div>
      <section className="sheet p-4" aria-labelledby="steps">
        <h2 id="steps" className="chalk-heading">
          {count > 1 ? `Piece ${copy + 1} of ${count}, in this order` : 'In this order'}
        </h2>
        <ol className="mt-2 space-y-3">
          {steps.map((step, i) => {
            const { id, title, detail, safety, checks } = step;
            const scene = hoopScene(work, card, hull, step);
            return (
              <li key={id} className="flex flex-wrap gap-3 sm:flex-nowrap">
                <span className="grid size-8 shrink-0 place-items-center rounded-full bg-base-300 font-semibold">{i + 1}</span>
                <div className="flex-1">
                  {checks ? (
                    <p className="leading-snug font-semibold">{units.said(title)}</p>
                  ) : (
                    <Tick id={id} words={units.said(title)} strong done={isDone(id)} onToggle={toggle} />
                  )}
                  <p className="text-[0.95rem] leading-snug">{units.said(detail)}</p>
                  {checks?.map((words, k) => (
                    <Tick key={words} id={`${id}-${k}`} words={units.said(words)} done={isDone(`${id}-${k}`)} onToggle={toggle} />
                  ))}
                  {safety && (
                    <p className="mt-1 border-l-4 border-accent pl-2 text-[0.95rem] leading-snug">{units.said(safety)}</p>
                  )}
                </div>
                {scene && <PrepareDrawing scene={scene} words={units.said(title)} middle={[card.hoop.x, card.hoop.y]} />}
              </li>
            );
          })}
        </ol>
        <button type="button" className="btn btn-primary mt-4 w-full" onClick={onNext}>
          {left > 0 ? `Sew it, with ${counted(left, 'thing')} not ticked` : 'Sew it'}
        </button>
        <p className="quiet mt-2 text-[0.95rem]">
          The {starch ? 'leaflets of sheet and starch' : 'leaflet of the sheet'}, and your machine’s own manual, go first.
        </p>
      </section>
    </div>
  );
}

/** Half a millilitre and more, as a measuring cup reads. */
function millilitres(ml: number): string {
  return ml < 10 ? `${Math.max(0.5, Math.round(2 * ml) / 2)} ml` : `${Math.round(ml)} ml`;
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
