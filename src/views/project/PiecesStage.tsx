import { useState } from 'react';
import {
  CARES,
  CARE_WORDS,
  edgeRuleOf,
  HANDS,
  ROLE_PROFILES,
  ROLES,
  ROLE_WORDS,
  STRETCHES,
  STRETCH_WORDS,
  type Care,
  type Hand,
  type Role,
  type StretchWish,
} from '../../core/choose';
import { useWrite } from '../../ui/query';
import type { EdgeRule, Place } from '../../core/pieces';
import { edgeNames } from '../../core/shape';
import { DUTIES, DUTY_WORDS, type Duty } from '../../core/workpiece';
import { call } from '../../ui/api';
import Field from '../../ui/form/Field';
import { CheckField, plainOptions, SelectField } from '../../ui/form/form-fields';
import { NEW_PIECE, tryOpen, type PieceDraft } from '../../ui/piece/piece-draft';
import PieceForm from '../../ui/piece/PieceForm';
import type { Cloth } from '../../store/cloths';
import type { Cut } from '../../store/cuts';
import type { Piece } from '../../store/pieces';
import RestoredDraft from '../../ui/form/RestoredDraft';
import { InputError } from '../../core/input-error';
import { pieceSchemaNew } from '../../schemas/projects';
import { flatErrors } from '../../ui/form/flat-errors';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import ClothSelect from './ClothSelect';
import OwnAllowances from './OwnAllowances';
import PlaceFields from './PlaceFields';
import type { Rows, Worked, WorkChange } from './worked';

interface Props {
  projectId: string;
  /** Care of the whole project, where it is said. */
  care: Care | null;
  /** The job in hand; absent for a new piece, and for a cut that nothing is done to. */
  work: Worked | undefined;
  /** Piece and cut in hand; absent for a new piece. */
  piece: Piece | undefined;
  cut: Cut | undefined;
  /** What a new piece begins with: what the last one had. */
  last: Worked | undefined;
  cloths: Cloth[];
  onSave: (change: WorkChange) => Promise<boolean>;
  onAdded: (added: Rows) => void;
}

/** Files of a piece. */
const PIECE_FILES = [
  ['template.pdf', 'Template to print'],
  ['piece.svg', 'SVG'],
  ['piece.dxf', 'DXF'],
] as const;

interface CutDraft {
  duty: Duty;
  clothId: string | null;
  own: (number | null)[] | null;
}

interface JobDraft {
  jobName: string;
  role: Role;
  hand: Hand | 'usual';
  stretch: StretchWish;
  care: Care;
  cutAlready: boolean;
  place: Place;
}

const RULE_WORDS: Record<EdgeRule, string> = {
  longest: 'the longest edge',
  hem: 'the longest edge',
  hollow: 'the hollow edge',
  fold: 'beside the fold',
  top: 'the top edge',
};

/** Where a role usually lies on its piece, in words. */
function usualPlace(role: Role): string {
  const { area } = ROLE_PROFILES[role];
  if (area === 'strip') return RULE_WORDS[edgeRuleOf(role)];
  return { panel: 'all of it', patch: 'a patch', field: 'the field' }[area];
}

function draftOf(piece: Piece, cut: Cut): PieceDraft {
  const { name, shape, line, allowances, fold, grain, marks } = piece;
  const { count, pairs, oneWay, orientation } = cut;
  return { name, shape, line, allowances, fold, grain, marks, count, pairs, oneWay, cut: orientation };
}

function jobOf(work: Worked | undefined, last: Worked | undefined, projectCare: Care | null): JobDraft {
  const wish = work?.wish;
  return {
    jobName: work?.job.name ?? '',
    role: wish?.role ?? last?.wish.role ?? 'collar',
    hand: wish?.hand ?? 'usual',
    stretch: wish?.stretch ?? 'any',
    care: wish?.care ?? last?.wish.care ?? projectCare ?? 'wash-warm',
    cutAlready: wish?.cutAlready ?? false,
    place: work?.place ?? { kind: 'usual' },
  };
}

/** A new piece has the allowance that the last one had. */
function newPiece(last: Worked | undefined): PieceDraft {
  const usual = last?.allowances.find((mm) => mm > 0);
  return usual === undefined ? NEW_PIECE : { ...NEW_PIECE, allowances: NEW_PIECE.allowances.map(() => usual) };
}

/** All that is typed here. */
interface Typed {
  draft: PieceDraft;
  cutDraft: CutDraft;
  job: JobDraft;
}

/** What is typed as the fields of a piece with its cut and job. @throws {InputError} naming the field */
function pieceFields({ draft, cutDraft, job }: Typed, work: Worked | undefined) {
  if (draft.name.trim() === '') throw new InputError('name', 'Give the piece a name.');
  const { cut: orientation, count, pairs, oneWay, ...pattern } = { ...draft, name: draft.name.trim() };
  // Edges of another shape are others: what the cut had of its own is said anew.
  const edges = edgeNames(draft.shape).length;
  const own = cutDraft.own && cutDraft.own.length === edges ? cutDraft.own : null;
  const lost = job.place.kind === 'edges' && job.place.edges.some((edge) => edge >= edges);
  const place: Place = lost ? { kind: 'usual' } : job.place;
  const { hand: _hand, cutAlready: _already, cut: _cut, ...kept } = work?.wish ?? {};
  const wish = {
    ...kept,
    role: job.role,
    stretch: job.stretch,
    care: job.care,
    ...(job.hand === 'usual' ? {} : { hand: job.hand }),
    ...(job.cutAlready ? { cutAlready: true } : {}),
  };
  return {
    ...pattern,
    cuts: [{ ...cutDraft, own, count, pairs, oneWay, orientation, jobs: [{ name: job.jobName.trim(), place, wish }] }],
  };
}

/** The same as a change of a piece that is there; another wish, place or cloth wants its layers chosen anew. */
function changesOf({ cuts, ...pattern }: ReturnType<typeof pieceFields>, cut: Cut, work: Worked | undefined): WorkChange {
  const { jobs, ...cutFields } = cuts[0]!;
  const { name: jobName, place, wish } = jobs[0]!;
  const asked =
    work &&
    JSON.stringify(sorted({ ...wish, orientation: cutFields.orientation })) !==
      JSON.stringify(sorted({ ...work.job.wish, orientation: cut.orientation }));
  const moved = work && JSON.stringify(place) !== JSON.stringify(work.place);
  // Other wishes may want other layers: the old choice would only look valid.
  const anew = asked || moved || cutFields.clothId !== cut.clothId ? { stack: null, cutDone: false } : {};
  return { ...pattern, ...cutFields, ...(work ? { place, wish, jobName, ...anew } : {}) };
}

/** Describes a piece, how it is cut from one cloth, and what one job on it must do. */
export default function PiecesStage({ projectId, care, work, piece, cut, last, cloths, onSave, onAdded }: Props) {
  const versions = `${piece?.version ?? 0}.${cut?.version ?? 0}.${work?.job.version ?? 0}`;
  const hasJob = piece === undefined || work !== undefined;
  const of = useKeptForm<Typed>({
    key: `piece ${work?.id ?? cut?.id ?? `of ${projectId}`} ${versions}`,
    schema: pieceSchemaNew,
    start: () => ({
      draft: piece && cut ? draftOf(piece, cut) : newPiece(last),
      cutDraft: {
        duty: cut?.duty ?? 'shell',
        clothId: cut ? cut.clothId : (last?.clothId ?? null),
        own: cut?.own ?? null,
      },
      job: jobOf(work, last, care),
    }),
    read: (typed) => pieceFields(typed, work),
  });
  const { form } = of;
  const { draft, cutDraft, job } = form.watch();
  const opened = tryOpen(draft).piece;
  const errors = flatErrors(form.formState.errors);
  const [faults, setFaults] = useState<string[]>([]);
  const adding = useWrite((fields: object) => call<Rows>('POST', `/api/projects/${projectId}/pieces`, fields), {
    onSuccess: (added) => {
      of.forget();
      onAdded(added);
    },
    onError: of.refuse,
  });
  const saving = useWrite(onSave, { onSuccess: (saved) => saved && of.forget(), onError: of.refuse });
  const submit = form.handleSubmit((fields) => {
    // A change is only what is typed here: the defaults of what is checked would put back what was done elsewhere.
    if (piece && cut) saving.mutate(changesOf(pieceFields(form.getValues(), work), cut, work));
    else adding.mutate(fields);
  });
  const change = <K extends keyof Typed>(key: K, to: Partial<Typed[K]>) => {
    form.setValue(key, { ...form.getValues(key), ...to } as never);
    saving.reset();
  };
  const changeJob = (to: Partial<JobDraft>) => change('job', to);
  const changeCut = (to: Partial<CutDraft>) => change('cutDraft', to);
  return (
    <form className="sheet space-y-5 p-5" noValidate onSubmit={(event) => void submit(event)}>
      <h2 className="text-xl font-bold">{piece ? `The piece “${piece.name}”` : 'A new piece'}</h2>
      <RestoredDraft draft={of} />
      <PieceForm
        draft={draft}
        onChange={(next) => change('draft', next)}
        errors={errors}
        onFault={(field, faulty) => setFaults((was) => [...was.filter((f) => f !== field), ...(faulty ? [field] : [])])}
      />
      <fieldset className="space-y-4 border-t border-base-300 pt-4">
        <legend className="chalk-heading">How it is cut</legend>
        <div className="grid gap-4 sm:grid-cols-2">
          <Field label="Cut from" id="piece-cloth" error={errors['cuts[0].clothId']}>
            <ClothSelect
              id="piece-cloth"
              value={cutDraft.clothId}
              cloths={cloths}
              onChange={(clothId) => changeCut({ clothId })}
            />
          </Field>
          <SelectField
            label="As"
            value={cutDraft.duty}
            options={DUTIES.map((duty) => [duty, DUTY_WORDS[duty]] as const)}
            onChange={(duty) => changeCut({ duty })}
          />
        </div>
        <OwnAllowances
          shape={draft.shape}
          allowances={draft.allowances}
          own={cutDraft.own}
          fold={draft.fold}
          onChange={(own) => changeCut({ own })}
        />
      </fieldset>
      {hasJob && (
        <fieldset className="space-y-4 border-t border-base-300 pt-4">
          <legend className="chalk-heading">What is done to it</legend>
          <div className="grid gap-4 sm:grid-cols-2 xl:grid-cols-4">
            <SelectField
              label="It is a"
              value={job.role}
              options={ROLES.map((role) => [role, ROLE_WORDS[role]] as const)}
              onChange={(role) => changeJob({ role })}
            />
            <SelectField
              label="Should feel"
              value={job.hand}
              options={[['usual', 'as usual for it'], ...plainOptions(HANDS)]}
              onChange={(hand) => changeJob({ hand })}
            />
            <SelectField
              label="Stretch"
              value={job.stretch}
              options={STRETCHES.map((stretch) => [stretch, STRETCH_WORDS[stretch]] as const)}
              onChange={(stretch) => changeJob({ stretch })}
            />
            <SelectField
              label="Care"
              value={job.care}
              options={CARES.map((care) => [care, CARE_WORDS[care]] as const)}
              onChange={(care) => changeJob({ care })}
            />
          </div>
          <div className="grid gap-4 sm:grid-cols-2">
            <PlaceFields
              place={job.place}
              shape={draft.shape}
              marks={draft.marks}
              usual={usualPlace(job.role)}
              outer={[...new Set(opened?.edges)]}
              clothWeight={cloths.find(({ id }) => id === cutDraft.clothId)?.arealDensity ?? null}
              onChange={(place) => changeJob({ place })}
            />
            <Field
              label="Called"
              id="job-name"
              error={errors['cuts[0].jobs[0].name']}
              hint="To tell it from other jobs on this cut, such as “armhole”."
            >
              <input
                id="job-name"
                className="input"
                value={job.jobName}
                maxLength={120}
                onChange={(event) => changeJob({ jobName: event.target.value })}
              />
            </Field>
          </div>
          <CheckField
            label="The cloth pieces are cut already"
            checked={job.cutAlready}
            onChange={(cutAlready) => changeJob({ cutAlready })}
          />
        </fieldset>
      )}
      <FormErrors of={of} />
      <div className="flex flex-wrap items-center gap-4">
        <button
          className="btn btn-primary"
          disabled={saving.isPending || adding.isPending || faults.length > 0 || opened === undefined}
        >
          {piece ? 'Save the piece' : 'Add the piece'}
        </button>
        <span role="status" className="font-semibold text-success">
          {saving.data === true ? 'Saved.' : ''}
        </span>
        {cut && (
          <span className="ml-auto flex flex-wrap items-center gap-2">
            <span className="quiet">As it was saved:</span>
            {PIECE_FILES.map(([file, words]) => (
              <a key={file} className="btn" href={`/api/cuts/${cut.id}/files/${file}`}>
                {words}
              </a>
            ))}
          </span>
        )}
      </div>
    </form>
  );
}

/** Same order of keys, so that two wishes can be compared as text. */
function sorted(wish: object): [string, unknown][] {
  return Object.entries(wish).sort(([a], [b]) => (a < b ? -1 : 1));
}
