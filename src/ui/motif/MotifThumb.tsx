import { useEffect, useRef, useState } from 'react';
import { drawStitches } from './draw-motif';
import { fetchMotif } from './fetch-motif';

interface Props {
  motif: {
    id: string;
    name: string;
    colours: string[];
    figures: { bounds: { minX: number; minY: number; maxX: number; maxY: number } };
  };
  /** Longest side, px. */
  size: number;
}

const ROOM = 6;

/** A motif as thread, small. */
export default function MotifThumb({ motif: { id, name, colours, figures }, size }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [failed, setFailed] = useState(false);
  // A shelf may hold hundreds: stitches are fetched when their picture comes into view.
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const watch = new IntersectionObserver((entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true), {
      rootMargin: '200px',
    });
    watch.observe(canvas.current!);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    if (!seen) return undefined;
    let gone = false;
    fetchMotif(id, name)
      .then((motif) => {
        const context = canvas.current?.getContext('2d');
        if (gone || !context) return;
        const { minX, minY, maxX, maxY } = figures.bounds;
        const dense = devicePixelRatio || 1;
        const scale = ((size - 2 * ROOM) * dense) / Math.max(1, maxX - minX, maxY - minY);
        context.clearRect(0, 0, size * dense, size * dense);
        const view = {
          scale,
          x: (size * dense - (maxX - minX) * scale) / 2 - minX * scale,
          y: (size * dense + (maxY - minY) * scale) / 2 + minY * scale,
        };
        drawStitches(context, motif, colours, view, 0, motif.command.length);
      })
      .catch(() => setFailed(true));
    return () => {
      gone = true;
    };
  }, [seen, id, name, colours, figures, size]);
  const dense = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;
  return (
    <span
      role="img"
      aria-label={`The motif ${name}`}
      className="motif-ground block shrink-0 overflow-hidden rounded"
      style={{ width: size, height: size }}
    >
      {failed ? (
        <span className="quiet block p-2 text-sm">not to be drawn</span>
      ) : (
        <canvas
          ref={canvas}
          width={size * dense}
          height={size * dense}
          style={{ width: size, height: size }}
          aria-hidden="true"
        />
      )}
    </span>
  );
}
