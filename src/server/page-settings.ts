import { readSettings, type Settings } from '../store/settings';
import { database } from './database';

/** The person's settings, for what every page shows: its theme, its units. */
export function pageSettings(): Settings {
  return readSettings(database()).settings;
}
