import { InputError } from '../../core/input-error';
import { useWrite } from '../../ui/query';
import { boughtLayerSchema } from '../../schemas/layers';
import FormErrors from '../../ui/form/FormErrors';
import { plainOptions, SelectInput, TextInput } from '../../ui/form/form-fields';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { TONES } from '../../core/cloth';
import { FAMILIES, FAMILY_WORDS, FORM_WORDS, type Family, type Form } from '../../core/layers';
import { familyLaw, familyUsual } from '../../core/library';
import { parseArealDensity, parseLengthBeside } from '../../core/units';
import { call } from '../../ui/api';
import { useUnits } from '../../ui/units-context';
import type { Layer } from '../../store/layers';

interface Props {
  onAdded: (layer: Layer) => void;
}

/** Ways in which what is bought may be put on; the first is as usual for its family. */
const OTHER_FORMS: Form[] = ['fusible', 'sew-in', 'sticky', 'loose'];

/** A layer from the little that a label says: family, weight, width, colour. */
export default function BoughtLayerForm({ onAdded }: Props) {
  const { system } = useUnits();
  const of = useKeptForm({
    key: 'bought layer',
    schema: boughtLayerSchema,
    start: () => ({ name: '', family: 'nonwoven' as Family, form: 'usual', arealDensity: '', rollWidth: '', tone: 'light' }),
    read: ({ name, family, form: put, arealDensity, rollWidth, tone }) => {
      if (name.trim() === '') throw new InputError('name', 'Give it a name.');
      if (arealDensity.trim() === '') throw new InputError('arealDensity', 'Say how heavy it is.');
      return {
        ...{ name: name.trim(), family, arealDensity: parseArealDensity(arealDensity, system), tones: [tone] },
        ...(put === 'usual' ? {} : { form: put }),
        ...(rollWidth.trim() === '' ? {} : { rollWidth: parseLengthBeside(rollWidth, '90 cm', system, 'rollWidth') }),
      };
    },
  });
  const { field, form } = of;
  const { family, arealDensity } = form.watch();
  const usual = familyUsual(family);
  const about = (() => {
    try {
      return familyLaw(family, parseArealDensity(arealDensity, system));
    } catch {
      return undefined;
    }
  })();
  const adding = useWrite((layer: object) => call<Layer>('POST', '/api/layers/bought', layer), {
    onSuccess: (layer) => {
      of.forget();
      onAdded(layer);
    },
    onError: of.refuse,
  });
  const putOn: [string, string][] = [
    ['usual', `as usual: ${FORM_WORDS[usual.form]}`],
    ...OTHER_FORMS.filter((each) => each !== usual.form && usual.form !== 'liquid').map((each): [string, string] => [
      each,
      FORM_WORDS[each],
    ]),
  ];
  return (
    <div className="sheet space-y-3 p-4" role="group" aria-label="The one I bought">
      <div className="grid gap-3 sm:grid-cols-2">
        <TextInput label="What it says on it" placeholder="Firm white, from the market" {...field('name')} />
        <SelectInput label="It is" {...field('family')} options={FAMILIES.map((each) => [each, FAMILY_WORDS[each]] as const)} />
        <TextInput
          label="Weight"
          placeholder="45 g/m²"
          {...field('arealDensity')}
          hint={
            about &&
            `About ${about.thickness} mm thick and ${about.bendingLength} mm of bending length: estimated from kind and weight.`
          }
        />
        <TextInput label="Width" placeholder="90 cm" hint="Empty: as is usual for it." {...field('rollWidth')} />
        <SelectInput label="Put on" {...field('form')} options={putOn} />
        <SelectInput label="Colour" {...field('tone')} options={plainOptions(TONES)} />
      </div>
      <FormErrors of={of} />
      <button
        type="button"
        className="btn btn-primary"
        disabled={adding.isPending}
        onClick={() => void form.handleSubmit((layer) => adding.mutate(layer))()}
      >
        Put it in the cupboard and into the stack
      </button>
    </div>
  );
}
