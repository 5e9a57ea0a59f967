import { useEffect, useRef } from 'react';
import type { Learnt } from '../../server/learnt';
import { scatterChart } from '../../ui/scatter-chart';

/** Readings in order of time, the figure before them dashed, the figure with them drawn through. */
export default function LearntChart({ learnt, label }: { learnt: Learnt; label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return undefined;
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string) => style.getPropertyValue(name);
    const { readings, before, now } = learnt;
    const level = (y: number, dashed: boolean) => ({
      data: [
        { x: 0.5, y },
        { x: readings.length + 0.5, y },
      ],
      showLine: true,
      pointRadius: 0,
      borderColor: dashed ? colour('--color-base-content') : colour('--color-primary'),
      borderDash: dashed ? [5, 4] : [],
      borderWidth: 2,
    });
    const chart = scatterChart(canvas.current, {
      type: 'scatter',
      data: {
        datasets: [
          {
            data: readings.map(({ value }, i) => ({ x: i + 1, y: value })),
            pointRadius: 5,
            pointStyle: readings.map(({ held }) => (held === false ? 'crossRot' : 'circle')),
            pointBackgroundColor: colour('--color-primary'),
            pointBorderColor: colour('--color-base-content'),
          },
          level(before, true),
          level(now, false),
        ],
      },
      options: {
        animation: false,
        aspectRatio: 3,
        plugins: { tooltip: { filter: (item) => item.datasetIndex === 0 } },
        scales: {
          x: { min: 0.5, max: readings.length + 0.5, ticks: { display: false }, grid: { display: false } },
          y: {
            beginAtZero: true,
            ticks: { color: colour('--color-base-content'), font: { size: 13 } },
            grid: { color: colour('--color-base-300') },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [learnt]);
  return (
    <div className="relative w-full min-w-0 overflow-hidden">
      <canvas ref={canvas} role="img" aria-label={label} />
    </div>
  );
}
