import { useState } from 'react';
import type { Hooping } from '../../store/hoopings';
import { ApiError, call, plainMessage } from '../../ui/api';

/** What the hooping took out of the cupboard, and the way to put it back; nothing where nothing was taken. */
export default function DrawnDown({ record, onChange }: { record: Hooping; onChange: (hooping: Hooping) => void }) {
  const [error, setError] = useState<string>();
  const drawn = record.result?.drawn;
  if (!drawn || (drawn.stock.length === 0 && !drawn.bottle)) return null;
  const putBack = async () => {
    setError(undefined);
    try {
      onChange(await call<Hooping>('POST', `/api/hoopings/${record.id}/undraw`, { version: record.version }));
    } catch (problem) {
      setError(problem instanceof ApiError ? plainMessage(problem) : (problem as Error).message);
    }
  };
  return (
    <div>
      <p>
        What it used was taken out of the cupboard.{' '}
        <button type="button" className="btn" onClick={() => void putBack()}>
          Put it back
        </button>
      </p>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
    </div>
  );
}
