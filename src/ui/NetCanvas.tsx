import { useEffect, useRef } from 'react';

interface Props {
  /** Height of the drawing against its width. */
  aspect: number;
  label: string;
  /** Draws what is to be seen; another function where that is something else. */
  draw: (pen: CanvasRenderingContext2D, element: HTMLCanvasElement) => void;
}

/** A canvas as sharp as the screen. */
export default function NetCanvas({ aspect, label, draw }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    const pen = element?.getContext('2d');
    if (!element || !pen) return undefined;
    // Frames that come faster than the screen shows them are drawn once.
    const request = requestAnimationFrame(() => {
      const width = element.clientWidth * devicePixelRatio;
      if (element.width !== Math.round(width)) {
        element.width = Math.round(width);
        element.height = Math.round(width * aspect);
      }
      pen.clearRect(0, 0, element.width, element.height);
      draw(pen, element);
    });
    return () => cancelAnimationFrame(request);
  }, [aspect, draw]);
  return (
    <canvas ref={canvas} role="img" aria-label={label} className="block w-full" style={{ aspectRatio: String(1 / aspect) }} />
  );
}
