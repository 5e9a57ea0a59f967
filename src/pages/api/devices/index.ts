import { devicesSchema } from '../../../schemas/devices';
import { deviceOf, doorFromInside, theDoor } from '../../../server/door/the-door';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { RequestError } from '../../../server/errors';

/** Whether the home network is let in, under which addresses, and which devices are paired; `own` is the device that asks. */
export const GET = endpoint(({ request }) => {
  const own = deviceOf(request);
  const door = theDoor();
  const shut = { open: false, addresses: [], fingerprint: '', devices: [], codeUntil: null };
  return { available: door !== undefined, own, ...(door?.state() ?? shut) };
});

/** Lets the home network in, or shuts it out; paired devices stay paired. */
export const PUT = jsonEndpoint(devicesSchema, async ({ open }, { request }) => {
  const door = doorFromInside(request);
  try {
    await (open ? door.open(true) : door.shut(true));
  } catch (problem) {
    throw new RequestError(503, (problem as Error).message);
  }
  return { available: true, own: null, ...door.state() };
});
