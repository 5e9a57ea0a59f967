import { number, shape, text } from './rules';

/** Where backups are written; null for the folder beside the database. */
export const backupFolderSchema = shape({
  folder: text(1000, 1).nullable().defined(),
  version: number({ min: 0, integer: true }).required(),
});
