import { Pause, Play } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { runningSeconds, widerBox, type Motif } from '../../core/motif';
import { SPEEDS } from '../../core/machine';
import { CheckField } from '../../ui/form/form-fields';
import { fetchMotif } from '../../ui/motif/fetch-motif';
import MotifCanvas from '../../ui/motif/MotifCanvas';
import { mapsOf } from '../../ui/motif/motif-runner';
import { UnitsProvider, useUnits } from '../../ui/units-context';
import type { MotifMaps } from '../../workers/motif.worker';
import Figures from './Figures';
import FillPanel from './FillPanel';
import Judgement from './Judgement';
import type { MotifViewProps } from './motif-view-props';

/** A motif is sewn on the screen in this time, s, whatever its size. */
const PLAY_SECONDS = 12;
/** What is left of a cut-away sheet round the stitching, mm: between 3 and 6. */
const TRIM = 4;

/** A motif: its thread, its figures, and what it asks of a cloth. */
export default function MotifView(props: MotifViewProps) {
  return (
    <UnitsProvider value={props.settings.units}>
      <View {...props} />
    </UnitsProvider>
  );
}

function View(props: MotifViewProps) {
  const { motif: kept } = props;
  const units = useUnits();
  const [motif, setMotif] = useState<Motif>();
  const [maps, setMaps] = useState<MotifMaps>();
  const [error, setError] = useState<string>();
  const [upTo, setUpTo] = useState<number>();
  const [playing, setPlaying] = useState(false);
  const [show, setShow] = useState({ heat: false, islands: false, trims: false });
  const [speed, setSpeed] = useState<number>(SPEEDS.usual);
  useEffect(() => {
    let gone = false;
    fetchMotif(kept.id, kept.name)
      .then((read) => {
        if (gone) return undefined;
        setMotif(read);
        return mapsOf(read, TRIM).then((found) => !gone && setMaps(found));
      })
      .catch((problem: Error) => setError(problem.message));
    return () => {
      gone = true;
    };
  }, [kept.id, kept.name]);

  const records = motif?.command.length ?? 0;
  const at = upTo ?? records;
  const last = useRef(0);
  useEffect(() => {
    if (!playing) return undefined;
    let request = 0;
    last.current = performance.now();
    const step = (now: number) => {
      const more = ((now - last.current) / 1000 / PLAY_SECONDS) * records;
      last.current = now;
      setUpTo((was) => {
        const next = Math.min(records, (was ?? 0) + more);
        if (next >= records) setPlaying(false);
        return next;
      });
      request = requestAnimationFrame(step);
    };
    request = requestAnimationFrame(step);
    return () => cancelAnimationFrame(request);
  }, [playing, records]);
  const seconds = useMemo(() => {
    if (!motif) return 0;
    return runningSeconds(
      motif,
      { trims: kept.figures.trims, colourChanges: kept.figures.colourChanges } as Parameters<typeof runningSeconds>[1],
      speed,
    );
  }, [motif, kept.figures, speed]);
  const { bounds } = kept.figures;
  const shown = useMemo(() => widerBox(bounds, show.trims ? TRIM : 0), [bounds, show.trims]);
  return (
    <>
      <p>
        <a className="font-semibold text-primary underline underline-offset-4" href="/hoop">
          Hoop
        </a>
        {props.work && (
          <>
            {' · '}
            <a
              className="font-semibold text-primary underline underline-offset-4"
              href={`/projects/${props.work.projectId}?job=${props.work.id}&stage=choose`}
            >
              {props.work.name}
            </a>
          </>
        )}
      </p>
      <h1 className="text-2xl font-bold">{kept.name}</h1>
      {kept.figures.warnings.map((warning) => (
        <p key={warning} role="note" className="alert mt-3 border-2 border-accent">
          {warning}
        </p>
      ))}
      {error && (
        <p role="alert" className="alert alert-error mt-3">
          {error}
        </p>
      )}
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[1fr_21rem]">
        <div className="min-w-0 space-y-3">
          {motif ? (
            <MotifCanvas
              motif={motif}
              colours={kept.colours}
              bounds={shown}
              upTo={Math.floor(at)}
              heat={show.heat ? maps?.density : undefined}
              islands={show.islands ? maps?.islands : undefined}
              trims={show.trims ? maps?.trims : undefined}
              apart={show.trims ? maps?.apart : undefined}
              label={`${kept.name} as thread, ${units.size(bounds.maxX - bounds.minX, bounds.maxY - bounds.minY)}`}
              height={520}
            />
          ) : (
            <div className="sheet grid h-[520px] place-items-center">
              <progress className="progress w-40 progress-primary" aria-label="Fetching the stitches" />
            </div>
          )}
          <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
            <button
              type="button"
              className="btn btn-icon"
              aria-label={playing ? 'Stop sewing' : 'Sew it on the screen'}
              disabled={!motif}
              onClick={() => {
                if (!playing && at >= records) setUpTo(0);
                setPlaying(!playing);
              }}
            >
              {playing ? <Pause size={20} aria-hidden="true" /> : <Play size={20} aria-hidden="true" />}
            </button>
            <input
              type="range"
              className="slider min-w-40 flex-1"
              min={0}
              max={Math.max(1, records)}
              value={Math.floor(at)}
              aria-label="Sewn up to this stitch"
              onChange={(event) => {
                setPlaying(false);
                setUpTo(Number(event.target.value));
              }}
            />
            <CheckField label="Density" checked={show.heat} onChange={(heat) => setShow({ ...show, heat })} />
            <CheckField label="Islands" checked={show.islands} onChange={(islands) => setShow({ ...show, islands })} />
            <CheckField label="Trim line" checked={show.trims} onChange={(trims) => setShow({ ...show, trims })} />
          </div>
          {show.trims && maps && (
            <p className="quiet text-[0.95rem]">
              Dashed red: where a sheet is trimmed, {TRIM} mm from the stitches.
              {maps.apart.length > 0 && ' Long dashes: where it is cut apart between the islands first.'}
            </p>
          )}
          {show.heat && (
            <p className="quiet text-[0.95rem]">
              Stitches per cm², smoothed over about 4 mm: pale under 40, red from 150. The densest spot has about{' '}
              <strong>{Math.round(kept.figures.peak.value / 5) * 5}</strong>.
            </p>
          )}
        </div>
        <Figures motif={kept} seconds={seconds} speed={speed} onSpeed={setSpeed} islands={maps?.islands} />
      </div>
      {motif && <Judgement {...props} stitches={motif} />}
      <FillPanel motif={kept} hoops={props.hoops} />
    </>
  );
}
