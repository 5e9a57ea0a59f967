import { InputError } from '../../core/input-error';
import { useWrite } from '../../ui/query';
import { boughtLayerSchema } from '../../schemas/layers';
import FormErrors from '../../ui/form/FormErrors';
import { plainOptions, SelectInput, TextInput } from '../../ui/form/form-fields';
import { readNumber } from '../../ui/form/reading';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { TONES } from '../../core/cloth';
import { COVERS, FAMILIES, FAMILY_WORDS, FORM_WORDS, isFusible, type Family, type Form } from '../../core/layers';
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

const NO_LEAFLET = { ironDots: '', seconds: '', steam: '', cover: '' };
const NOT_SAID = ['', 'not said'] as const;
const IRON = [NOT_SAID, ['1', 'cool, one dot'], ['2', 'medium, two dots'], ['3', 'hot, three dots']] as const;
const STEAM = [NOT_SAID, ['no', 'dry'], ['yes', 'with steam']] as const;
const COVER = [NOT_SAID, ...plainOptions(COVERS)] as const;

/** A layer from the little that a label says: family, weight, width, colour. */
export default function BoughtLayerForm({ onAdded }: Props) {
  const { system } = useUnits();
  const of = useKeptForm({
    key: 'bought layer',
    schema: boughtLayerSchema,
    start: () => ({
      name: '',
      family: 'nonwoven' as Family,
      form: 'usual',
      arealDensity: '',
      rollWidth: '',
      tone: 'light',
      ...NO_LEAFLET,
    }),
    read: ({ name, family, form: put, arealDensity, rollWidth, tone, ironDots, seconds, steam, cover }) => {
      if (name.trim() === '') throw new InputError('name', 'Give it a name.');
      if (arealDensity.trim() === '') throw new InputError('arealDensity', 'Say how heavy it is.');
      return {
        ...{ name: name.trim(), family, arealDensity: parseArealDensity(arealDensity, system), tones: [tone] },
        ...(put === 'usual' ? {} : { form: put }),
        ...(ironDots + seconds.trim() + steam + cover === ''
          ? {}
          : {
              leaflet: {
                ...(ironDots === '' ? {} : { ironDots: Number(ironDots) }),
                ...(seconds.trim() === '' ? {} : { seconds: readNumber('leaflet.seconds', seconds, 'seconds') }),
                ...(steam === '' ? {} : { steam: steam === 'yes' }),
                ...(cover === '' ? {} : { cover }),
              },
            }),
        ...(rollWidth.trim() === '' ? {} : { rollWidth: parseLengthBeside(rollWidth, '90 cm', system, 'rollWidth') }),
      };
    },
  });
  const { field, form } = of;
  const { family, arealDensity, form: put } = form.watch();
  const usual = familyUsual(family);
  const pressed = isFusible(put === 'usual' ? usual.form : (put as Form));
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
      {pressed && (
        <fieldset>
          <legend className="font-semibold">What its leaflet says; empty: as is usual for its kind</legend>
          <div className="mt-1 grid gap-3 sm:grid-cols-4">
            <SelectInput label="Iron" {...field('ironDots')} options={IRON} />
            <TextInput
              label="Seconds a stop"
              inputMode="numeric"
              placeholder={String(usual.leaflet.seconds)}
              {...field('seconds')}
            />
            <SelectInput label="Steam" {...field('steam')} options={STEAM} />
            <SelectInput label="Cover" {...field('cover')} options={COVER} />
          </div>
        </fieldset>
      )}
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
