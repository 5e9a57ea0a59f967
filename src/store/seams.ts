import { Table, type Kept } from './table';

export interface SeamFields {
  projectId: string;
  /** A cut of the project, and the edges of its piece that are sewn. */
  firstCut: string;
  firstEdges: number[];
  secondCut: string;
  secondEdges: number[];
  note: string;
}
export type Seam = SeamFields & Kept;

export const seams = new Table<SeamFields>('seam', 'seam', {
  projectId: 'plain',
  firstCut: 'plain',
  firstEdges: 'json',
  secondCut: 'plain',
  secondEdges: 'json',
  note: 'plain',
});
