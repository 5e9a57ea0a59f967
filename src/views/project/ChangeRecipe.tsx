import { useEffect, useRef, useState } from 'react';
import { recipeChangeSchema } from '../../schemas/recipes';
import type { ChangedRecipe, ShownRecipe } from '../../server/recipe-work';
import { call } from '../../ui/api';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { useWrite } from '../../ui/query';
import { edgeKindOf, keyOf, kindOf, tryEdgeRecipe, tryRecipe, valuesOf, type Typed } from './recipe-form';
import RecipeMade from './RecipeMade';
import RecipeMeasures, { useFaults } from './RecipeMeasures';

interface Props {
  recipe: ShownRecipe;
  onClose: () => void;
}

/** All measures are said: nothing follows from what is picked to cut from. */
const NOTHING_PICKED = { thickness: {} };

/** The page shows the pieces as they are now. */
const showAnew = () => location.assign('?stage=pieces');

/** Measures of a recipe that was used, changed: its pieces follow, and what could not is told. */
export default function ChangeRecipe({ recipe: kept, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const kind = kept.of ? edgeKindOf(kept.kind) : kindOf(kept.kind);
  const of = useKeptForm<Pick<Typed, 'values'>>({
    key: `recipe ${kept.id} ${kept.version}`,
    schema: recipeChangeSchema,
    start: () => ({
      values: Object.fromEntries(Object.entries(kept.measures).map(([field, value]) => [keyOf(kind, field), value])),
    }),
    read: ({ values }) => ({ measures: valuesOf(kind, values, NOTHING_PICKED), version: kept.version }),
  });
  const { form } = of;
  const [isFaulty, onFault] = useFaults();
  const { values } = form.watch();
  const { recipe, field, message } = kept.of
    ? tryEdgeRecipe(edgeKindOf(kept.kind), kept.of, values)
    : tryRecipe(kindOf(kept.kind), values, NOTHING_PICKED);
  const [told, setTold] = useState<string[]>();
  const changing = useWrite((body: object) => call<ChangedRecipe>('PUT', `/api/recipes/${kept.id}`, body), {
    onSuccess: ({ words }) => {
      of.forget();
      if (words.length === 0) showAnew();
      else setTold(words);
    },
    onError: of.refuse,
  });
  return (
    <dialog ref={dialog} className="modal" aria-label={`Measures: ${kept.name}`} onClose={told ? showAnew : onClose}>
      <form
        className="modal-box max-w-6xl space-y-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((body) => changing.mutate(body))(event)}
      >
        <h2 className="text-xl font-bold">{kept.name}: change the measures</h2>
        {told ? (
          <>
            <p>The pieces have followed. What is not as it was:</p>
            <ul className="list-disc space-y-1 pl-6">
              {told.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
            <button type="button" className="btn btn-primary" onClick={showAnew}>
              See the pieces
            </button>
          </>
        ) : (
          <>
            <p>The pieces follow. Names, marks, allowances and layers of your own stay where they still fit.</p>
            <div className="grid items-start gap-5 lg:grid-cols-[21rem_1fr]">
              <RecipeMeasures
                {...{ kind, values, field, message, onFault }}
                picked={NOTHING_PICKED}
                onChange={(next) => form.setValue('values', next, { shouldDirty: true })}
              />
              <RecipeMade recipe={recipe} />
            </div>
            {/* What is no measure, such as edges that are gone, is told here. */}
            {message && !kind.fields.some((each) => each.field === field) && (
              <p role="alert" className="font-semibold text-error">
                {kept.of ? `The edges ${message}.` : message}
              </p>
            )}
            <FormErrors of={of} />
            <div className="sticky -bottom-6 -mb-6 flex flex-wrap gap-3 bg-base-100 py-4">
              <button className="btn btn-primary" disabled={!recipe || isFaulty(kind) || changing.isPending}>
                {changing.isPending ? 'Changing …' : 'Change the pieces'}
              </button>
              <button type="button" className="btn" onClick={() => dialog.current?.close()}>
                Leave them
              </button>
            </div>
          </>
        )}
      </form>
    </dialog>
  );
}
