import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { ladderMotif, LADDER_SPACINGS } from '../../core/hoop';
import { InputError } from '../../core/input-error';
import { motifFigures, type Motif, type MotifFigures } from '../../core/motif';
import { call } from '../../ui/api';
import { SelectField } from '../../ui/form/form-fields';
import MotifCanvas from '../../ui/motif/MotifCanvas';
import { useWrite } from '../../ui/query';
import { today } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { JudgedSheets } from '../../server/motif-work';
import type { KeptHoop } from '../../store/hoops';

interface Props {
  clothId: string;
  clothName: string;
  /** Stacks that may lie under it. */
  stacks: readonly JudgedSheets[];
  hoops: readonly KeptHoop[];
  /** It was filed: what is judged has changed. */
  onFiled: () => void;
}

/** Fills and outlines, told apart on any ground. */
const THREADS = ['#4a90d9', '#b3432f'];

/** The ladder as this hoop takes it; what is wrong where it has no room for it. */
function drawnFor(hoop: KeptHoop): { motif: Motif; bounds: NonNullable<MotifFigures['bounds']> } | { trouble: string } {
  try {
    const motif = ladderMotif(hoop);
    return { motif, bounds: motifFigures(motif).bounds! };
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return { trouble: problem.message.replace(/^hoop: ?/, '') };
  }
}

/** A scrap for stitching: five squares, light to solid, sewn on the real cloth and sheets; what is read sets what the pair bears. */
export default function LadderPanel({ clothId, clothName, stacks, hoops, onFiled }: Props) {
  const { said } = useUnits();
  const [hoopId, setHoopId] = useState(hoops[0]?.id ?? '');
  const [under, setUnder] = useState(0);
  const [bad, setBad] = useState('');
  const stack = stacks[Math.min(under, stacks.length - 1)];
  const filing = useWrite(
    () =>
      call('POST', '/api/hoop-ladder', {
        ...{ clothId, title: stack!.title, firstBad: Number(bad), doneOn: today(), note: '' },
        layers: stack!.layers.map(({ materialId, angle }) => ({ materialId, angle })),
      }),
    {
      onSuccess: () => {
        setBad('');
        onFiled();
      },
    },
  );
  const [open, setOpen] = useState(false);
  const hoop = hoops.find(({ id }) => id === hoopId);
  const drawn = useMemo(() => (open && hoop ? drawnFor(hoop) : undefined), [open, hoop]);
  if (!stack || hoops.length === 0) return null;
  return (
    <details className="sheet mt-5 p-4" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer text-xl font-bold">Try it on a scrap: the ladder</summary>
      <p className="mt-1">
        {said(
          `Five squares of 20 mm, from a light fill to a solid one, then their outlines in a second colour. Sew them on a scrap of ${clothName} with the same sheets, needle and thread; then look which is the first that puckers, drifts off its outline, tunnels, shows holes or cuts. Every later verdict of this cloth with these sheets goes by it.`,
        )}
      </p>
      <div className="mt-3 grid items-end gap-3 md:grid-cols-3">
        <SelectField
          label="In the hoop"
          value={hoopId}
          options={hoops.map(({ id, name }) => [id, name] as const)}
          onChange={setHoopId}
        />
        <a className="btn" href={`/api/hoop-ladder.dst?hoop=${hoopId}`} download>
          <Download size={18} aria-hidden="true" /> File for the machine
        </a>
        <span />
        <SelectField
          label="On these sheets"
          value={String(under)}
          options={stacks.map(({ title }, i) => [String(i), title] as const)}
          onChange={(i) => setUnder(Number(i))}
        />
        <SelectField
          label="The first that is not right"
          value={bad}
          options={[
            ['', 'not read yet'],
            ...LADDER_SPACINGS.map((_, i) => [String(i + 1), i === 0 ? 'the first, lightest' : i === LADDER_SPACINGS.length - 1 ? 'the last, solid' : `square ${i + 1}`] as const), // prettier-ignore
            [String(LADDER_SPACINGS.length + 1), 'none: all five are right'],
          ]}
          onChange={setBad}
        />
        <button
          type="button"
          className="btn btn-primary"
          disabled={bad === '' || filing.isPending}
          onClick={() => filing.mutate()}
        >
          File it
        </button>
      </div>
      {drawn && 'motif' in drawn && (
        <div className="mt-3">
          <MotifCanvas
            motif={drawn.motif}
            colours={THREADS}
            bounds={drawn.bounds}
            upTo={drawn.motif.command.length}
            label="The five squares as they are sewn, the lightest first"
            height={190}
          />
        </div>
      )}
      {drawn && 'trouble' in drawn && (
        <p role="alert" className="mt-2 font-semibold text-error">
          The hoop {drawn.trouble}.
        </p>
      )}
      {filing.isSuccess && bad === '' && (
        <p role="status" className="mt-2">
          Filed; what is said above of these sheets goes by it.
        </p>
      )}
      {filing.error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {filing.error.message}
        </p>
      )}
    </details>
  );
}
