import { useCallback, useEffect, useRef, useState } from 'react';
import { get, useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import type { AnyObject, ObjectSchema } from 'yup';
import { ApiError, plainMessage } from '../api';
import { dropDraft, readDraft, writeDraft } from './draft-store';
import { typedResolver } from './typed-resolver';

interface Options<T extends FieldValues> {
  /** Names the record and its version: what was typed over an older version is not put over a newer one. Without it nothing is kept. */
  key?: string;
  start: () => T;
  /** What is typed as fields of the record; throws an InputError for what cannot be read. */
  read: (typed: T) => object;
  /** The schema that the endpoint checks by. */
  schema: ObjectSchema<AnyObject>;
}

/** A form that keeps what is typed in the browser until it is saved. */
export interface KeptForm<T extends FieldValues> {
  form: UseFormReturn<T, unknown, FieldValues>;
  /** Ties a field to the form by its path, with the error that it is to show. */
  field: (path: Path<T>) => ReturnType<UseFormReturn<T>['register']> & { error: string | undefined };
  /** The error of a path that has no field of its own. */
  error: (path: string) => string | undefined;
  /** What the server refused, under the field that it names or below the form. */
  refuse: (problem: Error) => void;
  /** It was typed before, on a page that is gone. */
  restored: boolean;
  /** It is saved, or was given up: nothing of it is kept. */
  forget: () => void;
  /** Begins again with what is saved. */
  anew: () => void;
}

/** Where an error stands that belongs to no field. */
const GENERAL = 'root.server';

/**
 * react-hook-form on the endpoint's own Yup schema, with a draft in the browser: an error, a conflict, a reload or a stopped server
 * loses nothing that was typed.
 */
export function useKeptForm<T extends FieldValues>({ key, start, read, schema }: Options<T>): KeptForm<T> {
  const [first] = useState(start);
  const form = useForm<T, unknown, FieldValues>({
    defaultValues: first as DefaultValues<T>,
    resolver: typedResolver<T, FieldValues>(read, schema),
    // A field that was wrong is judged again with the next letter.
    reValidateMode: 'onChange',
  });
  const [restored, setRestored] = useState(false);
  const kept = useRef(key);
  const { reset, watch } = form;
  // The server draws the form as it is saved; what was typed before comes when the page is alive.
  useEffect(() => {
    kept.current = key;
    const draft = key === undefined ? undefined : readDraft<T>(key);
    if (!draft) return;
    reset({ ...first, ...draft }, { keepDefaultValues: true });
    setRestored(true);
  }, [key, first, reset]);
  useEffect(() => {
    const told = watch((typed, { name }) => {
      if (kept.current !== undefined && name !== undefined) writeDraft(kept.current, typed);
    });
    return () => told.unsubscribe();
  }, [watch]);
  const forget = useCallback(() => {
    if (kept.current !== undefined) dropDraft(kept.current);
    setRestored(false);
  }, []);
  const { errors } = form.formState;
  const error = (path: string) => (get(errors, path) as { message?: string } | undefined)?.message;
  return {
    form,
    field: (path) => ({ ...form.register(path), error: error(path) }),
    error,
    refuse: (problem) => {
      const field = problem instanceof ApiError ? problem.field : null;
      const message = problem instanceof ApiError ? plainMessage(problem) : problem.message;
      // Under the very field where the form has it, else under what that belongs to.
      const path = field === null ? GENERAL : get(form.getValues(), field) === undefined ? field.replace(/[.[].*$/, '') : field;
      form.setError(path as Path<T>, { type: 'server', message }, { shouldFocus: true });
    },
    restored,
    forget,
    anew: () => {
      forget();
      reset(first);
    },
  };
}
