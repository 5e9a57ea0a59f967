import { useState } from 'react';
import { keptKey } from '../../core/layers';
import type { Cloth } from '../../store/cloths';
import type { LogEntry } from '../../store/log';
import type { Scrap } from '../../store/scraps';
import type { Settings } from '../../store/settings';
import StartScrap from '../scrap/StartScrap';
import Trial from '../scrap/Trial';
import type { StageLayer } from './CutStage';
import type { Worked } from './worked';

interface Props {
  work: Worked;
  cloth: Cloth | undefined;
  layers: StageLayer[];
  settings: Settings;
  scraps: Scrap[];
  /** What was filed about this job's cloth and stack. */
  log: LogEntry[];
  onScrap: (scrap: Scrap) => void;
  onGone: (scrap: Scrap) => void;
  onChoose: () => void;
  onNext: () => void;
}

/** Trying the pair on a scrap: one that is begun, or how to begin one. */
export default function ScrapStage({ work, cloth, layers, settings, scraps, log, onScrap, onGone, onChoose, onNext }: Props) {
  const [another, setAnother] = useState(false);
  const { stack } = work;
  if (!cloth || !stack) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">Nothing to try yet</h2>
        <p className="mt-1">Choose the layers of “{work.name}” first; then a scrap shows whether they hold.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
          Choose the layers
        </button>
      </div>
    );
  }
  const ids = stack.layers.map(keptKey).join();
  const current = another ? undefined : scraps.find(({ layerIds, clothId }) => layerIds.join() === ids && clothId === cloth.id);
  if (current)
    return (
      <Trial
        key={current.id}
        work={work}
        layers={layers}
        scrap={current}
        onScrap={onScrap}
        onGone={onGone}
        onNext={onNext}
        onAnother={() => setAnother(true)}
      />
    );
  return (
    <StartScrap
      work={{ ...work, stack }}
      cloth={cloth}
      layers={layers}
      settings={settings}
      tried={log.filter((entry) => entry.clothId === cloth.id && entry.layerIds.join() === ids).length}
      onScrap={(scrap) => {
        onScrap(scrap);
        setAnother(false);
        // The list of stacks is long; what was started stands at the top.
        window.scrollTo({ top: 0 });
      }}
      onChoose={onChoose}
      onNext={onNext}
    />
  );
}
