import { TextInput } from '../../ui/form/form-fields';
import { readShrinkage } from '../../ui/typed-figures';
import { useUnits } from '../../ui/units-context';

interface Props {
  before: React.ComponentProps<typeof TextInput>;
  after: React.ComponentProps<typeof TextInput>;
  /** What stands in both fields. */
  typed: { shrinkBefore: string; shrinkAfter: string };
}

/** A shrinkage read as two lengths between the same marks, with what it comes to. */
export default function ShrinkFields({
  before,
  after,
  typed,
}: Omit<Props, 'before' | 'after'> & Record<'before' | 'after', object>) {
  const { system } = useUnits();
  let found: string | undefined;
  try {
    const shrink = readShrinkage(typed.shrinkBefore, typed.shrinkAfter, system);
    if (shrink !== null)
      found = shrink < -0.05 ? `It grew by ${(-shrink).toFixed(1)} %.` : `It shrank by ${Math.abs(shrink).toFixed(1)} %.`;
  } catch {
    found = undefined;
  }
  return (
    <>
      <TextInput label="Marks apart before" hint="As you drew them on the piece." {...before} />
      <TextInput label="The same marks now" hint={found ?? 'Leave empty when not measured.'} {...after} />
    </>
  );
}
