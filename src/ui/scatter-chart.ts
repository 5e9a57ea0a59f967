import { Chart, LineElement, LinearScale, PointElement, ScatterController, Tooltip, type ChartConfiguration } from 'chart.js';

/** Draws a chart of points and lines, with what of the library that needs. */
export function scatterChart(canvas: HTMLCanvasElement, config: ChartConfiguration<'scatter'>): Chart<'scatter'> {
  // The body face; a canvas does not inherit it.
  Chart.defaults.font.family = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";
  Chart.register(ScatterController, LinearScale, PointElement, LineElement, Tooltip);
  return new Chart(canvas, config);
}
