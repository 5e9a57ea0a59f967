import { startTransition, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { questionFor, type Choice, type RankedStack } from '../../core/choose';
import { fetched } from '../../ui/fetched';
import { useAsked } from '../../ui/query';
import { clothThickness, fabricLike, fabricOf, type Fabric } from '../../core/cloth';
import type { Schools } from '../../core/schools';
import { UnitsProvider } from '../../ui/units-context';
import type { LengthSystem } from '../../core/units';
import AnswerDetail from './AnswerDetail';
import AnswerList from './AnswerList';
import { groupAnswers } from './answers';
import { useBought } from './use-bought';
import Hints from './Hints';
import MarkedStacks from './MarkedStacks';
import MeasureNext from './MeasureNext';
import MoreWishes from './MoreWishes';
import RuledOut from './RuledOut';
import Sentence from './Sentence';
import { likeName } from './like-words';
import AskDialog from '../../ui/AskDialog';
import { useTakeBack, type FromJob } from './use-take-back';
import { useRefused } from './use-refused';
import { askedWith, partOf, toQuery, type SentenceState } from './sentence-state';

/** What only opens when it is asked for is only fetched then. */
const Compare = fetched(() => import('./Compare'));
const HangSimulator = fetched(() => import('../../ui/HangSimulator'));
const TakeToProject = fetched(() => import('./TakeToProject'));

/** A seam is drawn so wide as long as no piece says otherwise, mm. */
const SEAM_DRAWN = 10;

interface Props {
  units: LengthSystem;
  currency: string;
  /** The person's ways of working. */
  ways: Partial<Schools>;
  cloths: (Fabric & { id: string; name: string; own: boolean; measured: string[] })[];
  start: SentenceState;
  /** The job of a project that somebody came from. */
  from: FromJob | null;
  /** How far the person trims layers, mm. */
  trim: number;
  /** The answer to `start`, worked out on the server so that it stands there from the first paint. */
  startChoice: Choice;
}

/** Of a cloth that is only described. */
const NOTHING_MEASURED: readonly string[] = [];

/** The front door: the question as a sentence, the answers below it. */
export default function ChooseView({ units, currency, ways, cloths, from, trim, start, startChoice }: Props) {
  const [state, setState] = useState(start);
  const [openId, setOpenId] = useState<string>();
  const [taking, setTaking] = useState(false);
  const [hanging, setHanging] = useState(false);
  const [compared, setCompared] = useState<string[]>([]);
  const [comparing, setComparing] = useState(false);
  const detail = useRef<HTMLDivElement>(null);
  const cloth = cloths.find(({ id }) => id === state.clothId) ?? cloths[0]!;

  const fabric = useMemo(() => fabricLike(fabricOf(cloth), state.like), [cloth, state.like]);
  const differs = Object.keys(state.like).length > 0;
  const clothName = differs ? likeName(cloth) : cloth.name;
  const part = partOf(state);
  // The person's ways of working hold for a cloth that is not in the cupboard too.
  const asked = askedWith({ ...state, clothId: cloth.id, schools: differs ? { ...ways, ...state.schools } : state.schools });
  const { answer, error: fault } = useAsked<Choice>(
    '/api/choose',
    { fabric, part, limit: 60, ...asked },
    { start: startChoice, partly: true },
  );
  const choice = answer ?? startChoice;
  const opened = useRef(state);
  useEffect(() => {
    if (opened.current === state) return;
    opened.current = state;
    const query = new URLSearchParams(toQuery(state).slice(1));
    if (from) query.set('job', from.jobId);
    history.replaceState(null, '', query.size > 0 ? `/?${query}` : '/');
  }, [state, from]);
  // Another answer is opened at its best; when the rest of the first one comes, what is open stays open.
  const [seen, setSeen] = useState(choice);
  if (seen !== choice) {
    setSeen(choice);
    if (seen !== startChoice) setOpenId(undefined);
  }
  const back = useTakeBack(from, differs ? '' : cloth.id, part, state.schools);
  const { find, setFind, shown } = useRefused({ fabric, part, ...asked }, choice);
  const comparedStacks = compared
    .map((id) => choice.ranked.find((stack) => stack.id === id))
    .filter((stack): stack is RankedStack => stack !== undefined);
  const toggleCompared = (stack: RankedStack) =>
    setCompared((all) => (all.includes(stack.id) ? all.filter((id) => id !== stack.id) : [...all, stack.id].slice(-4)));
  const groups = useMemo(() => groupAnswers(choice.ranked), [choice]);
  const open = choice.ranked.find(({ id }) => id === openId) ?? choice.ranked[0];
  const openLayerIds = useMemo(() => open?.layers.map(({ materialId }) => materialId) ?? [], [open]);
  const group = groups.find(({ best, others }) => best === open || others.includes(open!));
  const step = (by: number) => {
    const at = groups.findIndex((g) => g === group);
    const next = groups[Math.max(0, Math.min(groups.length - 1, at + by))];
    if (next) {
      setOpenId(next.best.id);
      document.querySelector<HTMLElement>(`[data-answer="${groups.indexOf(next)}"]`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  /** Opens an answer; where the list fills the screen, goes down to it. */
  const show = (stack: RankedStack) => {
    setOpenId(stack.id);
    if (!matchMedia('(min-width: 64rem)').matches) detail.current?.scrollIntoView({ behavior: 'smooth' });
  };
  useHotkeys('j', () => step(1));
  useHotkeys('k', () => step(-1));
  useHotkeys('p', () => open && setTaking(true), { preventDefault: true });

  const change = (changes: Partial<SentenceState>) => setState((was) => ({ ...was, ...changes }));

  const { bought, linesOf } = useBought({
    jobId: back && from?.jobId,
    groups,
    open,
    schools: state.schools,
    trim,
    system: units,
  });

  return (
    <UnitsProvider value={units}>
      {back?.asked && (
        <AskDialog
          title={`Another stack for “${back.name}”?`}
          words={back.asked.lost}
          yes="Take it all the same"
          onYes={back.asked.yes}
          onClose={back.asked.no}
        />
      )}
      <Sentence
        state={state}
        cloths={cloths}
        usualHand={questionFor(fabric, { role: state.role, cut: state.cut, stretch: state.stretch, care: state.care }).hand}
        onChange={change}
      >
        <MoreWishes
          cloth={cloth}
          state={state}
          ways={ways}
          criteria={choice.ranked[0]?.criteria.map(({ id }) => id) ?? []}
          onChange={change}
        />
      </Sentence>
      <Hints choice={choice} fabric={fabric} state={state} onChange={change} />
      <div aria-live="polite" className="sr-only">
        {open ? `Best answer: ${open.title}` : 'No answer fits'}
      </div>
      {fault && (
        <p role="alert" className="alert alert-error mt-3">
          {fault}
        </p>
      )}
      {open && group ? (
        <div className="mt-3 grid items-start gap-5 lg:grid-cols-[minmax(22rem,5fr)_7fr]">
          <div className="space-y-3">
            {comparedStacks.length > 0 && (
              <MarkedStacks count={comparedStacks.length} onNone={() => setCompared([])} onCompare={() => setComparing(true)} />
            )}
            <AnswerList
              groups={groups}
              choice={choice}
              openId={open.id}
              currency={currency}
              compared={compared}
              bought={bought}
              onOpen={show}
              onCompare={toggleCompared}
            />
            {/* After the answers: the question was what to put behind it. */}
            {choice.bare.words && <p className="border-l-4 border-accent pl-3">{choice.bare.words}</p>}
          </div>
          <div ref={detail} className="space-y-3">
            <MeasureNext
              fabric={fabric}
              part={part}
              asked={asked}
              measured={differs ? NOTHING_MEASURED : cloth.measured}
              benchPath={differs ? undefined : `/cupboard/cloths/${cloth.id}`}
            />
            <AnswerDetail
              stack={open}
              siblings={[group.best, ...group.others].filter((sibling) => sibling !== open)}
              choice={choice}
              clothName={clothName}
              clothThickness={clothThickness(fabric).value}
              onOpen={(stack) => setOpenId(stack.id)}
              back={back}
              onTake={() => startTransition(() => setTaking(true))}
              onHang={() => setHanging(true)}
              onCompare={() => toggleCompared(open)}
              fabric={fabric}
              part={part}
              opaque={state.opaque}
              seam={{ allowance: SEAM_DRAWN, trim }}
              asked={asked}
              currency={currency}
              compared={compared.includes(open.id)}
              bought={bought}
              lines={linesOf(open)}
            />
          </div>
        </div>
      ) : (
        <div className="sheet mt-4 p-6">
          <h2 className="chalk-heading">Nothing fits all of that</h2>
          <p className="mt-1">
            Every layer breaks a rule that would harm the cloth or the work. The reasons are below; most often one wish too many
            is ticked under “Without”, or the stretch and the care pull in different directions.
          </p>
        </div>
      )}
      <RuledOut ranked={choice.ranked} choice={shown} find={find} onFind={setFind} />
      <Suspense>
        {taking && open && (
          <TakeToProject
            stack={open}
            clothId={cloth.id}
            newCloth={differs ? { ...fabric, name: clothName } : undefined}
            wish={{ ...part }}
            schools={state.schools}
            size={choice.piece}
            onClose={() => setTaking(false)}
          />
        )}
        {hanging && open && (
          <HangSimulator
            fabric={fabric}
            clothName={clothName}
            stackTitle={open.title}
            role={state.role}
            layerIds={openLayerIds}
            expected={open.predicted.bendingLength}
            onClose={() => setHanging(false)}
          />
        )}
        {comparing && (
          <Compare
            stacks={comparedStacks}
            choice={choice}
            currency={currency}
            bought={bought}
            onDrop={toggleCompared}
            onOpen={show}
            onClose={() => setComparing(false)}
          />
        )}
      </Suspense>
    </UnitsProvider>
  );
}
