import { Pencil, Plus, Printer, Shapes, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { rowsIn, useNamedRemoval } from '../../ui/use-removal';
import { hoopOutlines } from '../../core/hoop';
import { ApiError } from '../../ui/api';
import FilePicker from '../../ui/FilePicker';
import MotifThumb from '../../ui/motif/MotifThumb';
import { counted } from '../../ui/text';
import { UnitsProvider, useUnits } from '../../ui/units-context';
import type { Hooping } from '../../store/hoopings';
import type { KeptHoop } from '../../store/hoops';
import type { KeptMotif } from '../../store/motifs';
import type { Settings } from '../../store/settings';
import HoopForm, { HoopSketch } from './HoopForm';
import OutlineMotif from './OutlineMotif';

interface Props {
  hoopings: Hooping[];
  motifs: KeptMotif[];
  hoops: KeptHoop[];
  clothNames: Record<string, string>;
  /** The job of a project for which a motif is looked for. */
  work: { id: string; projectId: string; name: string } | null;
  settings: Settings;
}

/** What is embroidered: hoopings under way, motifs, hoops. */
export default function HoopView(props: Props) {
  return (
    <UnitsProvider value={props.settings.units}>
      <Hoop {...props} />
    </UnitsProvider>
  );
}

function Hoop({ hoopings: startHoopings, motifs: startMotifs, hoops: startHoops, clothNames, work }: Props) {
  const units = useUnits();
  const [hoopings, setHoopings] = useState(startHoopings);
  const [motifs, setMotifs] = useState(startMotifs);
  const [hoops, setHoops] = useState(startHoops);
  const removeHooping = useNamedRemoval('/api/hoopings', rowsIn(setHoopings));
  const removeMotif = useNamedRemoval('/api/motifs', rowsIn(setMotifs));
  const removeHoop = useNamedRemoval('/api/hoops', rowsIn(setHoops));
  const [editing, setEditing] = useState<KeptHoop | 'new'>();
  const [drawing, setDrawing] = useState(false);
  const [reading, setReading] = useState<string>();
  const [error, setError] = useState<string>();
  const forWork = work ? `?job=${work.id}` : '';

  const readFile = async (file: File) => {
    setReading(file.name);
    setError(undefined);
    try {
      const answer = await fetch(`/api/motifs?name=${encodeURIComponent(file.name)}`, {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      const kept = (await answer.json()) as KeptMotif & { warnings: string[]; error?: { message: string } };
      if (!answer.ok) throw new ApiError(kept.error?.message ?? 'The file could not be read.', answer.status, null);
      location.assign(`/hoop/motifs/${kept.id}${forWork}`);
    } catch (problem) {
      setError((problem as Error).message.replace(/^file: /, `“${file.name}” `));
      setReading(undefined);
    }
  };
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">Hoop</h1>
        <a className="btn" href="/api/hoop-chart.pdf" download>
          <Printer size={18} aria-hidden="true" /> Chart of my cloths
        </a>
      </div>

      {work && (
        <p className="sheet mt-3 border-l-8 border-l-accent p-4">
          For <strong>{work.name}</strong>: open a motif below, or add one.{' '}
          <a
            className="font-semibold text-primary underline underline-offset-4"
            href={`/projects/${work.projectId}?job=${work.id}&stage=choose`}
          >
            Back to the project
          </a>
        </p>
      )}
      <section className="mt-4" aria-labelledby="under-way">
        <h2 id="under-way" className="chalk-heading">
          Under way
        </h2>
        {!hoopings.some(({ jobId }) => !work || jobId === work.id) ? (
          <p className="quiet mt-1">Nothing yet. Open a motif below, see what it asks of your cloth, and place it.</p>
        ) : (
          <ul className="mt-2 grid gap-3 sm:grid-cols-2 xl:grid-cols-4">
            {hoopings
              .filter(({ jobId }) => !work || jobId === work.id)
              .map((hooping) => {
                const motif = motifs.find(({ id }) => id === hooping.motifId);
                return (
                  <li key={hooping.id} className="sheet flex items-stretch">
                    <a href={`/hoop/jobs/${hooping.id}`} className="flex min-w-0 flex-1 gap-3 p-3 hover:bg-base-300/40">
                      {motif && <MotifThumb motif={motif} size={76} />}
                      <span className="min-w-0">
                        <span className="block leading-snug font-semibold text-primary">{hooping.name}</span>
                        <span className="quiet block text-[0.95rem] leading-snug">{clothNames[hooping.clothId] ?? ''}</span>
                        <span className="mt-1 block text-[0.95rem] font-semibold">{stageWords(hooping)}</span>
                      </span>
                    </a>
                    <DeleteButton name={hooping.name} onClick={() => removeHooping(hooping)} />
                  </li>
                );
              })}
          </ul>
        )}
      </section>

      <section className="mt-6" aria-labelledby="motifs">
        <div className="flex flex-wrap items-center gap-3">
          <h2 id="motifs" className="chalk-heading mr-auto">
            Motifs
          </h2>
          <FilePicker words="Add a stitch file" accept=".dst,.csv,text/csv" primary onFiles={([file]) => void readFile(file!)} />
          <button type="button" className="btn" onClick={() => setDrawing(true)}>
            <Shapes size={18} aria-hidden="true" /> From an SVG outline
          </button>
        </div>
        {reading && (
          <p role="status" className="mt-2">
            Reading {reading} … <progress className="progress w-40 progress-primary" aria-label="Reading the file" />
          </p>
        )}
        {error && (
          <p role="alert" className="mt-2 font-semibold text-error">
            {error}
          </p>
        )}
        {motifs.length === 0 ? (
          <p className="quiet mt-1">Add a stitch file from your machine or digitiser, or load the demo in the settings.</p>
        ) : (
          <ul className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {motifs.map((motif) => {
              const { bounds, stitches, colours } = motif.figures;
              return (
                <li key={motif.id} className="sheet flex items-stretch">
                  <a href={`/hoop/motifs/${motif.id}${forWork}`} className="flex min-w-0 flex-1 gap-3 p-3 hover:bg-base-300/40">
                    <MotifThumb motif={motif} size={104} />
                    <span className="min-w-0">
                      <span className="block leading-snug font-semibold text-primary">{motif.name}</span>
                      <span className="block text-[0.95rem]">
                        {units.size(bounds.maxX - bounds.minX, bounds.maxY - bounds.minY)}
                      </span>
                      <span className="block text-[0.95rem]">
                        {stitches.toLocaleString('en')} stitches, {counted(colours.length, 'colour')}
                      </span>
                      <span className="quiet block text-[0.9rem] leading-snug">{motif.note}</span>
                    </span>
                  </a>
                  <DeleteButton name={motif.name} onClick={() => removeMotif(motif)} />
                </li>
              );
            })}
          </ul>
        )}
      </section>

      <section className="mt-6" aria-labelledby="hoops">
        <div className="flex flex-wrap items-center gap-3">
          <h2 id="hoops" className="chalk-heading mr-auto">
            My hoops
          </h2>
          <button type="button" className="btn" onClick={() => setEditing('new')}>
            <Plus size={18} aria-hidden="true" /> Add a hoop
          </button>
        </div>
        {hoops.length === 0 ? (
          <p className="quiet mt-1">Measure each of your hoops once: the field, the outside, and how wide the ring is.</p>
        ) : (
          <ul className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {hoops.map((hoop) => (
              <li key={hoop.id} className="sheet flex items-center gap-3 p-3">
                <HoopSketch lines={hoopOutlines(hoop)} size={84} />
                <div className="min-w-0 flex-1">
                  <p className="leading-snug font-semibold">{hoop.name}</p>
                  <p className="text-[0.95rem]">field {units.size(hoop.fieldWidth, hoop.fieldHeight)}</p>
                  <p className="quiet text-[0.95rem]">
                    outside {units.size(hoop.outerWidth, hoop.outerHeight)}, clamp {units.length(hoop.clamp)}
                  </p>
                </div>
                <div className="flex flex-col gap-1">
                  <button
                    type="button"
                    className="btn btn-icon"
                    aria-label={`Edit ${hoop.name}`}
                    onClick={() => setEditing(hoop)}
                  >
                    <Pencil size={18} aria-hidden="true" />
                  </button>
                  <a
                    className="btn btn-icon"
                    href={`/api/hoops/${hoop.id}/gauge.pdf`}
                    download
                    aria-label={`Print the gauge of ${hoop.name}`}
                  >
                    <Printer size={18} aria-hidden="true" />
                  </a>
                  <DeleteButton name={hoop.name} onClick={() => removeHoop(hoop)} />
                </div>
              </li>
            ))}
          </ul>
        )}
      </section>
      {editing && (
        <HoopForm
          hoop={editing === 'new' ? undefined : editing}
          onSaved={(saved) =>
            setHoops((all) => [...all.filter(({ id }) => id !== saved.id), saved].sort((a, b) => a.name.localeCompare(b.name)))
          }
          onClose={() => setEditing(undefined)}
        />
      )}
      {drawing && <OutlineMotif onClose={() => setDrawing(false)} />}
    </>
  );
}

/** How far a hooping has come. */
function stageWords({ result, run, hoopPlace, stack, prepared, count }: Hooping): string {
  if (result) return result.washed ? 'Filed, and looked at after the wash' : 'Filed';
  if (run?.done && run.pieces >= count) return 'Sewn: check it';
  if (run) return count > 1 ? `Sewing, ${run.pieces} of ${count} done` : 'Sewing';
  if (hoopPlace && stack) return prepared.some(({ ticks }) => ticks.length > 0) ? 'Being prepared' : 'Placed';
  return 'To be placed';
}

function DeleteButton({ name, onClick }: { name: string; onClick: () => void }) {
  return (
    <button type="button" className="btn btn-icon btn-ghost m-1" aria-label={`Delete ${name}`} onClick={onClick}>
      <Trash2 size={18} aria-hidden="true" />
    </button>
  );
}
