import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { recipesOf } from '../../../../server/recipe-work';

/** Recipes by which pieces of a project were made: their measures, figures and how they are sewn. */
export const GET = endpoint(({ params }) => ({ recipes: recipesOf(database(), params['id']!) }));
