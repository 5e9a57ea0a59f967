import { useEffect, useRef, useState } from 'react';
import { DUTIES, DUTY_WORDS, type Duty } from '../../core/workpiece';
import { call, plainMessage, type ApiError } from '../../ui/api';
import Field from '../../ui/Field';
import { CheckField, SelectField } from '../../ui/form-fields';
import type { Cloth } from '../../store/cloths';
import type { Cut } from '../../store/cuts';
import type { Piece } from '../../store/pieces';
import ClothSelect from './ClothSelect';
import type { Rows } from './worked';

interface Props {
  piece: Piece;
  /** Cuts that the piece has already; the first is followed. */
  cuts: Cut[];
  cloths: Cloth[];
  onAdded: (added: Rows) => void;
  onClose: () => void;
}

/** The same piece cut from another cloth: lining, base, underlining. */
export default function AddCutDialog({ piece, cuts, cloths, onAdded, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const first = cuts[0];
  const [duty, setDuty] = useState<Duty>(DUTIES.find((each) => !cuts.some((cut) => cut.duty === each)) ?? 'lining');
  const [clothId, setClothId] = useState<string | null>(null);
  const [count, setCount] = useState(first?.count ?? 1);
  const [pairs, setPairs] = useState(first?.pairs ?? false);
  const [error, setError] = useState<string>();
  useEffect(() => dialog.current?.showModal(), []);
  const save = async () => {
    setError(undefined);
    try {
      const body = { duty, clothId, count, pairs, orientation: first?.orientation ?? 'straight' };
      onAdded(await call<Rows>('POST', `/api/pieces/${piece.id}/cuts`, body));
      dialog.current?.close();
    } catch (problem) {
      setError(plainMessage(problem as ApiError));
    }
  };
  return (
    <dialog ref={dialog} className="modal" aria-label={`Cut ${piece.name} from another cloth`} onClose={onClose}>
      <div className="modal-box max-w-2xl">
        <h2 className="text-xl font-bold">Cut “{piece.name}” from another cloth too</h2>
        <form
          className="mt-4 space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <div className="grid gap-4 sm:grid-cols-2">
            <SelectField
              label="As"
              value={duty}
              options={DUTIES.map((each) => [each, DUTY_WORDS[each]] as const)}
              onChange={setDuty}
            />
            <Field label="Cut from" id="cut-cloth">
              <ClothSelect id="cut-cloth" value={clothId} cloths={cloths} none="not said yet" onChange={setClothId} />
            </Field>
            <Field label="How many" id="cut-count">
              <input
                id="cut-count"
                type="number"
                className="input"
                min={1}
                max={1000}
                value={count}
                onChange={(event) => setCount(Number(event.target.value))}
              />
            </Field>
            <div className="self-end">
              <CheckField label="Half of them mirrored (left and right)" checked={pairs} onChange={setPairs} />
            </div>
          </div>
          {error && (
            <p role="alert" className="font-semibold text-error">
              {error}
            </p>
          )}
          <div className="flex gap-3">
            <button className="btn btn-primary">Cut it so too</button>
            <button type="button" className="btn" onClick={() => dialog.current?.close()}>
              Not now
            </button>
          </div>
        </form>
      </div>
    </dialog>
  );
}
