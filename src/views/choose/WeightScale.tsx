import type { RankedStack } from '../../core/choose';
import { useUnits } from '../../ui/units-context';

interface Props {
  /** The same kind, lightest first. */
  inOrder: readonly RankedStack[];
  stack: RankedStack;
  onOpen: (stack: RankedStack) => void;
}

/** The weights of one kind, to slide along: how each hangs and scores follows at once. */
export default function WeightScale({ inOrder, stack, onOpen }: Props) {
  const units = useUnits();
  const at = inOrder.findIndex(({ id }) => id === stack.id);
  const added = (each: RankedStack) => each.layers.at(-1)?.name ?? each.title;
  return (
    <label className="mt-2 flex flex-wrap items-center gap-x-3">
      <span className="font-semibold">Weight</span>
      <span className="quiet text-[0.92rem]">lighter</span>
      <input
        type="range"
        className="slider min-w-40 flex-1"
        min={0}
        max={inOrder.length - 1}
        step={1}
        value={at}
        aria-label="Weight of the same kind"
        aria-valuetext={`${added(stack)}, ${Math.round(stack.score)} of 100`}
        onChange={(event) => onOpen(inOrder[Number(event.target.value)]!)}
      />
      <span className="quiet text-[0.92rem]">heavier</span>
      <span className="text-[0.92rem]">
        {at + 1} of {inOrder.length}, {units.weight(stack.predicted.arealDensity)} in all
      </span>
    </label>
  );
}
