import type * as yup from 'yup';
import { ValidationError } from 'yup';
import { InputError } from '../core/input-error';

/**
 * Checks a value against a schema without bending it: a number written as text is refused, not converted.
 *
 * @throws {InputError} for the first thing that is wrong, naming its path
 */
export function validate<S extends yup.Schema>(schema: S, value: unknown): yup.InferType<S> {
  try {
    // Defaults are filled in first; strict keeps everything else as it came.
    return schema.validateSync(withDefaults(schema, value), {
      strict: true,
      abortEarly: true,
    }) as yup.InferType<S>;
  } catch (error) {
    if (error instanceof ValidationError) throw new InputError(fieldOf(error), messageOf(error));
    throw error;
  }
}

interface Described {
  fields?: Record<string, Described>;
  innerType?: Described;
  spec?: { default?: unknown };
}

/** Copies a value with missing fields set to their defaults, in nested objects and lists too. */
export function withDefaults(of: unknown, value: unknown): unknown {
  const schema = of as Described;
  if (Array.isArray(value)) return schema.innerType ? value.map((item) => withDefaults(schema.innerType!, item)) : value;
  if (!schema.fields || value === null || typeof value !== 'object') return value;
  const filled: Record<string, unknown> = { ...(value as Record<string, unknown>) };
  for (const [key, field] of Object.entries(schema.fields)) {
    const fallback = field.spec?.default;
    if (filled[key] === undefined) {
      if (fallback !== undefined && typeof fallback !== 'function') filled[key] = fallback;
    } else filled[key] = withDefaults(field, filled[key]);
  }
  return filled;
}

/** Path in JSON terms; an unknown field is named itself, not the object that holds it. */
function fieldOf(error: ValidationError): string {
  const path = (error.path ?? '').replace(/\["([^"]+)"\]/g, '.$1');
  if (error.type === 'noUnknown') {
    const unknown = String(error.params?.['unknown'] ?? '')
      .split(',')[0]!
      .trim();
    return path ? `${path}.${unknown}` : unknown;
  }
  return path || 'body';
}

function messageOf(error: ValidationError): string {
  if (error.type === 'noUnknown') return 'is not a field that is known here';
  return error.message;
}
