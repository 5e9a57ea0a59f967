import { useEffect, useRef, useState } from 'react';
import type { StitchedArea, Stitching } from '../../core/motif';
import { useWrite } from '../../ui/query';
import { bounds, drawShape, type Outline, type Point } from '../../core/shape';
import type { FoundPieces } from '../../formats/drawing';
import { ApiError, call } from '../../ui/api';
import { InputError } from '../../core/input-error';
import { outlineMotifSchema } from '../../schemas/hoop';
import FormErrors from '../../ui/form/FormErrors';
import { CheckInput, SelectInput, TextInput } from '../../ui/form/form-fields';
import { readNumber } from '../../ui/form/reading';
import { useKeptForm } from '../../ui/form/use-kept-form';
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

interface Typed {
  areas: Area[];
  name: string;
  /** Width of the whole, mm. */
  size: number;
  spacing: number;
  stitchLength: number;
  satinWidth: number;
  angle: string;
}

/** The areas that are taken, in their size and place about the middle, with how each is stitched. @throws {InputError} naming the field */
function stitchedMotif({ areas, name, size, spacing, stitchLength, satinWidth, angle }: Typed): {
  name: string;
  areas: StitchedArea[];
} {
  if (name.trim() === '') throw new InputError('name', 'Give the motif a name.');
  const box = bounds(areas.flatMap(({ outlines }) => outlines.flat()));
  const scale = size / Math.max(1, box.maxX - box.minX);
  const put = (outline: Outline): Outline =>
    outline.map(([x, y]): Point => [(x - (box.minX + box.maxX) / 2) * scale, (y - (box.minY + box.maxY) / 2) * scale]);
  const rows = readNumber('angle', angle, 'degrees');
  const stitching = (kind: Area['kind']): Stitching =>
    kind === 'fill'
      ? { kind, spacing, stitchLength, angle: rows }
      : kind === 'satin'
        ? { kind, spacing, width: satinWidth }
        : { kind, stitchLength: Math.min(3, stitchLength) };
  return {
    name: name.trim(),
    areas: areas
      .filter(({ take }) => take)
      .map((area) => ({ outlines: area.outlines.map(put), stitching: stitching(area.kind), newColour: area.newColour })),
  };
}

/** Makes a motif of the outlines of an SVG drawing where there is no stitch file: how dense each is sewn is said by hand. */
export default function OutlineMotif({ onClose }: { onClose: () => void }) {
  const units = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const of = useKeptForm<Typed>({
    schema: outlineMotifSchema,
    start: () => ({ areas: [], name: '', size: 80, spacing: 0.4, stitchLength: 3.5, satinWidth: 3, angle: '0' }),
    read: stitchedMotif,
  });
  const { field, form } = of;
  const { areas, size } = form.watch();
  const [reading, setReading] = useState(false);
  const [error, setError] = useState<string>();
  useEffect(() => dialog.current?.showModal(), []);
  const box = areas.length > 0 ? bounds(areas.flatMap(({ outlines }) => outlines.flat())) : undefined;
  const scale = box ? size / Math.max(1, box.maxX - box.minX) : 1;

  const readFile = async (file: File) => {
    setReading(true);
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
      const all = bounds(read.flatMap(({ outlines }) => outlines.flat()));
      form.reset({
        ...form.getValues(),
        areas: read,
        name: file.name.replace(/\.[^.]*$/, ''),
        size: Math.round(all.maxX - all.minX),
      });
    } catch (problem) {
      setError((problem as Error).message.replace(/^file: /, 'The file '));
    } finally {
      setReading(false);
    }
  };
  const making = useWrite((motif: object) => call<KeptMotif>('POST', '/api/motifs/outlines', motif), {
    onSuccess: ({ id }) => location.assign(`/hoop/motifs/${id}`),
    onError: of.refuse,
  });
  /** A length of the stitching. */
  const lengthOf = (name: 'size' | 'spacing' | 'stitchLength' | 'satinWidth') => ({
    value: form.getValues(name),
    onChange: (mm: number) => form.setValue(name, mm),
  });
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
          onFiles={([file]) => void readFile(file!)}
        />
        {error && (
          <p role="alert" className="font-semibold text-error">
            {error}
          </p>
        )}
        {areas.length > 0 && (
          <>
            <div className="grid gap-4 sm:grid-cols-3">
              <TextInput label="Name" {...field('name')} />
              <LengthField label="Width of the motif" min={5} {...lengthOf('size')} />
              <TextInput label="Rows lie at, degrees" {...field('angle')} />
              <LengthField label="Between rows" min={0.2} {...lengthOf('spacing')} hint="0.4 mm is a usual fill" />
              <LengthField label="Stitch length" min={0.5} {...lengthOf('stitchLength')} />
              <LengthField label="Width of satin" min={0.5} {...lengthOf('satinWidth')} />
            </div>
            <ul className="space-y-2">
              {areas.map((area, i) => (
                <li key={i} className="sheet flex flex-wrap items-center gap-4 p-3">
                  <OutlineThumb outlines={area.outlines} size={64} label={area.name} />
                  <CheckInput label={`Sew ${area.name}`} {...form.register(`areas.${i}.take`)} />
                  <div className="w-56">
                    <SelectInput label="As" {...form.register(`areas.${i}.kind`)} options={Object.entries(KIND_WORDS)} />
                  </div>
                  {i > 0 && <CheckInput label="In another colour" {...form.register(`areas.${i}.newColour`)} />}
                </li>
              ))}
            </ul>
            <FormErrors of={of} />
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
            disabled={reading || making.isPending || !areas.some(({ take }) => take)}
            onClick={() => void form.handleSubmit((motif) => making.mutate(motif))()}
          >
            Make the motif
          </button>
        </div>
      </div>
    </dialog>
  );
}
