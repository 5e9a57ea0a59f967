import type { ChangeEvent } from 'react';
import { SHEERNESS, TONES } from '../../core/cloth';
import {
  COVERS,
  ENDS,
  FAMILIES,
  FAMILY_WORDS,
  FORMS,
  FORM_WORDS,
  GLUES,
  WASHES,
  type Cover,
  type Ends,
  type Family,
  type Form,
  type Glue,
  type Wash,
  type LawFigure,
} from '../../core/layers';
import { familyLaw, familyUsual } from '../../core/library';
import { formatArealDensity, lengthForField, parseArealDensity, parseLengthBeside, type LengthSystem } from '../../core/units';
import { CheckInput, plainOptions, SelectInput, TextInput } from '../../ui/form/form-fields';
import type { AllOf } from '../../ui/form/typed-resolver';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { layerSchema } from '../../schemas/layers';
import { useUnits } from '../../ui/units-context';
import type { Layer } from '../../store/layers';
import { readNumber, readOptional } from '../../ui/form/reading';
import { readFibres, WIDTH_HINT, writeFibres } from './draft-parsing';
import RecordDialog from '../../ui/form/RecordDialog';

interface Props {
  /** Absent for a new layer. */
  layer: Layer | undefined;
  /** A new layer begins like this one. */
  like?: Layer | undefined;
  /** Asks for a new one that begins like the one in hand. */
  onLike?: (layer: Layer) => void;
  onSaved: (layer: Layer) => void;
  onClose: () => void;
}

const COVER_WORDS: Record<Cover, string> = {
  none: 'no cover',
  paper: 'baking paper',
  cloth: 'thin cotton',
  organza: 'silk organza',
  'damp-cloth': 'damp cloth',
};
const IRON: [string, string][] = [
  ['0', 'not pressed'],
  ['1', 'cool, one dot'],
  ['2', 'medium, two dots'],
  ['3', 'hot, three dots'],
];
const WASH_WORDS: Record<Wash, string> = { hot: 'a hot wash', warm: 'a warm wash', hand: 'hand washing', none: 'no washing' };
const ENDS_WORDS: Record<Ends, string> = {
  stays: 'stays',
  torn: 'is torn away',
  cut: 'is trimmed back',
  rinsed: 'is rinsed out',
  melted: 'is melted away',
};
const GLUE_WORDS: Record<Glue, string> = { none: 'none', dots: 'dots or web', film: 'a full film' };

/** Describes or corrects a layer, with what its leaflet says. */
export default function LayerForm({ layer: own, like, onLike, onSaved, onClose }: Props) {
  const layer = own ?? like;
  const { system } = useUnits();
  const of = useKeptForm({
    key: `layer ${own?.id ?? `new ${like?.id ?? ''}`} ${own?.version ?? 0}`,
    schema: layerSchema,
    start: () => ({
      name: own?.name ?? (like ? `${like.name}, mine` : ''),
      fibres: writeFibres(layer?.fibres ?? []),
      note: layer?.note ?? '',
      family: layer?.family ?? ('nonwoven' as Family),
      form: layer?.form ?? ('fusible' as Form),
      arealDensity: layer ? formatArealDensity(layer.arealDensity, system) : '',
      thickness: measured(layer, 'thickness'),
      bendingLength: measured(layer, 'bendingLength'),
      membraneStiffness: measured(layer, 'membraneStiffness'),
      stretchLength: String(layer?.stretchLength ?? 2),
      stretchCross: String(layer?.stretchCross ?? 4),
      tones: layer?.tones ?? ['light' as const],
      opacity: layer?.opacity ?? ('opaque' as const),
      rollWidth: lengthForField(layer?.rollWidth ?? 900, system),
      leaflet: {
        ironDots: String(layer?.leaflet.ironDots ?? 2),
        seconds: String(layer?.leaflet.seconds ?? 10),
        steam: layer?.leaflet.steam ?? false,
        mist: layer?.leaflet.mist ?? false,
        cover: layer?.leaflet.cover ?? ('cloth' as Cover),
        coolMinutes: String(layer?.leaflet.coolMinutes ?? 5),
      },
      glue: layer?.glue ?? ('dots' as Glue),
      wash: layer?.wash ?? ('warm' as Wash),
      dryClean: layer?.dryClean ?? true,
      preShrink: layer?.preShrink ?? false,
      grain: layer?.grain ?? false,
      ends: layer?.ends ?? ('stays' as Ends),
      stiffening: String(layer?.stiffening ?? 1),
      pricePerMetre: String((layer?.pricePerMetre ?? 500) / 100),
      inStock: own?.inStock ?? true,
    }),
    // Figures that were not measured are left out, and follow the family's law.
    read: (draft): AllOf<typeof layerSchema, LawFigure | 'estimated'> => ({
      name: draft.name.trim(),
      note: draft.note,
      family: draft.family,
      form: draft.form,
      arealDensity: parseArealDensity(draft.arealDensity, system),
      ...given('thickness', readOptional('thickness', draft.thickness, 'mm')),
      ...given('bendingLength', readOptional('bendingLength', draft.bendingLength, 'mm')),
      ...given('membraneStiffness', readOptional('membraneStiffness', draft.membraneStiffness, 'N/m')),
      stretchLength: readNumber('stretchLength', draft.stretchLength, 'per cent'),
      stretchCross: readNumber('stretchCross', draft.stretchCross, 'per cent'),
      tones: draft.tones,
      opacity: draft.opacity,
      rollWidth: parseLengthBeside(draft.rollWidth, WIDTH_HINT[system], system, 'rollWidth'),
      leaflet: {
        ironDots: Number(draft.leaflet.ironDots),
        seconds: readNumber('leaflet.seconds', draft.leaflet.seconds, 'seconds'),
        steam: draft.leaflet.steam,
        mist: draft.leaflet.mist,
        cover: draft.leaflet.cover,
        coolMinutes: readNumber('leaflet.coolMinutes', draft.leaflet.coolMinutes, 'minutes'),
      },
      glue: draft.glue,
      wash: draft.wash,
      dryClean: draft.dryClean,
      preShrink: draft.preShrink,
      grain: draft.grain,
      ends: draft.ends,
      stiffening: readNumber('stiffening', draft.stiffening, ''),
      pricePerMetre: Math.round(readNumber('pricePerMetre', draft.pricePerMetre, '') * 100),
      inStock: draft.inStock,
      fibres: draft.fibres.trim() === '' ? [] : readFibres(draft.fibres),
    }),
  });
  const { field, error } = of;
  const draft = of.form.watch();
  /** A new layer of another family begins as is usual for that. */
  const family = {
    ...field('family'),
    onChange: async (event: ChangeEvent<HTMLSelectElement>) => {
      const next = event.target.value as Family;
      if (!layer) of.form.reset({ ...of.form.getValues(), family: next, ...usualOf(next, system) }, { keepDefaultValues: true });
      else of.form.setValue('family', next);
    },
  };
  /** What an empty field counts as, in the field and below it. */
  const byLaw = (figure: LawFigure, measuredBy = '') => {
    if (draft[figure].trim() !== '') return { hint: measuredBy || undefined };
    let weight: number | undefined;
    try {
      weight = parseArealDensity(draft.arealDensity, system);
    } catch {
      weight = undefined;
    }
    if (weight === undefined) return { hint: 'Empty when it was not measured.' };
    const about = familyLaw(draft.family, weight, draft.form)[figure];
    return { placeholder: `about ${about}`, hint: `Not measured: about ${about}, as is usual for the kind at this weight.` };
  };
  return (
    <RecordDialog
      title={own ? own.name : like ? `Like ${like.name}, but …` : 'A new layer'}
      path="/api/layers"
      record={own}
      of={of}
      onSaved={onSaved}
      onClose={onClose}
    >
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <TextInput label="Name" {...field('name')} placeholder="Light woven fusible, 45 g" />
        <SelectInput label="Family" {...family} options={FAMILIES.map((each) => [each, FAMILY_WORDS[each]] as const)} />
        <SelectInput label="Form" {...field('form')} options={FORMS.map((form) => [form, FORM_WORDS[form]] as const)} />
        <TextInput label="Weight" {...field('arealDensity')} hint="For a liquid, what it leaves when dry" />
        <TextInput label="Thickness, mm" {...field('thickness')} {...byLaw('thickness')} />
        <TextInput
          label="Bending length, mm"
          {...field('bendingLength')}
          {...byLaw('bendingLength', 'Half its overhang on the 41.5° jig')}
        />
        <TextInput label="Stretch along, %" {...field('stretchLength')} />
        <TextInput label="Stretch across, %" {...field('stretchCross')} />
        <TextInput label="Stiffness in the sheet, N/m" {...field('membraneStiffness')} {...byLaw('membraneStiffness')} />
        <TextInput label="Width of the roll" {...field('rollWidth')} />
        <TextInput label="Price of a metre" {...field('pricePerMetre')} />
        <SelectInput label="See-through" {...field('opacity')} options={plainOptions(SHEERNESS)} />
      </div>
      <fieldset>
        <legend className="mb-1 font-semibold">The leaflet says</legend>
        <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
          <SelectInput label="Iron" {...field('leaflet.ironDots')} options={IRON} />
          <TextInput label="Seconds a stop" {...field('leaflet.seconds')} />
          <SelectInput
            label="Cover"
            {...field('leaflet.cover')}
            options={COVERS.map((cover) => [cover, COVER_WORDS[cover]] as const)}
          />
          <TextInput label="Minutes to cool" {...field('leaflet.coolMinutes')} />
        </div>
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
        <SelectInput label="Glue" {...field('glue')} options={GLUES.map((glue) => [glue, GLUE_WORDS[glue]] as const)} />
        <SelectInput label="Stands" {...field('wash')} options={WASHES.map((wash) => [wash, WASH_WORDS[wash]] as const)} />
        <SelectInput label="In the end it" {...field('ends')} options={ENDS.map((ends) => [ends, ENDS_WORDS[ends]] as const)} />
        <TextInput label="Stiffens cloth, times" {...field('stiffening')} hint="1 unless it is a liquid" />
      </div>
      <div className="flex flex-wrap gap-x-6">
        <CheckInput label="Needs steam" {...field('leaflet.steam')} />
        <CheckInput label="Is misted with water first" {...field('leaflet.mist')} />
        <CheckInput label="Stands dry cleaning" {...field('dryClean')} />
        <CheckInput label="Shrink it first" {...field('preShrink')} />
        <CheckInput label="Has a grain" {...field('grain')} />
        <CheckInput label="I have some" {...field('inStock')} />
        {TONES.map((tone) => (
          <CheckInput key={tone} label={`kept in ${tone}`} value={tone} {...field('tones')} />
        ))}
      </div>
      {error('tones') && <p className="font-semibold text-error">Shades: {error('tones')}</p>}
      <div className="grid gap-4 sm:grid-cols-2">
        <TextInput label="Made of" {...field('fibres')} hint="60 polyester, 40 viscose; empty when not known" />
        <TextInput label="Note" {...field('note')} maxLength={4000} />
      </div>
      {own && (
        <p className="flex flex-wrap gap-2">
          <a className="btn" href={`/cupboard/layers/${own.id}`}>
            Measure it at home
          </a>
          {onLike && (
            <button type="button" className="btn" onClick={() => onLike(own)}>
              Like this one, but …
            </button>
          )}
        </p>
      )}
    </RecordDialog>
  );
}

/** A figure as it was measured; empty where it was only estimated. */
function measured(layer: Layer | undefined, figure: LawFigure): string {
  return layer === undefined || layer.estimated.includes(figure) ? '' : String(layer[figure]);
}

function given(figure: LawFigure, value: number | undefined): Partial<Record<LawFigure, number>> {
  return value === undefined ? {} : { [figure]: value };
}

/** What a new layer of a family starts with: how it is put on, kept and sold. */
function usualOf(family: Family, system: LengthSystem) {
  const { form, stretch, rollWidth, leaflet, glue, wash, dryClean, preShrink, grain, ends } = familyUsual(family);
  return {
    form,
    stretchLength: String(stretch[0]),
    stretchCross: String(stretch[1]),
    rollWidth: lengthForField(rollWidth, system),
    leaflet: {
      ironDots: String(leaflet.ironDots),
      seconds: String(leaflet.seconds),
      steam: leaflet.steam,
      cover: leaflet.cover,
      coolMinutes: String(leaflet.coolMinutes),
    },
    ...{ glue, wash, dryClean, preShrink, grain, ends },
  };
}
