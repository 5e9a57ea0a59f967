import { useEffect, useRef, useState } from 'react';
import { ROLES, ROLE_WORDS, type Role } from '../../core/choose';
import { movedMark } from '../../core/pieces';
import { bounds, drawShape, edgeNames, type DrawnShape, type Outline, type Point } from '../../core/shape';
import { guessedRole, readTypedNames } from '../../core/typed';
import type { FoundPiece, FoundPieces } from '../../formats/drawing';
import { ApiError, call, plainMessage } from '../../ui/api';
import { GivenUp } from '../../ui/beside';
import { isPhoto } from '../../ui/photo/measure-photo';
import PhotoChoice, { PhotoProgress } from '../../ui/photo/PhotoChoice';
import { useTraced, wordsOfPhoto } from '../../ui/photo/use-traced';
import { SelectField } from '../../ui/form/form-fields';
import Field from '../../ui/form/Field';
import LengthField from '../../ui/LengthField';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import { ClothField } from './ClothSelect';
import ImportedPiece, { type Choice } from './ImportedPiece';
import { foundIn } from './traced-pieces';
import type { Rows } from './worked';

interface Props {
  projectId: string;
  cloths: Cloth[];
  /** Cloth of the piece in hand. */
  clothId: string | null;
  onAdded: (added: Rows) => void;
  onClose: () => void;
}

/** Brings the pieces of an SVG or DXF drawing into a project: preview, scale check, and which of them are pieces. */
// Three states of one dialog: a file is chosen, looked through, taken.
// eslint-disable-next-line max-lines-per-function
export default function ImportPieces({ projectId, cloths, clothId: startCloth, onAdded, onClose }: Props) {
  const units = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const [busy, setBusy] = useState<'reading' | 'saving'>();
  const [error, setError] = useState<string>();
  const [file, setFile] = useState('');
  const [found, setFound] = useState<FoundPieces>();
  const [choices, setChoices] = useState<Choice[]>([]);
  /** Several at once, as they are called out. */
  const [names, setNames] = useState('');
  /** What every length is multiplied by. */
  const [scale, setScale] = useState(1);
  const [line, setLine] = useState<'cut' | 'sew'>('cut');
  const [allowance, setAllowance] = useState(10);
  const [role, setRole] = useState<Role | 'named'>('named');
  const [clothId, setClothId] = useState(startCloth);
  useEffect(() => dialog.current?.showModal(), []);

  const traces = useTraced();
  /** Of a photograph: what is not sure of each piece. */
  const [unsure, setUnsure] = useState<string[][]>([]);

  const readAny = async (chosen: readonly File[]): Promise<FoundPieces> => {
    setUnsure([]);
    if (!chosen.every(isPhoto)) {
      traces.clear();
      if (chosen.length > 1) throw new Error('Choose one drawing, or photographs of one table.');
      return readDrawing(chosen[0]!);
    }
    const traced = await traces.trace(chosen);
    setUnsure(traced.pieces.map((piece) => piece.unsure));
    return foundIn(traced);
  };
  const readFiles = async (chosen: readonly File[]) => {
    setBusy('reading');
    setError(undefined);
    setFile(chosen.map(({ name }) => name).join(', '));
    try {
      const answer = await readAny(chosen);
      setFound(answer);
      setScale(1);
      // One picture more of the same table: what was called out stays.
      const called = chosen.length > 1 ? names : '';
      setNames(called);
      const typed = readTypedNames(called);
      setChoices(
        answer.pieces.map(({ name, count, inner }, i) => ({
          ...{ take: true, name: typed[i]?.name || name || `Piece ${i + 1}`, count: typed[i]?.count ?? count },
          ...{ openings: inner > 0, marks: true },
        })),
      );
      if (answer.pieces.length === 0)
        setError(
          chosen.every(isPhoto)
            ? 'Nothing in it stands out from the table as a piece.'
            : 'No closed lines were found in it, so there is nothing that could be a piece.',
        );
    } catch (problem) {
      // A picture that does not belong to the others takes nothing away.
      if (chosen.length === 1) setFound(undefined);
      if (!(problem instanceof GivenUp)) setError(units.said(wordsOfTrouble(problem as Error)));
    } finally {
      setBusy(undefined);
    }
  };
  const set = (i: number, change: Partial<Choice>) =>
    setChoices((all) => all.map((each, k) => (k === i ? { ...each, ...change } : each)));
  const nameAll = (text: string) => {
    setNames(text);
    readTypedNames(text).forEach(({ name, count }, i) => {
      if (name !== '') set(i, { name, ...(count ? { count } : {}) });
    });
  };
  const taken = choices.filter(({ take }) => take).length;
  const save = async () => {
    setBusy('saving');
    setError(undefined);
    try {
      const pieces = found!.pieces.flatMap((piece, i) =>
        choices[i]!.take ? [newPieceOf(piece, choices[i]!, { scale, line, allowance, role, clothId })] : [],
      );
      onAdded(await call<Rows>('POST', `/api/projects/${projectId}/pieces/many`, { pieces }));
    } catch (problem) {
      setError(problem instanceof ApiError ? `${problem.field ?? ''} ${plainMessage(problem)}` : (problem as Error).message);
      setBusy(undefined);
    }
  };
  const widest = found?.pieces.reduce<{ name: string; width: number } | undefined>((best, piece, i) => {
    const width = widthOf(piece.shape);
    return !best || width > best.width ? { name: choices[i]?.name ?? '', width } : best;
  }, undefined);
  const hasSeams = found?.pieces.some(({ allowances }) => allowances.some((mm) => mm > 0)) ?? false;
  return (
    <dialog ref={dialog} className="modal" aria-label="Pieces from a file or a photograph" onClose={onClose}>
      <div className="modal-box max-w-5xl space-y-4">
        <h2 className="text-xl font-bold">Pieces from a file or a photograph</h2>
        <p>
          A drawing in SVG or DXF: closed lines are pieces. Patterns on the apparel layers bring their seams, grain, notches,
          names and quantities along.
        </p>
        <p>
          Or a photograph: lay the pieces flat on a table of another tone, three or more{' '}
          <a className="link" href="/prints">
            printed cards
          </a>{' '}
          round them, and take the picture from above. What is larger than a picture comes from two that show the same two cards.
        </p>
        <PhotoChoice
          words={found ? 'Another file' : 'Choose the file'}
          accept=".svg,.dxf,image/svg+xml,image/vnd.dxf,image/png,image/jpeg"
          sample={{ name: 'pieces', words: 'Try a made-up photograph' }}
          busy={busy !== undefined}
          marker={traces.marker}
          onMarker={(mm) => {
            // What was measured by a card of another size is as much larger or smaller.
            if (traces.photos.length > 0) setScale((scale * mm) / traces.marker);
            traces.setMarker(mm);
          }}
          photos={traces.photos}
          onFiles={(chosen) => void readFiles(chosen)}
          onError={setError}
        />
        {busy === 'reading' &&
          (traces.progress ? (
            <PhotoProgress {...traces.progress} />
          ) : (
            <p role="status">
              Reading {file} … <progress className="progress w-40 progress-primary" aria-label="Reading the file" />
            </p>
          ))}
        {error && (
          <p role="alert" className="font-semibold text-error">
            {error}
          </p>
        )}
        {found && found.warnings.length > 0 && (
          <ul className="list-disc pl-6">
            {found.warnings.map(({ code, message, count }) => (
              <li key={code}>
                {units.said(message)}
                {count > 1 ? ` (${count} times)` : ''}
              </li>
            ))}
          </ul>
        )}
        {found && found.pieces.length > 0 && (
          <>
            <section className="sheet p-4" aria-label="Scale">
              <h3 className="chalk-heading">Is the size right?</h3>
              <p className={found.unit.said ? '' : 'font-semibold'}>
                Units: {found.unit.words}
                {found.unit.said ? '.' : '. Measure one piece and correct it here.'}
              </p>
              {widest && (
                <div className="mt-2 max-w-xs">
                  <LengthField
                    label={`“${widest.name}” is this wide`}
                    value={Math.round(widest.width * scale * 10) / 10}
                    min={1}
                    onChange={(mm) => setScale(mm / widest.width)}
                  />
                </div>
              )}
            </section>
            <div className="grid items-end gap-4 sm:grid-cols-2 lg:grid-cols-4">
              <SelectField
                label="The lines are"
                value={line}
                options={[
                  ['cut', 'where it is cut'],
                  ['sew', 'where it is sewn'],
                ]}
                onChange={setLine}
              />
              <LengthField
                label={hasSeams ? 'Seam allowance, if none is drawn' : 'Seam allowance'}
                value={allowance}
                onChange={setAllowance}
              />
              <SelectField
                label="They are"
                value={role}
                options={[['named', 'as their names say'], ...ROLES.map((each) => [each, ROLE_WORDS[each]] as const)]}
                onChange={setRole}
              />
              <ClothField label="Cut from" id="import-cloth" value={clothId} cloths={cloths} onChange={setClothId} />
            </div>
            <Field
              label={found.pieces.length > 1 ? 'Their names, one after the other' : 'Its name'}
              id="import-names"
              error={
                readTypedNames(names).length > found.pieces.length
                  ? `These are ${readTypedNames(names).length} names for ${counted(found.pieces.length, 'piece')}.`
                  : undefined
              }
              hint="By the numbers below, with commas between, such as: 2 collars, cuff, welt."
            >
              <input id="import-names" className="input" value={names} onChange={(event) => nameAll(event.target.value)} />
            </Field>
            <ul className="grid gap-3 md:grid-cols-2">
              {found.pieces.map((piece, i) => {
                const { width, height } = sizeOf(piece.shape);
                return (
                  <ImportedPiece
                    key={i}
                    piece={piece}
                    number={i + 1}
                    choice={choices[i]!}
                    size={units.size(width * scale, height * scale)}
                    unsure={unsure[i] ?? []}
                    onChange={(change) => set(i, change)}
                  />
                );
              })}
            </ul>
          </>
        )}
        <div className="sticky -bottom-6 -mb-6 flex flex-wrap gap-3 bg-base-100 py-4">
          {found && found.pieces.length > 0 && (
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy !== undefined || taken === 0 || choices.some(({ take, name }) => take && name.trim() === '')}
              onClick={() => void save()}
            >
              {busy === 'saving' ? 'Saving …' : `Bring in ${counted(taken, 'piece')}`}
            </button>
          )}
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Not now
          </button>
        </div>
      </div>
    </dialog>
  );
}

/** Reads a drawing on the server. @throws {ApiError} */
async function readDrawing(chosen: File): Promise<FoundPieces> {
  const response = await fetch(`/api/outlines?name=${encodeURIComponent(chosen.name)}`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: chosen,
  });
  const answer = (await response.json()) as FoundPieces & { error?: { message: string } };
  if (!response.ok) throw new ApiError(answer.error?.message ?? 'The file could not be read.', response.status, null);
  return answer;
}

const wordsOfTrouble = (problem: Error) => wordsOfPhoto(problem).replace(/^file: /, 'The file ');

function sizeOf({ edges }: DrawnShape): { width: number; height: number } {
  const { minX, minY, maxX, maxY } = bounds(drawShape({ kind: 'drawn', edges }).outline);
  return { width: maxX - minX, height: maxY - minY };
}

function widthOf(shape: DrawnShape): number {
  return sizeOf(shape).width;
}

interface Common {
  scale: number;
  line: 'cut' | 'sew';
  allowance: number;
  role: Role | 'named';
  clothId: string | null;
}

/** A piece of the file as a part of the project. */
function newPieceOf(piece: FoundPiece, choice: Choice, { scale, line, allowance, role, clothId }: Common) {
  const at = ([x, y]: Point): Point => [x * scale, y * scale];
  const all = (outline: Outline): Outline => outline.map(at);
  const shape: DrawnShape = {
    kind: 'drawn',
    edges: piece.shape.edges.map(({ from, curve, via }) => ({
      from: at(from),
      ...(curve ? { curve: [at(curve[0]), at(curve[1])] as [Point, Point] } : {}),
      ...(via ? { via: all(via) } : {}),
    })),
    ...(choice.openings && piece.shape.holes ? { holes: piece.shape.holes.map(all) } : {}),
  };
  const drawnSeams = piece.allowances.some((mm) => mm > 0);
  const allowances = edgeNames(shape).map((_, i) => {
    if (i === piece.fold) return 0;
    return drawnSeams ? (piece.allowances[i] ?? 0) * scale : i < shape.edges.length ? allowance : 0;
  });
  return {
    name: choice.name.trim(),
    shape,
    line: piece.line === 'sew' ? 'sew' : line,
    allowances,
    fold: piece.fold,
    grain: choice.marks ? piece.grain : 0,
    marks: (choice.marks ? piece.marks : []).map((mark) => ({
      ...movedMark(mark, at),
      ...(mark.width ? { width: mark.width * scale } : {}),
    })),
    cuts: [
      {
        clothId,
        count: choice.count,
        orientation: 'straight',
        jobs: [
          {
            place: { kind: 'usual' },
            wish: { role: role === 'named' ? guessedRole(choice.name) : role, stretch: 'any', care: 'wash-warm' },
          },
        ],
      },
    ],
  };
}
