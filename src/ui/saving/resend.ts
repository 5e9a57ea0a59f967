import { type ApiError, call } from '../api';
import { arrived } from './differences';
import { allUnsaved, forgetUnsaved, type Unsaved } from './unsaved';

/** What became of a change that an earlier page could not get confirmed. */
export type Resent =
  | { kind: 'saved'; address: string }
  /** The record was changed meanwhile: the person decides. */
  | { kind: 'conflict'; unsaved: Unsaved; current: { version: number } & Record<string, unknown> }
  /** It is refused now, for example because the record is gone. */
  | { kind: 'refused'; unsaved: Unsaved; why: string };

/** Sends again what earlier pages kept; what the server still does not answer to stays kept. */
export async function resendUnsaved(): Promise<Resent[]> {
  const results: Resent[] = [];
  for (const unsaved of allUnsaved()) {
    const result = await resend(unsaved);
    if (result) results.push(result);
  }
  return results;
}

/** Sends one kept change, as a change of the version that it was made on or of another. */
export async function resend(unsaved: Unsaved, version = unsaved.body.version): Promise<Resent | undefined> {
  const { address, body } = unsaved;
  try {
    await call('PUT', address, { ...body, version });
    forgetUnsaved(address);
    return { kind: 'saved', address };
  } catch (problem) {
    const error = problem as ApiError;
    if (error.status === 0) return undefined;
    if (error.status !== 409) return { kind: 'refused', unsaved, why: error.message };
    const current = error.current as { version: number } & Record<string, unknown>;
    if (!arrived(body, current)) return { kind: 'conflict', unsaved, current };
    forgetUnsaved(address);
    return { kind: 'saved', address };
  }
}
