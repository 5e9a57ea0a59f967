/**
 * Name of the backup of a day.
 *
 * @param base name of the database's own file, so that several may share a folder
 */
export const backupName = (base: string, day: string): string => `${base}-${day}.db`;

/** Day of a backup by its name; none for any other file, and for those of another database. */
export function dayOf(base: string, name: string): string | undefined {
  const day = /-(\d{4}-\d{2}-\d{2})\.db$/.exec(name)?.[1];
  return day !== undefined && name === backupName(base, day) ? day : undefined;
}

/** So many days are kept before only the last of each month is. */
const DAYS = 7;

/**
 * Which of some backups stay: the last seven, and the last of every month. Other files are none of ours and stay as well.
 *
 * @returns names of those that go
 */
export function outdated(base: string, names: readonly string[]): string[] {
  const days = names.flatMap((name) => dayOf(base, name) ?? []).sort();
  const last = new Set(days.slice(-DAYS));
  const ofMonth = new Map(days.map((day) => [day.slice(0, 7), day]));
  return days.filter((day) => !last.has(day) && ofMonth.get(day.slice(0, 7)) !== day).map((day) => backupName(base, day));
}
