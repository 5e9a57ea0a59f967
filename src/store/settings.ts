import type { Air } from '../core/liquid';
import type { LengthSystem } from '../core/units';
import type { Schools } from '../core/schools';
import type { Db } from './database';
import { readSettingRow, writeSettingRow } from './setting-row';

export interface Settings {
  units: LengthSystem;
  theme: 'workroom' | 'lamplight' | 'system';
  /** Currency sign. */
  currency: string;
  /** Iron sole, mm. */
  soleLength: number;
  soleWidth: number;
  /** Whether it gives steam, and what it weighs, g. */
  ironSteam: boolean;
  ironWeight: number;
  /** What of a sheet lies on the ironing board at once, mm. */
  boardLength: number;
  boardWidth: number;
  /** Plate of a flat press, mm; 0 where there is none. */
  pressLength: number;
  pressWidth: number;
  /** What one pull of the person's bottle gives, ml. */
  mlPerPull: number;
  /** The air in which wet cloth hangs: °C, relative %, m/s. */
  airTemperature: number;
  airHumidity: number;
  airSpeed: number;
  /** Overlap of neighbouring iron stops, mm. */
  stopOverlap: number;
  /** What the machine clears under its raised foot, mm. */
  machineClearance: number;
  /** How far a trimmed layer stays inside the cut edge, mm. */
  trim: number;
  sound: boolean;
  /** Schools of practice that differ from the default. */
  schools: Partial<Schools>;
}

export const DEFAULT_SETTINGS: Settings = {
  units: 'metric',
  theme: 'workroom',
  currency: '€',
  soleLength: 220,
  soleWidth: 115,
  ironSteam: true,
  ironWeight: 1400,
  boardLength: 1200,
  boardWidth: 380,
  pressLength: 0,
  pressWidth: 0,
  mlPerPull: 0.9,
  airTemperature: 20,
  airHumidity: 50,
  airSpeed: 0,
  stopOverlap: 15,
  machineClearance: 6,
  trim: 6,
  sound: true,
  schools: {},
};

/** The air in which the person hangs wet cloth. */
export function airOf({ airTemperature, airHumidity, airSpeed }: Settings): Air {
  return { temperature: airTemperature, humidity: airHumidity, airSpeed };
}

const KEY = 'settings';

export function readSettings(db: Db): { settings: Settings; version: number } {
  const { value, version } = readSettingRow<Partial<Settings>>(db, KEY);
  return { settings: { ...DEFAULT_SETTINGS, ...value }, version };
}

/** Saves all settings if nobody else saved meanwhile; version 0 is the state before the first save. @throws {StaleError} */
export function writeSettings(db: Db, settings: Settings, version: number): { settings: Settings; version: number } {
  return writeSettingRow(db, KEY, settings, version, () => readSettings(db));
}
