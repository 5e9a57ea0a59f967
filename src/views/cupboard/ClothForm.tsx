import { useEffect } from 'react';
import type { FRAYS } from '../../core/cloth';
import { bendingLengthFromOverhang, CONSTRUCTIONS, SHEERNESS, SURFACES, TONES, weavesOf, type Fabric } from '../../core/cloth';
import { formatArealDensity, lengthForField, parseArealDensity, parseLength, parseLengthBeside } from '../../core/units';
import { CheckInput, plainOptions, SelectInput, TextInput } from '../../ui/form/form-fields';
import type { AllOf } from '../../ui/form/typed-resolver';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { clothSchema } from '../../schemas/cloths';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import { readNumber, readOptional } from '../../ui/form/reading';
import { readFibres, WIDTH_HINT, writeFibres } from './draft-parsing';
import RecordDialog from '../../ui/form/RecordDialog';

interface Props {
  /** Absent for a new cloth. */
  cloth: Cloth | undefined;
  onSaved: (cloth: Cloth) => void;
  onClose: () => void;
}

interface Draft extends Omit<
  Fabric,
  'fibres' | 'arealDensity' | 'thickness' | 'stretchLength' | 'stretchCross' | 'ironDots' | 'overhang'
> {
  name: string;
  note: string;
  fibres: string;
  arealDensity: string;
  thickness: string;
  stretchLength: string;
  stretchCross: string;
  ironDots: string;
  overhang: string;
  rollWidth: string;
  pricePerMetre: string;
}

const IRON: [string, string][] = [
  ['0', 'no iron'],
  ['1', 'cool, one dot'],
  ['2', 'medium, two dots'],
  ['3', 'hot, three dots'],
];

function minorUnits(sum: number | undefined): number | undefined {
  return sum === undefined ? undefined : Math.round(100 * sum);
}

/** Describes or corrects a cloth. Everything stays as typed until it is saved. */
export default function ClothForm({ cloth, onSaved, onClose }: Props) {
  const { system } = useUnits();
  const of = useKeptForm<Draft>({
    key: `cloth ${cloth?.id ?? 'new'} ${cloth?.version ?? 0}`,
    schema: clothSchema,
    start: () => ({
      name: cloth?.name ?? '',
      note: cloth?.note ?? '',
      construction: cloth?.construction ?? 'woven',
      weave: cloth?.weave ?? 'plain',
      fibres: cloth ? writeFibres(cloth.fibres) : '100 cotton',
      arealDensity: cloth ? formatArealDensity(cloth.arealDensity, system) : '',
      thickness: cloth?.thickness === undefined ? '' : String(cloth.thickness),
      stretchLength: String(cloth?.stretchLength ?? 1),
      stretchCross: String(cloth?.stretchCross ?? 2),
      ironDots: String(cloth?.ironDots ?? 3),
      water: cloth?.water ?? 'safe',
      sheer: cloth?.sheer ?? 'opaque',
      tone: cloth?.tone ?? 'light',
      surface: cloth?.surface ?? [],
      fray: cloth?.fray ?? 'medium',
      overhang: cloth?.overhang === undefined ? '' : lengthForField(cloth.overhang, system),
      prewashed: cloth?.prewashed ?? false,
      rollWidth: cloth?.rollWidth === undefined ? '' : lengthForField(cloth.rollWidth, system),
      pricePerMetre: cloth?.pricePerMetre === undefined ? '' : (cloth.pricePerMetre / 100).toFixed(2),
    }),
    read: (draft): AllOf<typeof clothSchema, 'biasGive' | 'shrinkLength' | 'shrinkCross' | 'uptake'> => ({
      name: draft.name.trim(),
      note: draft.note,
      construction: draft.construction,
      weave: draft.weave,
      fibres: readFibres(draft.fibres),
      arealDensity: parseArealDensity(draft.arealDensity, system),
      thickness: readOptional('thickness', draft.thickness, 'mm'),
      stretchLength: readNumber('stretchLength', draft.stretchLength, 'per cent'),
      stretchCross: readNumber('stretchCross', draft.stretchCross, 'per cent'),
      ironDots: Number(draft.ironDots),
      water: draft.water,
      sheer: draft.sheer,
      tone: draft.tone,
      surface: draft.surface,
      fray: draft.fray,
      overhang: draft.overhang.trim() ? parseLength(draft.overhang, system, 'overhang') : undefined,
      prewashed: draft.prewashed,
      rollWidth: draft.rollWidth.trim() ? parseLengthBeside(draft.rollWidth, WIDTH_HINT[system], system, 'rollWidth') : undefined,
      pricePerMetre: minorUnits(readOptional('pricePerMetre', draft.pricePerMetre, 'money')),
    }),
  });
  const { field } = of;
  const overhang = of.form.watch('overhang');
  const [construction, weave] = of.form.watch(['construction', 'weave']);
  const weaves = weavesOf(construction);
  // A knit is no satin: what was chosen for another construction makes room.
  useEffect(() => {
    if (weave && !weaves.includes(weave)) of.form.setValue('weave', weaves[0]!);
  }, [weaves, weave, of.form]);
  let bending: string | undefined;
  try {
    if (overhang.trim()) bending = `Bending length ${Math.round(bendingLengthFromOverhang(parseLength(overhang, system)))} mm.`;
  } catch {
    bending = undefined;
  }
  return (
    <RecordDialog<Cloth, Draft>
      title={cloth ? cloth.name : 'A new cloth'}
      path="/api/cloths"
      record={cloth}
      of={of}
      onSaved={onSaved}
      onClose={onClose}
    >
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <TextInput label="Name" {...field('name')} placeholder="Blue linen from the market" />
        <TextInput label="Weight" {...field('arealDensity')} hint="120 g/m², 4 oz or 16 momme" />
        <TextInput label="Made of" {...field('fibres')} hint="55 linen, 45 cotton" />
        <SelectInput label="Construction" {...field('construction')} options={plainOptions(CONSTRUCTIONS)} />
        <SelectInput label="Weave or knit" {...field('weave')} options={plainOptions(weaves)} />
        <TextInput label="Thickness, mm" {...field('thickness')} hint="Leave empty to have it estimated" />
        <TextInput label="Stretch along, %" {...field('stretchLength')} />
        <TextInput label="Stretch across, %" {...field('stretchCross')} />
        <TextInput
          label="Overhang at 41.5°"
          {...field('overhang')}
          hint={bending ?? 'Measured on the jig; empty when not measured'}
        />
        <TextInput label="Width as sold" {...field('rollWidth')} hint={`${WIDTH_HINT[system]}; empty when not known`} />
        <TextInput label="Price of a metre" {...field('pricePerMetre')} hint="12.50; empty when not known" />
        <SelectInput label="Bears" {...field('ironDots')} options={IRON} />
        <SelectInput
          label="A drop of water"
          {...field('water')}
          options={[
            ['safe', 'does no harm'],
            ['spots', 'leaves a spot'],
            ['resists', 'runs off'],
          ]}
        />
        <SelectInput label="See-through" {...field('sheer')} options={plainOptions(SHEERNESS)} />
        <SelectInput label="Tone" {...field('tone')} options={plainOptions(TONES)} />
        <SelectInput
          label="Frays"
          {...field('fray')}
          options={
            [
              ['low', 'little'],
              ['medium', 'some'],
              ['high', 'a lot'],
            ] satisfies [(typeof FRAYS)[number], string][]
          }
        />
      </div>
      <fieldset>
        <legend className="mb-1 font-semibold">Surface</legend>
        <div className="flex flex-wrap gap-x-5">
          {SURFACES.map((surface) => (
            <CheckInput key={surface} label={surface} value={surface} {...field('surface')} />
          ))}
        </div>
      </fieldset>
      <CheckInput label="Washed already" {...field('prewashed')} />
      <TextInput label="Note" {...field('note')} maxLength={4000} />
    </RecordDialog>
  );
}
