import { useEffect, useRef } from 'react';
import type { Care } from '../../core/choose';
import { grainLine, openPiece } from '../../core/pieces';
import { EDGE_RECIPES, edgeRecipeOf, type EdgeSource } from '../../core/recipes';
import { edgeNames } from '../../core/shape';
import { piecesSchema } from '../../schemas/projects';
import type { Cloth } from '../../store/cloths';
import type { Cut } from '../../store/cuts';
import type { Piece } from '../../store/pieces';
import { call } from '../../ui/api';
import { CheckField, SelectField } from '../../ui/form/form-fields';
import FormErrors from '../../ui/form/FormErrors';
import { useKeptForm } from '../../ui/form/use-kept-form';
import PieceDrawing from '../../ui/piece/PieceDrawing';
import { useWrite } from '../../ui/query';
import Field from '../../ui/form/Field';
import ClothSelect from './ClothSelect';
import { edgeKindOf, tryEdgeRecipe, valuesOf, type Typed as RecipeTyped } from './recipe-form';
import { recipePieces } from './recipe-pieces';
import RecipeFooter from './RecipeFooter';
import RecipeMade from './RecipeMade';
import RecipeMeasures, { useFaults } from './RecipeMeasures';
import type { Rows } from './worked';

interface Props {
  projectId: string;
  piece: Piece;
  /** Its cut from the outer cloth, or its first. */
  cut: Cut | undefined;
  cloths: Cloth[];
  /** Care of the whole project, where it is said. */
  care: Care | null;
  onAdded: (added: Rows) => void;
  onClose: () => void;
}

interface Typed extends Pick<RecipeTyped, 'values'> {
  kind: string;
  edges: number[];
  clothId: string | null;
  liningId: string | null;
}

/** With more edges than this they are touched in the drawing alone. */
const MOST_LISTED = 8;
/** Nothing of its measures follows from what it is cut from. */
const NOTHING_PICKED = { thickness: {} };

/** Edges of a piece are touched, and what is made from them comes with its outline, allowances, seam and job. */
export default function FromEdgeDialog({ projectId, piece, cut, cloths, care, onAdded, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const { name, shape, line, allowances, fold, grain, marks } = piece;
  const sourceWith = (edges: number[]): EdgeSource => ({
    ...{ name, edges, spec: { shape, line, allowances, own: cut?.own ?? null, fold, grain, marks } },
    ...{ count: cut?.count ?? 1, pairs: cut?.pairs ?? false, orientation: cut?.orientation ?? 'straight' },
  });
  const of = useKeptForm<Typed>({
    key: `from the edges of ${piece.id} ${piece.version}`,
    schema: piecesSchema,
    start: () => ({ kind: EDGE_RECIPES[0]!.id, edges: [], values: {}, clothId: cut?.clothId ?? null, liningId: null }),
    read: ({ kind: id, edges, values, clothId, liningId }) => {
      const kind = edgeKindOf(id);
      const measures = valuesOf(kind, values);
      const recipe = edgeRecipeOf(kind, sourceWith(edges), measures);
      return {
        pieces: recipePieces(recipe, { cloths: { shell: clothId, lining: liningId }, layers: {} }, care ?? 'wash-warm'),
        recipe: { kind: kind.id, measures, source: { pieceId: piece.id, edges } },
      };
    },
  });
  const { form } = of;
  const [isFaulty, onFault] = useFaults();
  const typed = form.watch();
  const kind = edgeKindOf(typed.kind);
  const { recipe, field, message } = typed.edges.length === 0 ? {} : tryEdgeRecipe(kind, sourceWith(typed.edges), typed.values);
  const adding = useWrite((body: object) => call<Rows>('POST', `/api/projects/${projectId}/pieces/many`, body), {
    onSuccess: (added) => {
      of.forget();
      onAdded(added);
    },
    onError: of.refuse,
  });
  const names = edgeNames(shape);
  const toggle = (edge: number) =>
    edge !== fold &&
    form.setValue('edges', typed.edges.includes(edge) ? typed.edges.filter((each) => each !== edge) : [...typed.edges, edge]);
  const lined = recipe?.pieces.some(({ cuts }) => cuts.some(({ duty }) => duty === 'lining'));
  return (
    <dialog ref={dialog} className="modal" aria-label={`From the edges of ${name}`} onClose={onClose}>
      <form
        className="modal-box max-w-6xl space-y-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((body) => adding.mutate(body))(event)}
      >
        <h2 className="text-xl font-bold">From the edges of “{name}”</h2>
        <div className="grid items-start gap-5 lg:grid-cols-[23rem_1fr]">
          <div className="space-y-3">
            <SelectField
              label="What is made"
              value={typed.kind}
              hint={kind.words}
              options={EDGE_RECIPES.map(({ id, name: words }) => [id, words] as const)}
              onChange={(to) => form.setValue('kind', to)}
            />
            <fieldset>
              <legend className="font-semibold">Touch the edges that it is made from</legend>
              <PieceDrawing
                piece={openPiece({ shape, line, allowances, fold, grain, marks: [...marks, ...(recipe?.onSource?.marks ?? [])] })}
                grain={grainLine({ cut: cut?.orientation ?? 'straight', grain })}
                height="14rem"
                label={`Edges of ${name}`}
                marked={typed.edges}
                onEdge={toggle}
              />
              {names.length <= MOST_LISTED && (
                <div className="flex flex-wrap gap-x-4">
                  {names.map(
                    (words, i) =>
                      i !== fold && (
                        <CheckField
                          key={words}
                          small
                          label={words}
                          checked={typed.edges.includes(i)}
                          onChange={() => toggle(i)}
                        />
                      ),
                  )}
                </div>
              )}
            </fieldset>
            <RecipeMeasures
              {...{ kind, field, message, onFault }}
              values={typed.values}
              picked={NOTHING_PICKED}
              onChange={(values) => form.setValue('values', values)}
            />
            <Field label="Cut from" id="edge-cloth">
              <ClothSelect
                id="edge-cloth"
                value={typed.clothId}
                cloths={cloths}
                onChange={(id) => form.setValue('clothId', id)}
              />
            </Field>
            {lined && (
              <Field label="Lining, cut from" id="edge-lining">
                <ClothSelect
                  id="edge-lining"
                  value={typed.liningId}
                  cloths={cloths}
                  onChange={(id) => form.setValue('liningId', id)}
                />
              </Field>
            )}
          </div>
          <div className="space-y-3">
            {message && !kind.fields.some((each) => each.field === field) && (
              <p role="alert" className="font-semibold text-error">
                The edges {message}.
              </p>
            )}
            {typed.edges.length === 0 ? (
              <p className="sheet p-5">Touch an edge, and what is made from it is drawn here.</p>
            ) : (
              <RecipeMade recipe={recipe} />
            )}
          </div>
        </div>
        <FormErrors of={of} />
        <RecipeFooter recipe={recipe} faulty={isFaulty(kind)} saving={adding.isPending} onLeave={() => dialog.current?.close()} />
      </form>
    </dialog>
  );
}
