import { givesTooMuch } from '../../core/scrap';
import { TextInput } from '../../ui/form/form-fields';
import { readSmall } from '../../ui/typed-figures';
import { useUnits } from '../../ui/units-context';

type Name = 'biasBefore' | 'biasAfter' | 'curlBefore' | 'curlAfter';

interface Props {
  field: (name: Name) => object;
  /** What stands in the fields. */
  typed: Record<Name, string>;
}

/** How far the bias can be pulled and how much of an edge rolls, bare and now, with what that says. */
export default function GiveFields({ field, typed }: Props) {
  const { system, length } = useUnits();
  const read = (name: Name) => {
    try {
      return readSmall(typed[name], system, name);
    } catch {
      return null;
    }
  };
  const over = givesTooMuch({
    ...{ biasBefore: read('biasBefore'), biasAfter: read('biasAfter') },
    ...{ curlBefore: read('curlBefore'), curlAfter: read('curlAfter') },
  });
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextInput
          label="Bare: bias pulled"
          hint={`More than ${length(100)} between the marks, by a gentle pull.`}
          {...field('biasBefore')}
        />
        <TextInput label="Now: bias pulled" hint="With the same pull." {...field('biasAfter')} />
        <TextInput label="Bare: edge rolls" hint="Width that rolls up, lying free." {...field('curlBefore')} />
        <TextInput label="Now: edge rolls" hint="Cold." {...field('curlAfter')} />
      </div>
      <p role="status" className={over === 0 ? 'font-semibold text-success' : over ? 'font-semibold' : 'quiet'}>
        {over === undefined
          ? `It holds when the bias gives half of what it gave, or ${length(3)} at most, and an edge rolls no more than ${length(3)} or a quarter.`
          : over === 0
            ? 'This dose holds.'
            : 'It still gives or rolls too much: more liquid, or another round.'}
      </p>
    </>
  );
}
