import { Fragment } from 'react';
import WeightScale from './WeightScale';
import { AlertTriangle, Check } from 'lucide-react';
import { EXTENT_WORDS } from '../../core/layers';
import type { Choice, Part, RankedStack } from '../../core/choose';
import type { Fabric } from '../../core/cloth';
import type { ShoppingLine } from '../../core/cutlist';
import { formatMoney } from '../../core/units';
import CrossSection from '../../ui/CrossSection';
import DroopDrawing from '../../ui/DroopDrawing';
import LoadBar from '../../ui/LoadBar';
import Swatches from './Swatches';
import Why from '../../ui/Why';
import { counted, keepUnits } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import { buyingWords, minutesWords, piecesWords, verdict, type Buying } from './answers';
import WhatIfPanel from './WhatIfPanel';
import { capital } from '../../core/letters';
import type { useTakeBack } from './use-take-back';

interface Props {
  stack: RankedStack;
  /** The same kind in other weights. */
  siblings: RankedStack[];
  choice: Choice;
  fabric: Fabric;
  part: Part;
  /** Wishes, weights, schools and pieces as they were asked. */
  asked: object;
  /** The seam that is drawn: as it was told, else the usual one; and how far the person trims, mm. */
  seam: { allowance: number; trim: number };
  /** It was asked that the part becomes opaque. */
  opaque: boolean;
  currency: string;
  compared: boolean;
  /** What has to be bought for an answer; undefined until it is known. */
  bought: (stack: RankedStack) => Buying | undefined;
  /** The layout of its layers on the job that somebody came from. */
  lines: readonly ShoppingLine[] | undefined;
  clothName: string;
  clothThickness: number;
  onOpen: (stack: RankedStack) => void;
  /** The job of a project that somebody came from, where it can be given to it. */
  back: ReturnType<typeof useTakeBack>;
  onTake: () => void;
  onHang: () => void;
  onCompare: () => void;
}

/** One answer opened: how it hangs, why, what to look out for, how it is put on. */
export default function AnswerDetail(props: Props) {
  const { stack, siblings, choice, fabric, part, asked, opaque, currency, compared, clothName, clothThickness } = props;
  const { back, bought, lines, seam, onOpen, onTake, onHang, onCompare } = props;
  const units = useUnits();
  const { predicted, terms } = stack;
  const stitched = stack.criteria.some((criterion) => criterion.name === 'Carries the stitches');
  const inOrder = [stack, ...siblings].sort(
    (a, b) => a.predicted.arealDensity - b.predicted.arealDensity || (a.id < b.id ? -1 : 1),
  );
  return (
    <article aria-label={stack.title} className="sheet p-4 md:p-5">
      <div className="flex flex-wrap items-start justify-between gap-x-3 gap-y-2">
        <div className="min-w-0 flex-1 basis-72">
          <h2 className="text-xl leading-snug font-bold">{keepUnits(stack.title)}</h2>
          <p className="quiet">
            {Math.round(stack.score)} of 100, {verdict(stack.score)}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={onHang}>
            See it hang
          </button>
          <button type="button" className="btn" aria-pressed={compared} onClick={onCompare}>
            {compared ? 'Out of the comparison' : 'Compare'}
          </button>
          {back && (
            <button type="button" className="btn btn-primary" onClick={() => back.take(stack)}>
              Take it for “{back.name}”
            </button>
          )}
          <button type="button" className={back ? 'btn' : 'btn btn-primary'} onClick={onTake}>
            {back ? 'Another project' : 'Put it to a project'}
          </button>
        </div>
      </div>
      {inOrder.length > 1 && <WeightScale inOrder={inOrder} stack={stack} onOpen={onOpen} />}
      <NeedsLine stack={stack} choice={choice} currency={currency} bought={bought} back={back} lines={lines} />

      <div className="mt-3 grid gap-5 lg:grid-cols-[1.15fr_1fr]">
        <div>
          <DroopDrawing
            stack={predicted}
            bare={choice.bare.predicted.bendingLength}
            band={stitched ? undefined : choice.band}
            label={`A strip of the finished stack over a table edge: bending length about ${Math.round(predicted.bendingLength)} mm, between ${Math.round(predicted.low)} and ${Math.round(predicted.high)}`}
          />
          <p className="mt-1 text-[0.95rem]">
            Bending length <strong>about {Math.round(predicted.bendingLength)} mm</strong>, four times in five between{' '}
            {Math.round(predicted.low)} and {Math.round(predicted.high)} mm.
            {!stitched && (
              <>
                {' '}
                {capital(choice.hand)} stands for {choice.band[0]}–{choice.band[1]} mm{' '}
                <span className="inline-block h-3 w-5 rounded-sm bg-accent/60 align-baseline" aria-hidden="true" />.
              </>
            )}
          </p>
          {stack.memory && stack.memory.readings > 0 && (
            <figure className="mt-3">
              <div className="flex h-5 overflow-hidden rounded" aria-hidden="true">
                <div className="bg-base-300" style={{ width: `${100 - stack.memory.share * 100}%` }} />
                <div className="bg-success" style={{ width: `${stack.memory.share * 100}%` }} />
              </div>
              <figcaption className="flex justify-between gap-3 text-[0.92rem]">
                <span className="whitespace-nowrap">{100 - Math.round(stack.memory.share * 100)} % model</span>
                <span className="text-right">
                  <strong>{Math.round(stack.memory.share * 100)} % memory</strong>, from{' '}
                  {counted(stack.memory.readings, 'reading')} of yours
                </span>
              </figcaption>
            </figure>
          )}
          {stack.load && (
            <div className="mt-3">
              <LoadBar load={stack.load} />
            </div>
          )}
          <Why title="Where this figure comes from">
            <p>
              c = ∛(G ÷ (M · g)). The rigidity G is {terms.clothRigidity.toPrecision(2)} µN·m of the cloth
              {terms.stiffening > 1 ? ` (stiffened ${terms.stiffening.toFixed(1)} times by the liquid)` : ''}
              {' + '}
              {terms.layerRigidity.toPrecision(2)} of the layers
              {terms.couplingRigidity > 0 ? ` + ${terms.couplingRigidity.toPrecision(2)} from gluing them together` : ''} ={' '}
              <strong>{(terms.clothRigidity + terms.layerRigidity + terms.couplingRigidity).toPrecision(2)} µN·m</strong>; the
              stack weighs M = {units.weight(predicted.arealDensity)}.
            </p>
            <LearntGlues of={stack.gluing ?? []} />
            {stack.memory && stack.memory.readings > 0 && (
              <p>
                The model alone says {Math.round(stack.memory.modelBendingLength)} mm. Your own{' '}
                {counted(stack.memory.readings, 'reading')} of this pair {stack.memory.readings === 1 ? 'counts' : 'count'} for{' '}
                <strong>{Math.round(stack.memory.share * 100)} %</strong> of the figure shown.
              </p>
            )}
            <p>
              {terms.clothSource === 'estimated'
                ? 'The cloth is estimated from its description, which is most of the spread. Measure its overhang, and the fan narrows.'
                : 'The cloth’s own stiffness was measured.'}
            </p>
          </Why>
        </div>
        <div className="space-y-4">
          <CrossSection
            cloth={{ name: clothName, thickness: clothThickness }}
            layers={stack.layers.map((layer) => ({
              name: `${layer.material}${layer.angle ? `, turned ${layer.angle}°` : ''}: ${EXTENT_WORDS[layer.extent]}`,
              thickness: layer.thickness,
              extent: layer.extent,
              above: layer.family === 'topping',
            }))}
            allowance={seam.allowance}
            trim={seam.trim}
          />
          {stack.seeThrough && (stack.seeThrough.bare.opacity < 95 || opaque) && <Swatches seen={stack.seeThrough} />}
        </div>
      </div>

      <div className="mt-4 grid gap-5 lg:grid-cols-2">
        <div>
          <h3 className="chalk-heading">Why</h3>
          <ul className="mt-1 space-y-1.5">
            {stack.reasons.map((reason) => (
              <li key={reason} className="flex gap-2">
                <Check size={18} className="mt-1 shrink-0 text-success" aria-hidden="true" />
                <span>{reason}</span>
              </li>
            ))}
          </ul>
          {stack.cautions.length > 0 && (
            <>
              <h3 className="chalk-heading mt-4">Look out for</h3>
              <ul className="mt-1 space-y-1.5">
                {stack.cautions.map((caution) => (
                  <li key={caution} className="flex gap-2">
                    <AlertTriangle size={18} className="mt-1 shrink-0" style={{ color: 'var(--basting)' }} aria-hidden="true" />
                    <span>{caution}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
          <h3 className="chalk-heading mt-4">How it is put on</h3>
          <ol className="mt-1 list-decimal space-y-1 pl-6">
            {stack.steps.map((step, i) => (
              <li key={i}>{step}</li>
            ))}
          </ol>
        </div>
        <div>
          <h3 className="chalk-heading">How it was judged</h3>
          <p className="quiet text-[0.92rem]">
            Each point of view gives 0 to 100; the score is their mean, weighted as shown, and less where one that must serve does
            not. “What matters” changes the weights.
          </p>
          <ul className="mt-1 space-y-2">
            {stack.criteria.map((criterion) => (
              <li key={criterion.name}>
                <div className="flex items-baseline justify-between gap-2">
                  <span className="font-semibold">{criterion.name}</span>
                  <span>
                    {Math.round(criterion.score)}{' '}
                    <span className="quiet text-[0.85rem]">counts {Math.round(criterion.share * 100)} %</span>
                  </span>
                </div>
                <div className="h-2 rounded-full bg-base-300" aria-hidden="true">
                  <div
                    className={`h-2 rounded-full ${criterion.score < 50 ? 'bg-error' : 'bg-primary'}`}
                    style={{ width: `${criterion.score}%` }}
                  />
                </div>
                <p className="quiet text-[0.92rem]">{criterion.why}</p>
              </li>
            ))}
          </ul>
        </div>
      </div>

      <WhatIfPanel fabric={fabric} part={part} asked={asked} stackId={stack.id} />
      {inOrder.length > 1 && (
        <div className="mt-5">
          <h3 className="chalk-heading">The same kind, lighter to heavier</h3>
          <div className="mt-1 grid gap-1 md:grid-cols-2">
            {inOrder.map((sibling) => (
              <button
                key={sibling.id}
                type="button"
                aria-pressed={sibling.id === stack.id}
                onClick={() => onOpen(sibling)}
                className={`flex min-h-[44px] items-center justify-between gap-3 rounded-field border px-3 text-left ${sibling.id === stack.id ? 'border-primary bg-base-100 font-semibold' : 'border-base-300 hover:border-primary'}`}
              >
                <span>{keepUnits(sibling.title)}</span>
                <span className="shrink-0 text-[0.92rem]">
                  c ≈ {Math.round(sibling.predicted.bendingLength)} mm · {Math.round(sibling.score)}
                </span>
              </button>
            ))}
          </div>
        </div>
      )}
    </article>
  );
}

interface NeedsProps extends Pick<Props, 'stack' | 'choice' | 'currency' | 'bought' | 'back'> {
  lines: readonly ShoppingLine[] | undefined;
}

/** Time, cost and length for the pieces in question, with where they come from. */
function NeedsLine({ stack, choice, currency, bought, back, lines }: NeedsProps) {
  const units = useUnits();
  const pieces = piecesWords(choice, stack.load !== undefined, units.size);
  const told = buyingWords(bought(stack), currency);
  return (
    <div className="mt-2">
      <p>
        For {back ? `“${back.name}”, ${pieces}` : pieces}: <strong>{minutesWords(stack.needs.minutes)}</strong>
        {told.map((words) => (
          <Fragment key={words}>
            , <strong>{words}</strong>
          </Fragment>
        ))}
        .
      </p>
      <Why title="How time, cost and length are reckoned">
        <ul>
          {stack.needs.layers.map((need, i) => (
            <li key={`${need.materialId}-${i}`}>
              {keepUnits(stack.layers[i]!.material)}:{' '}
              {stack.layers[i]!.form === 'liquid'
                ? `spread on ${units.length(need.length)} of cloth${need.typical ? '' : `, ${formatMoney(Math.round(need.cost), currency)}`}`
                : `${units.length(Math.ceil(need.length / 10) * 10)} of the roll in plain rows`}
            </li>
          ))}
          {lines?.map(({ material, buy, covered, misfits, pieces: all, tape }) => (
            <li key={`${material.kind}-${material.id}`}>
              {keepUnits(material.name)}, laid out in its true shape:{' '}
              {misfits > 0
                ? `${counted(misfits, 'piece')} ${misfits === 1 ? 'fits' : 'fit'} on no roll ${units.length(material.rollWidth)} wide; take a wider one, or cut in parts`
                : buy > 0
                  ? `${units.length(buy)} to buy`
                  : 'nothing to buy'}
              {tape > 0 ? '' : `, ${covered} of ${counted(all, 'piece')} from the cupboard`}
            </li>
          ))}
        </ul>
        <p>
          Prices are those that you typed in the cupboard; where none is told, there is none. Times are ordinary ones for each way
          of putting on, with cooling and drying; yours will differ. What has to be bought counts squaring the end and shrinking,
          and is rounded up as shops cut
          {back
            ? '; it is what the shopping list says for this job alone. Cut together with other pieces it may be less.'
            : '; of what you have it is not counted how much is left. Once a piece is described, its true outline is laid out.'}
        </p>
      </Why>
    </div>
  );
}

/** Glues that are reckoned otherwise than usual, with why. */
function LearntGlues({ of: glues }: { of: NonNullable<RankedStack['gluing']> }) {
  return glues.map(({ name, firm }) => (
    <p key={name}>
      The glue of {name} is reckoned {firm.toFixed(1)} times as firm as usual, by your readings on other cloths.
    </p>
  ));
}
