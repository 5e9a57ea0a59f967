import { FileUp, Pencil, Plus, Trash2 } from 'lucide-react';
import { useCallback, useState } from 'react';
import { toast } from 'sonner';
import { useHotkeys } from 'react-hotkeys-hook';
import { ROLE_WORDS } from '../../core/choose';
import { clothThickness } from '../../core/cloth';
import { EXTENT_WORDS } from '../../core/layers';
import { call } from '../../ui/api';
import CrossSection from '../../ui/CrossSection';
import SavingWords from '../../ui/saving/SavingWords';
import StaleDialog from '../../ui/StaleDialog';
import { counted, keepUnits } from '../../ui/text';
import { attempt, undoToast } from '../../ui/undo-toast';
import { UnitsProvider } from '../../ui/units-context';
import type { LogEntry } from '../../store/log';
import type { Part } from '../../store/parts';
import ApplyStage from './ApplyStage';
import ChooseStage from './ChooseStage';
import ClothStage from './ClothStage';
import CutStage from './CutStage';
import FileStage from './FileStage';
import ImportPieces from './ImportPieces';
import PartsStage from './PartsStage';
import ScrapStage from './ScrapStage';
import ProjectHeading from './ProjectHeading';
import Tape from './Tape';
import { usePartSavers } from './use-part-savers';
import { passed, STAGES, STAGE_WORDS, type ProjectData, type Stage } from './types';

interface Props {
  data: ProjectData;
  startPart: string | null;
  startStage: Stage;
}

/** Names of a part's fields where two versions of it are shown. */
const PART_WORDS = {
  stack: 'Layers',
  clothId: 'Cloth',
  cutDone: 'Cut',
  line: 'Drawn line',
  allowances: 'Seam allowances',
  count: 'How many',
};

/** A project: the tape of stages, the parts, the stage of the part in hand, and its cross-section. */
export default function ProjectView({ data, startPart, startStage }: Props) {
  const [parts, setParts] = useState(data.parts);
  const [partId, setPartId] = useState(startPart ?? data.parts[0]?.id ?? null);
  const [stage, setStage] = useState<Stage>(startStage);
  const [log, setLog] = useState(data.log);
  const [scraps, setScraps] = useState(data.scraps);
  const [importing, setImporting] = useState(false);
  const part = parts.find(({ id }) => id === partId);
  const cloth = data.cloths.find(({ id }) => id === part?.clothId);

  const go = (nextStage: Stage, nextPart: string | null = partId) => {
    setStage(nextStage);
    setPartId(nextPart);
    history.replaceState(null, '', `?${new URLSearchParams({ ...(nextPart ? { part: nextPart } : {}), stage: nextStage })}`);
  };
  const step = (by: number) => go(STAGES[Math.max(0, Math.min(STAGES.length - 1, STAGES.indexOf(stage) + by))]!);
  useHotkeys('l', () => step(1));
  useHotkeys('h', () => step(-1));

  const put = useCallback((kept: Part) => setParts((all) => all.map((each) => (each.id === kept.id ? kept : each))), []);
  const savers = usePartSavers(put);
  /** Saves a change of a part; a stale save shows both versions instead of overwriting. Throws on bad input. */
  const save = (of: Part, change: Partial<Part>): Promise<boolean> => savers.save(of, change);
  /** Takes over what the server changed besides: the setting that a scrap found, and its logbook entries. */
  const refresh = async (id: string) => {
    const [fresh, { log: filed }] = await Promise.all([
      call<Part>('GET', `/api/parts/${id}`),
      call<{ log: LogEntry[] }>('GET', '/api/log'),
    ]);
    savers.take(fresh);
    setLog((all) => [...filed.filter((entry) => entry.partId === id), ...all.filter((entry) => entry.partId !== id)]);
  };
  const remove = async (gone: Part) => {
    if (!(await attempt(`“${gone.name}” could not be deleted`, () => call('DELETE', `/api/parts/${gone.id}`)))) return;
    setParts((all) => all.filter(({ id }) => id !== gone.id));
    if (gone.id === partId) setPartId(parts.find(({ id }) => id !== gone.id)?.id ?? null);
    undoToast(`“${gone.name}” is deleted.`, async () => {
      const back = await call<Part>('POST', `/api/parts/${gone.id}/restore`);
      setParts((all) => [...all, back]);
    });
  };

  const done = Object.fromEntries(
    STAGES.map((each) => [each, parts.filter((p) => passed(p, each, log, scraps)).length]),
  ) as Record<Stage, number>;
  const layersOf = (p: Part) =>
    p.stack?.layers.map((layer) => ({ ...layer, material: data.layers.find(({ id }) => id === layer.materialId) })) ?? [];

  return (
    <UnitsProvider value={data.settings.units}>
      <ProjectHeading project={data.project} />
      {savers.away && (
        <p className="mb-2">
          <SavingWords state={{ record: null, saving: false, unsaved: true, away: true }} />
        </p>
      )}
      <Tape stage={stage} done={done} total={parts.length} onStage={(next) => go(next)} />
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[19rem_1fr]">
        <aside className="space-y-4" aria-label="Parts of the project">
          <ul className="space-y-1.5">
            {parts.map((each) => (
              <li key={each.id} className="flex items-stretch gap-1">
                <button
                  type="button"
                  aria-current={each.id === partId && !(stage === 'parts' && partId === null) ? 'true' : undefined}
                  onClick={() => go(stage, each.id)}
                  className={`min-h-[52px] flex-1 rounded-field border-2 px-3 py-1 text-left ${each.id === partId ? 'border-primary bg-base-200' : 'border-base-300 hover:border-primary'}`}
                >
                  <span className="block leading-snug font-semibold">{each.name}</span>
                  <span className="quiet block text-[0.88rem] leading-snug">
                    {ROLE_WORDS[each.wish.role]}, {counted(each.count, 'piece')}
                  </span>
                </button>
                <button
                  type="button"
                  className="btn btn-ghost btn-icon h-auto"
                  aria-label={`Delete ${each.name}`}
                  onClick={() => void remove(each)}
                >
                  <Trash2 size={18} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ul>
          <button type="button" className="btn w-full" onClick={() => go('parts', null)}>
            <Plus size={18} aria-hidden="true" /> Add a part
          </button>
          <button type="button" className="btn w-full" onClick={() => setImporting(true)}>
            <FileUp size={18} aria-hidden="true" /> Pieces from a file
          </button>
          {part?.stack && cloth && (
            <section className="sheet p-3" aria-label="Cross-section of the part in hand">
              <h2 className="mb-1 font-semibold">{keepUnits(part.stack.title)}</h2>
              <CrossSection
                cloth={{ name: cloth.name, thickness: clothThickness(cloth).value }}
                layers={layersOf(part).map(({ material, extent, angle }) => ({
                  name: `${material?.name ?? 'a layer that was deleted'}${angle ? `, turned ${angle}°` : ''}: ${EXTENT_WORDS[extent]}`,
                  thickness: material?.thickness ?? 0.2,
                  extent,
                  above: material?.family === 'topping',
                }))}
                allowance={Math.max(...part.allowances)}
                trim={data.settings.trim}
              />
            </section>
          )}
        </aside>
        <section aria-label={`${STAGE_WORDS[stage]}${part ? `: ${part.name}` : ''}`}>
          {part === undefined && stage !== 'parts' ? (
            <div className="sheet p-6">
              <h2 className="chalk-heading">This project has no parts yet</h2>
              <p className="mt-1">A part is one piece of the thing with its own cloth and wishes: an outer collar, a bag base.</p>
              <div className="mt-4 flex flex-wrap gap-3">
                <button type="button" className="btn btn-primary" onClick={() => go('parts', null)}>
                  <Pencil size={18} aria-hidden="true" /> Describe the first part
                </button>
                <a className="btn" href="/">
                  Or start from a choice of layers
                </a>
              </div>
            </div>
          ) : (
            <>
              {stage === 'cloth' && part && (
                <ClothStage key={part.id} part={part} cloths={data.cloths} onSave={save} onNext={() => go('parts')} />
              )}
              {stage === 'parts' && (
                <PartsStage
                  key={partId ?? 'new'}
                  projectId={data.project.id}
                  part={part}
                  cloths={data.cloths}
                  onSave={save}
                  onAdded={(added) => {
                    setParts((all) => [...all, added]);
                    go('choose', added.id);
                  }}
                />
              )}
              {stage === 'choose' && part && (
                <ChooseStage
                  key={part.id}
                  part={part}
                  cloth={cloth}
                  onSave={save}
                  onCloth={() => go('cloth')}
                  trim={data.settings.trim}
                  ways={data.settings.schools}
                  onNext={() => go('scrap')}
                />
              )}
              {stage === 'scrap' && part && (
                <ScrapStage
                  key={part.id}
                  part={part}
                  cloth={cloth}
                  layers={layersOf(part)}
                  settings={data.settings}
                  scraps={scraps.filter(({ partId: of }) => of === part.id)}
                  log={data.clothLog}
                  onScrap={(scrap) => {
                    setScraps((all) => [scrap, ...all.filter(({ id }) => id !== scrap.id)]);
                    if (scrap.filedOn) void refresh(part.id);
                  }}
                  onGone={(gone) => setScraps((all) => all.filter(({ id }) => id !== gone.id))}
                  onChoose={() => go(part.clothId === null ? 'cloth' : 'choose')}
                  onNext={() => go('cut')}
                />
              )}
              {stage === 'cut' && part && (
                <CutStage
                  key={part.id}
                  projectId={data.project.id}
                  part={part}
                  parts={parts}
                  cloth={cloth}
                  cloths={data.cloths}
                  materials={data.layers}
                  tables={data.tables}
                  layers={layersOf(part)}
                  settings={data.settings}
                  onSave={save}
                  onType={savers.change}
                  refused={savers.error}
                  onChoose={() => go('choose')}
                  onNext={() => go('apply')}
                />
              )}
              {stage === 'apply' && part && (
                <ApplyStage
                  key={part.id}
                  part={part}
                  cloth={cloth}
                  layers={layersOf(part)}
                  settings={data.settings}
                  openRun={data.openRuns[part.id]}
                  onChoose={() => go(part.clothId === null ? 'cloth' : 'choose')}
                />
              )}
              {stage === 'file' && part && (
                <FileStage
                  key={part.id}
                  part={part}
                  cloth={cloth}
                  layers={layersOf(part)}
                  log={log.filter((entry) => entry.partId === part.id)}
                  onFiled={(entry) => setLog((all) => [entry, ...all])}
                />
              )}
            </>
          )}
        </section>
      </div>
      {importing && (
        <ImportPieces
          projectId={data.project.id}
          cloths={data.cloths}
          clothId={part?.clothId ?? null}
          onAdded={(added) => {
            setImporting(false);
            setParts((all) => [...all, ...added]);
            go('parts', added[0]!.id);
            toast(`${counted(added.length, 'piece')} brought in.`);
          }}
          onClose={() => setImporting(false)}
        />
      )}
      {savers.conflict && (
        <StaleDialog
          conflict={savers.conflict}
          words={PART_WORDS}
          onTheirs={() => savers.settle('theirs')}
          onMine={() => savers.settle('mine')}
          onClose={() => savers.settle('later')}
        />
      )}
    </UnitsProvider>
  );
}
