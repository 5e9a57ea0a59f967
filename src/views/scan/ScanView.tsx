import { Camera, ImageUp } from 'lucide-react';
import { useRef } from 'react';
import { useCodeReader } from './use-code-reader';

/** Labels, cards and bags by their code: held before the camera, or photographed, it opens what it lies on. */
export default function ScanView() {
  const { video, camera, busy, words, look, stop, photograph } = useCodeReader();
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <h1 className="text-2xl font-bold">Scan a label</h1>
      <p className="quiet">The code of a bag, a roll or a leftover opens what it belongs to.</p>
      <section className="sheet mt-4 max-w-xl space-y-4 p-4" aria-label="Scan">
        {camera === 'on' ? (
          <>
            <video ref={video} className="w-full rounded-box bg-neutral" muted playsInline aria-label="What the camera sees" />
            <button type="button" className="btn w-full" onClick={stop}>
              Stop the camera
            </button>
          </>
        ) : (
          <button type="button" className="btn btn-primary w-full" disabled={camera === 'asked'} onClick={look}>
            <Camera size={18} aria-hidden="true" /> Hold it before the camera
          </button>
        )}
        <input
          ref={picker}
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          aria-label="Photograph of a code"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void photograph(file);
          }}
        />
        <button type="button" className="btn w-full" disabled={busy} onClick={() => picker.current?.click()}>
          <ImageUp size={18} aria-hidden="true" /> {busy ? 'Reading it …' : 'Take a photograph of it'}
        </button>
        {words && (
          <p role="alert" className="font-semibold text-error">
            {words}
          </p>
        )}
      </section>
    </>
  );
}
