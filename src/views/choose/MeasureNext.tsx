import { Ruler } from 'lucide-react';
import type { Measurable, Part, Sensitivity } from '../../core/choose';
import { useAsked, useRested, useSame } from '../../ui/query';
import type { Fabric } from '../../core/cloth';
import { keepUnits } from '../../ui/text';
import { useUnits } from '../../ui/units-context';

interface Props {
  fabric: Fabric;
  part: Part;
  asked: object;
  measured: readonly string[];
  /** Address of the cloth's test bench; none for one that is only described. */
  benchPath: string | undefined;
}

const TESTS: Record<Measurable, { words: string; test: string }> = {
  overhang: { words: 'how far it overhangs', test: 'overhang' },
  thickness: { words: 'its thickness', test: 'thickness' },
  arealDensity: { words: 'its weight', test: 'weight' },
  stretchLength: { words: 'its stretch along', test: 'stretch' },
  stretchCross: { words: 'its stretch across', test: 'stretch' },
  ironDots: { words: 'what heat it bears', test: 'heat' },
  water: { words: 'what a drop of water does', test: 'water' },
};

/** A chance as people say it. */
function chanceWords(chance: number): string {
  if (chance >= 0.45) return 'about every second time';
  if (chance >= 0.28) return 'about one time in three';
  if (chance >= 0.18) return 'about one time in five';
  if (chance >= 0.08) return 'about one time in ten';
  return 'seldom';
}

/** Room for the two lines that most answers take. */
const LINE = 'flex min-h-[4.25rem] gap-2 rounded-box border border-base-300 px-3 py-2 text-[0.95rem]';

/** Asks after a pause, so that turning the sentence does not keep the server busy. */
const PAUSE = 400;

/** Which test of the cloth would tell most about the answer. */
export default function MeasureNext({ fabric, part, asked, measured, benchPath }: Props) {
  const units = useUnits();
  const question = useRested(useSame({ fabric, part, measured, ...asked }), PAUSE);
  const { answer, error } = useAsked<{ properties: Sensitivity[] }>('/api/choose/sensitivity', question);
  const found = error ? undefined : answer?.properties;
  const first = found?.[0];
  // It stands in its place from the first paint, so that nothing moves when the answer comes.
  if (!found)
    return (
      <p className={`${LINE} quiet`}>
        <Ruler size={18} aria-hidden="true" className="mt-0.5 shrink-0" />
        {error ? 'Which test would tell most could not be worked out.' : 'Looking which test of the cloth would tell most …'}
      </p>
    );
  if (!first || first.chance < 0.05) {
    return (
      <p className={`${LINE} quiet`}>
        <Ruler size={18} aria-hidden="true" className="mt-0.5 shrink-0" /> No test of this cloth is likely to change the answer.
      </p>
    );
  }
  const value =
    first.from === undefined
      ? ''
      : first.property === 'overhang'
        ? units.length(Math.round(first.from))
        : first.property === 'thickness'
          ? `${first.from.toFixed(1)} mm`
          : first.property === 'arealDensity'
            ? units.weight(first.from)
            : first.property === 'ironDots'
              ? ''
              : `${Math.round(first.from)} %`;
  return (
    <p className={LINE}>
      <Ruler size={18} aria-hidden="true" className="mt-0.5 shrink-0 text-primary" />
      <span className="min-w-0">
        Worth measuring: <strong>{TESTS[first.property].words}</strong>. {chanceWords(first.chance)[0]!.toUpperCase()}
        {chanceWords(first.chance).slice(1)} it would put <em>{keepUnits(first.other ?? 'another stack')}</em> first
        {value && ` (${first.side} about ${value})`}.{' '}
        {benchPath && (
          <a
            className="font-semibold text-primary underline decoration-2 underline-offset-4"
            href={`${benchPath}?test=${TESTS[first.property].test}`}
          >
            Test the cloth
          </a>
        )}
      </span>
    </p>
  );
}
