import { settingsSchema } from '../../schemas/settings';
import { number, shape } from '../../schemas/rules';
import { endpoint, jsonEndpoint } from '../../server/endpoint';
import { database } from '../../server/database';
import { readSettings, writeSettings, type Settings } from '../../store/settings';

export const GET = endpoint(() => readSettings(database()));

const updateSchema = shape({ settings: settingsSchema.required(), version: number({ min: 0, integer: true }).required() });

export const PUT = jsonEndpoint(updateSchema, ({ settings, version }) =>
  writeSettings(database(), settings as Settings, version),
);
