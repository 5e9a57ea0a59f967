import { X } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import type { Choice, RankedStack } from '../../core/choose';
import { droopProfile } from '../../core/cloth';
import { FORM_WORDS } from '../../core/layers';
import { formatMoney } from '../../core/units';
import { keepUnits } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import { minutesWords, verdict, type Buying } from './answers';

interface Props {
  stacks: RankedStack[];
  choice: Choice;
  currency: string;
  /** What has to be bought for an answer; undefined until it is known. */
  bought: (stack: RankedStack) => Buying | undefined;
  onDrop: (stack: RankedStack) => void;
  onOpen: (stack: RankedStack) => void;
  onClose: () => void;
}

/** Dashes tell the strips apart without colour. */
const DASHES = ['', '5 2', '1.5 1.5', '6 2 1.5 2'];
const HANGING = 60;

function path(points: readonly [number, number][]): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
}

/** Up to four stacks side by side, their strips laid over one another. */
export default function Compare({ stacks, choice, currency, bought, onDrop, onOpen, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const units = useUnits();
  useEffect(() => dialog.current?.showModal(), []);
  useEffect(() => {
    if (stacks.length === 0) dialog.current?.close();
  }, [stacks]);
  const curves = useMemo(
    () => stacks.map((stack) => droopProfile(Math.max(stack.predicted.bendingLength, 0.8), HANGING)),
    [stacks],
  );
  const bare = useMemo(() => droopProfile(Math.max(choice.bare.predicted.bendingLength, 0.8), HANGING), [choice]);
  const best = (pick: (stack: RankedStack) => number) => Math.min(...stacks.map(pick));
  const criteria = stacks[0]?.criteria ?? [];
  const rows: [string, (stack: RankedStack) => string, ((stack: RankedStack) => number)?][] = [
    ['Score', (s) => `${Math.round(s.score)}, ${verdict(s.score)}`, (s) => -s.score],
    [
      'Bending length',
      (s) => `about ${Math.round(s.predicted.bendingLength)} mm (${Math.round(s.predicted.low)}–${Math.round(s.predicted.high)})`,
    ],
    ['Weight in all', (s) => units.weight(s.predicted.arealDensity), (s) => s.predicted.arealDensity],
    ['Thickness', (s) => `about ${s.predicted.thickness.toFixed(1)} mm`, (s) => s.predicted.thickness],
    ['Put on', (s) => [...new Set(s.layers.map(({ form }) => FORM_WORDS[form]))].join(', ')],
    ['Time', (s) => minutesWords(s.needs.minutes), (s) => s.needs.minutes],
    [
      'Cost',
      (s) => (bought(s)?.cost ? formatMoney(Math.round(bought(s)!.cost), currency) : 'no price known'),
      (s) => bought(s)?.cost || Infinity,
    ],
    ['To buy', (s) => bought(s)?.lengths || 'nothing off a roll'],
  ];
  return (
    <dialog ref={dialog} className="modal" aria-label="Compare" onClose={onClose}>
      <div className="modal-box max-h-[96vh] w-11/12 max-w-6xl">
        <div className="flex items-center justify-between gap-3">
          <h2 className="text-xl font-bold">Side by side</h2>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Close
          </button>
        </div>
        <div className="mx-auto max-w-lg">
          <svg
            viewBox={`-24 -6 ${HANGING + 60} ${HANGING + 12}`}
            role="img"
            aria-label="The strips of the compared stacks, one over the other"
          >
            <rect x={-24} y={1.2} width={24} height={6} fill="none" stroke="var(--ink)" strokeWidth={0.8} />
            <path
              d={`M-24 0H0${path(bare).replace(/^M[^L]*/, '')}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={0.7}
              opacity={0.45}
            />
            {curves.map((curve, i) => {
              // Numbers stand at different places along the strips, so that two strips that fall together can be told apart.
              const tip = curve[Math.round((curve.length - 1) * (1 - 0.13 * i))]!;
              return (
                <g key={stacks[i]!.id}>
                  <path
                    d={`M-24 0H0${path(curve).replace(/^M[^L]*/, '')}`}
                    fill="none"
                    stroke="var(--chalk)"
                    strokeWidth={1.5}
                    strokeDasharray={DASHES[i]}
                  />
                  <circle cx={tip[0]} cy={tip[1]} r={2.9} fill="var(--chalk)" />
                  <text
                    x={tip[0]}
                    y={tip[1] + 1.3}
                    textAnchor="middle"
                    fontSize={3.8}
                    fontWeight={700}
                    fill="var(--color-primary-content)"
                  >
                    {i + 1}
                  </text>
                </g>
              );
            })}
            <text
              x={bare[bare.length - 1]![0] - 3}
              y={bare[bare.length - 1]![1] + 3}
              textAnchor="end"
              fontSize={3.6}
              fill="var(--ink)"
              opacity={0.8}
            >
              cloth alone
            </text>
          </svg>
        </div>
        <div className="overflow-x-auto">
          <table className="table table-fixed text-base">
            <thead>
              <tr className="align-top text-base">
                <th scope="col" className="w-40">
                  <span className="sr-only">What is compared</span>
                </th>
                {stacks.map((stack, i) => (
                  <th key={stack.id} scope="col" className="whitespace-normal">
                    <span className="flex items-start justify-between gap-1">
                      <button
                        type="button"
                        className="min-h-[44px] text-left font-semibold text-primary underline underline-offset-2"
                        onClick={() => {
                          onOpen(stack);
                          dialog.current?.close();
                        }}
                      >
                        {i + 1}. {keepUnits(stack.title)}
                      </button>
                      <button
                        type="button"
                        className="btn btn-ghost btn-icon"
                        aria-label={`Take ${stack.title} out`}
                        onClick={() => onDrop(stack)}
                      >
                        <X size={18} aria-hidden="true" />
                      </button>
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([word, show, measure]) => (
                <tr key={word}>
                  <th scope="row">{word}</th>
                  {stacks.map((stack) => {
                    const leads = measure !== undefined && stacks.length > 1 && measure(stack) === best(measure);
                    return (
                      <td key={stack.id} className={leads ? 'font-bold' : ''}>
                        {show(stack)}
                        {leads && <span className="sr-only"> (best of these)</span>}
                      </td>
                    );
                  })}
                </tr>
              ))}
              {criteria.map(({ id, name }) => (
                <tr key={id}>
                  <th scope="row">{name}</th>
                  {stacks.map((stack) => {
                    const score = stack.criteria.find((criterion) => criterion.id === id)?.score ?? 0;
                    return (
                      <td key={stack.id}>
                        <span className="flex items-center gap-2">
                          <span className="w-8 text-right">{Math.round(score)}</span>
                          <span className="h-2 flex-1 rounded-full bg-base-300" aria-hidden="true">
                            <span
                              className={`block h-2 rounded-full ${score < 50 ? 'bg-error' : 'bg-primary'}`}
                              style={{ width: `${score}%` }}
                            />
                          </span>
                        </span>
                      </td>
                    );
                  })}
                </tr>
              ))}
              <tr className="align-top">
                <th scope="row">Look out for</th>
                {stacks.map((stack) => (
                  <td key={stack.id} className="text-[0.92rem]">
                    {stack.cautions.slice(0, 3).join(' ') || 'Nothing in particular.'}
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      </div>
    </dialog>
  );
}
