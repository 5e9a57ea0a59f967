import { useId, useMemo } from 'react';
import { COVERS, type Cover, type Predicted } from '../../core/layers';
import type { GrainCut, OpenPiece } from '../../core/pieces';
import { checkLengths, judgeShape } from '../../core/press';
import { formatLength, parseLengthBeside, type LengthSystem } from '../../core/units';
import FoundCauses from './FoundCauses';
import HeldChecks from './HeldChecks';
import { OUTCOMES } from './outcomes';
import ShapeCheck from './ShapeCheck';
import { useWrite } from '../../ui/query';
import { call } from '../../ui/api';
import Field from '../../ui/form/Field';
import { today } from '../../ui/text';
import { readOverhang, typedBendingLength, typedOverhang } from '../../ui/typed-figures';
import RestoredDraft from '../../ui/form/RestoredDraft';
import { useKeptForm } from '../../ui/form/use-kept-form';
import FormErrors from '../../ui/form/FormErrors';
import { SelectInput, TextInput } from '../../ui/form/form-fields';
import { readNumber } from '../../ui/form/reading';
import { logSchema } from '../../schemas/log';
import { useUnits } from '../../ui/units-context';
import type { LogEntry } from '../../store/log';

interface Props {
  start: Pick<
    LogEntry,
    'jobId' | 'benchRunId' | 'kind' | 'title' | 'clothId' | 'clothName' | 'stackTitle' | 'layerIds' | 'settings'
  > & { predicted: Predicted };
  /** What was to be checked, and what was ticked. */
  checks: string[];
  ticked: string[];
  /** What was found to be wrong at the bench, as `trouble/cause`. */
  causes: string[];
  /** The piece itself, where its shape can be held against the pattern: as it is cut, with its smallest allowance, mm. */
  piece?: OpenPiece | undefined;
  /** How the grain of its cloth runs along the pattern's arrow. */
  grain?: GrainCut | undefined;
  /** Its cut, of which the check template is printed. */
  cutId?: string | undefined;
  onFiled: (entry: LogEntry) => void;
}

const COVER_WORDS: Record<Cover, string> = {
  none: 'no cover',
  paper: 'baking paper',
  cloth: 'thin cotton',
  organza: 'silk organza',
  'damp-cloth': 'damp cloth',
};
const IRON_WORDS = ['not pressed', 'cool', 'medium', 'hot'];

/** A length of the piece as it is typed; a bare number counts in the unit that the pattern's is told in. */
function readLength(text: string, byPattern: number, system: LengthSystem, field: string): number | null {
  return text.trim() === '' ? null : parseLengthBeside(text, formatLength(byPattern, system), system, field);
}

/** The same while it is typed: nothing as long as it cannot be read. */
function readable(text: string, byPattern: number, system: LengthSystem): number | null {
  try {
    return readLength(text, byPattern, system, 'lengths');
  } catch {
    return null;
  }
}

/** Files how it went: outcome, checks, settings that were really used, and an overhang reading if one was taken. */
export default function LogForm({ start, checks, ticked, causes, piece, grain, cutId, onFiled }: Props) {
  const id = useId();
  const units = useUnits();
  const lengths = useMemo(() => (piece ? checkLengths(piece, grain) : []), [piece, grain]);
  const sewn = piece?.allowances.filter((mm) => mm > 0) ?? [];
  const allowance = sewn.length > 0 ? Math.min(...sewn) : 0;
  const of = useKeptForm({
    key: `log ${start.benchRunId ?? ''} ${start.jobId ?? start.title}`,
    schema: logSchema,
    start: () => ({
      outcome: 'good' as LogEntry['outcome'],
      held: ticked,
      settings: {
        ironDots: String(start.settings.ironDots),
        seconds: String(start.settings.seconds),
        cover: start.settings.cover,
      },
      lengths: lengths.map(() => ''),
      overhang: '',
      note: '',
    }),
    read: ({ outcome, held, settings, lengths: typed, overhang, note }) => {
      const measured = typed.map((text, i) => readLength(text, lengths[i]!.length, units.system, `lengths[${i}]`));
      const { predicted, ...kept } = start;
      return {
        ...kept,
        settings: {
          ...start.settings,
          ironDots: Number(settings.ironDots),
          seconds: readNumber('settings.seconds', settings.seconds, 'seconds'),
          cover: settings.cover,
        },
        doneOn: today(),
        checks: { held, failed: checks.filter((check) => !held.includes(check)) },
        causes,
        outcome,
        predictedBendingLength: predicted.bendingLength,
        predictedLow: predicted.low,
        predictedHigh: predicted.high,
        shape: measured.some((mm) => mm !== null) ? judgeShape(lengths, measured, allowance).shrank : null,
        overhang: readOverhang(overhang, units.system, 'overhang'),
        note,
      };
    },
  });
  const { field, form } = of;
  const reading = form.watch('overhang');
  const { fault: readingFault } = typedOverhang(reading, units.system);
  const measured = typedBendingLength(reading, units.system) ?? null;
  const filing = useWrite((entry: object) => call<LogEntry>('POST', '/api/log', entry), {
    onSuccess: (entry) => {
      of.anew();
      onFiled(entry);
    },
    onError: of.refuse,
  });
  return (
    <form
      className="mt-3 space-y-5"
      noValidate
      onSubmit={(event) => void form.handleSubmit((entry) => filing.mutate(entry))(event)}
    >
      <RestoredDraft draft={of} />
      <fieldset>
        <legend className="mb-1 font-semibold">How did it come out?</legend>
        <div className="join flex-wrap">
          {OUTCOMES.map(([value, words]) => (
            <input
              key={value}
              type="radio"
              value={value}
              className="btn join-item"
              aria-label={words}
              {...form.register('outcome')}
            />
          ))}
        </div>
      </fieldset>
      <HeldChecks checks={checks} register={form.register('held')} />
      <FoundCauses causes={causes} />
      {start.settings.seconds > 0 && (
        <div className="grid gap-4 sm:grid-cols-3">
          <SelectInput
            label="Iron"
            {...field('settings.ironDots')}
            options={IRON_WORDS.map((word, dots) => [String(dots), word] as const)}
          />
          <TextInput label="Seconds a stop" inputMode="numeric" {...field('settings.seconds')} />
          <SelectInput
            label="Cover"
            {...field('settings.cover')}
            options={COVERS.map((cover) => [cover, COVER_WORDS[cover]] as const)}
          />
        </div>
      )}
      {piece && lengths.length > 0 && (
        <ShapeCheck
          outline={piece.outline}
          lengths={lengths}
          allowance={allowance}
          paper={cutId && `/api/cuts/${cutId}/files/check.pdf`}
          measured={form.watch('lengths').map((text, i) => readable(text, lengths[i]!.length, units.system))}
          field={(i) => field(`lengths.${i}`)}
        />
      )}
      <div className="grid gap-4 sm:grid-cols-[16rem_1fr]">
        <TextInput
          label="Overhang, if you took it"
          {...field('overhang')}
          error={readingFault ?? of.error('overhang')}
          hint={
            measured === null
              ? 'On the 41.5° jig, such as 62 mm.'
              : `Bending length ${Math.round(measured)} mm; expected ${Math.round(start.predicted.low)} to ${Math.round(start.predicted.high)}.`
          }
        />
        <Field label="Note to yourself" id={`${id}-note`} error={of.error('note')}>
          <textarea id={`${id}-note`} className="textarea min-h-[44px]" rows={2} maxLength={4000} {...form.register('note')} />
        </Field>
      </div>
      <FormErrors of={of} />
      <button className="btn btn-primary" disabled={filing.isPending || readingFault !== undefined}>
        File it in the logbook
      </button>
    </form>
  );
}
