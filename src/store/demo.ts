import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundleSchema } from '../schemas/bundle';
import { validate } from '../schemas/validate';
import { projectRoot } from './project-root';
import { importBundle, upgradeBundle, type ImportCount } from './bundle';
import type { Db } from './database';

/** Brings the demo scenario in, through the same check and import as a person's own bundle. */
export function loadDemo(db: Db, { onlyIfEmpty }: { onlyIfEmpty: boolean }): ImportCount | undefined {
  const { projects } = db.prepare('SELECT count(*) AS projects FROM project').get() as { projects: number };
  if (onlyIfEmpty && projects > 0) return undefined;
  const text = readFileSync(join(projectRoot(), 'demo/lantern-procession.json'), 'utf8');
  return importBundle(db, validate(bundleSchema, upgradeBundle(JSON.parse(text))));
}
