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
    return schema.validateSync(withDefaults(schema, value), { strict: true, abortEarly: true }) as yup.InferType<S>;
  } catch (error) {
    if (error instanceof ValidationError) throw new InputError(fieldOf(error), messageOf(error));
    throw error;
  }
}

interface Described {
  fields?: Record<string, Described & { spec?: { default?: unknown } }>;
  spec?: { default?: unknown };
}

/** Copies an object with its missing fields set to their defaults, one level deep. */
function withDefaults(schema: yup.Schema, value: unknown): unknown {
  const { fields } = schema as unknown as Described;
  if (!fields || value === null || typeof value !== 'object' || Array.isArray(value)) return value;
  const filled: Record<string, unknown> = { ...(value as Record<string, unknown>) };
  for (const [key, field] of Object.entries(fields)) {
    const fallback = field.spec?.default;
    if (filled[key] === undefined && fallback !== undefined && typeof fallback !== 'function') filled[key] = fallback;
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
