import * as yup from 'yup';
import { shown } from '../core/input-error';
import { FARTHEST } from '../core/shape';

/**
 * Building blocks for every schema. Messages say what was seen and what is allowed; the endpoint puts the
 * field's path in front.
 */
yup.setLocale({
  mixed: {
    required: 'is missing',
    defined: 'is missing',
    notNull: 'must not be null',
    notType: ({ type, value }) =>
      `must be ${type === 'array' ? 'a list' : type === 'object' ? 'an object' : `a ${type}`}, saw ${seen(value)}`,
    oneOf: ({ values, value }) => `must be one of ${values}, saw ${seen(value)}`,
  },
  tuple: { notType: ({ spec, value }) => `must be a list of ${(spec as { types: unknown[] }).types.length}, saw ${seen(value)}` },
  object: { noUnknown: ({ unknown }) => `has unknown fields: ${unknown}` },
});

function seen(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (Array.isArray(value)) return 'a list';
  return value !== null && typeof value === 'object' ? 'an object' : shown(value);
}

export interface NumberRule {
  above?: number;
  min?: number;
  max?: number;
  integer?: boolean;
}

/** A finite number within bounds. */
export function number({ above, min, max, integer }: NumberRule = {}) {
  const rules = [
    integer ? 'a whole number' : 'a number',
    above !== undefined
      ? `more than ${above}`
      : min !== undefined && max !== undefined
        ? `from ${min} to ${max}`
        : min !== undefined
          ? `at least ${min}`
          : '',
    max !== undefined && (min === undefined || above !== undefined) ? `at most ${max}` : '',
  ].filter(Boolean);
  return yup.number().test(
    'bounds',
    ({ value }) => `must be ${rules.join(', ')}; saw ${seen(value)}`,
    (value) => {
      if (value === undefined || value === null) return true;
      return (
        Number.isFinite(value) &&
        (above === undefined || value > above) &&
        (min === undefined || value >= min) &&
        (max === undefined || value <= max) &&
        (!integer || Number.isInteger(value))
      );
    },
  );
}

/** A word from a list. */
export function oneOf<T extends string>(values: readonly T[]) {
  return yup.string<T>().oneOf(values as T[]);
}

/** Text without control characters, trimmed at the ends by the caller. */
export function text(max: number, min = 0) {
  return yup
    .string()
    .test(
      'text',
      ({ value }) =>
        `must be text of ${min} to ${max} characters; saw ${typeof value === 'string' ? `${value.length} characters` : seen(value)}`,
      (value) => value === undefined || value === null || (value.trim().length >= min && value.length <= max),
    )

    .test(
      'controls',
      'must not contain control characters',
      (value) => !value || !/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(value),
    );
}

/** An object that refuses fields it does not know. */
export function shape<S extends yup.ObjectShape>(fields: S) {
  return yup.object(fields).noUnknown();
}

/** A point [x, y] in mm. */
export const point = yup
  .mixed<[number, number]>()
  .test(
    'point',
    ({ value }) => `must be [x, y] with two numbers in mm, saw ${seenPoint(value)}`,
    (value) =>
      value === undefined ||
      (Array.isArray(value) && value.length === 2 && value.every((v) => typeof v === 'number' && Number.isFinite(v))),
  )
  .test(
    'near',
    ({ value }) => `must lie within ±${FARTHEST} mm, saw ${seenPoint(value)}`,
    (value) => !value || value.every((v) => Math.abs(v) <= FARTHEST),
  )
  .required();

function seenPoint(value: unknown): string {
  return Array.isArray(value) ? `[${value.slice(0, 4).map(seen).join(', ')}]` : seen(value);
}

/** Corners of an outline; the core checks its geometry. */
export const outline = yup
  .array()
  .of(point)
  .min(3, ({ value }) => `must have at least 3 corners, saw ${(value as unknown[]).length}`)
  .max(10_000, ({ value }) => `must have at most 10000 corners, saw ${(value as unknown[]).length}`)
  .required();
