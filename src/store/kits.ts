import { kitMoved, type KitMove, type KitStanding, type KitState } from '../core/kit';
import type { Db } from './database';
import { newMoves, type SentMove } from './moves';
import { Table, type Kept } from './table';

interface KitFields {
  projectId: string;
  /** Which of the things that are made, from 1. */
  copy: number;
  states: Record<string, KitState>;
  place: string;
}
type Kit = KitFields & Kept;

export const kits = new Table<KitFields>('kit', 'bag', {
  projectId: 'plain',
  copy: 'plain',
  states: 'json',
  place: 'plain',
});

/** Where a bag stands, with its version; 0 before anything was put into it. */
export type KeptKit = KitStanding & { version: number };

export const kitOfCopy = (db: Db, projectId: string, copy: number): Kit | undefined =>
  kits.list(db, 'project_id = ? AND copy = ?', [projectId, copy], 'id')[0];

export function readKit(db: Db, projectId: string, copy: number): KeptKit {
  const { states = {}, place = '', version = 0 } = kitOfCopy(db, projectId, copy) ?? {};
  return { states, place, version };
}

/** Makes moves on a bag as it stands now, each once. */
export function moveKit(db: Db, projectId: string, copy: number, moves: readonly SentMove<KitMove>[]): KeptKit {
  return db
    .transaction(() => {
      const heard = newMoves(db, `kit/${projectId}/${copy}`, moves);
      const kit = kitOfCopy(db, projectId, copy);
      const was: KitStanding = kit ?? { states: {}, place: '' };
      if (heard.length === 0) return readKit(db, projectId, copy);
      const { states, place } = heard.reduce((standing, { move }) => kitMoved(standing, move), was);
      const fields = { projectId, copy, states: { ...states }, place };
      if (kit) kits.update(db, kit.id, fields, kit.version);
      else kits.insert(db, fields);
      return readKit(db, projectId, copy);
    })
    .immediate();
}
