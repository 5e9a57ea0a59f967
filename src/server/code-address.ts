import { theDoor } from './door/the-door';
import { otherHouse } from './house';

/**
 * Address that a printed code leads to: over the home network where that is open, so that a tablet finds it, else, and in the practice house, as the page was asked for. The
 * scanner of the application goes by the path alone.
 *
 * @param request its Host was found to be one of ours; the address that the framework tells has neither name nor port
 */
export function codeAddress(request: Request, path: string): string {
  const [address] = otherHouse() ? [] : (theDoor()?.state().addresses ?? []);
  return new URL(path, address ?? `${new URL(request.url).protocol}//${request.headers.get('host')}`).href;
}
