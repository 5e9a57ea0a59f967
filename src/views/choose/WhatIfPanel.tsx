import { useState } from 'react';
import type { Part, WhatIf } from '../../core/choose';
import { useAsked } from '../../ui/query';
import type { Fabric } from '../../core/cloth';
import { keepUnits } from '../../ui/text';

interface Props {
  fabric: Fabric;
  part: Part;
  asked: object;
  stackId: string;
}

function fate(stack: WhatIf['stack']): string {
  if (!stack) return 'this would not be among the answers.';
  if ('why' in stack) return `this would be ruled out. ${stack.why}`;
  if (stack.rank === 1) return 'this would be the best answer.';
  return `this would come ${ordinal(stack.rank)}, with ${Math.round(stack.score)} of 100.`;
}

function ordinal(rank: number): string {
  if (rank === 2) return 'second';
  if (rank === 3) return 'third';
  const ending = rank % 100 >= 11 && rank % 100 <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][rank % 10] ?? 'th');
  return `${rank}${ending}`;
}

/** How the answer would turn if the question were put a little differently. Asked for when it is opened. */
export default function WhatIfPanel({ fabric, part, asked, stackId }: Props) {
  const [open, setOpen] = useState(false);
  const {
    answer,
    current,
    error: fault,
  } = useAsked<{ changes: WhatIf[] }>(open ? '/api/choose/what-if' : undefined, {
    ...{ fabric, part, stackId },
    ...asked,
  });
  const changes = current ? answer?.changes : undefined;
  const moved = changes?.filter(({ bestChanges, stack }) => bestChanges || !stack || 'why' in stack || stack.rank > 1) ?? [];
  const same = changes?.filter((change) => !moved.includes(change)) ?? [];
  return (
    <details className="mt-4 border-t border-base-300 pt-1" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="flex min-h-[44px] cursor-pointer items-center chalk-heading">What would change if …</summary>
      {fault && (
        <p role="alert" className="font-semibold text-error">
          {fault}
        </p>
      )}
      {open && !changes && !fault && <p className="quiet">Asking …</p>}
      <ul className="space-y-1.5">
        {moved.map(({ id, change, stack, best, bestChanges }) => (
          <li key={id}>
            <span className="font-semibold">If {change},</span> {fate(stack)}
            {bestChanges && best && ` Best would be ${keepUnits(best.title)}.`}
          </li>
        ))}
      </ul>
      {same.length > 0 && <p className="quiet mt-2">It stays the best if {orList(same.map(({ change }) => change))}.</p>}
    </details>
  );
}

function orList(words: string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')}, or ${words[words.length - 1]}`;
}
