import { useEffect, useState } from 'react';

export interface ShownCode {
  code: string;
  until: string;
  url: string;
  /** A picture of the address with the code, SVG. */
  qr: string;
}

interface Props {
  shown: ShownCode;
  fingerprint: string;
  onOver: () => void;
  /** Asked now and then: whether a device has come in. */
  onLook: () => void;
}

/** The code by which one device comes in, with the seconds that it lasts. */
export default function PairingCode({ shown: { code, until, url, qr }, fingerprint, onOver, onLook }: Props) {
  const [now, setNow] = useState(() => Date.now());
  const left = Math.max(0, Math.round((Date.parse(until) - now) / 1000));
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now());
      onLook();
    }, 2000);
    return () => clearInterval(timer);
  }, [onLook]);
  useEffect(() => {
    if (left === 0) onOver();
  }, [left, onOver]);
  return (
    <div className="flex flex-wrap items-center gap-5 border-l-4 border-accent pl-4">
      {qr && (
        <img
          src={`data:image/svg+xml,${encodeURIComponent(qr)}`}
          alt="The same address to photograph"
          className="size-44 rounded bg-white"
        />
      )}
      <div className="min-w-56 flex-1">
        <p>Photograph it with the tablet, or open there</p>
        <p className="font-semibold break-all">{url.replace(/\?.*$/, '')}</p>
        <p className="mt-1">and type</p>
        <p className="text-4xl font-bold tracking-widest tabular-nums" aria-label={`Code ${code.split('').join(' ')}`}>
          {code.slice(0, 3)} {code.slice(3)}
        </p>
        <p className="quiet mt-1" role="timer">
          For one device, another {left >= 90 ? `${Math.ceil(left / 60)} minutes` : `${left} seconds`}.
        </p>
        <p className="quiet mt-2 text-[0.95rem]">
          The tablet warns once that it does not know this computer’s certificate. It is the right one if it begins with{' '}
          <span className="tabular-nums">{fingerprint.slice(0, 23)}</span>.
        </p>
      </div>
    </div>
  );
}
