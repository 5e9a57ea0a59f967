import type { Db } from './database';

/** What a person calls the rows of a table, one and several. */
const WORDS: readonly [table: string, one: string, many: string][] = [
  ['project', 'project', 'projects'],
  ['recipe', 'recipe', 'recipes'],
  ['piece', 'piece', 'pieces'],
  ['cut', 'cut', 'cuts'],
  ['job', 'job', 'jobs'],
  ['cloth', 'cloth', 'cloths'],
  ['layer', 'layer', 'layers'],
  ['stock', 'roll or leftover', 'rolls and leftovers'],
  ['scrap', 'scrap', 'scraps'],
  ['log_entry', 'logbook entry', 'logbook entries'],
  ['motif', 'motif', 'motifs'],
  ['hoop', 'hoop', 'hoops'],
  ['hooping', 'hooping', 'hoopings'],
  ['cut_table', 'cutting table', 'cutting tables'],
  ['seam', 'seam', 'seams'],
  ['bench_run', 'bench run', 'bench runs'],
];

const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/**
 * What has changed since a backup was made, in words; most of all what would be lost if it were brought back.
 *
 * @param path of the backup, looked through before @returns nothing where all is as it was
 */
export function changesSince(db: Db, path: string): string[] {
  db.prepare('ATTACH ? AS before').run(path);
  try {
    const has = (table: string) => db.prepare('SELECT 1 FROM before.sqlite_master WHERE name = ?').get(table) !== undefined;
    const words = WORDS.flatMap(([table, one, many]) => {
      if (!has(table)) return [];
      const { added, changed, deleted } = db
        .prepare(
          `SELECT coalesce(sum(b.id IS NULL AND n.deleted_at IS NULL), 0) AS added,
             coalesce(sum(b.id IS NOT NULL AND n.deleted_at IS NOT NULL AND b.deleted_at IS NULL), 0) AS deleted,
             coalesce(sum(b.id IS NOT NULL AND n.deleted_at IS NULL AND (n.version <> b.version OR b.deleted_at IS NOT NULL)), 0) AS changed
           FROM main."${table}" n LEFT JOIN before."${table}" b ON b.id = n.id`,
        )
        .get() as { added: number; changed: number; deleted: number };
      const { gone } = db
        .prepare(
          `SELECT count(*) AS gone FROM before."${table}" b WHERE b.deleted_at IS NULL AND NOT EXISTS (SELECT 1 FROM main."${table}" n WHERE n.id = b.id)`,
        )
        .get() as { gone: number };
      return [
        ...(added > 0 ? [`${counted(added, one, many)} added`] : []),
        ...(changed > 0 ? [`${counted(changed, one, many)} changed`] : []),
        ...(deleted + gone > 0 ? [`${counted(deleted + gone, one, many)} deleted`] : []),
      ];
    });
    // A backup of long ago may lack a table of today.
    const sum = (table: string, sql: string) => (has(table) ? (db.prepare(sql).get() as { n: number }).n : 0);
    const ticks = sum(
      'bench_run',
      `SELECT coalesce(sum(max(0, json_array_length(n.state, '$.checks') - coalesce(json_array_length(b.state, '$.checks'), 0))), 0) AS n
       FROM main.bench_run n LEFT JOIN before.bench_run b ON b.id = n.id`,
    );
    const drawn = sum(
      'stock',
      `SELECT count(*) AS n FROM main.stock n JOIN before.stock b ON b.id = n.id WHERE n.kind = 'roll' AND n.length < b.length`,
    );
    return [
      ...words,
      ...(ticks > 0 ? [`${counted(ticks, 'tick', 'ticks')} at the bench`] : []),
      ...(drawn > 0 ? [`${counted(drawn, 'roll', 'rolls')} drawn down`] : []),
    ];
  } finally {
    db.exec('DETACH before');
  }
}
