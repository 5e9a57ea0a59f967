import { rmSync } from 'node:fs';
import { threadId } from 'node:worker_threads';
import { bundleSchema } from '../../schemas/bundle';
import { validate } from '../../schemas/validate';
import { InputError } from '../../core/input-error';
import { connect, type Db } from '../../store/database';
import { exportBundle, importBundle, importInPortions, upgradeBundle, type Bundle, type ImportCount } from '../../store/bundle';
import { answer } from './answer';

/** Between two portions others have so long to write, ms. */
const REST = 8;
/** This thread may wait for others as long as it takes, ms: nobody waits for it meanwhile. */
const PATIENCE = 20_000;

/** Brings a bundle into a copy first, so that one with a fault changes nothing, then in portions into what is kept. */
function bringIn(db: Db, path: string, bundle: Bundle): ImportCount {
  const copy = `${path}.trying-${process.pid}-${threadId}`;
  try {
    // One reading of what is kept: a copy made page by page begins again with every save of somebody else.
    db.prepare('VACUUM INTO ?').run(copy);
    const tried = connect(copy);
    try {
      tried.pragma('synchronous = OFF');
      importBundle(tried, bundle);
    } finally {
      tried.close();
    }
  } finally {
    for (const beside of ['', '-wal', '-shm']) rmSync(copy + beside, { force: true });
  }
  const still = new Int32Array(new SharedArrayBuffer(4));
  return importInPortions(db, bundle, () => void Atomics.wait(still, 0, 0, REST));
}

/** Bundles are read, checked, brought in and written on a connection of their own, however large they are. */
void answer(({ path, bytes }: { path: string; bytes?: Uint8Array }) => {
  const db = connect(path, PATIENCE);
  try {
    if (!bytes) return new TextEncoder().encode(JSON.stringify(exportBundle(db)));
    let parsed: unknown;
    try {
      parsed = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
    } catch {
      throw new InputError('body', 'must be valid JSON in UTF-8');
    }
    return bringIn(db, path, validate(bundleSchema, upgradeBundle(parsed)));
  } finally {
    db.close();
  }
});
