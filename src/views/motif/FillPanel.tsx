import { useState } from 'react';
import { hoopedSheet, hoopOutlines, type FilledPlace } from '../../core/hoop';
import { polygonArea } from '../../core/shape';
import { call } from '../../ui/api';
import { SelectField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import { useAsked, useWrite } from '../../ui/query';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { KeptHoop } from '../../store/hoops';
import type { KeptMotif } from '../../store/motifs';

interface Props {
  motif: KeptMotif;
  hoops: KeptHoop[];
}

/** As many badges or patches as a hoop holds, in one hooping. */
export default function FillPanel({ motif, hoops }: Props) {
  const units = useUnits();
  const [hoopId, setHoopId] = useState(() => largest(hoops)?.id ?? '');
  const [margin, setMargin] = useState(6);
  const hoop = hoops.find(({ id }) => id === hoopId);
  const { answer, busy, error } = useAsked<{ places: FilledPlace[] }>(
    hoop && `/api/motifs/${motif.id}/fill?hoop=${hoop.id}&margin=${margin}`,
  );
  const keeping = useWrite(() => call<KeptMotif>('POST', `/api/motifs/${motif.id}/fill`, { hoopId, margin }), {
    onSuccess: ({ id }) => location.assign(`/hoop/motifs/${id}`),
  });
  if (!hoop) return null;
  const places = error ? [] : (answer?.places ?? []);
  const { minX, minY, maxX, maxY } = motif.figures.bounds;
  const [width, height] = [maxX - minX, maxY - minY];
  const lines = hoopOutlines(hoop);
  const [w, h] = [hoop.outerWidth, hoop.outerHeight];
  const path = (outline: readonly (readonly [number, number])[]) => `M${outline.map(([x, y]) => `${x} ${-y}`).join('L')}Z`;
  const sheet = hoopedSheet(hoop);
  return (
    <section className="sheet mt-5 p-4" aria-label="Fill the hoop">
      <h2 className="chalk-heading">Fill the hoop</h2>
      <p className="quiet">Badges and patches, as many as one hooping holds; cut apart afterwards.</p>
      <div className="mt-3 grid items-start gap-5 md:grid-cols-[18rem_1fr]">
        <div className="space-y-3">
          <SelectField
            label="In the hoop"
            value={hoopId}
            options={hoops.map(
              ({ id, name, fieldWidth, fieldHeight }) => [id, `${name}, ${units.size(fieldWidth, fieldHeight)}`] as const,
            )}
            onChange={setHoopId}
          />
          <LengthField label="Between two of them" value={margin} onChange={(mm) => setMargin(Math.min(60, mm))} />
          <p role="status" className="text-lg">
            {error ? (
              <span className="font-semibold text-error">{error.replace(/^motif: /, 'The motif ')}</span>
            ) : busy && places.length === 0 ? (
              'Laying them …'
            ) : (
              <>
                <strong>{counted(places.length, 'copy', 'copies')}</strong>,{' '}
                {units.area((sheet.width * sheet.height) / Math.max(1, places.length))} of sheet each.
              </>
            )}
          </p>
          <button
            type="button"
            className="btn btn-primary w-full"
            disabled={places.length < 2 || keeping.isPending}
            onClick={() => keeping.mutate()}
          >
            {places.length < 2 ? 'There is room for one only' : `Make one motif of the ${places.length}`}
          </button>
          {keeping.error && (
            <p role="alert" className="font-semibold text-error">
              {keeping.error.message}
            </p>
          )}
        </div>
        <svg
          viewBox={`${-w / 2 - 4} ${-h / 2 - 4} ${w + 8} ${h + 8}`}
          className="max-h-80 w-full"
          role="img"
          aria-label={`${counted(places.length, 'copy', 'copies')} in the field of the ${hoop.name.toLowerCase()}`}
        >
          <path d={path(lines.outer)} fill="var(--color-base-300)" stroke="var(--ink)" strokeWidth={1} />
          <path d={path(lines.inner)} fill="var(--color-base-100)" stroke="var(--ink)" strokeWidth={0.6} />
          <path d={path(lines.field)} fill="none" stroke="var(--ink)" strokeWidth={0.8} strokeDasharray="4 3" />
          {places.map(({ x, y, angle }) => (
            <g key={`${x} ${y}`} transform={`translate(${x} ${-y}) rotate(${-angle})`}>
              <rect
                x={-width / 2}
                y={-height / 2}
                width={width}
                height={height}
                rx={1}
                fill="var(--chalk)"
                fillOpacity={0.25}
                stroke="var(--chalk)"
                strokeWidth={0.8}
              />
            </g>
          ))}
        </svg>
      </div>
    </section>
  );
}

function largest(hoops: readonly KeptHoop[]): KeptHoop | undefined {
  return [...hoops].sort((a, b) => polygonArea(hoopOutlines(b).field) - polygonArea(hoopOutlines(a).field))[0];
}
