import { useEffect, useRef, useState } from 'react';
import type { StitchedArea, Stitching } from '../../core/motif';
import { bounds, drawShape, type Outline, type Point } from '../../core/shape';
import type { FoundPieces } from '../../formats/drawing';
import { ApiError, call } from '../../ui/api';
import { CheckField, SelectField, TextField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import OutlineThumb from '../../ui/OutlineThumb';
import FilePicker from '../../ui/FilePicker';
import { useUnits } from '../../ui/units-context';
import type { KeptMotif } from '../../store/motifs';

interface Area {
  name: string;
  outlines: Outline[];
  take: boolean;
  kind: Stitching['kind'];
  newColour: boolean;
}

const KIND_WORDS = { fill: 'filled with rows', satin: 'satin along the line', running: 'a running line' } as const;

/** Makes a motif of the outlines of an SVG drawing where there is no stitch file: how dense each is sewn is said by hand. */
export default function OutlineMotif({ onClose }: { onClose: () => void }) {
  const units = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const [areas, setAreas] = useState<Area[]>([]);
  const [name, setName] = useState('');
  const [size, setSize] = useState(80);
  const [spacing, setSpacing] = useState(0.4);
  const [stitchLength, setStitchLength] = useState(3.5);
  const [satinWidth, setSatinWidth] = useState(3);
  const [angle, setAngle] = useState('0');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  useEffect(() => dialog.current?.showModal(), []);
  const box = areas.length > 0 ? bounds(areas.flatMap(({ outlines }) => outlines.flat())) : undefined;
  const scale = box ? size / Math.max(1, box.maxX - box.minX) : 1;

  const readFile = async (file: File) => {
    setBusy(true);
    setError(undefined);
    try {
      const answer = await fetch('/api/outlines', {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      const found = (await answer.json()) as FoundPieces & { error?: { message: string } };
      if (!answer.ok) throw new ApiError(found.error?.message ?? 'The file could not be read.', answer.status, null);
      if (found.pieces.length === 0) throw new ApiError('file: holds no closed lines, so there is nothing to fill.', 400, 'file');
      const read = found.pieces.map(({ name: own, shape }, i): Area => {
        const drawn = drawShape(shape);
        return {
          name: own || `Area ${i + 1}`,
          outlines: [drawn.outline, ...(shape.kind === 'drawn' ? (shape.holes ?? []) : [])],
          take: true,
          kind: 'fill',
          newColour: i > 0,
        };
      });
      setAreas(read);
      setName(file.name.replace(/\.[^.]*$/, ''));
      const all = bounds(read.flatMap(({ outlines }) => outlines.flat()));
      setSize(Math.round(all.maxX - all.minX));
    } catch (problem) {
      setError((problem as Error).message.replace(/^file: /, 'The file '));
    } finally {
      setBusy(false);
    }
  };
  const save = async () => {
    setBusy(true);
    setError(undefined);
    const put = (outline: Outline): Outline =>
      outline.map(([x, y]): Point => [(x - (box!.minX + box!.maxX) / 2) * scale, (y - (box!.minY + box!.maxY) / 2) * scale]);
    const stitching = (kind: Area['kind']): Stitching =>
      kind === 'fill'
        ? { kind, spacing, stitchLength, angle: Number(angle.replace(',', '.')) }
        : kind === 'satin'
          ? { kind, spacing, width: satinWidth }
          : { kind, stitchLength: Math.min(3, stitchLength) };
    const body: { name: string; areas: StitchedArea[] } = {
      name: name.trim(),
      areas: areas
        .filter(({ take }) => take)
        .map((area) => ({ outlines: area.outlines.map(put), stitching: stitching(area.kind), newColour: area.newColour })),
    };
    try {
      const kept = await call<KeptMotif>('POST', '/api/motifs/outlines', body);
      location.assign(`/hoop/motifs/${kept.id}`);
    } catch (problem) {
      setError((problem as Error).message);
      setBusy(false);
    }
  };
  const set = (i: number, change: Partial<Area>) =>
    setAreas((all) => all.map((each, k) => (k === i ? { ...each, ...change } : each)));
  return (
    <dialog ref={dialog} className="modal" aria-label="A motif from outlines" onClose={onClose}>
      <div className="modal-box max-w-4xl space-y-4">
        <h2 className="text-xl font-bold">A motif from outlines</h2>
        <p>
          Closed lines of an SVG drawing are filled with stitches, so that the load can be judged before there is a stitch file.
          It stands in for a digitiser’s work; it does not replace it.
        </p>
        <FilePicker
          words={areas.length > 0 ? 'Another drawing' : 'Choose the drawing'}
          accept=".svg,image/svg+xml"
          onFile={(file) => void readFile(file)}
        />
        {error && (
          <p role="alert" className="font-semibold text-error">
            {error}
          </p>
        )}
        {areas.length > 0 && (
          <>
            <div className="grid gap-4 sm:grid-cols-3">
              <TextField label="Name" value={name} onChange={setName} />
              <LengthField label="Width of the motif" value={size} min={5} onChange={setSize} />
              <TextField label="Rows lie at, degrees" value={angle} onChange={setAngle} />
              <LengthField label="Between rows" value={spacing} min={0.2} onChange={setSpacing} hint="0.4 mm is a usual fill" />
              <LengthField label="Stitch length" value={stitchLength} min={0.5} onChange={setStitchLength} />
              <LengthField label="Width of satin" value={satinWidth} min={0.5} onChange={setSatinWidth} />
            </div>
            <ul className="space-y-2">
              {areas.map((area, i) => (
                <li key={i} className="sheet flex flex-wrap items-center gap-4 p-3">
                  <OutlineThumb outlines={area.outlines} size={64} label={area.name} />
                  <CheckField label={`Sew ${area.name}`} checked={area.take} onChange={(take) => set(i, { take })} />
                  <div className="w-56">
                    <SelectField
                      label="As"
                      value={area.kind}
                      options={(Object.keys(KIND_WORDS) as Area['kind'][]).map((kind) => [kind, KIND_WORDS[kind]] as const)}
                      onChange={(kind) => set(i, { kind })}
                    />
                  </div>
                  {i > 0 && (
                    <CheckField
                      label="In another colour"
                      checked={area.newColour}
                      onChange={(newColour) => set(i, { newColour })}
                    />
                  )}
                </li>
              ))}
            </ul>
            <p className="quiet">{box && `It will be ${units.size(size, (box.maxY - box.minY) * scale)}.`}</p>
          </>
        )}
        <div className="modal-action">
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Leave it
          </button>
          <button
            type="button"
            className="btn btn-primary"
            disabled={busy || name.trim() === '' || !areas.some(({ take }) => take)}
            onClick={() => void save()}
          >
            Make the motif
          </button>
        </div>
      </div>
    </dialog>
  );
}
