/** Where labels, cards and sheets of the house lead. */
const PLACES = /^\/(projects|hoop|cupboard|bench|tables)\/[\w\-/]+$/;
/** Of what stands after the question mark only this is taken along. */
const ASKED = /^\?(?:(?:copy=\d{1,4}|shelf=\w{1,20}|stage=\w{1,20}|job=[\w-]{1,60})(?:&(?=.)|$)){1,4}$/;

/**
 * The place in the application that a printed code leads to. The house may have been printed under another address, at the computer itself or on the
 * home network: the path alone counts, and nothing else is ever opened.
 *
 * @returns path with its question, or undefined for a code that is none of ours
 * @example codePlace('https://192.168.1.5:4311/projects/p/kits/2') // '/projects/p/kits/2'
 */
export function codePlace(text: string): string | undefined {
  const found = /^https?:\/\/[^/\s]+(\/[^?#\s]*)(\?[^#\s]*)?$/.exec(text.trim());
  if (!found) return undefined;
  const [, path = '', asked = ''] = found;
  if (!PLACES.test(path)) return undefined;
  return ASKED.test(asked) ? `${path}${asked}` : path;
}
