import { useCallback, useEffect, useRef, useState } from 'react';
import { codePlace } from '../../core/code';
import { Beside, GivenUp } from '../../ui/beside';
import type { Codes } from '../../workers/code.worker';

/** The camera is looked at this often, ms, in pictures of this width. */
const EVERY = 250;
const WIDTH = 720;

/** Reads codes by the camera or from a photograph, and opens the place that one leads to. */
export function useCodeReader() {
  const beside = useRef<Beside<Codes>>(undefined);
  beside.current ??= new Beside<Codes>(
    () => new Worker(new URL('../../workers/code.worker.ts', import.meta.url), { type: 'module' }),
  );
  const reader = beside.current;
  const video = useRef<HTMLVideoElement>(null);
  const [camera, setCamera] = useState<'off' | 'asked' | 'on'>('off');
  const [busy, setBusy] = useState(false);
  const [words, setWords] = useState<string>();
  const stop = useRef<() => void>(() => {});
  useEffect(
    () => () => {
      stop.current();
      reader.close();
    },
    [reader],
  );

  /** @returns whether it leads anywhere here */
  const follow = useCallback((said: string | undefined): boolean => {
    const place = said === undefined ? undefined : codePlace(said);
    if (place === undefined) {
      setWords(said === undefined ? 'No code is seen in it. Take it closer, and level.' : 'That code is none of this house.');
      return false;
    }
    location.assign(place);
    return true;
  }, []);

  const photograph = useCallback(
    async (file: File) => {
      setBusy(true);
      setWords(undefined);
      try {
        follow(await reader.ask((codes) => codes.photograph(file)));
      } catch (problem) {
        if (!(problem instanceof GivenUp)) setWords((problem as Error).message);
      } finally {
        setBusy(false);
      }
    },
    [reader, follow],
  );

  const look = useCallback(async () => {
    setWords(undefined);
    setCamera('asked');
    let stream: MediaStream;
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
    } catch {
      setCamera('off');
      setWords('The camera cannot be used here. Take a photograph of the code instead.');
      return;
    }
    setCamera('on');
    let going = true;
    stop.current = () => {
      going = false;
      stream.getTracks().forEach((track) => track.stop());
      setCamera('off');
    };
    const picture = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!;
    while (going) {
      const own = video.current;
      if (own && own.srcObject !== stream) {
        own.srcObject = stream;
        await own.play().catch(() => {});
      }
      if (own && own.videoWidth > 0) {
        const [width, height] = [WIDTH, Math.round((WIDTH * own.videoHeight) / own.videoWidth)];
        picture.canvas.width = width;
        picture.canvas.height = height;
        picture.drawImage(own, 0, 0, width, height);
        const { data } = picture.getImageData(0, 0, width, height);
        const said = await reader.ask((codes) => codes.frame(data, width, height)).catch(() => undefined);
        if (going && said !== undefined && follow(said)) stop.current();
      }
      await new Promise((later) => setTimeout(later, EVERY));
    }
  }, [reader, follow]);

  return { video, camera, busy, words, look: () => void look(), stop: () => stop.current(), photograph };
}
