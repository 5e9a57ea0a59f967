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
import { CheckField, plainOptions, SelectField, textBinder, TextField } from '../../ui/form-fields';
import { useDraft } from '../../ui/use-draft';
import { useUnits } from '../../ui/units-context';
import type { Layer } from '../../store/layers';
import { readFibres, readNumber, readOptional, WIDTH_HINT, writeFibres } from './draft-parsing';
import RecordDialog from './RecordDialog';

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
  const typed = useDraft(`layer ${own?.id ?? `new ${like?.id ?? ''}`} ${own?.version ?? 0}`, () => ({
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
    ironDots: String(layer?.leaflet.ironDots ?? 2),
    seconds: String(layer?.leaflet.seconds ?? 10),
    steam: layer?.leaflet.steam ?? false,
    cover: layer?.leaflet.cover ?? ('cloth' as Cover),
    coolMinutes: String(layer?.leaflet.coolMinutes ?? 5),
    glue: layer?.glue ?? ('dots' as Glue),
    wash: layer?.wash ?? ('warm' as Wash),
    dryClean: layer?.dryClean ?? true,
    preShrink: layer?.preShrink ?? false,
    grain: layer?.grain ?? false,
    ends: layer?.ends ?? ('stays' as Ends),
    stiffening: String(layer?.stiffening ?? 1),
    price: String((layer?.pricePerMetre ?? 500) / 100),
    inStock: own?.inStock ?? true,
  }));
  const draft = typed.now;
  const set: (change: Partial<typeof draft>) => void = typed.set;
  const read = () => ({
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
      ironDots: Number(draft.ironDots),
      seconds: readNumber('leaflet.seconds', draft.seconds, 'seconds'),
      steam: draft.steam,
      cover: draft.cover,
      coolMinutes: readNumber('leaflet.coolMinutes', draft.coolMinutes, 'minutes'),
    },
    glue: draft.glue,
    wash: draft.wash,
    dryClean: draft.dryClean,
    preShrink: draft.preShrink,
    grain: draft.grain,
    ends: draft.ends,
    stiffening: readNumber('stiffening', draft.stiffening, ''),
    pricePerMetre: Math.round(readNumber('pricePerMetre', draft.price, '') * 100),
    inStock: draft.inStock,
    fibres: draft.fibres.trim() === '' ? [] : readFibres(draft.fibres),
  });
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
    <RecordDialog<Layer>
      title={own ? own.name : like ? `Like ${like.name}, but …` : 'A new layer'}
      path="/api/layers"
      record={own}
      read={read}
      draft={typed}
      onSaved={onSaved}
      onClose={onClose}
    >
      {(errors) => {
        const text = textBinder(draft, set, errors);
        return (
          <>
            <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
              <TextField label="Name" {...text('name')} placeholder="Light woven fusible, 45 g" />
              <SelectField
                label="Family"
                value={draft.family}
                options={FAMILIES.map((family) => [family, FAMILY_WORDS[family]] as const)}
                onChange={(family) => set({ family, ...(layer ? {} : usualOf(family, system)) })}
              />
              <SelectField
                label="Form"
                value={draft.form}
                options={FORMS.map((form) => [form, FORM_WORDS[form]] as const)}
                onChange={(form) => set({ form })}
              />
              <TextField label="Weight" {...text('arealDensity')} hint="For a liquid, what it leaves when dry" />
              <TextField label="Thickness, mm" {...text('thickness')} {...byLaw('thickness')} />
              <TextField
                label="Bending length, mm"
                {...text('bendingLength')}
                {...byLaw('bendingLength', 'Half its overhang on the 41.5° jig')}
              />
              <TextField label="Stretch along, %" {...text('stretchLength')} />
              <TextField label="Stretch across, %" {...text('stretchCross')} />
              <TextField label="Stiffness in the sheet, N/m" {...text('membraneStiffness')} {...byLaw('membraneStiffness')} />
              <TextField label="Width of the roll" {...text('rollWidth')} />
              <TextField label="Price of a metre" {...text('price', errors['pricePerMetre'])} />
              <SelectField
                label="See-through"
                value={draft.opacity}
                options={plainOptions(SHEERNESS)}
                onChange={(opacity) => set({ opacity })}
              />
            </div>
            <fieldset>
              <legend className="mb-1 font-semibold">The leaflet says</legend>
              <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
                <SelectField label="Iron" value={draft.ironDots} options={IRON} onChange={(ironDots) => set({ ironDots })} />
                <TextField label="Seconds a stop" {...text('seconds', errors['leaflet.seconds'])} />
                <SelectField
                  label="Cover"
                  value={draft.cover}
                  options={COVERS.map((cover) => [cover, COVER_WORDS[cover]] as const)}
                  onChange={(cover) => set({ cover })}
                />
                <TextField label="Minutes to cool" {...text('coolMinutes', errors['leaflet.coolMinutes'])} />
              </div>
            </fieldset>
            <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
              <SelectField
                label="Glue"
                value={draft.glue}
                options={GLUES.map((glue) => [glue, GLUE_WORDS[glue]] as const)}
                onChange={(glue) => set({ glue })}
              />
              <SelectField
                label="Stands"
                value={draft.wash}
                options={WASHES.map((wash) => [wash, WASH_WORDS[wash]] as const)}
                onChange={(wash) => set({ wash })}
              />
              <SelectField
                label="In the end it"
                value={draft.ends}
                options={ENDS.map((ends) => [ends, ENDS_WORDS[ends]] as const)}
                onChange={(ends) => set({ ends })}
              />
              <TextField label="Stiffens cloth, times" {...text('stiffening')} hint="1 unless it is a liquid" />
            </div>
            <div className="flex flex-wrap gap-x-6">
              <CheckField label="Needs steam" checked={draft.steam} onChange={(steam) => set({ steam })} />
              <CheckField label="Stands dry cleaning" checked={draft.dryClean} onChange={(dryClean) => set({ dryClean })} />
              <CheckField label="Shrink it first" checked={draft.preShrink} onChange={(preShrink) => set({ preShrink })} />
              <CheckField label="Has a grain" checked={draft.grain} onChange={(grain) => set({ grain })} />
              <CheckField label="I have some" checked={draft.inStock} onChange={(inStock) => set({ inStock })} />
              {TONES.map((tone) => (
                <CheckField
                  key={tone}
                  label={`kept in ${tone}`}
                  checked={draft.tones.includes(tone)}
                  onChange={(checked) =>
                    set({ tones: checked ? [...draft.tones, tone] : draft.tones.filter((each) => each !== tone) })
                  }
                />
              ))}
            </div>
            {errors['tones'] && <p className="font-semibold text-error">Shades: {errors['tones']}</p>}
            <div className="grid gap-4 sm:grid-cols-2">
              <TextField label="Made of" {...text('fibres')} hint="60 polyester, 40 viscose; empty when not known" />
              <TextField label="Note" {...text('note')} maxLength={4000} />
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
          </>
        );
      }}
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
    ironDots: String(leaflet.ironDots),
    seconds: String(leaflet.seconds),
    steam: leaflet.steam,
    cover: leaflet.cover,
    coolMinutes: String(leaflet.coolMinutes),
    ...{ glue, wash, dryClean, preShrink, grain, ends },
  };
}
