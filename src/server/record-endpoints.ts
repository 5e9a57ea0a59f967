import type { APIRoute } from 'astro';
import type * as yup from 'yup';
import { database } from './database';
import type { Kept, Table } from '../store/table';
import { endpoint, jsonEndpoint } from './endpoint';

/** GET, PUT and DELETE of one kept record, and POST to take a deletion back. */
export function recordEndpoints<T extends object, S extends yup.Schema>(
  table: Table<T>,
  schema: S,
  toFields: (body: yup.InferType<S>, current: T & Kept) => T,
): { GET: APIRoute; PUT: APIRoute; DELETE: APIRoute } {
  return {
    GET: endpoint(({ params }) => table.get(database(), params['id']!)),
    PUT: jsonEndpoint(schema, (body, { params }) => {
      const db = database();
      const current = table.get(db, params['id']!);
      return table.update(db, current.id, toFields(body, current), (body as { version: number }).version);
    }),
    DELETE: endpoint(({ params }) => {
      table.remove(database(), params['id']!);
      return { deleted: params['id'] };
    }),
  };
}

/** POST that takes a deletion back. */
export function restoreEndpoint<T extends object>(table: Table<T>): APIRoute {
  return endpoint(({ params }) => table.restore(database(), params['id']!));
}

/** A body without its version. */
export function withoutVersion<B extends { version: number }>(body: B): Omit<B, 'version'> {
  const { version: _version, ...fields } = body;
  return fields;
}
