import { LayoutGrid, Pencil, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import { clothThickness } from '../../core/cloth';
import { EXTENT_WORDS, joinedAs } from '../../core/layers';
import type { PairFinding } from '../../core/scrap';
import { builtUp, cutPieceOf } from '../../core/workpiece';
import { call, type ApiError } from '../../ui/api';
import CrossSection from '../../ui/CrossSection';
import SavingWords from '../../ui/saving/SavingWords';
import StaleSaver from '../../ui/StaleSaver';
import { counted, keepUnits } from '../../ui/text';
import { UnitsProvider } from '../../ui/units-context';
import { useTouched } from '../../ui/use-touched';
import type { Cut } from '../../store/cuts';
import type { Job } from '../../store/jobs';
import type { LogEntry } from '../../store/log';
import type { Piece } from '../../store/pieces';
import type { ShownRecipe } from '../../server/recipe-work';
import PieceBoard from './board/PieceBoard';
import RecipeList from './RecipeList';
import InnerCorners from './InnerCorners';
import PieceActions from './PieceActions';
import PieceTree from './PieceTree';
import PiecesStage from './PiecesStage';
import ProjectDialogs, { type OpenDialog } from './ProjectDialogs';
import ProjectHeading from './ProjectHeading';
import Stages from './Stages';
import Together from './Together';
import Tape from './Tape';
import { useAddress, type At } from './use-address';
import { useProjectRows } from './use-project-rows';
import { passed, STAGES, STAGE_WORDS, type ProjectData, type Stage } from './types';
import { type Row } from './use-work-savers';
import { workedOf, type Rows } from './worked';

interface Props {
  data: ProjectData;
  /** A job, or a cut on which nothing is done. */
  startWork: string | null;
  /** None: the project opens on its pieces laid out. */
  startStage: Stage | null;
}

/** A project: the tape of stages, its pieces, the stage of the job in hand, and its cross-section. */
// Composition: rows and the job in hand are handed to tape, tree and stage; what changes them is in its hook.
// eslint-disable-next-line max-lines-per-function
export default function ProjectView({ data, startWork, startStage }: Props) {
  const { rows, savers, save, add, addJobs, renew, reorder, remove, changeSeveral, changed } = useProjectRows(
    data.rows,
    () => void followed(true),
  );
  const [project, setProject] = useState(data.project);
  const works = useMemo(() => workedOf(rows, project.makes, data.cloths), [rows, project.makes, data.cloths]);
  const [{ laidOut, selected, stage }, setAt] = useState<At>(() => {
    const first = startStage === null && startWork === null && data.rows.pieces.length > 0;
    return {
      laidOut: first,
      selected: first ? null : (startWork ?? works[0]?.id ?? rows.cuts[0]?.id ?? null),
      stage: startStage ?? 'pieces',
    };
  });
  const [log, setLog] = useState(data.log);
  const [scraps, setScraps] = useState(data.scraps);
  const [findings, setFindings] = useState(data.findings);
  const [recipes, setRecipes] = useState(data.recipes);
  const [dialog, setDialog] = useState<OpenDialog>();
  const work = works.find(({ id }) => id === selected);
  const cut = work?.cut ?? rows.cuts.find(({ id }) => id === selected);
  const piece = rows.pieces.find(({ id }) => id === cut?.pieceId);
  // Kept while only the stage changes: what they come to together is not reckoned again.
  const layered = useMemo(() => works.filter(({ cutId, stack }) => cutId === cut?.id && stack !== null), [works, cut?.id]);
  const cutPieces = useMemo(
    () =>
      rows.cuts.flatMap((each) => {
        const of = rows.pieces.find(({ id }) => id === each.pieceId);
        return of ? [cutPieceOf(of, each, project.makes)] : [];
      }),
    [rows, project.makes],
  );

  /** To a stage, a job or both; what is not said stays as it is by then. From the pieces laid out a stage begins with the first job. */
  const go = (next: Stage | undefined, job?: string | null) =>
    setAt((was) => ({
      ...{ laidOut: false, stage: next ?? was.stage },
      selected: job !== undefined ? job : was.laidOut ? (works[0]?.id ?? rows.cuts[0]?.id ?? null) : was.selected,
    }));
  const layOut = () => setAt({ laidOut: true, stage: 'pieces', selected: null });
  useAddress({ laidOut, selected, stage });
  const step = (by: number) => go(STAGES[Math.max(0, Math.min(STAGES.length - 1, STAGES.indexOf(stage) + by))]!);
  useHotkeys('l', () => step(1));
  useHotkeys('h', () => step(-1));

  /** Takes over what the server changed besides: the setting that a scrap found, and its logbook entries. */
  const refresh = async (id: string) => {
    const [fresh, { log: filed }, { findings: found }] = await Promise.all([
      call<Job>('GET', `/api/jobs/${id}`),
      call<{ log: LogEntry[] }>('GET', `/api/log?job=${id}`),
      call<{ findings: PairFinding[] }>('GET', `/api/projects/${project.id}/findings`),
    ]);
    savers.take('jobs', fresh);
    setFindings(found);
    setLog((all) => [...filed.filter((entry) => entry.jobId === id), ...all.filter((entry) => entry.jobId !== id)]);
  };
  /** What is made from the edges of a piece followed it on the server: it is shown as it is now, with what could not follow. */
  const followed = async (kept: boolean): Promise<boolean> => {
    if (!kept || !recipes.some(({ source }) => source !== null)) return kept;
    const [now, shown] = await Promise.all([
      call<Rows>('GET', `/api/projects/${project.id}/pieces`),
      call<{ recipes: ShownRecipe[] }>('GET', `/api/projects/${project.id}/recipes`),
    ]);
    renew(now);
    setRecipes(shown.recipes);
    return kept;
  };
  const copy = async (from: Piece) => {
    try {
      const added = await call<Rows>('POST', `/api/pieces/${from.id}/copy`);
      add(added);
      go('pieces', added.jobs[0]?.id ?? added.cuts[0]?.id ?? null);
    } catch (problem) {
      toast.error((problem as ApiError).message);
    }
  };
  const addJob = async (on: Cut) => {
    const first = rows.jobs.find(({ cutId }) => cutId === on.id) ?? rows.jobs.at(-1);
    const { role, stretch, care } = first?.wish ?? { role: 'collar', stretch: 'any', care: project.care ?? 'wash-warm' };
    const many = rows.jobs.some(({ cutId }) => cutId === on.id);
    try {
      const body = { name: many ? 'another job' : '', place: { kind: 'usual' }, wish: { role, stretch, care } };
      const job = await call<Job>('POST', `/api/cuts/${on.id}/jobs`, body);
      add({ pieces: [], cuts: [], jobs: [job] });
      go('pieces', job.id);
    } catch (problem) {
      toast.error((problem as ApiError).message);
    }
  };

  const built = useMemo(() => works.map((each) => builtUp(each, works, cutPieces) ?? each), [works, cutPieces]);
  /** At the bench a base is worked with what softens it and its cloth. */
  const inHand = stage === 'apply' || stage === 'file' ? built.find(({ id }) => id === work?.id) : work;
  const done = Object.fromEntries(
    STAGES.map((each) => [each, built.filter((w) => passed(w, each, log, scraps)).length]),
  ) as Record<Stage, number>;
  // What is cut is counted by what is cut: a piece without a job is cloth to be cut all the same.
  done.cut = rows.cuts.filter(
    ({ id, done: clothCut }) => clothCut && works.every(({ cutId, stack, cutDone }) => cutId !== id || stack === null || cutDone),
  ).length;
  const totals = Object.fromEntries(STAGES.map((each) => [each, each === 'cut' ? rows.cuts.length : works.length])) as Record<
    Stage,
    number
  >;
  const cloth = data.cloths.find(({ id }) => id === (inHand ?? cut)?.clothId);
  const layers =
    inHand?.stack?.layers.map((layer) => {
      const base = data.layers.find(({ id }) => id === layer.materialId);
      return { ...layer, base, material: base && joinedAs(base, layer.join) };
    }) ?? [];
  const nameOfCloth = (id: string | null) => data.cloths.find((each) => each.id === id)?.name ?? 'no cloth yet';

  return (
    <UnitsProvider value={data.settings.units}>
      <ProjectHeading project={data.project} onChange={setProject} />
      {savers.away && (
        <p className="mb-2">
          <SavingWords state={{ record: null, saving: false, unsaved: true, away: true }} />
        </p>
      )}
      <Tape stage={stage} done={done} totals={totals} onStage={(next) => go(next)} />
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[19rem_1fr]">
        <aside className="space-y-4" aria-label="Pieces of the project">
          {rows.pieces.length > 0 && <LaidOut on={laidOut} onChange={(on) => (on ? layOut() : go('pieces'))} />}
          <PieceTree
            rows={rows}
            clothName={nameOfCloth}
            selected={selected}
            onSelect={(id) => go(undefined, id)}
            onCopy={(from) => void copy(from)}
            onDelete={(level, row, name) => remove({ level, row, name })}
            onAddCut={(of) => setDialog({ kind: 'cut', piece: of })}
            onAddJob={(on) => void addJob(on)}
            onOrder={(ids) => void reorder(ids)}
          />
          {stage === 'pieces' && piece && cut && (
            <InnerCorners
              piece={piece}
              cut={cut}
              jobs={rows.jobs}
              care={project.care}
              onHold={(...held) => void addJobs(...held).then(([first]) => go('pieces', first?.id))}
            />
          )}
          <PieceActions
            projectId={project.id}
            cuts={rows.cuts.length}
            jobs={works.length}
            piece={piece?.name}
            onEdges={() => piece && setDialog({ kind: 'edges', piece })}
            onAdd={() => go('pieces', null)}
            onSeveral={() => setDialog({ kind: 'several' })}
            onTyped={() => setDialog({ kind: 'typed' })}
            onImport={() => setDialog({ kind: 'file' })}
            onRecipe={() => setDialog({ kind: 'recipe' })}
          />
          <RecipeList recipes={recipes} />
          {inHand?.stack && cloth && (
            <section className="sheet p-3" aria-label="Cross-section of the job in hand">
              <h2 className="mb-1 font-semibold">{keepUnits(inHand.stack.title)}</h2>
              <CrossSection
                cloth={{ name: cloth.name, thickness: clothThickness(cloth).value }}
                layers={layers.map(({ material, extent, angle }) => ({
                  name: `${material?.name ?? 'a layer that was deleted'}${angle ? `, turned ${angle}°` : ''}: ${EXTENT_WORDS[extent]}`,
                  thickness: material?.thickness ?? 0.2,
                  extent,
                  above: material?.family === 'topping',
                }))}
                allowance={Math.max(...inHand.allowances)}
                trim={data.settings.trim}
              />
            </section>
          )}
          {cloth && layered.length > 1 && (
            <Together works={layered} cloth={cloth} materials={data.layers} trim={data.settings.trim} />
          )}
        </aside>
        <section
          className={laidOut ? 'order-first lg:order-none' : ''}
          aria-label={laidOut ? 'All pieces' : `${STAGE_WORDS[stage]}${piece ? `: ${piece.name}` : ''}`}
        >
          {laidOut && rows.pieces.length > 0 ? (
            <PieceBoard
              {...{ rows, works: built, data, log, scraps }}
              layers={data.layers}
              care={project.care}
              onGo={(next, id) => go(next, id)}
              onJobs={addJobs}
              onEdges={(of) => setDialog({ kind: 'edges', piece: of })}
            />
          ) : rows.pieces.length === 0 && stage !== 'pieces' ? (
            <NoPieces onFirst={() => go('pieces', null)} />
          ) : stage === 'pieces' ? (
            <PiecesStage
              key={`${selected ?? 'new'} ${changed}`}
              projectId={project.id}
              care={project.care}
              work={work}
              piece={piece}
              cut={cut}
              last={works.at(-1)}
              cloths={data.cloths}
              onSave={async (change) => {
                if (work) return followed(await save(work, change));
                const { clothId, duty, own, count, pairs, oneWay, orientation, ...pattern } = change;
                const [saved, cutSaved] = [
                  await savers.saveRow('pieces', piece!, pattern as Partial<Row>),
                  await savers.saveRow('cuts', cut!, { clothId, duty, own, count, pairs, oneWay, orientation } as Partial<Row>),
                ];
                return followed(saved && cutSaved);
              }}
              onAdded={(added) => {
                add(added);
                go('choose', added.jobs[0]?.id ?? added.cuts[0]?.id ?? null);
              }}
            />
          ) : inHand === undefined ? (
            <NothingDone name={piece?.name} onAdd={cut && (() => void addJob(cut))} />
          ) : (
            <Stages
              stage={stage}
              work={inHand}
              works={works}
              cutPieces={cutPieces}
              cloth={cloth}
              layers={layers}
              data={data}
              log={log}
              findings={findings}
              scraps={scraps}
              savers={savers}
              onSave={save}
              onGo={go}
              onFiled={(entry) => setLog((all) => [entry, ...all])}
              onScrap={(scrap) => {
                setScraps((all) => [scrap, ...all.filter(({ id }) => id !== scrap.id)]);
                if (scrap.filedOn) void refresh(inHand.id);
              }}
              onScrapGone={(gone) => setScraps((all) => all.filter(({ id }) => id !== gone.id))}
            />
          )}
        </section>
      </div>
      <ProjectDialogs
        open={dialog}
        {...{ project, rows, cut }}
        cloths={data.cloths}
        care={work?.wish.care}
        clothName={nameOfCloth}
        onCut={(added) => {
          add(added);
          go('pieces', added.cuts[0]!.id);
        }}
        onSeveral={(changes, words) => void changeSeveral(changes, words).then(() => followed(true))}
        onBrought={(added) => {
          setDialog(undefined);
          add(added);
          if (added.pieces.length > 1) layOut();
          else go('pieces', added.jobs[0]!.id);
          toast(`${counted(added.pieces.length, 'piece')} brought in.`);
        }}
        onClose={() => setDialog(undefined)}
      />
      <StaleSaver saver={savers} />
    </UnitsProvider>
  );
}

/** All pieces of the project together, or the one in hand. */
function LaidOut({ on, onChange }: { on: boolean; onChange: (on: boolean) => void }) {
  const { shown, touch } = useTouched(on, onChange);
  return (
    <button
      type="button"
      className={`btn w-full ${shown ? 'btn-primary' : ''}`}
      aria-pressed={shown}
      onClick={() => touch(!shown)}
    >
      <LayoutGrid size={18} aria-hidden="true" /> All pieces laid out
    </button>
  );
}

function NoPieces({ onFirst }: { onFirst: () => void }) {
  return (
    <div className="sheet p-6">
      <h2 className="chalk-heading">This project has no pieces yet</h2>
      <p className="mt-1">
        A piece is one shape of the pattern: an outer collar, a bag base. It can be cut from several cloths, and each of these can
        have several jobs.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button type="button" className="btn btn-primary" onClick={onFirst}>
          <Pencil size={18} aria-hidden="true" /> Describe the first piece
        </button>
        <a className="btn" href="/">
          Or start from a choice of layers
        </a>
      </div>
    </div>
  );
}

function NothingDone({ name, onAdd }: { name: string | undefined; onAdd: (() => void) | undefined }) {
  return (
    <div className="sheet p-6">
      <h2 className="chalk-heading">{name ? `Nothing is put behind “${name}” here` : 'Nothing is chosen here'}</h2>
      <p className="mt-1">It is cut with its cloth. If something is to hold it, say what.</p>
      {onAdd && (
        <button type="button" className="btn btn-primary mt-4" onClick={onAdd}>
          <Plus size={18} aria-hidden="true" /> A job on it
        </button>
      )}
    </div>
  );
}
