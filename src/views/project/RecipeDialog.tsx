import { useEffect, useRef } from 'react';
import type { Care } from '../../core/choose';
import { RECIPES, recipeOf, type RecipeField } from '../../core/recipes';
import { piecesSchema } from '../../schemas/projects';
import type { Cloth } from '../../store/cloths';
import { call } from '../../ui/api';
import { CheckField, SelectField, TextField } from '../../ui/form/form-fields';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import LengthField from '../../ui/LengthField';
import { useWrite } from '../../ui/query';
import { counted } from '../../ui/text';
import { fromOf, keyOf, kindOf, pickedOf, startOf, tryRecipe, useLayers, valuesOf, type Typed } from './recipe-form';
import { recipePieces } from './recipe-pieces';
import RecipeCutFrom from './RecipeCutFrom';
import RecipeMade from './RecipeMade';
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
      const recipe = recipeOf(kind, valuesOf(kind, typed.values, pickedOf(typed, cloths, layers)));
      return { pieces: recipePieces(recipe, fromOf(typed, layers), care ?? 'wash-warm') };
    },
  });
  const { form } = of;
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
            <div className="grid grid-cols-2 items-end gap-3">
              {kind.fields.map((each) => (
                <Measure
                  key={keyOf(kind, each.field)}
                  of={each}
                  value={typed.values[keyOf(kind, each.field)] ?? startOf(each, picked)}
                  error={field === each.field ? message : undefined}
                  onChange={(value) => form.setValue('values', { ...form.getValues('values'), [keyOf(kind, each.field)]: value })}
                />
              ))}
            </div>
            <RecipeCutFrom typed={typed} duties={duties} cloths={cloths} layers={layers} onChange={pick} />
          </div>
          {recipe ? (
            <RecipeMade recipe={recipe} />
          ) : (
            <p className="sheet p-5">Once the measures can be sewn, the pieces are drawn here.</p>
          )}
        </div>
        <FormErrors of={of} />
        <div className="sticky -bottom-6 -mb-6 flex flex-wrap gap-3 bg-base-100 py-4">
          <button className="btn btn-primary" disabled={!recipe || adding.isPending}>
            {adding.isPending ? 'Saving …' : recipe ? `Add ${counted(recipe.pieces.length, 'piece')}` : 'Add the pieces'}
          </button>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Not now
          </button>
        </div>
      </form>
    </dialog>
  );
}

interface MeasureProps {
  of: RecipeField;
  value: number | string;
  error: string | undefined;
  onChange: (value: number | string) => void;
}

/** One measure of a recipe. */
function Measure({ of: { words, kind, min }, value, error, onChange }: MeasureProps) {
  if (kind === 'yes')
    return (
      <div className="col-span-2 -my-1.5">
        <CheckField label={words} checked={Number(value) === 1} onChange={(on) => onChange(on ? 1 : 0)} />
      </div>
    );
  if (kind === 'length') return <LengthField label={words} value={Number(value)} min={min} error={error} onChange={onChange} />;
  return <TextField label={words} value={String(value)} error={error} onChange={onChange} />;
}
