import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import {
  fingerprint,
  lengthOffRoll,
  tableList,
  tableSources,
  usualOptions,
  type KeptPart,
  type LayingMethod,
  type TableMaterial,
  type TableOptions,
  type TableSource,
} from '../../core/cutlist';
import type { TablePlan } from '../../core/cutplan';
import type { Treatment } from '../../core/pieces';
import { call } from '../../ui/api';
import SavingWords from '../../ui/saving/SavingWords';
import StaleDialog from '../../ui/StaleDialog';
import { undoToast } from '../../ui/undo-toast';
import { counted } from '../../ui/text';
import { UnitsProvider } from '../../ui/units-context';
import { useHistory } from '../../ui/use-history';
import { useKept } from '../../ui/use-kept';
import { useLayoutWorker } from '../../ui/use-layout-worker';
import type { CutTable } from '../../store/cut-tables';
import type { Settings } from '../../store/settings';
import type { Stock } from '../../store/stock';
import DoneDialog from './DoneDialog';
import FilesMenu from './FilesMenu';
import InHandPanel from './InHandPanel';
import { DoneNotice, ListNotices, TreatmentNotice } from './Notices';
import OptionsPanel from './OptionsPanel';
import Outcome from './Outcome';
import { sourceWords } from './source-words';
import { lockKey, outlinesOf, search, TroubleFinder, type Arranged, type InHand } from './table-state';
import OtherWidths from './OtherWidths';
import { useFitted } from './use-fitted';
import { useInHand } from './use-in-hand';
import TableCanvas from './TableCanvas';
import Toolbar from './Toolbar';

interface Props {
  project: { id: string; name: string };
  material: TableMaterial;
  /** Cuts and jobs that need something of it and have not been cut from another table. */
  works: KeptPart[];
  /** What a heavy wetting does to a cloth. */
  treatment: Treatment | null;
  /** How it is laid when nobody said otherwise. */
  method: LayingMethod;
  stock: Stock[];
  /** The table that is open, or that has just been cut. */
  table: CutTable | null;
  settings: Settings;
}

/** The cutting table of one material: what is cut from what, laid by the search or by hand, cut and put away. */
export default function TableView(props: Props) {
  return (
    <UnitsProvider value={props.settings.units}>
      <Table {...props} />
    </UnitsProvider>
  );
}

// Composition: what lies on the table is handed to every part; what is done with it stands in the hooks.
// eslint-disable-next-line max-lines-per-function
function Table({ project, material, works, treatment, method, stock, table: startTable, settings }: Props) {
  const [options, setOptions] = useState<TableOptions>(() => startTable?.options ?? usualOptions(material, stock, method));
  const history = useHistory<Arranged>({ laid: startTable?.laid ?? [], locked: startTable?.locked ?? [] });
  const [inHand, setInHand] = useState<InHand>();
  const [asking, setAsking] = useState(false);
  const { laid, locked } = history.now;

  const list = useMemo(
    () => tableList(works, material, options, treatment, settings.trim),
    [works, material, options, treatment, settings.trim],
  );
  const sources = useMemo(() => tableSources(options, stock, material, treatment), [options, stock, material, treatment]);
  const print = useMemo(() => fingerprint(list.items), [list]);
  /** Of the pieces that were laid: moving one by hand does not lay the others anew. */
  const [laidPrint, setLaidPrint] = useState(startTable?.fingerprint ?? print);
  const body = useMemo(
    () => ({
      ofKind: material.kind,
      ofId: material.id,
      options,
      laid,
      locked,
      fingerprint: laidPrint,
      workIds: [...new Set(list.items.map(({ workId }) => workId))],
    }),
    [material, options, laid, locked, laidPrint, list],
  );
  const outlines = useMemo(() => outlinesOf(list.items), [list]);
  const [finder] = useState(() => new TroubleFinder());
  const troubles = useMemo(() => finder.find(laid, sources, outlines), [finder, laid, sources, outlines]);
  const stale = (startTable?.done ?? null) === null && laid.length > 0 && laidPrint !== print;
  const [laying, setLaying] = useState(false);
  const hold = laying ? 'working' : troubles.size > 0 && !stale ? 'unsound' : undefined;
  const kept = useKept('/api/tables', `/api/projects/${project.id}/tables`, startTable, body, hold);
  const { record: table, change, save, conflict } = kept;
  const done = table?.done ?? null;
  const disabled = done !== null;
  const wanted = list.items.reduce((sum, { count }) => sum + count, 0);
  const placed = laid.reduce((sum, { placements }) => sum + placements.length, 0);

  // Each whole drag and each whole search is one step back.
  const drag = useRef(0);
  const searches = useRef(0);
  const layer = useLayoutWorker(
    useCallback(
      ({ laid: found }: TablePlan, ended: boolean) => {
        history.set({ laid: found, locked: history.now.locked }, `search ${searches.current}`);
        if (ended) {
          setLaying(false);
          change();
        }
      },

      [history, change],
    ),
  );
  // A search that broke off keeps what was laid before it.
  useEffect(() => {
    if (layer.error !== undefined) setLaying(false);
  }, [layer.error]);
  const lay = (seconds = options.seconds) => {
    setInHand(undefined);
    searches.current += 1;
    setLaidPrint(print);
    setLaying(true);
    change();
    layer.start({ ...search(list, sources, options, laid, locked), seconds });
  };

  // The first layout comes by itself; a table that was kept stays as it is.
  const first = useRef(laid.length === 0 && done === null && list.items.length > 0);
  useEffect(() => {
    if (!first.current) return;
    first.current = false;
    lay(2);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const put = (next: Partial<Arranged>, same?: string) => {
    history.set({ laid, locked, ...next }, same);
    change();
  };
  const { act, itemInHand, turnInHand, tiltInHand, lockInHand } = useInHand({
    ...{ inHand, laid, locked, sources, disabled, put },
    items: list.items,
    onUndo: () => history.canUndo && (history.undo(), change()),
    onRedo: () => history.canRedo && (history.redo(), change()),
  });
  const { canvas, scale, zoom, fitAgain } = useFitted(laid, sources);
  const words = useCallback((each: TableSource) => sourceWords(each, settings), [settings]);
  const running = layer.progress !== undefined;
  return (
    <>
      <p>
        <a className="font-semibold text-primary underline underline-offset-4" href={`/projects/${project.id}?stage=cut`}>
          {project.name}
        </a>
      </p>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">Cutting table: {material.name}</h1>
        {!done && (
          <SavingWords state={kept} held={kept.held ? 'Not kept while a piece lies on another or beside the cloth.' : ''} />
        )}
      </div>
      {kept.error && (
        <p role="alert" className="alert alert-error mt-3">
          {kept.error}
          <button type="button" className="btn" onClick={() => void save()}>
            Save again
          </button>
        </p>
      )}
      {layer.error && (
        <p role="alert" className="alert alert-error mt-3">
          {layer.error}
        </p>
      )}
      {done && (
        <DoneNotice
          done={done}
          projectId={project.id}
          onUndo={() =>
            void call<CutTable>('POST', `/api/tables/${table!.id}/undo`, { version: table!.version })
              .then((back) => {
                kept.keep(back);
                toast('Not cut after all: rolls and leftovers are as before.');
              })
              .catch((problem: Error) => kept.setError(problem.message))
          }
        />
      )}
      <ListNotices list={list} stale={stale} />
      {treatment && options.shrink && (
        <TreatmentNotice
          treatment={treatment}
          off={laid.reduce((sum, { length }) => sum + lengthOffRoll(length, options, treatment), 0)}
        />
      )}
      {list.items.length > 0 && (
        <div className="mt-4 grid items-start gap-5 lg:grid-cols-[19rem_1fr]">
          <div className="space-y-4">
            <OptionsPanel
              material={material}
              options={options}
              stock={stock}
              currency={settings.currency}
              disabled={disabled || running}
              onChange={(next) => {
                setOptions(next);
                change();
              }}
            />
          </div>
          <div className="min-w-0 space-y-4">
            <Toolbar
              progress={layer.progress}
              words={
                laid.length === 0 ? 'Lay them out' : locked.length > 0 ? 'Lay the others again' : 'Look for a shorter layout'
              }
              disabled={disabled}
              canUndo={history.canUndo}
              canRedo={history.canRedo}
              onLay={() => lay()}
              onEnough={layer.stop}
              onUndo={() => (history.undo(), change())}
              onRedo={() => (history.redo(), change())}
              onZoom={(by) => zoom((scale ?? 0.5) * by)}
              onFit={fitAgain}
            />
            <div ref={canvas}>
              <TableCanvas
                sources={sources}
                laid={laid}
                items={list.items}
                locked={locked}
                inHand={inHand}
                troubles={troubles}
                scale={scale ?? 0.5}
                onScale={zoom}
                onHold={setInHand}
                onMove={(hand, [dx, dy], last) => {
                  act(hand, (p) => ({ ...p, x: p.x + dx, y: p.y + dy }), `drag ${drag.current}`);
                  if (last) drag.current += 1;
                }}
                words={words}
                disabled={disabled || running}
              />
            </div>
            {inHand && itemInHand && !disabled && (
              <InHandPanel
                inHand={inHand}
                item={itemInHand}
                locked={locked.includes(lockKey(inHand.sourceId, inHand))}
                trouble={troubles.get(lockKey(inHand.sourceId, inHand))}
                onTurn={() => turnInHand(false)}
                onTilt={tiltInHand}
                onFlip={() => turnInHand(true)}
                onLock={lockInHand}
              />
            )}
            {(placed > 0 || !running) && (
              <Outcome
                treatment={treatment}
                material={material}
                options={options}
                sources={sources}
                laid={laid}
                items={list.items}
                wanted={wanted}
                settings={settings}
              />
            )}
            {!done && (
              <OtherWidths
                {...{ list, material, options, stock, treatment }}
                disabled={running}
                onTake={(rollWidth) => {
                  setOptions({ ...options, rollWidth });
                  change();
                }}
              />
            )}
            <div className="flex flex-wrap items-center gap-3">
              {!done && (
                <button
                  type="button"
                  className="btn btn-primary"
                  disabled={running || stale || placed === 0 || troubles.size > 0}
                  onClick={() => void save().then((now) => now && setAsking(true))}
                >
                  Everything is cut
                </button>
              )}
              <FilesMenu
                table={table}
                disabled={running || placed === 0 || stale || troubles.size > 0}
                onReady={async () => (kept.unsaved || table === null ? await save() : table)}
              />
              {troubles.size > 0 && (
                <span className="font-semibold text-error">
                  {counted(troubles.size, 'piece')} in the way of another or beside the cloth.
                </span>
              )}
            </div>
          </div>
        </div>
      )}
      {asking && table && (
        <DoneDialog
          table={table}
          sources={sources}
          items={list.items}
          onClose={() => setAsking(false)}
          onDone={(finished) => {
            kept.keep(finished);
            setAsking(false);
            undoToast('Cut. The rolls are drawn down.', async () =>
              kept.keep(await call<CutTable>('POST', `/api/tables/${finished.id}/undo`, { version: finished.version })),
            );
          }}
        />
      )}
      {conflict && (
        <StaleDialog
          conflict={conflict}
          onTheirs={() => {
            setOptions(conflict.theirs.options);
            setLaidPrint(conflict.theirs.fingerprint);
            history.set({ laid: conflict.theirs.laid, locked: conflict.theirs.locked });
            kept.settle('theirs');
          }}
          onMine={() => kept.settle('mine')}
          onClose={() => kept.settle('later')}
        />
      )}
    </>
  );
}
