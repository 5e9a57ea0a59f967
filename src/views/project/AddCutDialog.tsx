import { useEffect, useRef } from 'react';
import { DUTIES, DUTY_WORDS } from '../../core/workpiece';
import { useWrite } from '../../ui/query';
import { call } from '../../ui/api';
import FormErrors from '../../ui/form/FormErrors';
import { CheckInput, SelectInput, TextInput } from '../../ui/form/form-fields';
import { readNumber } from '../../ui/form/reading';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { cutSchemaNew } from '../../schemas/projects';
import type { Cloth } from '../../store/cloths';
import type { Cut } from '../../store/cuts';
import type { Piece } from '../../store/pieces';
import { ClothField } from './ClothSelect';
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
  const of = useKeptForm({
    schema: cutSchemaNew,
    start: () => ({
      duty: DUTIES.find((each) => !cuts.some((cut) => cut.duty === each)) ?? ('lining' as const),
      clothId: null as string | null,
      count: String(first?.count ?? 1),
      pairs: first?.pairs ?? false,
    }),
    read: ({ count, ...cut }) => ({
      ...cut,
      count: readNumber('count', count, ''),
      orientation: first?.orientation ?? 'straight',
    }),
  });
  const { field, form } = of;
  useEffect(() => dialog.current?.showModal(), []);
  const adding = useWrite((cut: object) => call<Rows>('POST', `/api/pieces/${piece.id}/cuts`, cut), {
    onSuccess: (added) => {
      onAdded(added);
      dialog.current?.close();
    },
    onError: of.refuse,
  });
  return (
    <dialog ref={dialog} className="modal" aria-label={`Cut ${piece.name} from another cloth`} onClose={onClose}>
      <div className="modal-box max-w-2xl">
        <h2 className="text-xl font-bold">Cut “{piece.name}” from another cloth too</h2>
        <form
          className="mt-4 space-y-4"
          noValidate
          onSubmit={(event) => void form.handleSubmit((cut) => adding.mutate(cut))(event)}
        >
          <div className="grid gap-4 sm:grid-cols-2">
            <SelectInput label="As" {...field('duty')} options={DUTIES.map((each) => [each, DUTY_WORDS[each]] as const)} />
            <ClothField
              label="Cut from"
              id="cut-cloth"
              error={of.error('clothId')}
              value={form.watch('clothId')}
              cloths={cloths}
              onChange={(id) => form.setValue('clothId', id)}
            />
            <TextInput label="How many" inputMode="numeric" {...field('count')} />
            <div className="self-end">
              <CheckInput label="Half of them mirrored (left and right)" {...field('pairs')} />
            </div>
          </div>
          <FormErrors of={of} />
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
