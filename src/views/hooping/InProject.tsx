import { useState } from 'react';
import { keptKey } from '../../core/layers';
import type { Hooping, HoopingStack } from '../../store/hoopings';
import { call } from '../../ui/api';
import { counted } from '../../ui/text';
import { attempt, undoToast } from '../../ui/undo-toast';
import type { HoopingData } from './stages';

interface Props {
  hoopingId: string;
  job: NonNullable<HoopingData['job']>;
  stack: HoopingStack | null;
  /** Size of the sheets in the hoop that is chosen here, by layer, mm; none without a hoop. */
  sizes: ReadonlyMap<string, { width: number; height: number }>;
  /** Pieces of the set here. */
  count: number;
  frozen: boolean;
  /** Saves what is not saved yet. */
  onSaveFirst: () => Promise<Hooping | undefined>;
  onCount: (count: number) => void;
}

type Stack = NonNullable<HoopingData['job']>['stack'];

/** What tells two stacks apart: their layers, how they are turned, and where a hoop says it the size of their sheets. */
const keysOf = (stack: Stack, sized: boolean): string =>
  (stack?.layers ?? [])
    .map((each) => {
      const { width, height } = (sized && each.sheet) || { width: 0, height: 0 };
      return `${keptKey(each)} ${each.angle} ${Math.round(width)}×${Math.round(height)}`;
    })
    .join('+');

/** A stack with the size that each of its sheets has in a hoop. */
function sizedFor(stack: HoopingStack | null, sizes: ReadonlyMap<string, { width: number; height: number }>): Stack {
  return stack && { ...stack, layers: stack.layers.map((each) => ({ ...each, sheet: sizes.get(each.materialId) })) };
}

/** The job of the project that a motif is for: whether both say the same of its sheets and of how many there are, and how to make them. */
export default function InProject({ hoopingId, job, stack: own, sizes, count, frozen, onSaveFirst, onCount }: Props) {
  const [there, setThere] = useState(job.stack);
  const [busy, setBusy] = useState(false);
  const stack = sizedFor(own, sizes);
  const same = keysOf(there, sizes.size > 0) === keysOf(stack, sizes.size > 0);
  const sameLayers = keysOf(there, false) === keysOf(stack, false);
  const give = async () => {
    setBusy(true);
    await attempt('The project could not be given this', async () => {
      const saved = await onSaveFirst();
      if (!saved) return;
      const { undo } = await call<{ undo: unknown[] }>('POST', `/api/hoopings/${hoopingId}/to-project`, {
        version: saved.version,
      });
      const before = there;
      setThere(stack);
      undoToast(`“${job.name}” has what lies under the motif here.`, async () => {
        await call('PUT', `/api/projects/${job.projectId}/stacks`, { stacks: undo });
        setThere(before);
      });
    });
    setBusy(false);
  };
  return (
    <section className="sheet space-y-2 p-4" aria-label="In the project">
      <h2 className="font-semibold">In the project</h2>
      <p>
        <a
          className="font-semibold text-primary underline underline-offset-4"
          href={`/projects/${job.projectId}?job=${job.id}&stage=choose`}
        >
          {job.name}
        </a>
        {same
          ? ' has the same under it.'
          : sameLayers
            ? ' has the same under it, in sheets of another size.'
            : there
              ? ` has ${there.title}.`
              : ' has nothing under it yet.'}
      </p>
      {!same && stack && (
        <button type="button" className="btn" disabled={busy} onClick={() => void give()}>
          Put what lies here into the project
        </button>
      )}
      {job.count !== count && (
        <p>
          {counted(job.count, 'piece')} there, {count} here.{' '}
          {!frozen && job.count >= 1 && (
            <button type="button" className="btn" onClick={() => onCount(job.count)}>
              Take {job.count}
            </button>
          )}
        </p>
      )}
    </section>
  );
}
