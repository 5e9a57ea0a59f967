import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { hullOf } from '../../core/hoop';
import { STITCH, type Motif } from '../../core/motif';
import type { Outline, Point } from '../../core/shape';
import { fetchMotif } from '../../ui/motif/fetch-motif';
import StaleDialog from '../../ui/StaleDialog';
import { UnitsProvider } from '../../ui/units-context';
import { useHistory } from '../../ui/use-history';
import { useKept } from '../../ui/use-kept';
import type { Hooping } from '../../store/hoopings';
import CheckStage from './CheckStage';
import HoopingHeading from './HoopingHeading';
import PlaceStage from './PlaceStage';
import PrepareStage from './PrepareStage';
import SewStage from './SewStage';
import { STAGES, STAGE_WORDS, type HoopingData, type Placed, type Stage } from './stages';

interface Props extends HoopingData {
  hooping: Hooping;
  startStage: string | null;
  /** Piece whose printed card was read, from 0. */
  startCopy: string | null;
}

/** A motif on a cloth, from where it lies to how it came out. */
export default function HoopingView(props: Props) {
  return (
    <UnitsProvider value={props.settings.units}>
      <View {...props} />
    </UnitsProvider>
  );
}

function View({ hooping: start, startStage, startCopy, ...data }: Props) {
  const { motif: kept } = data;
  const [stage, setStage] = useState<Stage>(() => {
    if (start.hoopPlace === null || !data.hoops.some(({ id }) => id === start.hoopId)) return start.result ? 'check' : 'place';
    return STAGES.find((each) => each === startStage) ?? nextStage(start);
  });
  const hoopThere = data.hoops.some(({ id }) => id === start.hoopId);
  const history = useHistory<Placed>({
    ground: start.ground,
    // A hoop that was deleted meanwhile holds nothing any more.
    hoopId: hoopThere ? start.hoopId : null,
    place: start.place,
    hoopPlace: hoopThere ? start.hoopPlace : null,
    floats: start.floats,
  });
  const placed = history.now;
  const [rest, setRest] = useState({
    count: start.count,
    pairs: start.pairs,
    prepared: start.prepared,
    sizes: start.sizes,
    landed: start.landed,
    sewn: start.sewn,
    run: start.run,
    stack: start.stack,
  });
  /** The piece whose card was read, until one goes on. */
  const [read, setRead] = useState(startCopy !== null && /^\d{1,4}$/.test(startCopy) ? Number(startCopy) : undefined);
  const [motif, setMotif] = useState<Motif>();
  const [error, setError] = useState<string>();
  useEffect(() => {
    let gone = false;
    fetchMotif(kept.id, kept.name)
      .then((read) => !gone && setMotif(read))
      .catch((problem: Error) => setError(problem.message));
    return () => {
      gone = true;
    };
  }, [kept.id, kept.name]);

  const body = useMemo(() => {
    const { name, note, projectId, jobId, motifId, clothId, role } = start;
    return { name, note, projectId, jobId, motifId, clothId, role, ...placed, ...rest };
  }, [start, placed, rest]);
  const store = useKept<Hooping>('/api/hoopings', '/api/hoopings', start, body);
  const { record, change, conflict, settle } = store;
  const filed = record?.result ?? null;

  const setPlaced = (next: Partial<Placed>, same?: string) => {
    history.set({ ...placed, ...next }, same);
    change();
  };
  const set = (next: Partial<typeof rest>) => {
    setRest((was) => ({ ...was, ...next }));
    change();
  };
  useHotkeys('mod+z', () => history.canUndo && (history.undo(), change()));
  useHotkeys('mod+shift+z, mod+y', () => history.canRedo && (history.redo(), change()));

  // What lies under it is looked up by the server: once it is kept, the page is fetched anew.
  const [reload, setReload] = useState(false);
  const { unsaved } = store;
  useEffect(() => {
    if (reload && !unsaved && record?.stack !== start.stack) location.reload();
  }, [reload, unsaved, record, start.stack]);

  const hull = useMemo(() => motif && motifHull(motif, kept.figures.bounds), [motif, kept.figures.bounds]);
  const go = (to: Stage) => {
    setStage(to);
    setRead(undefined);
    const url = new URL(location.href);
    url.searchParams.set('stage', to);
    url.searchParams.delete('copy');
    window.history.replaceState(null, '', url);
  };
  const ready = placed.hoopPlace !== null && placed.hoopId !== null;
  return (
    <>
      <HoopingHeading hooping={start} motif={kept} clothId={data.cloth.id} saving={store} body={body} />
      {store.error && (
        <p role="alert" className="alert alert-error mt-3">
          {store.error}
          <button type="button" className="btn" onClick={() => void store.save()}>
            Save again
          </button>
        </p>
      )}
      {error && (
        <p role="alert" className="alert alert-error mt-3">
          {error}
        </p>
      )}
      <div role="tablist" aria-label="Stages" className="mt-3 flex flex-wrap gap-1 border-b-2 border-base-300">
        {STAGES.map((each, i) => (
          <button
            key={each}
            type="button"
            role="tab"
            id={`tab-${each}`}
            aria-selected={stage === each}
            aria-controls="stage"
            className={`min-h-12 px-4 ${stage === each ? 'border-b-4 border-primary font-semibold' : ''}`}
            disabled={each !== 'place' && !ready}
            onClick={() => go(each)}
          >
            {i + 1} {STAGE_WORDS[each]}
          </button>
        ))}
      </div>
      <div id="stage" role="tabpanel" aria-labelledby={`tab-${stage}`} className="mt-4">
        {!motif || !hull ? (
          <progress className="progress w-40 progress-primary" aria-label="Fetching the stitches" />
        ) : stage === 'place' ? (
          <PlaceStage
            {...data}
            hull={hull}
            stitches={motif}
            placed={placed}
            count={rest.count}
            pairs={rest.pairs}
            frozen={filed !== null}
            hoopingId={start.id}
            onSaveFirst={store.save}
            stack={rest.stack}
            onStack={(stack) => {
              set({ stack, prepared: [] });
              setReload(true);
            }}
            canUndo={history.canUndo}
            canRedo={history.canRedo}
            onUndo={() => (history.undo(), change())}
            onRedo={() => (history.redo(), change())}
            onPlace={setPlaced}
            onSet={set}
            onNext={() => go('prepare')}
          />
        ) : stage === 'prepare' ? (
          <PrepareStage
            {...data}
            hull={hull}
            placed={placed}
            count={rest.count}
            role={start.role}
            pieceNumber={Math.min(rest.count - 1, read ?? (rest.run ? rest.run.pieces - (rest.run.done ? 1 : 0) : 0))}
            prepared={rest.prepared}
            hoopingId={start.id}
            version={record?.version ?? start.version}
            pairs={rest.pairs}
            sizes={rest.sizes}
            landed={rest.landed}
            onSizes={(sizes) => set({ sizes })}
            onPrepared={(prepared) => set({ prepared })}
            onNext={() => go('sew')}
          />
        ) : stage === 'sew' ? (
          <SewStage
            {...data}
            stitches={motif}
            placed={placed}
            count={rest.count}
            pairs={rest.pairs}
            hull={hull}
            sizes={rest.sizes}
            landed={rest.landed}
            onLanded={(landed) => set({ landed })}
            sewn={rest.sewn}
            onSewn={(sewn) => set({ sewn })}
            role={start.role}
            run={rest.run}
            onRun={(run) => set({ run })}
            onHoopNext={(copy) => isPrepared(rest.prepared, copy) || go('prepare')}
            onNext={() => go('check')}
          />
        ) : (
          <CheckStage
            {...data}
            record={record!}
            sewn={rest.run?.pieces ?? 0}
            stitches={motif}
            onSaveFirst={store.save}
            onFiled={store.keep}
          />
        )}
      </div>
      {conflict && (
        <StaleDialog
          conflict={conflict}
          onTheirs={() => {
            const { ground, hoopId, place, hoopPlace, floats, count, pairs, prepared, sizes, landed, sewn, run, stack } =
              conflict.theirs;
            history.set({ ground, hoopId, place, hoopPlace, floats });
            setRest({ count, pairs, prepared, sizes, landed, sewn, run, stack });
            settle('theirs');
          }}
          onMine={() => settle('mine')}
          onClose={() => settle('later')}
        />
      )}
    </>
  );
}

/** Whether a copy needs nothing before it is sewn: all is ticked for it that was ticked for the one before. */
function isPrepared(prepared: Hooping['prepared'], copy: number): boolean {
  const ticksOf = (of: number) => prepared.find((each) => each.copy === of)?.ticks ?? [];
  return ticksOf(copy - 1).every((id) => ticksOf(copy).includes(id));
}

/** Where to go on. */
function nextStage({ result, run, hoopPlace, stack, prepared, count }: Hooping): Stage {
  if (result || (run?.done && run.pieces >= count)) return 'check';
  if (run) return 'sew';
  if (hoopPlace && stack && prepared.some(({ ticks }) => ticks.length > 0)) return 'prepare';
  return 'place';
}

/** Hull of a motif round the middle of its box. */
function motifHull(
  { x, y, command }: Motif,
  { minX, minY, maxX, maxY }: { minX: number; minY: number; maxX: number; maxY: number },
): Outline {
  const [cx, cy] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const points: Point[] = [];
  for (let i = 0; i < command.length; i++) if (command[i] === STITCH) points.push([x[i]! - cx, y[i]! - cy]);
  return hullOf(points);
}
