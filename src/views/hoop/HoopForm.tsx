import { HOOP_KINDS, HOOP_SHAPES, hoopOutlines, MOUNTS, SIDES, type Hoop } from '../../core/hoop';
import { InputError } from '../../core/input-error';
import { lengthForField, parseLengthBeside } from '../../core/units';
import { SelectInput, TextInput } from '../../ui/form/form-fields';
import { closedPath } from '../../ui/svg-path';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { hoopSchema } from '../../schemas/hoop';
import { useUnits } from '../../ui/units-context';
import type { KeptHoop } from '../../store/hoops';
import RecordDialog from '../../ui/form/RecordDialog';

interface Props {
  /** Absent for a new one. */
  hoop: KeptHoop | undefined;
  onSaved: (hoop: KeptHoop) => void;
  onClose: () => void;
}

const SHAPE_WORDS = { rectangle: 'rectangular', oval: 'round or oval' } as const;
const KIND_WORDS = { screw: 'two rings with a screw', magnetic: 'magnets' } as const;
const MOUNT_WORDS = { arm: 'the arm of a single-needle machine', bar: 'a bar' } as const;
const SIDE_WORDS = { left: 'left', right: 'right', top: 'top', bottom: 'bottom' } as const;
const SIZES = ['fieldWidth', 'fieldHeight', 'outerWidth', 'outerHeight', 'clamp'] as const;

/** A hoop: what the needle reaches, how much the ring takes, and how it is carried. */
export default function HoopForm({ hoop, onSaved, onClose }: Props) {
  const { system } = useUnits();
  const shown = (mm: number | undefined) => (mm === undefined ? '' : lengthForField(mm, system));
  const start = {
    shape: hoop?.shape ?? ('rectangle' as Hoop['shape']),
    kind: hoop?.kind ?? ('screw' as Hoop['kind']),
    mount: hoop?.mount ?? ('arm' as Hoop['mount']),
    mountSide: hoop?.mountSide ?? ('left' as Hoop['mountSide']),
    name: hoop?.name ?? '',
    fieldWidth: shown(hoop?.fieldWidth),
    fieldHeight: shown(hoop?.fieldHeight),
    outerWidth: shown(hoop?.outerWidth),
    outerHeight: shown(hoop?.outerHeight),
    clamp: shown(hoop?.clamp ?? 14),
    note: hoop?.note ?? '',
  };
  const read = (draft: typeof start) => {
    const sizes = Object.fromEntries(
      SIZES.map((size) => {
        // A bare number counts in the unit that stood in the field at first.
        const mm = parseLengthBeside(draft[size], start[size], system, size);
        if (!(mm > 0)) throw new InputError(size, 'must be more than nothing');
        return [size, mm];
      }),
    ) as Record<(typeof SIZES)[number], number>;
    return { ...draft, ...sizes, name: draft.name.trim() };
  };
  const of = useKeptForm({
    key: `hoop ${hoop?.id ?? 'new'} ${hoop?.version ?? 0}`,
    schema: hoopSchema,
    start: () => start,
    read,
  });
  const { field } = of;
  const draft = of.form.watch();
  const drawn = () => {
    try {
      return hoopOutlines({ ...read(draft), name: '' });
    } catch {
      return undefined;
    }
  };
  const lines = drawn();
  return (
    <RecordDialog title={hoop ? hoop.name : 'A hoop'} path="/api/hoops" record={hoop} of={of} onSaved={onSaved} onClose={onClose}>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextInput label="Name" {...field('name')} placeholder="Small screw hoop" />
        <SelectInput label="It is" {...field('shape')} options={HOOP_SHAPES.map((each) => [each, SHAPE_WORDS[each]] as const)} />
        <TextInput label="Field, width" {...field('fieldWidth')} hint="what the needle reaches" placeholder="100 mm" />
        <TextInput label="Field, height" {...field('fieldHeight')} placeholder="100 mm" />
        <TextInput label="Outside, width" {...field('outerWidth')} hint="over the outer ring" placeholder="146 mm" />
        <TextInput label="Outside, height" {...field('outerHeight')} placeholder="150 mm" />
        <TextInput label="Clamp" {...field('clamp')} hint="width of the ring that holds the cloth" />
        <SelectInput label="Held by" {...field('kind')} options={HOOP_KINDS.map((each) => [each, KIND_WORDS[each]] as const)} />
        <SelectInput label="Carried by" {...field('mount')} options={MOUNTS.map((each) => [each, MOUNT_WORDS[each]] as const)} />
        <SelectInput
          label="On its side"
          {...field('mountSide')}
          options={SIDES.map((each) => [each, SIDE_WORDS[each]] as const)}
        />
        <TextInput label="Note" {...field('note')} maxLength={4000} />
        {lines && <HoopSketch lines={lines} />}
      </div>
    </RecordDialog>
  );
}

/** Ring and field, as they are to each other. */
export function HoopSketch({ lines, size = 120 }: { lines: ReturnType<typeof hoopOutlines>; size?: number }) {
  const xs = lines.outer.map(([x]) => Math.abs(x));
  const ys = lines.outer.map(([, y]) => Math.abs(y));
  const half = Math.max(...xs, ...ys) * 1.04;
  return (
    <svg
      viewBox={`${-half} ${-half} ${2 * half} ${2 * half}`}
      width={size}
      height={size}
      role="img"
      aria-label="The hoop and its field"
    >
      <path
        d={`${closedPath(lines.outer)} ${closedPath(lines.inner)}`}
        fillRule="evenodd"
        fill="color-mix(in oklab, var(--ink) 18%, transparent)"
      />
      <path d={closedPath(lines.outer)} fill="none" stroke="var(--ink)" strokeWidth={half / 60} />
      <path d={closedPath(lines.inner)} fill="none" stroke="var(--ink)" strokeWidth={half / 90} />
      <path
        d={closedPath(lines.field)}
        fill="none"
        stroke="var(--chalk)"
        strokeWidth={half / 50}
        strokeDasharray={`${half / 14} ${half / 20}`}
      />
    </svg>
  );
}
