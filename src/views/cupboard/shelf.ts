/** What the cupboard holds, each on a shelf of its own. */
export type Shelf = 'cloth' | 'layers' | 'stock';
