import { bundleSchema } from '../../schemas/records';
import { validate } from '../../schemas/validate';
import { InputError } from '../../core/input-error';
import { connect } from '../../store/database';
import { exportBundle, importBundle, upgradeBundle } from '../../store/bundle';
import { answer } from './answer';

/** Bundles are read, checked, brought in and written on a connection of their own, however large they are. */
void answer(({ path, bytes }: { path: string; bytes?: Uint8Array }) => {
  const db = connect(path);
  try {
    if (!bytes) return new TextEncoder().encode(JSON.stringify(exportBundle(db)));
    let parsed: unknown;
    try {
      parsed = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
    } catch {
      throw new InputError('body', 'must be valid JSON in UTF-8');
    }
    return importBundle(db, validate(bundleSchema, upgradeBundle(parsed)));
  } finally {
    db.close();
  }
});
