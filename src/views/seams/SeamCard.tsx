import { AlertTriangle, Check, Footprints, Ruler, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { CutPiece } from '../../core/workpiece';
import type { Mending } from '../../server/mend-seam';
import type { JudgedSeam } from '../../server/seam-work';
import { useUnits } from '../../ui/units-context';
import MendSeam from './MendSeam';
import SeamSection from './SeamSection';
import SeamWalkPanel from './SeamWalkPanel';

interface Props {
  judged: JudgedSeam;
  cuts: readonly CutPiece[];
  /** What the person's machine clears, mm. */
  clearance: number;
  busy: boolean;
  onMend: (mending: Mending) => void;
  onRemove: () => void;
}

/** One seam: whether it fits, how thick it is, and on demand walked from end to end and mended. */
export default function SeamCard({ judged, cuts, clearance, busy, onMend, onRemove }: Props) {
  const [open, setOpen] = useState<'walk' | 'mend'>();
  const toggle = (which: 'walk' | 'mend') => setOpen(open === which ? undefined : which);
  const cutOf = (id: string) => cuts.find((cut) => cut.id === id);
  const [a, b] = [cutOf(judged.seam.firstCut), cutOf(judged.seam.secondCut)];
  const units = useUnits();
  const { seam, first, second, compared, thicknessKnown, fault } = judged;
  const by = compared ? units.length(Math.abs(compared.difference)) : '';
  const words = compared && {
    fits: 'They fit.',
    ease: `${compared.gives === 'first' ? first.name : second.name} is ${by} longer: ease it in.`,
    stretch: `${compared.gives === 'first' ? first.name : second.name} is ${by} shorter: stretch it as you sew.`,
    misfit: `${by} do not fit.`,
  };
  const good = compared !== null && compared.fit !== 'misfit';
  return (
    <li className="sheet flex flex-wrap items-start gap-4 p-4">
      {compared && thicknessKnown && (
        <SeamSection
          first={first.pile}
          second={second.pile}
          label={`The seam of ${first.name} and ${second.name}, cut through`}
        />
      )}
      <div className="min-w-0 flex-1">
        <h2 className="leading-snug font-bold">
          {first.name} to {second.name}
        </h2>
        {seam.note && <p>{units.said(seam.note)}</p>}
        {fault && <p className="font-semibold text-error">It cannot be compared: {fault}</p>}
        {compared && words && (
          <>
            <p className={`flex items-center gap-2 text-lg font-semibold ${good ? '' : 'text-error'}`}>
              {good ? (
                <Check size={20} className="text-success" aria-hidden="true" />
              ) : (
                <AlertTriangle size={20} aria-hidden="true" />
              )}
              {words[compared.fit]}
            </p>
            <p>
              {units.length(first.length)} and {units.length(second.length)} along the line that is sewn
              {first.times !== second.times && ', on each side of the fold'}.
            </p>
            {thicknessKnown ? (
              <p className={compared.clears ? '' : 'font-semibold text-error'}>
                About {compared.seam.toFixed(1)} mm thick, {compared.corner.toFixed(1)} mm where it is turned; your machine clears{' '}
                {clearance} mm.{!compared.clears && ' Trim the layers out of the seam, or turn it by hand.'}
              </p>
            ) : (
              <p>How thick it is can be told when both pieces have a cloth.</p>
            )}
            <p className="quiet text-[0.92rem]">In it: {[...first.pile, ...second.pile].map(({ name }) => name).join(', ')}.</p>
            <div className="mt-2 flex flex-wrap gap-2">
              {judged.walk && (
                <button type="button" className="btn" aria-expanded={open === 'walk'} onClick={() => toggle('walk')}>
                  <Footprints size={18} aria-hidden="true" /> Walk the seam
                </button>
              )}
              {judged.walk && (
                <button type="button" className="btn" aria-expanded={open === 'mend'} onClick={() => toggle('mend')}>
                  <Ruler size={18} aria-hidden="true" /> Mend it
                </button>
              )}
            </div>
          </>
        )}
      </div>
      <button
        type="button"
        className="btn btn-ghost btn-icon"
        aria-label={`Take out the seam of ${first.name} and ${second.name}`}
        onClick={onRemove}
      >
        <Trash2 size={18} aria-hidden="true" />
      </button>
      {open && judged.walk && a && b && (
        <div className="w-full">
          {open === 'walk' && <SeamWalkPanel judged={judged} first={a} second={b} />}
          {open === 'mend' && <MendSeam judged={judged} busy={busy} onMend={onMend} />}
        </div>
      )}
    </li>
  );
}
