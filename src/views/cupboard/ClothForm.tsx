import type { FRAYS } from '../../core/cloth';
import { bendingLengthFromOverhang, CONSTRUCTIONS, SHEERNESS, SURFACES, TONES, WEAVES, type Fabric } from '../../core/cloth';
import { formatArealDensity, lengthForField, parseArealDensity, parseLength, parseLengthBeside } from '../../core/units';
import { CheckField, plainOptions, SelectField, textBinder, TextField } from '../../ui/form-fields';
import { useDraft } from '../../ui/use-draft';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import { readFibres, readNumber, readOptional, WIDTH_HINT, writeFibres } from './draft-parsing';
import RecordDialog from './RecordDialog';

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
  const typed = useDraft<Draft>(`cloth ${cloth?.id ?? 'new'} ${cloth?.version ?? 0}`, () => ({
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
  }));
  const draft = typed.now;
  const set: (change: Partial<Draft>) => void = typed.set;
  let bending: string | undefined;
  try {
    if (draft.overhang.trim())
      bending = `Bending length ${Math.round(bendingLengthFromOverhang(parseLength(draft.overhang, system)))} mm.`;
  } catch {
    bending = undefined;
  }
  const read = () => ({
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
  });
  return (
    <RecordDialog<Cloth>
      title={cloth ? cloth.name : 'A new cloth'}
      path="/api/cloths"
      record={cloth}
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
              <TextField label="Name" {...text('name')} placeholder="Blue linen from the market" />
              <TextField label="Weight" {...text('arealDensity')} hint="120 g/m², 4 oz or 16 momme" />
              <TextField label="Made of" {...text('fibres')} hint="55 linen, 45 cotton" />
              <SelectField
                label="Construction"
                value={draft.construction}
                options={plainOptions(CONSTRUCTIONS)}
                onChange={(construction) => set({ construction })}
              />
              <SelectField
                label="Weave or knit"
                value={draft.weave ?? 'plain'}
                options={plainOptions(WEAVES)}
                onChange={(weave) => set({ weave })}
              />
              <TextField label="Thickness, mm" {...text('thickness')} hint="Leave empty to have it estimated" />
              <TextField label="Stretch along, %" {...text('stretchLength')} />
              <TextField label="Stretch across, %" {...text('stretchCross')} />
              <TextField
                label="Overhang at 41.5°"
                {...text('overhang')}
                hint={bending ?? 'Measured on the jig; empty when not measured'}
              />
              <TextField label="Width as sold" {...text('rollWidth')} hint={`${WIDTH_HINT[system]}; empty when not known`} />
              <TextField label="Price of a metre" {...text('pricePerMetre')} hint="12.50; empty when not known" />
              <SelectField label="Bears" value={draft.ironDots} options={IRON} onChange={(ironDots) => set({ ironDots })} />
              <SelectField
                label="A drop of water"
                value={draft.water}
                options={[
                  ['safe', 'does no harm'],
                  ['spots', 'leaves a spot'],
                  ['resists', 'runs off'],
                ]}
                onChange={(water) => set({ water })}
              />
              <SelectField
                label="See-through"
                value={draft.sheer}
                options={plainOptions(SHEERNESS)}
                onChange={(sheer) => set({ sheer })}
              />
              <SelectField label="Tone" value={draft.tone} options={plainOptions(TONES)} onChange={(tone) => set({ tone })} />
              <SelectField
                label="Frays"
                value={draft.fray}
                options={
                  [
                    ['low', 'little'],
                    ['medium', 'some'],
                    ['high', 'a lot'],
                  ] satisfies [(typeof FRAYS)[number], string][]
                }
                onChange={(fray) => set({ fray })}
              />
            </div>
            <fieldset>
              <legend className="mb-1 font-semibold">Surface</legend>
              <div className="flex flex-wrap gap-x-5">
                {SURFACES.map((surface) => (
                  <CheckField
                    key={surface}
                    label={surface}
                    checked={draft.surface.includes(surface)}
                    onChange={(checked) =>
                      set({ surface: checked ? [...draft.surface, surface] : draft.surface.filter((each) => each !== surface) })
                    }
                  />
                ))}
              </div>
            </fieldset>
            <CheckField label="Washed already" checked={draft.prewashed ?? false} onChange={(prewashed) => set({ prewashed })} />
            <TextField label="Note" {...text('note')} maxLength={4000} />
          </>
        );
      }}
    </RecordDialog>
  );
}
