import { useEffect, useRef } from 'react';
import { scatterChart } from '../../ui/scatter-chart';
import type { MeasuredPair } from '../../store/log';

/** Measured against expected bending length, one point a reading. */
export default function PredictionChart({ pairs }: { pairs: MeasuredPair[] }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return undefined;
    const style = getComputedStyle(document.documentElement);
    const ink = style.getPropertyValue('--color-base-content');
    const grid = style.getPropertyValue('--color-base-300');
    const chalk = style.getPropertyValue('--color-primary');
    const most = Math.ceil((Math.max(...pairs.flatMap(({ measured, predicted }) => [measured, predicted])) * 1.06) / 20) * 20;
    const axis = (title: string) => ({
      min: 0,
      max: most,
      title: { display: true, text: title, color: ink, font: { size: 14 } },
      ticks: { color: ink, font: { size: 13 }, stepSize: most > 80 ? 40 : 20 },
      grid: { color: grid },
    });
    const chart = scatterChart(canvas.current, {
      type: 'scatter',
      data: {
        datasets: [
          {
            data: pairs.map(({ predicted, measured }) => ({ x: predicted, y: measured })),
            pointRadius: 5,
            pointBackgroundColor: chalk,
            pointBorderColor: ink,
          },
          {
            data: [
              { x: 0, y: 0 },
              { x: most, y: most },
            ],
            showLine: true,
            pointRadius: 0,
            borderColor: ink,
            borderDash: [5, 4],
            borderWidth: 1.5,
          },
        ],
      },
      options: {
        animation: false,
        aspectRatio: 1.1,
        plugins: {
          tooltip: {
            callbacks: {
              label: (item) => {
                const entry = pairs[item.dataIndex];
                return entry
                  ? `${entry.title}: expected ${Math.round(entry.predicted)}, measured ${Math.round(entry.measured)} mm`
                  : '';
              },
            },
            filter: (item) => item.datasetIndex === 0,
          },
        },
        scales: { x: axis('expected'), y: axis('measured') },
      },
    });
    return () => chart.destroy();
  }, [pairs]);
  return (
    <div className="relative w-full min-w-0 overflow-hidden">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Measured against expected bending length of ${pairs.length} readings; the list beside it has the same figures`}
      />
    </div>
  );
}
