import { Rotate3d, Ruler } from 'lucide-react';
import { Suspense, useState } from 'react';
import type { ShownRecipe } from '../../server/recipe-work';
import { fetched } from '../../ui/fetched';
import { useUnits } from '../../ui/units-context';

const ChangeRecipe = fetched(() => import('./ChangeRecipe'));
const FlareStanding = fetched(() => import('./FlareStanding'));

/** Recipes that pieces of the project were made by: their measures can be changed, and how they are sewn stays at hand. */
export default function RecipeList({ recipes }: { recipes: readonly ShownRecipe[] }) {
  const { said, length } = useUnits();
  const [changing, setChanging] = useState<ShownRecipe>();
  const [standing, setStanding] = useState<ShownRecipe>();
  if (recipes.length === 0) return null;
  return (
    <section className="sheet space-y-3 p-3" aria-label="Made by a recipe">
      <h2 className="chalk-heading">Made by a recipe</h2>
      {recipes.map((recipe) => (
        <div key={recipe.id}>
          <p className="flex flex-wrap items-center justify-between gap-2">
            <strong>
              {recipe.name}
              {recipe.of && <span className="quiet font-normal"> of “{recipe.of.name}”</span>}
            </strong>
            <span className="flex flex-wrap gap-2">
              {recipe.kind === 'flare' && (
                <button type="button" className="btn" onClick={() => setStanding(recipe)}>
                  <Rotate3d size={17} aria-hidden="true" /> See it stand
                  <span className="sr-only">: {recipe.name}</span>
                </button>
              )}
              <button type="button" className="btn" onClick={() => setChanging(recipe)}>
                <Ruler size={17} aria-hidden="true" /> Change the measures
                <span className="sr-only"> of {recipe.name}</span>
              </button>
            </span>
          </p>
          {recipe.told.length > 0 && (
            <ul className="border-l-4 border-accent pl-3 text-[0.95rem]" aria-label={`What did not follow: ${recipe.name}`}>
              {recipe.told.map((words) => (
                <li key={words}>{said(words)}</li>
              ))}
            </ul>
          )}
          <details className="mt-1">
            <summary className="min-h-11 cursor-pointer py-2 font-semibold text-primary">Figures, and how it is sewn</summary>
            <ul>
              {recipe.facts.map((fact) => (
                <li key={fact.words} className="flex justify-between gap-3 text-[0.95rem]">
                  <span>{fact.words}</span>
                  <strong>{fact.length === undefined ? fact.value : length(fact.length)}</strong>
                </li>
              ))}
            </ul>
            <ol className="mt-2 list-decimal space-y-1 pl-5 text-[0.95rem]">
              {recipe.notes.map((note) => (
                <li key={note}>{said(note)}</li>
              ))}
            </ol>
          </details>
        </div>
      ))}
      {standing && (
        <Suspense>
          <FlareStanding recipe={standing} onClose={() => setStanding(undefined)} />
        </Suspense>
      )}
      {changing && (
        <Suspense>
          <ChangeRecipe recipe={changing} onClose={() => setChanging(undefined)} />
        </Suspense>
      )}
    </section>
  );
}
