import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { DoorState } from '../../server/door/door';
import { call } from '../../ui/api';
import { useAsked, useWrite } from '../../ui/query';
import { readableDate } from '../../ui/text';
import PairingCode, { type ShownCode } from './PairingCode';

interface Answer extends DoorState {
  available: boolean;
  /** The paired device that asks; null at the computer itself. */
  own: string | null;
}

/** The tablet beside the board: the home network let in or shut out, and which devices may come. */
export default function DevicesPanel() {
  const { answer, error, again } = useAsked<Answer>('/api/devices');
  /** The code that is shown, and how many devices there were before it. */
  const [code, setCode] = useState<ShownCode & { before: number }>();
  const refresh = () => void again();
  const letIn = useWrite((open: boolean) => call<Answer>('PUT', '/api/devices', { open }), {
    onSettled: () => {
      setCode(undefined);
      refresh();
    },
  });
  const show = useWrite(() => call<ShownCode>('POST', '/api/devices/code'), {
    onSuccess: (shown) => setCode({ ...shown, before: answer?.devices.length ?? 0 }),
  });
  const revoke = useWrite((id: string) => call('DELETE', `/api/devices/${id}`), { onSettled: refresh });
  const trouble = error ?? letIn.error?.message ?? show.error?.message ?? revoke.error?.message;
  return (
    <section className="sheet space-y-3 p-5" aria-labelledby="devices">
      <h2 id="devices" className="chalk-heading">
        Tablets in the house
      </h2>
      {trouble && (
        <p role="alert" className="font-semibold text-error">
          {trouble}
        </p>
      )}
      {!answer ? (
        <p>Looking …</p>
      ) : answer.own !== null ? (
        <p>
          This is “{answer.own}”, a paired device. Others are paired, and devices shut out, at the computer that runs Nembrel.
        </p>
      ) : (
        <>
          <p>
            {answer.open
              ? 'The home network is let in. Only paired devices see anything.'
              : 'Nobody but this computer reaches Nembrel. Let the home network in to use it from the tablet beside the board.'}
          </p>
          <div className="flex flex-wrap gap-3">
            <button
              type="button"
              className={`btn ${answer.open ? '' : 'btn-primary'}`}
              disabled={!answer.available || letIn.isPending}
              onClick={() => letIn.mutate(!answer.open)}
            >
              {answer.open ? 'Shut the home network out' : 'Let the home network in'}
            </button>
            {answer.open && (
              <button type="button" className="btn btn-primary" disabled={show.isPending} onClick={() => show.mutate(undefined)}>
                Pair a device
              </button>
            )}
          </div>
          {answer.open && code && answer.devices.length <= code.before && (
            <PairingCode shown={code} fingerprint={answer.fingerprint} onOver={() => setCode(undefined)} onLook={refresh} />
          )}
          {answer.devices.length > 0 && (
            <ul className="divide-y divide-base-300">
              {answer.devices.map(({ id, name, createdAt, seenAt }) => (
                <li key={id} className="flex items-center gap-3 py-2">
                  <span className="flex-1 leading-snug">
                    <strong>{name}</strong>
                    <span className="quiet block text-[0.95rem]">
                      paired on {readableDate(createdAt)}, last seen on {readableDate(seenAt)}
                    </span>
                  </span>
                  <button type="button" className="btn" onClick={() => revoke.mutate(id)}>
                    <Trash2 size={17} aria-hidden="true" /> Shut out<span className="sr-only"> {name}</span>
                  </button>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </section>
  );
}
