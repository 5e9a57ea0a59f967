import { useEffect, useRef } from 'react';
import type { Care } from '../../core/choose';
import { RECIPES, recipeOf } from '../../core/recipes';
import { piecesSchema } from '../../schemas/projects';
import type { Cloth } from '../../store/cloths';
import { call } from '../../ui/api';
import { SelectField } from '../../ui/form/form-fields';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { useWrite } from '../../ui/query';
import { fromOf, keyOf, kindOf, pickedOf, tryRecipe, useLayers, valuesOf, type Typed } from './recipe-form';
import { recipePieces } from './recipe-pieces';
import RecipeCutFrom from './RecipeCutFrom';
import RecipeFooter from './RecipeFooter';
import RecipeMade from './RecipeMade';
import RecipeMeasures, { useFaults } from './RecipeMeasures';
import type { Rows } from './worked';

interface Props {
  projectId: string;
  cloths: Cloth[];
  /** Cloth of the piece in hand. */
  clothId: string | null;
  /** Care of the whole project, where it is said. */
  care: Care | null;
  onAdded: (added: Rows) => void;
  onClose: () => void;
}

/** The measure that tells how thick what is picked is. */
const THICKNESS = { clothId: 'shell', liningId: 'lining', baseId: 'base', interliningId: 'interlining' } as const;

/** Shapes that have a recipe: measures in, pieces drawn as they come, and all of them put to the project at once. */
export default function RecipeDialog({ projectId, cloths, clothId, care, onAdded, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const layers = useLayers();
  const of = useKeptForm<Typed>({
    key: `recipe of ${projectId}`,
    schema: piecesSchema,
    start: () => ({
      ...{ recipe: RECIPES[0]!.id, values: {}, liningId: null, baseId: '', interliningId: '' },
      clothId,
    }),
    read: (typed) => {
      const kind = kindOf(typed.recipe);
      const measures = valuesOf(kind, typed.values, pickedOf(typed, cloths, layers));
      const recipe = recipeOf(kind, measures);
      // The recipe stays with its pieces: its measures can be changed later.
      const by = { kind: kind.id, measures };
      return { pieces: recipePieces(recipe, fromOf(typed, layers), care ?? 'wash-warm'), recipe: by };
    },
  });
  const { form } = of;
  const [isFaulty, onFault] = useFaults();
  const typed = form.watch();
  const kind = kindOf(typed.recipe);
  const picked = pickedOf(typed, cloths, layers);
  const { recipe, field, message } = tryRecipe(kind, typed.values, picked);
  const adding = useWrite((body: object) => call<Rows>('POST', `/api/projects/${projectId}/pieces/many`, body), {
    onSuccess: (added) => {
      of.forget();
      onAdded(added);
    },
    onError: of.refuse,
  });
  /** Another cloth or layer has another thickness: what was typed for the one before is not its own. */
  const pick = (what: keyof typeof THICKNESS, id: string | null) => {
    form.setValue(what, id as string);
    const { [keyOf(kind, THICKNESS[what])]: _before, ...values } = form.getValues('values');
    form.setValue('values', values);
  };
  const duties = new Set(recipe?.pieces.flatMap(({ cuts }) => cuts.map(({ duty }) => duty)) ?? []);
  return (
    <dialog ref={dialog} className="modal" aria-label="Pieces by a recipe" onClose={onClose}>
      <form
        className="modal-box max-w-6xl space-y-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((body) => adding.mutate(body))(event)}
      >
        <h2 className="text-xl font-bold">Pieces by a recipe</h2>
        <div className="grid items-start gap-5 lg:grid-cols-[21rem_1fr]">
          <div className="space-y-3">
            <SelectField
              label="What is made"
              value={typed.recipe}
              hint={kind.words}
              options={RECIPES.map(({ id, name }) => [id, name] as const)}
              onChange={(to) => form.setValue('recipe', to)}
            />
            <RecipeMeasures
              {...{ kind, picked, field, message, onFault }}
              values={typed.values}
              onChange={(values) => form.setValue('values', values)}
            />
            <RecipeCutFrom typed={typed} duties={duties} cloths={cloths} layers={layers} onChange={pick} />
          </div>
          <RecipeMade recipe={recipe} />
        </div>
        <FormErrors of={of} />
        <RecipeFooter recipe={recipe} faulty={isFaulty(kind)} saving={adding.isPending} onLeave={() => dialog.current?.close()} />
      </form>
    </dialog>
  );
}
