import { useState } from 'react';
import type { CutPiece } from '../../core/workpiece';
import { useRemoval } from '../../ui/use-removal';
import type { LengthSystem } from '../../core/units';
import { call, plainMessage, type ApiError } from '../../ui/api';
import { UnitsProvider } from '../../ui/units-context';
import type { JudgedSeam } from '../../server/seam-work';
import EdgePicker from './EdgePicker';
import SeamCard from './SeamCard';
import { useMending } from './use-mending';

interface Props {
  project: { id: string; name: string };
  cuts: CutPiece[];
  start: JudgedSeam[];
  units: LengthSystem;
  /** What the person's machine clears, mm. */
  clearance: number;
}

/** Which edge is sewn to which: whether they fit, and how thick they are there. */
export default function SeamsView(props: Props) {
  return (
    <UnitsProvider value={props.units}>
      <View {...props} />
    </UnitsProvider>
  );
}

function View({ project, cuts: startCuts, start, clearance }: Props) {
  const { list, setList, cuts, mend, busy } = useMending(start, startCuts);
  const [sides, setSides] = useState({ firstCut: '', firstEdges: [] as number[], secondCut: '', secondEdges: [] as number[] });
  const [error, setError] = useState<string>();
  const add = async () => {
    setError(undefined);
    try {
      const added = await call<JudgedSeam>('POST', `/api/projects/${project.id}/seams`, sides);
      setList((all) => [...all, added]);
      setSides({ ...sides, firstEdges: [], secondCut: '', secondEdges: [] });
    } catch (problem) {
      setError(plainMessage(problem as ApiError));
    }
  };
  const remove = useRemoval<JudgedSeam>({
    address: ({ seam }) => `/api/seams/${seam.id}`,
    gone: () => 'The seam is taken out.',
    failed: () => 'The seam could not be taken out',
    drop: ({ seam: { id } }) => setList((all) => all.filter(({ seam }) => seam.id !== id)),
    put: (back) => setList((all) => [...all, back]),
  });
  const ready = sides.firstEdges.length > 0 && sides.secondEdges.length > 0;
  return (
    <>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href={`/projects/${project.id}`}>
          {project.name}
        </a>{' '}
        · seams
      </p>
      <h1 className="text-2xl font-bold">Seams</h1>
      <div className="mt-3 grid items-start gap-5 xl:grid-cols-[1fr_24rem]">
        <ul className="space-y-3">
          {list.length === 0 && (
            <li className="sheet p-5">No seam is named yet. Say which edge is sewn to which, and both are compared here.</li>
          )}
          {list.map((each) => (
            <SeamCard
              key={each.seam.id}
              judged={each}
              cuts={cuts}
              clearance={clearance}
              busy={busy}
              onMend={(mending) => void mend(each, mending)}
              onRemove={() => remove(each)}
            />
          ))}
        </ul>
        <section className="sheet space-y-4 p-4" aria-label="Another seam">
          <h2 className="chalk-heading">Another seam</h2>
          {cuts.length === 0 ? (
            <p>Describe the pieces first.</p>
          ) : (
            <>
              <EdgePicker
                label="Sew"
                cuts={cuts}
                cutId={sides.firstCut}
                edges={sides.firstEdges}
                onCut={(firstCut) => setSides({ ...sides, firstCut, firstEdges: [] })}
                onEdges={(firstEdges) => setSides({ ...sides, firstEdges })}
              />
              <EdgePicker
                label="to"
                cuts={cuts}
                cutId={sides.secondCut}
                edges={sides.secondEdges}
                onCut={(secondCut) => setSides({ ...sides, secondCut, secondEdges: [] })}
                onEdges={(secondEdges) => setSides({ ...sides, secondEdges })}
              />
              {error && (
                <p role="alert" className="font-semibold text-error">
                  {error}
                </p>
              )}
              <button type="button" className="btn btn-primary w-full" disabled={!ready} onClick={() => void add()}>
                Compare them
              </button>
            </>
          )}
        </section>
      </div>
    </>
  );
}
