import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../core/library';
import { cloths } from './cloths';
import type { Db } from './database';
import { layers } from './layers';

/** Puts library entries in that were never put in before; what the person changed or deleted stays so. */
export function seedLibrary(db: Db): void {
  const known = new Set((db.prepare('SELECT id FROM seeded').all() as { id: string }[]).map(({ id }) => id));
  const mark = db.prepare('INSERT INTO seeded (id) VALUES (?)');
  db.transaction(() => {
    for (const { id, ...cloth } of LIBRARY_CLOTHS) {
      if (known.has(`cloth/${id}`)) continue;
      cloths.insert(db, { ...cloth, note: '', origin: 'library', tests: {} }, { id });
      mark.run(`cloth/${id}`);
    }
    for (const { id, ...layer } of LIBRARY_LAYERS) {
      if (known.has(`layer/${id}`)) continue;
      layers.insert(
        db,
        { ...layer, note: '', origin: 'library', inStock: false, estimated: [], fibres: [], tests: {}, bottle: {} },
        { id },
      );
      mark.run(`layer/${id}`);
    }
  }).immediate();
}
