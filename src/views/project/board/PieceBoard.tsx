import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useUnits } from '../../../ui/units-context';
import { CheckSquare, SquareStack } from 'lucide-react';
import { ROLE_WORDS, ROLES, type Care, type Role } from '../../../core/choose';
import { capital } from '../../../core/letters';
import { edgeNames } from '../../../core/shape';
import type { Material } from '../../../core/layers';
import { CheckField, SelectField } from '../../../ui/form/form-fields';
import { counted } from '../../../ui/text';
import type { Cut } from '../../../store/cuts';
import type { Piece } from '../../../store/pieces';
import { STAGE_WORDS, type ProjectData, type Stage } from '../types';
import type { Rows, Worked } from '../worked';
import BoardDrawing from './BoardDrawing';
import {
  boardCuts,
  cornersOf,
  cornerWords,
  nameOnBoard,
  placesOf,
  sameTouch,
  touchWords,
  type BoardCut,
  type Touched,
} from './board-cuts';

interface Props {
  rows: Rows;
  works: readonly Worked[];
  data: Pick<ProjectData, 'cloths' | 'settings'>;
  layers: readonly Material[];
  log: ProjectData['log'];
  scraps: ProjectData['scraps'];
  /** Care of the whole project, where it is said. */
  care: Care | null;
  onGo: (stage: Stage, id: string) => void;
  /** Adds jobs to a cut. @returns those that are kept */
  onJobs: (on: Cut, bodies: readonly object[], words: string) => Promise<readonly { id: string }[]>;
  /** Something is to be made from the edges of a piece. */
  onEdges: (piece: Piece) => void;
}

/** What is usually done where somebody touches. */
const USUAL: Record<Touched['on'], Role> = { piece: 'collar', edge: 'hem', corner: 'inner-corner' };

/** The project as its work: its pieces laid out, what is done where, what waits; touched pieces, edges and corners are told what is done there. */
export default function PieceBoard({ rows, works, data, layers, log, scraps, care, onGo, onJobs, onEdges }: Props) {
  const { cloths, settings } = data;
  const cuts = useMemo(
    () => boardCuts({ rows, works, cloths, layers, log, scraps, trim: settings.trim }),
    [rows, works, cloths, layers, log, scraps, settings.trim],
  );
  const [everTouched, setTouched] = useState<Touched[]>([]);
  // A piece may be deleted while it is touched.
  const there = (all: readonly Touched[]) => all.filter(({ cutId }) => cuts.some(({ cut }) => cut.id === cutId));
  const touched = there(everTouched);
  /** What is touched is marked at once; what is told of it may come a moment later. */
  const told = there(useDeferredValue(everTouched));
  const [several, setSeveral] = useState(false);
  const [byName, setByName] = useState(false);
  const touch = (on: Touched, more: boolean) =>
    setTouched((was) => {
      const others = was.filter((each) => !sameTouch(each, on));
      if (others.length < was.length) return others;
      return several || more ? [...was, on] : [on];
    });
  const all = cuts.flatMap(({ jobs }) => jobs);
  const open = all.filter(({ next }) => next !== null);
  return (
    <div className="space-y-4">
      <section className="sheet p-4" aria-label="The pieces laid out">
        <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
          <p className="flex-1">
            {counted(rows.pieces.length, 'piece')}, {counted(all.length, 'job')}
            {all.length > 0 && (open.length === 0 ? ', all of them done' : `, ${open.length} open`)}.{' '}
            <span className="quiet">Touch a piece, an edge or a corner.</span>
          </p>
          <button
            type="button"
            className={`btn ${several ? 'btn-primary' : ''}`}
            aria-pressed={several}
            onClick={() => setSeveral(!several)}
          >
            {several ? <CheckSquare size={18} aria-hidden="true" /> : <SquareStack size={18} aria-hidden="true" />} Touch several
          </button>
        </div>
        <BoardDrawing cuts={cuts} touched={touched} onTouch={touch} />
      </section>
      {told.length > 0 && (
        <TouchedPanel
          {...{ cuts, touched: told, care, byName, setByName, onGo, onEdges }}
          onTouch={touch}
          onAdd={async (role, chosenCare) => {
            const bodies = new Map<Cut, object[]>();
            for (const each of cuts) {
              const { cut } = each;
              const places = placesOf(
                told.filter(({ cutId }) => cutId === cut.id),
                each,
              );
              const had = rows.jobs.filter(({ cutId }) => cutId === cut.id).length;
              if (places.length > 0)
                bodies.set(
                  cut,
                  places.map((place, i) => ({
                    name: had + i > 0 ? `${ROLE_WORDS[role]}${places.length > 1 ? ` ${i + 1}` : ''}` : '',
                    ...{ place, wish: { role, stretch: 'any', care: chosenCare } },
                  })),
                );
            }
            const added: { id: string }[] = [];
            for (const [cut, jobs] of bodies) added.push(...(await onJobs(cut, jobs, `${capital(ROLE_WORDS[role])} added.`)));
            // What could not be added says so; it is touched still.
            if (added.length < [...bodies.values()].flat().length) return;
            setTouched([]);
            if (added.length === 1) onGo('choose', added[0]!.id);
          }}
        />
      )}
    </div>
  );
}

interface PanelProps {
  cuts: readonly BoardCut[];
  touched: readonly Touched[];
  care: Care | null;
  /** Edges and corners stand there by their names. */
  byName: boolean;
  setByName: (open: boolean) => void;
  onGo: Props['onGo'];
  onEdges: Props['onEdges'];
  onTouch: (on: Touched, more: boolean) => void;
  onAdd: (role: Role, care: Care) => Promise<void>;
}

/** What is done to what was touched, and what else shall be. */
function TouchedPanel({ cuts, touched, care, byName, setByName, onGo, onEdges, onTouch, onAdd }: PanelProps) {
  const ofCuts = cuts.filter(({ cut }) => touched.some(({ cutId }) => cutId === cut.id));
  const jobs = ofCuts.flatMap((each) => each.jobs.map((job) => ({ ...job, of: each })));
  const last = touched.at(-1)!;
  const [chosen, setRole] = useState<Role>();
  const role = chosen ?? (last.on === 'piece' ? (jobs[0]?.work.wish.role ?? USUAL.piece) : USUAL[last.on]);
  const [adding, setAdding] = useState(false);
  const panel = useRef<HTMLElement>(null);
  // It comes into sight under the pieces, which stay in sight.
  useEffect(() => {
    // Some browsers answer with a promise, which is no way to end an effect.
    void panel.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const only = ofCuts.length === 1 ? ofCuts[0]! : undefined;
  const words = touched.map((each) =>
    touchWords(
      each,
      ofCuts.find(({ cut }) => cut.id === each.cutId)!,
      touched.length > 1,
    ),
  );
  const many = placesCount(ofCuts, touched);
  const edges = touched.flatMap((each) => (each.on === 'edge' ? [each.edge] : []));
  const paper = useUnits().system === 'inch' ? 'letter' : 'a4';
  return (
    <section ref={panel} className="sheet space-y-3 p-4" aria-label="What was touched">
      <h2 className="text-lg font-bold">{capital(words.join(' · '))}</h2>
      {jobs.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {jobs.map(({ work, next, of }) => (
            <li key={work.id}>
              <button
                type="button"
                className="btn h-auto! min-h-14 px-4 py-2! text-left leading-snug"
                onClick={() => onGo(next ?? 'file', work.id)}
              >
                <span>
                  {ofCuts.length > 1 ? `${nameOnBoard(of)}: ` : ''}
                  {capital(work.job.name || ROLE_WORDS[work.wish.role])}
                  <span className="quiet block text-[0.88rem] font-normal">
                    {work.stack ? work.stack.title : 'no layers yet'} · {next ? `next: ${STAGE_WORDS[next]}` : 'done'}
                  </span>
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="grid items-end gap-3 sm:grid-cols-[minmax(0,18rem)_auto_auto]">
        <SelectField
          label="What is done there: it is a"
          value={role}
          options={ROLES.map((each) => [each, ROLE_WORDS[each]] as const)}
          onChange={setRole}
        />
        <button
          type="button"
          className="btn btn-primary"
          disabled={adding}
          onClick={() => {
            setAdding(true);
            void onAdd(role, jobs[0]?.work.wish.care ?? care ?? 'wash-warm').finally(() => setAdding(false));
          }}
        >
          {many === 1 ? 'Add this job' : `Add ${many} jobs`}
        </button>
        {only && (
          <span className="flex flex-wrap gap-3">
            <button type="button" className="btn" onClick={() => onGo('pieces', only.jobs[0]?.work.id ?? only.cut.id)}>
              Its measures
            </button>
            <button type="button" className="btn" onClick={() => onEdges(only.piece)}>
              From its edges
            </button>
            {edges.length > 0 && (
              <a className="btn" href={`/api/cuts/${only.cut.id}/tape.pdf?edges=${edges.join()}&paper=${paper}`}>
                As a paper tape
              </a>
            )}
          </span>
        )}
      </div>
      {only && namedPlaces(only).length > 0 && (
        <details open={byName} onToggle={({ currentTarget }) => setByName(currentTarget.open)}>
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold">Its edges and corners by name</summary>
          <div className="flex flex-wrap gap-x-4">
            {namedPlaces(only).map(([name, on]) => (
              <CheckField
                key={name}
                small
                label={name}
                checked={touched.some((each) => sameTouch(each, on))}
                onChange={() => onTouch(on, touched.at(-1)?.on === on.on)}
              />
            ))}
          </div>
        </details>
      )}
    </section>
  );
}

/** With more of them than this edges and corners are touched in the drawing alone. */
const MOST_NAMED = 8;

/** Edges and corners of a cut that can be touched by name. */
function namedPlaces(of: BoardCut): [string, Touched][] {
  const { cut, piece, open } = of;
  const names = edgeNames(piece.shape);
  const edges = [...new Set(open.edges)].sort((a, b) => a - b);
  if (edges.length > MOST_NAMED) return [];
  return [
    ...edges.map((edge): [string, Touched] => [names[edge]!, { cutId: cut.id, on: 'edge', edge }]),
    ...cornersOf(open).map(({ sewn }): [string, Touched] => [cornerWords(of, sewn), { cutId: cut.id, on: 'corner', at: sewn }]),
  ];
}

const placesCount = (cuts: readonly BoardCut[], touched: readonly Touched[]): number =>
  cuts.reduce(
    (sum, each) =>
      sum +
      placesOf(
        touched.filter(({ cutId }) => cutId === each.cut.id),
        each,
      ).length,
    0,
  );
