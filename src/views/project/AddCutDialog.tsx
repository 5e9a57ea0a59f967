import { useEffect, useRef, useState } from 'react';
import type { Care } from '../../core/choose';
import { LINING_PLEAT, liningOwn, LINING_SHORTER } from '../../core/lining';
import { edgeNames } from '../../core/shape';
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
import { useUnits } from '../../ui/units-context';
import { ClothField } from './ClothSelect';
import LiningAdvice from './LiningAdvice';
import type { Rows } from './worked';

interface Props {
  piece: Piece;
  /** Cuts that the piece has already; the first is followed. */
  cuts: Cut[];
  cloths: Cloth[];
  /** Care of the whole project, or of what is done to the piece. */
  care: Care;
  onAdded: (added: Rows) => void;
  onClose: () => void;
}

/** An edge as it is chosen; none where nothing is. */
const edgeOf = (text: string): number | null => (text === '' ? null : Number(text));

/** The same piece cut from another cloth: lining, base, underlining. */
export default function AddCutDialog({ piece, cuts, cloths, care, onAdded, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const first = cuts[0];
  const of = useKeptForm({
    schema: cutSchemaNew,
    start: () => ({
      duty: DUTIES.find((each) => !cuts.some((cut) => cut.duty === each)) ?? ('lining' as const),
      clothId: null as string | null,
      count: String(first?.count ?? 1),
      pairs: first?.pairs ?? false,
      /** Edge at which it hangs free, as a text; none where it is caught all round. */
      hem: '',
      /** Edge along which it has a pleat for ease. */
      pleat: '',
    }),
    read: ({ count, hem, pleat, ...cut }) => ({
      ...cut,
      ...(cut.duty === 'lining' ? { own: liningOwn(piece, edgeOf(hem), pleat === hem ? null : edgeOf(pleat)) } : {}),
      count: readNumber('count', count, ''),
      orientation: first?.orientation ?? 'straight',
    }),
  });
  const { field, form } = of;
  const units = useUnits();
  const [hangs, setHangs] = useState(false);
  const lined = form.watch('duty') === 'lining';
  const hem = form.watch('hem');
  const narrow = hem !== '' && piece.allowances[Number(hem)]! < LINING_SHORTER ? piece.allowances[Number(hem)]! : undefined;
  const outer = cloths.find(({ id }) => id === first?.clothId);
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
          {lined && outer && (
            <LiningAdvice
              outer={outer}
              care={care}
              hangs={hangs}
              onHangs={(next) => {
                setHangs(next);
                form.setValue('pleat', next && piece.fold !== null ? `${piece.fold}` : '');
                if (!next) form.setValue('hem', '');
              }}
              chosen={form.watch('clothId')}
              onChoose={(id) => form.setValue('clothId', id)}
            />
          )}
          {lined && outer && hangs && (
            <SelectInput
              label="Free at"
              hint={
                narrow === undefined
                  ? `Cut ${units.length(LINING_SHORTER)} shorter there.`
                  : `The pattern has an allowance of ${units.length(narrow)} there: it is cut without one and ends ${units.length(narrow)} higher. For ${units.length(LINING_SHORTER)} give the piece a deeper hem.`
              }
              {...field('hem')}
              options={[
                ['', 'as the pattern, nowhere shorter'],
                ...edgeNames(piece.shape).flatMap((words, i): [string, string][] => (i === piece.fold ? [] : [[`${i}`, words]])),
              ]}
            />
          )}
          {lined && outer && hangs && (
            <SelectInput
              label="A pleat to move in, at"
              hint={`It is cut ${units.length(LINING_PLEAT)} wider there on each half. Stitch along the pattern’s own line for the upper ${units.length(50)}, and press the rest to one side.`}
              {...field('pleat')}
              options={[['', 'no pleat'], ...edgeNames(piece.shape).flatMap((words, i): [string, string][] => (`${i}` === hem ? [] : [[`${i}`, i === piece.fold ? `the fold (${words})` : words]]))]} // prettier-ignore
            />
          )}
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
