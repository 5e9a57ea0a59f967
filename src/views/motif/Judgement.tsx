import { useEffect, useMemo, useState } from 'react';
import { usedOf } from '../../core/layers';
import {
  centred,
  NEEDLES,
  smallestHoop,
  STITCH_ROLE_WORDS,
  STITCH_ROLES,
  USUAL_NEEDLE,
  type DriftMap,
  type Needle,
  type NeedleHoles,
  type StitchRole,
} from '../../core/hoop';
import { useAsked } from '../../ui/query';
import { widerBox, type Motif } from '../../core/motif';
import type { Outline } from '../../core/shape';
import { call } from '../../ui/api';
import DriftCanvas from '../../ui/motif/DriftCanvas';
import { driftOn } from '../../ui/motif/motif-runner';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Hooping, HoopingStack } from '../../store/hoopings';
import type { Judgement as Judged, JudgedSheets } from '../../server/motif-work';
import PutOwnSheets from '../compose/PutOwnSheets';
import LadderPanel from './LadderPanel';
import type { MotifViewProps } from './motif-view-props';

const VERDICT_WORDS = { easily: 'carried easily', near: 'near the limit', 'too-much': 'too much for it' } as const;
const VERDICT_STYLE = { easily: 'text-success', near: 'text-base-content', 'too-much': 'text-error' } as const;
/** Stacks that stand beside the bare cloth. */
const SHOWN = 3;
/** Room round the motif that a hoop leaves, mm, when none is chosen. */
const ROOM = 25;
/** A set in the hoop has at most so many pieces. */
const MOST_COPIES = 1000;

const sameSheets = (a: JudgedSheets, b: JudgedSheets): boolean =>
  JSON.stringify(a.layers.map(({ materialId, angle }) => [materialId, angle])) ===
  JSON.stringify(b.layers.map(({ materialId, angle }) => [materialId, angle]));

/** What a motif asks of a cloth: bare, and with what choosing offers, each with the ground drawn as it gives way. */
export default function Judgement({ motif, stitches, cloths, startCloth, work, hoops }: MotifViewProps & { stitches: Motif }) {
  const { said } = useUnits();
  const [clothId, setClothId] = useState(startCloth ?? cloths.find(({ own }) => own)?.id ?? cloths[0]?.id ?? '');
  const [role, setRole] = useState<StitchRole>(STITCH_ROLES.find((each) => each === work?.role) ?? 'embroidery');
  const [needle, setNeedle] = useState<Needle>(USUAL_NEEDLE);
  const [maps, setMaps] = useState<(DriftMap | undefined)[]>([]);
  const [broken, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  /** Put together here, or what the project has for it already, as long as it is its own cloth that is asked about. */
  const [own, setOwn] = useState<HoopingStack>();
  const chosen = own ?? (work && clothId === work.clothId ? work.stack : null);
  const question = { clothId, role, needle, ...(work ? { cut: work.cut, care: work.care } : {}) };
  // While another cloth is asked about, the cards still show the last one, and none of them may be taken.
  const {
    answer,
    current,
    error: refused,
    again,
  } = useAsked<Judged>(`/api/motifs/${motif.id}/judge`, {
    ...question,
    ...(chosen ? { layers: chosen.layers } : {}),
  });
  const judged = refused ? undefined : answer;
  const error = refused ?? broken;
  const asking = !refused && !current;

  const shown = useMemo(() => {
    if (!judged) return [];
    const { bare, asked, offered } = judged;
    const mine = asked && chosen ? [{ ...asked, title: chosen.title }] : [];
    return [bare, ...mine, ...offered.filter((each) => !mine.some((one) => sameSheets(one, each))).slice(0, SHOWN - mine.length)];
  }, [judged, chosen]);
  const { bounds } = motif.figures;
  useEffect(() => {
    let gone = false;
    const window = widerBox(bounds, ROOM);
    setMaps([]);
    const work = async () => {
      for (const [i, { inPlane, rigidity }] of shown.entries()) {
        const map = await driftOn({ motif: stitches, window, inPlane, rigidity, taut: !judged!.marks });
        if (gone) return;
        setMaps((all) => Object.assign([...all], { [i]: map }));
      }
    };
    work().catch((problem: Error) => setError(problem.message));
    return () => {
      gone = true;
    };
  }, [shown, stitches, bounds, judged]);

  const take = async (stack: JudgedSheets) => {
    setBusy(true);
    try {
      const cloth = cloths.find(({ id }) => id === clothId)!;
      const side = Math.max(300, bounds.maxX - bounds.minX + 200, bounds.maxY - bounds.minY + 200);
      const outline: Outline = work?.piece ?? [
        [0, 0],
        [side, 0],
        [side, side],
        [0, side],
      ];
      const first = smallestHoop(hoops, bounds.maxX - bounds.minX, bounds.maxY - bounds.minY);
      const kept = await call<Hooping>('POST', '/api/hoopings', {
        name: `${motif.name} on ${cloth.name}`.slice(0, 120),
        projectId: work?.projectId ?? null,
        jobId: work?.id ?? null,
        motifId: motif.id,
        clothId,
        role,
        hoopId: hoops[first ?? -1]?.id ?? null,
        ground: { outline, obstacles: [] },
        stack: { title: stack.title, layers: stack.layers.map(({ materialId, angle }) => ({ ...usedOf(materialId), angle })) },
        // A hoop that left marks before: floated to begin with, and the person may untick it.
        floats: judged!.marks || judged!.taught.some(({ id }) => id === 'marks'),
        place: {
          ...(work?.at ? { x: work.at[0], y: work.at[1] } : centred(outline, { x: 0, y: 0 }, 'both')),
          ...{ angle: 0, flipped: false },
        },
        ...(work ? { count: Math.min(work.count, MOST_COPIES), pairs: work.pairs && work.count % 2 === 0 } : {}),
      });
      location.assign(`/hoop/jobs/${kept.id}`);
    } catch (problem) {
      setError((problem as Error).message);
      setBusy(false);
    }
  };
  const most = Math.max(0, ...maps.map((map) => map?.most.drift ?? 0));
  const bare = judged?.bare.verdict;
  return (
    <section className="mt-6" aria-labelledby="judgement">
      <h2 id="judgement" className="text-xl font-bold">
        What it asks of{' '}
        <select className="chalk-word" aria-label="Cloth" value={clothId} onChange={(event) => setClothId(event.target.value)}>
          <optgroup label="My cloths">
            {cloths
              .filter(({ own }) => own)
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </optgroup>
          <optgroup label="Library">
            {cloths
              .filter(({ own }) => !own)
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </optgroup>
        </select>{' '}
        as{' '}
        <select
          className="chalk-word"
          aria-label="What it is"
          value={role}
          onChange={(event) => setRole(event.target.value as StitchRole)}
        >
          {STITCH_ROLES.map((each) => (
            <option key={each} value={each}>
              {STITCH_ROLE_WORDS[each]}
            </option>
          ))}
        </select>{' '}
        with a{' '}
        <select
          className="chalk-word"
          aria-label="Needle"
          value={needle}
          onChange={(event) => setNeedle(Number(event.target.value) as Needle)}
        >
          {NEEDLES.map((each) => (
            <option key={each} value={each}>
              {each} needle
            </option>
          ))}
        </select>
      </h2>
      {error && (
        <p role="alert" className="alert alert-error mt-3">
          {error}
        </p>
      )}
      {bare && (
        <p className="mt-1">
          {bare.topping.why} {bare.holes.cuts && holesWords(bare.holes, needle)}{' '}
          {judged.marks && 'A hoop would mark this cloth for good: it floats on the hooped sheet.'}
        </p>
      )}
      {judged && judged.taught.length > 0 && (
        <ul className="mt-1 border-l-4 border-accent pl-3" aria-label="What earlier hoopings taught">
          {judged.taught.map(({ id, words }) => (
            <li key={id}>{said(words)}</li>
          ))}
        </ul>
      )}
      <ul className="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-4" aria-busy={asking}>
        {shown.map((stack, i) => (
          <StackCard
            key={`${i} ${stack.title}`}
            stack={stack}
            map={maps[i]}
            most={most}
            onTake={i === 0 ? undefined : () => void take(stack)}
            busy={busy || asking}
            from={i !== 1 || !chosen ? undefined : own ? 'put together by you' : 'as chosen in the project'}
          />
        ))}
      </ul>
      <div className="mt-3">
        <PutOwnSheets motifId={motif.id} asked={question} cloths={cloths} take="Judge it beside the others" onTake={setOwn} />
      </div>
      {asking && (
        <p role="status" className="quiet mt-2">
          Judging …
        </p>
      )}
      <p className="quiet mt-2 max-w-4xl text-[0.95rem]">
        The net is an elastic ground held at the hoop and drawn together by the thread, exaggerated by the same factor in all
        four; red is where it is shortened by more than it takes up flat. Compare them with each other: one figure by itself is
        right within a factor of two. It knows nothing of underlay, speed, or how well you hoop.
      </p>
      {judged && (
        <LadderPanel
          clothId={clothId}
          clothName={cloths.find(({ id }) => id === clothId)?.name ?? ''}
          stacks={judged.offered}
          hoops={hoops}
          onFiled={() => void again()}
        />
      )}
    </section>
  );
}

/** What to do about holes that may cut the cloth; both figures as roughly as they are known. */
function holesWords({ peak, borne, finer }: NeedleHoles, needle: Needle): string {
  const tens = (value: number) => Math.max(10, Math.round(value / 10) * 10);
  const change = finer
    ? `a ${finer} needle spares it, or fewer stitches there`
    : 'fewer stitches there; no finer needle is enough';
  return `Its densest spot has about ${tens(peak)} needle holes on a cm², and with a ${needle} needle this cloth bears about ${tens(borne)} before they cut it: ${change}.`;
}

/** Thread and drift are told in millimetres everywhere: a tenth is the least that an eye sees. */
function driftWords(mm: number): string {
  return mm >= 3 ? `${Math.round(mm)} mm` : `${mm.toFixed(1)} mm`;
}

function StackCard({
  stack: { title, verdict, cautions, tried },
  map,
  most,
  onTake,
  busy,
  from,
}: {
  stack: JudgedSheets;
  map: DriftMap | undefined;
  most: number;
  onTake: (() => void) | undefined;
  busy: boolean;
  /** Where it comes from, when it is no proposal. */
  from: string | undefined;
}) {
  const { share, change, zones } = verdict;
  const scale = Math.max(1.25, share * 1.05);
  const heavy = zones.filter((zone) => zone.share > 1);
  return (
    <li className="sheet flex flex-col gap-2 p-3">
      <div className="min-h-12 leading-snug font-semibold">
        {title}
        {from && <span className="quiet block text-[0.95rem] font-normal">{from}</span>}
      </div>
      {map ? (
        <DriftCanvas map={map} scaleTo={most} size={236} label={`${title}: the ground under the motif`} />
      ) : (
        <div className="motif-ground grid h-[236px] w-[236px] place-items-center rounded border border-base-300">
          <progress className="progress w-24" aria-label={`Working out ${title}`} />
        </div>
      )}
      <div className="relative h-4 rounded bg-base-300" aria-hidden="true">
        <div
          className={`h-4 rounded-l ${share > 1 ? 'bg-error' : share > 0.8 ? 'bg-accent' : 'bg-success'}`}
          style={{ width: `${(share / scale) * 100}%` }}
        />
        <div className="absolute inset-y-[-3px] w-[3px] bg-base-content" style={{ left: `${100 / scale}%` }} />
      </div>
      <p className="leading-snug">
        <strong className={VERDICT_STYLE[verdict.verdict]}>{VERDICT_WORDS[verdict.verdict]}</strong>
        {`, about ${Math.max(5, Math.round((100 * share) / 5) * 5)} % of what it bears`}
        {map && map.most.drift >= 0.05 && (
          <>
            ; drawn in by about <strong>{driftWords(map.most.drift)}</strong>
          </>
        )}
        .
      </p>
      {change && (
        <p className="text-[0.95rem] leading-snug">
          Would do with about {change.fewer} % fewer stitches, drawn {change.larger} % larger, or on a firmer cloth.
        </p>
      )}
      {heavy.length > 0 && zones.length > 1 && (
        <p className="text-[0.95rem] leading-snug">
          Too heavy: {heavy.length === 1 ? 'island' : 'islands'}{' '}
          {heavy
            .slice(0, 6)
            .map(({ number }) => number)
            .join(', ')}
          .
        </p>
      )}
      {tried > 0 && <p className="text-[0.95rem]">Used on it {counted(tried, 'time')} before.</p>}
      {onTake &&
        cautions.slice(0, 1).map((caution) => (
          <p key={caution} className="quiet text-[0.9rem] leading-snug">
            {caution}
          </p>
        ))}
      {onTake && (
        <button type="button" className="btn btn-primary mt-auto" disabled={busy} onClick={onTake}>
          Place it with this
        </button>
      )}
    </li>
  );
}
