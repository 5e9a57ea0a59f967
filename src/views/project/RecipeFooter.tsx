import type { Recipe } from '../../core/recipes';
import { counted } from '../../ui/text';

interface Props {
  recipe: Recipe | undefined;
  /** A measure cannot be read. */
  faulty: boolean;
  saving: boolean;
  onLeave: () => void;
}

/** The way out of a dialog in which pieces are made: with them, or without. */
export default function RecipeFooter({ recipe, faulty, saving, onLeave }: Props) {
  return (
    <div className="sticky -bottom-6 -mb-6 flex flex-wrap gap-3 bg-base-100 py-4">
      <button className="btn btn-primary" disabled={!recipe || faulty || saving}>
        {saving ? 'Saving …' : recipe ? `Add ${counted(recipe.pieces.length, 'piece')}` : 'Add the pieces'}
      </button>
      <button type="button" className="btn" onClick={onLeave}>
        Not now
      </button>
    </div>
  );
}
