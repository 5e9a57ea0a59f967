import { yupResolver } from '@hookform/resolvers/yup';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { TONES } from '../../core/cloth';
import { FAMILIES, FAMILY_WORDS, FORM_WORDS, type Family, type Form } from '../../core/layers';
import { familyLaw, familyUsual } from '../../core/library';
import { parseArealDensity, parseLengthBeside } from '../../core/units';
import * as yup from 'yup';
import { call, plainMessage, type ApiError } from '../../ui/api';
import Field from '../../ui/form/Field';
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
  const [error, setError] = useState<string>();
  const readable = (read: (text: string) => number, what: string) => (text: string | undefined) => {
    try {
      return read(text ?? '') > 0;
    } catch {
      return new yup.ValidationError(`must be ${what}`);
    }
  };
  const width = (text: string) => parseLengthBeside(text, '90 cm', system);
  const schema = yup.object({
    name: yup.string().trim().required('Give it a name.').max(120),
    family: yup.string().oneOf(FAMILIES).required(),
    form: yup.string().required(),
    weight: yup
      .string()
      .required('Say how heavy it is.')
      .test(
        'weight',
        'must be a weight, such as 45 g/m²',
        readable((text) => parseArealDensity(text, system), 'a weight, such as 45 g/m²'),
      ),
    width: yup
      .string()
      .test('width', 'must be a width, such as 90 cm', (text) => !text || readable(width, 'a width')(text) === true),
    tone: yup.string().oneOf(TONES).required(),
  });
  const form = useForm({
    resolver: yupResolver(schema),
    defaultValues: { name: '', family: 'nonwoven', form: 'usual', weight: '', width: '', tone: 'light' },
  });
  const { register, handleSubmit, watch, formState } = form;
  const { errors, isSubmitting } = formState;
  const family = watch('family') as Family;
  const usual = familyUsual(family);
  const about = (() => {
    try {
      return familyLaw(family, parseArealDensity(watch('weight') ?? '', system));
    } catch {
      return undefined;
    }
  })();
  const submit = handleSubmit(async (typed) => {
    setError(undefined);
    try {
      onAdded(
        await call<Layer>('POST', '/api/layers/bought', {
          ...{
            name: typed.name,
            family: typed.family,
            arealDensity: parseArealDensity(typed.weight, system),
            tones: [typed.tone],
          },
          ...(typed.form === 'usual' ? {} : { form: typed.form }),
          ...(typed.width ? { rollWidth: width(typed.width) } : {}),
        }),
      );
    } catch (problem) {
      setError(plainMessage(problem as ApiError));
    }
  });
  return (
    <div className="sheet space-y-3 p-4" role="group" aria-label="The one I bought">
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="What it says on it" id="bought-name" error={errors.name?.message}>
          <input id="bought-name" className="input" placeholder="Firm white, from the market" {...register('name')} />
        </Field>
        <Field label="It is" id="bought-family">
          <select id="bought-family" className="select" {...register('family')}>
            {FAMILIES.map((each) => (
              <option key={each} value={each}>
                {FAMILY_WORDS[each]}
              </option>
            ))}
          </select>
        </Field>
        <Field
          label="Weight"
          id="bought-weight"
          error={errors.weight?.message}
          hint={
            about &&
            `About ${about.thickness} mm thick and ${about.bendingLength} mm of bending length: estimated from kind and weight.`
          }
        >
          <input id="bought-weight" className="input" placeholder="45 g/m²" autoComplete="off" {...register('weight')} />
        </Field>
        <Field label="Width" id="bought-width" error={errors.width?.message} hint="Empty: as is usual for it.">
          <input id="bought-width" className="input" placeholder="90 cm" autoComplete="off" {...register('width')} />
        </Field>
        <Field label="Put on" id="bought-form">
          <select id="bought-form" className="select" {...register('form')}>
            <option value="usual">as usual: {FORM_WORDS[usual.form]}</option>
            {OTHER_FORMS.filter((each) => each !== usual.form && usual.form !== 'liquid').map((each) => (
              <option key={each} value={each}>
                {FORM_WORDS[each]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Colour" id="bought-tone">
          <select id="bought-tone" className="select" {...register('tone')}>
            {TONES.map((tone) => (
              <option key={tone} value={tone}>
                {tone}
              </option>
            ))}
          </select>
        </Field>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      <button type="button" className="btn btn-primary" disabled={isSubmitting} onClick={() => void submit()}>
        Put it in the cupboard and into the stack
      </button>
    </div>
  );
}
