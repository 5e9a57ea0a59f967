import { RequestError } from '../errors';
import { otherHouse } from '../house';
import { DEVICE_HEADER } from './gate';
import type { Door } from './door';

/** Under this name the launcher leaves the door for the application, which is bundled apart from it. */
const DOOR = Symbol.for('nembrel.door');

/** The door to the home network; none where the application runs without our launcher. */
export function theDoor(): Door | undefined {
  return (globalThis as { [DOOR]?: Door })[DOOR];
}

/** Name of the paired device that asks; null for the computer itself. */
export function deviceOf(request: Request): string | null {
  const name = request.headers.get(DEVICE_HEADER);
  return name === null ? null : decodeURIComponent(name);
}

/** The door, for who sits at the computer itself. @throws {RequestError} for a paired device, and without a door */
export function doorFromInside(request: Request): Door {
  if (deviceOf(request) !== null)
    throw new RequestError(403, 'That is only changed on the computer that runs Nembrel, at its own screen.');
  if (otherHouse()) throw new RequestError(403, 'Devices are let into your own house; go back there first.');
  const door = theDoor();
  if (!door) throw new RequestError(503, 'Start Nembrel with npm start to let the home network in.');
  return door;
}
