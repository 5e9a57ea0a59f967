import { Copy } from 'lucide-react';
import { call } from '../../ui/api';
import { useWrite } from '../../ui/query';
import type { Hooping, HoopingFields } from '../../store/hoopings';

/** The same again: cloth, stack, place and hoop, nothing of what was done. */
export default function CopyHooping({ body }: { body: Omit<HoopingFields, 'result'> }) {
  const copying = useWrite(
    () =>
      call<Hooping>('POST', '/api/hoopings', {
        ...body,
        ...{ name: `${body.name.slice(0, 110)}, again`, prepared: [], sizes: [], landed: null, sewn: [], run: null },
      }),
    { onSuccess: ({ id }) => location.assign(`/hoop/jobs/${id}?stage=place`) },
  );
  return (
    <>
      <button type="button" className="btn" disabled={copying.isPending} onClick={() => copying.mutate()}>
        <Copy size={18} aria-hidden="true" /> Copy this hooping
      </button>
      {copying.error && (
        <p role="alert" className="font-semibold text-error">
          {copying.error.message}
        </p>
      )}
    </>
  );
}
