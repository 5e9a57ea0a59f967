import type { FieldErrors } from 'react-hook-form';

/** Errors of a form by the path of their field as an endpoint names it, such as `allowances[2]` or `cuts[0].clothId`. */
export function flatErrors(errors: FieldErrors): Record<string, string> {
  const found: Record<string, string> = {};
  collect(errors, '');
  return found;

  function collect(node: unknown, path: string): void {
    if (Array.isArray(node)) node.forEach((each, i) => collect(each, `${path}[${i}]`));
    else if (node !== null && typeof node === 'object') {
      const { message, type } = node as { message?: unknown; type?: unknown };
      if (typeof message === 'string' && type !== undefined) found[path] = message;
      else for (const [key, each] of Object.entries(node)) if (key !== 'ref') collect(each, path ? `${path}.${key}` : key);
    }
  }
}
