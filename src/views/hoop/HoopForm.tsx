import { useState } from 'react';
import { HOOP_KINDS, HOOP_SHAPES, hoopOutlines, MOUNTS, SIDES, type Hoop } from '../../core/hoop';
import { InputError } from '../../core/input-error';
import { lengthForField, parseLengthBeside } from '../../core/units';
import { SelectField, textBinder, TextField } from '../../ui/form-fields';
import { closedPath } from '../../ui/svg-path';
import { useDraft } from '../../ui/use-draft';
import { useUnits } from '../../ui/units-context';
import type { KeptHoop } from '../../store/hoops';
import RecordDialog from '../cupboard/RecordDialog';

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
  const [words, setWords] = useState({
    shape: hoop?.shape ?? ('rectangle' as Hoop['shape']),
    kind: hoop?.kind ?? ('screw' as Hoop['kind']),
    mount: hoop?.mount ?? ('arm' as Hoop['mount']),
    mountSide: hoop?.mountSide ?? ('left' as Hoop['mountSide']),
  });
  const typed = useDraft(`hoop ${hoop?.id ?? 'new'} ${hoop?.version ?? 0}`, () => ({
    name: hoop?.name ?? '',
    fieldWidth: shown(hoop?.fieldWidth),
    fieldHeight: shown(hoop?.fieldHeight),
    outerWidth: shown(hoop?.outerWidth),
    outerHeight: shown(hoop?.outerHeight),
    clamp: shown(hoop?.clamp ?? 14),
    note: hoop?.note ?? '',
  }));
  const draft = typed.now;
  /** What stood in the fields at first: a bare number counts in its unit. */
  const [start] = useState(draft);
  const set: (change: Partial<typeof draft>) => void = typed.set;
  const read = () => {
    const sizes = Object.fromEntries(
      SIZES.map((field) => {
        const mm = parseLengthBeside(draft[field], start[field], system, field);
        if (!(mm > 0)) throw new InputError(field, 'must be more than nothing');
        return [field, mm];
      }),
    ) as Record<(typeof SIZES)[number], number>;
    return { ...words, ...sizes, name: draft.name.trim(), note: draft.note };
  };
  const drawn = () => {
    try {
      return hoopOutlines({ ...read(), name: '' });
    } catch {
      return undefined;
    }
  };
  const lines = drawn();
  return (
    <RecordDialog<KeptHoop>
      title={hoop ? hoop.name : 'A hoop'}
      path="/api/hoops"
      record={hoop}
      read={read}
      draft={typed}
      onSaved={onSaved}
      onClose={onClose}
    >
      {(errors) => {
        const text = textBinder(draft, set, errors);
        return (
          <div className="grid gap-4 sm:grid-cols-2">
            <TextField label="Name" {...text('name')} placeholder="Small screw hoop" />
            <SelectField
              label="It is"
              value={words.shape}
              options={HOOP_SHAPES.map((each) => [each, SHAPE_WORDS[each]] as const)}
              onChange={(shape) => setWords({ ...words, shape })}
            />
            <TextField label="Field, width" {...text('fieldWidth')} hint="what the needle reaches" placeholder="100 mm" />
            <TextField label="Field, height" {...text('fieldHeight')} placeholder="100 mm" />
            <TextField label="Outside, width" {...text('outerWidth')} hint="over the outer ring" placeholder="146 mm" />
            <TextField label="Outside, height" {...text('outerHeight')} placeholder="150 mm" />
            <TextField label="Clamp" {...text('clamp')} hint="width of the ring that holds the cloth" />
            <SelectField
              label="Held by"
              value={words.kind}
              options={HOOP_KINDS.map((each) => [each, KIND_WORDS[each]] as const)}
              onChange={(kind) => setWords({ ...words, kind })}
            />
            <SelectField
              label="Carried by"
              value={words.mount}
              options={MOUNTS.map((each) => [each, MOUNT_WORDS[each]] as const)}
              onChange={(mount) => setWords({ ...words, mount })}
            />
            <SelectField
              label="On its side"
              value={words.mountSide}
              options={SIDES.map((each) => [each, SIDE_WORDS[each]] as const)}
              onChange={(mountSide) => setWords({ ...words, mountSide })}
            />
            <TextField label="Note" {...text('note')} maxLength={4000} />
            {lines && <HoopSketch lines={lines} />}
          </div>
        );
      }}
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
