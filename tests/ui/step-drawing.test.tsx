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

  it('shows a layer where it lies on a piece that lies face down: on the other side', () => {
    const wide: [number, number][] = [[0, 0], [400, 0], [400, 100], [0, 100]]; // prettier-ignore
    const atTheLeft: [number, number][] = [[10, 10], [60, 10], [60, 90], [10, 90]]; // prettier-ignore
    const middleOf = (act: 'lay-face-down' | 'cut') => {
      const { container, unmount } = render(<StepDrawing act={act} outline={wide} region={[atTheLeft]} />);
      const widths = [...container.querySelectorAll('path')]
        .map((each) => [...each.getAttribute('d')!.matchAll(/[ML]([\d.]+) [\d.]+/g)].map((match) => Number(match[1])))
        .filter((xs) => xs.length === 4)
        .map((xs) => ({ from: Math.min(...xs), to: Math.max(...xs) }));
      unmount();
      return widths;
    };
    const [piece, layer] = middleOf('lay-face-down') as [{ from: number; to: number }, { from: number; to: number }];
    // An eighth of the piece's length, at its right end; the layer is drawn a little apart from it.
    expect((layer.to - layer.from) / (piece.to - piece.from)).toBeCloseTo(0.125, 2);
    expect(layer.from).toBeGreaterThan((piece.from + piece.to) / 2);
  });
});
