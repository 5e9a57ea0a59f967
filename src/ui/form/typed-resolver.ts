import { yupResolver } from '@hookform/resolvers/yup';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';
import { set } from 'react-hook-form';
import type { AnyObject, InferType, ObjectSchema } from 'yup';
import { InputError } from '../../core/input-error';
import { withDefaults } from '../../schemas/validate';

/** Every field of an endpoint's body: a form that forgets to read one does not compile. `Not` is what it leaves as it is. */
export type AllOf<S extends ObjectSchema<AnyObject>, Not extends string = never> = {
  [K in Exclude<keyof InferType<S>, Not>]: unknown;
};

/**
 * Resolver of a form whose fields are typed as people write: what is typed is read (units, fractions, fibres), and what was read is
 * checked by the very schema that the endpoint checks it by. The form gets what was read.
 *
 * @param read what is typed as fields of the record; throws an {@link InputError} that names the field that cannot be read
 * @param schema of the endpoint
 */
export function typedResolver<T extends FieldValues, R extends FieldValues>(
  read: (typed: T) => object,
  schema: ObjectSchema<AnyObject>,
): Resolver<T, unknown, R> {
  // Strict, as the endpoint is: a number written as text is refused, not converted.
  const check = yupResolver(schema, { strict: true, abortEarly: false }) as unknown as Resolver<R, unknown, R>;
  return async (typed, context, options) => {
    try {
      const fields = withDefaults(schema, read(typed)) as R;
      const found = await check(fields, context, options as never);
      // The form's own errors belong to what is typed, which has the same paths.
      return found as never;
    } catch (problem) {
      if (!(problem instanceof InputError)) throw problem;
      const errors: FieldErrors<T> = {};
      set(errors, problem.field, { type: 'typed', message: problem.message.replace(`${problem.field}: `, '') });
      return { values: {}, errors } as never;
    }
  };
}
