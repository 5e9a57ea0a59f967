import type { Workplace } from '../../core/choose';
import { settingsFound, type PairFinding } from '../../core/scrap';
import type { FoundSetting } from '../../core/steps';
import type { CutPiece } from '../../core/workpiece';
import type { Cloth } from '../../store/cloths';
import type { LogEntry } from '../../store/log';
import type { Scrap } from '../../store/scraps';
import ApplyStage from './ApplyStage';
import ChooseStage from './ChooseStage';
import ClothStage from './ClothStage';
import CutStage, { type StageLayer } from './CutStage';
import FileStage from './FileStage';
import ScrapStage from './ScrapStage';
import type { ProjectData, Stage } from './types';
import type { useWorkSavers } from './use-work-savers';
import { workSteps, type WorkJob } from '../../core/techniques';
import { shownJob } from './shown-job';
import { isOfLayer, type WorkChange, type Worked } from './worked';
import OfLayer from './OfLayer';

/** Stages of what is put on cloth. */
const DONE_ON_CLOTH: readonly Stage[] = ['choose', 'scrap', 'apply'];

interface Props {
  stage: Stage;
  work: Worked;
  works: Worked[];
  cutPieces: CutPiece[];
  cloth: Cloth | undefined;
  layers: StageLayer[];
  data: ProjectData;
  log: LogEntry[];
  findings: readonly PairFinding[];
  scraps: Scrap[];
  savers: ReturnType<typeof useWorkSavers>;
  onSave: (work: Worked, change: WorkChange) => Promise<boolean>;
  onGo: (stage: Stage) => void;
  onFiled: (entry: LogEntry) => void;
  onScrap: (scrap: Scrap) => void;
  onScrapGone: (scrap: Scrap) => void;
}

/** What is known of how the layers of a job are put on: what was found for each pair, else what the job took over once. */
function foundFor(findings: readonly PairFinding[], { clothId, stack }: Worked): FoundSetting[] {
  if (clothId === null || !stack) return [];
  return [...settingsFound(findings, clothId, stack.layers), ...(stack.setting ? [stack.setting] : [])];
}

/** Where it is worked, the air as this cloth dries in it. */
function workplaceFor({ workplace, workplaces }: ProjectData, { clothId }: Worked): Workplace {
  return (clothId === null ? undefined : workplaces[clothId]) ?? workplace;
}

/** The stage of the job in hand. */
export default function Stages(props: Props) {
  const { stage, work, cloth, layers, data, onSave, onGo } = props;
  const { settings } = data;
  const choose = () => onGo(work.clothId === null ? 'cloth' : 'choose');
  const ofLayer = isOfLayer(work) && DONE_ON_CLOTH.includes(stage);
  if (ofLayer && !(stage === 'apply' && work.clothId !== null)) return <OfLayer work={work} works={props.works} />;
  switch (stage) {
    case 'cloth':
      return <ClothStage key={work.id} work={work} cloths={data.cloths} onSave={onSave} onNext={() => onGo('pieces')} />;
    case 'choose':
      return (
        <ChooseStage
          key={work.id}
          work={work}
          cloth={cloth}
          cloths={data.cloths}
          materials={data.layers}
          onSave={onSave}
          onCloth={() => onGo('cloth')}
          trim={settings.trim}
          ways={settings.schools}
          onNext={() => onGo('scrap')}
        />
      );
    case 'scrap':
      return (
        <ScrapStage
          key={work.id}
          work={work}
          cloth={cloth}
          layers={layers}
          settings={settings}
          scraps={props.scraps.filter(({ jobId }) => jobId === work.id)}
          log={data.clothLog}
          onScrap={props.onScrap}
          onGone={props.onScrapGone}
          onChoose={choose}
          onNext={() => onGo('cut')}
        />
      );
    case 'cut':
      return (
        <CutStage
          key={work.id}
          projectId={work.projectId}
          work={work}
          works={props.works}
          cutPieces={props.cutPieces}
          cloth={cloth}
          cloths={data.cloths}
          materials={data.layers}
          tables={data.tables}
          layers={layers}
          settings={settings}
          onSave={onSave}
          onType={props.savers.change}
          refused={props.savers.error}
          onChoose={() => onGo('choose')}
          onNext={() => onGo('apply')}
        />
      );
    case 'apply':
      return (
        <ApplyStage
          key={work.id}
          work={work}
          cloth={cloth}
          layers={layers}
          settings={settings}
          workplace={workplaceFor(data, work)}
          order={data.orders[work.id]}
          underHoop={data.ringGrounds[work.id]}
          found={foundFor(props.findings, work)}
          openRun={data.openRuns[work.id]}
          notes={data.recipes.find(({ pieces }) => pieces.includes(work.pieceId))?.notes ?? []}
          lastRun={data.lastRuns[work.id]}
          onFile={() => onGo('file')}
          onChoose={choose}
        />
      );
    default:
      return (
        <FileStage
          key={work.id}
          work={work}
          cloth={cloth}
          layers={layers}
          schools={settings.schools}
          found={foundFor(props.findings, work)}
          lastRun={data.lastRuns[work.id]}
          checks={checksOf(
            shownJob(work, cloth, layers, settings, {
              order: data.orders[work.id],
              underHoop: data.ringGrounds[work.id],
              ...workplaceFor(data, work),
            }),
          )}
          log={props.log.filter(({ jobId }) => jobId === work.id)}
          onFiled={props.onFiled}
        />
      );
  }
}

/** What is looked at when a job is done. */
function checksOf(job: WorkJob | undefined): string[] {
  return job ? workSteps(job).flatMap(({ checks }) => checks ?? []) : [];
}
