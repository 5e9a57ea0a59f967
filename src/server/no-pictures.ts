import { json } from './endpoint';

/** The framework would bring a picture service that anybody may set to work. Nothing here uses it: there is none, however its address is spelled. */
export const GET = () => json({ error: { message: 'There is no such address.', field: null } }, 404);
