import { theDoor } from './door/the-door';

/**
 * Address that a printed code leads to: over the home network where that is open, so that a tablet finds it, else as the page was asked for. The
 * scanner of the application goes by the path alone.
 */
export function codeAddress(url: URL, path: string): string {
  const [address] = theDoor()?.state().addresses ?? [];
  return new URL(path, address ?? url.origin).href;
}
