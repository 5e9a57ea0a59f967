import { RequestError } from './errors';

/** A house that is not the person's own: a made-up one to try anything in, at an address and in a file of its own. */
export interface OtherHouse {
  port: number;
  /** Its database file. */
  path: string;
  /** Where one's own house is answered. */
  home: string;
}

/** Under these names the launcher leaves, for the application, in which house a request is answered, and how the practice house is opened. */
const HOUSE = Symbol.for('nembrel.house');
const PRACTICE = Symbol.for('nembrel.practice');
type Launcher = {
  [HOUSE]?: { getStore: () => OtherHouse | undefined };
  [PRACTICE]?: () => Promise<OtherHouse>;
};

/** The house in which this is answered, where it is not the person's own. */
export function otherHouse(): OtherHouse | undefined {
  return (globalThis as Launcher)[HOUSE]?.getStore();
}

/** Opens the practice house, or finds it open. @throws {RequestError} where the application runs without our launcher */
export function practiceHouse(): Promise<OtherHouse> {
  const open = (globalThis as Launcher)[PRACTICE];
  if (!open) throw new RequestError(503, 'Start Nembrel with npm start to open the practice house.');
  return open();
}
