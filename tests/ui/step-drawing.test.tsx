import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ACTS } from '../../src/core/steps';
import StepDrawing from '../../src/ui/steps/StepDrawing';

const long: [number, number][] = [[0, 0], [40, 0], [40, 600], [0, 600]]; // prettier-ignore

describe('the drawing of a step', () => {
  it.each(ACTS)('of “%s” has words of its own, and nothing that is no number', (act) => {
    render(<StepDrawing act={act} outline={long} />);
    const drawing = screen.getByRole('img');
    expect(drawing.getAttribute('aria-label')!.length).toBeGreaterThan(20);
    expect(drawing.innerHTML).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('shows a long piece along the table', () => {
    const { container } = render(<StepDrawing act="rest" outline={long} />);
    const path = [...container.querySelectorAll('path')]
      .map((each) => each.getAttribute('d')!)
      .find((d) => /^M[\d.]+\.\d [\d.]+L/.test(d))!;
    const [xs, ys] = [0, 1].map((k) => [...path.matchAll(/[ML]([\d.]+) ([\d.]+)/g)].map((match) => Number(match[k + 1])));
    expect(Math.max(...xs!) - Math.min(...xs!)).toBeGreaterThan(5 * (Math.max(...ys!) - Math.min(...ys!)));
  });
});
