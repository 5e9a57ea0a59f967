import { fireEvent, render, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import WhatItMayBe from '../../src/views/bench/WhatItMayBe';
import { evidenceOf, START_STATE, type BenchPlan } from '../../src/core/bench';
import { troublesFor } from '../../src/views/remedies/find-troubles';
import RemediesView from '../../src/views/remedies/RemediesView';

describe('remedies', () => {
  it.each([
    ['bubbles', 'Bubbles between cloth and layer'],
    ['peeling', 'It lifts at an edge or a corner'],
    ['puckers after the wash', 'Puckers after the wash'],
    ['glue through', 'Glue came through to the face'],
    ['cardboard', 'Stiff as board'],
    ['ridge', 'The edge of the layer shows as a ridge'],
    ['shiny', 'Glue came through to the face'],
    ['glue on the iron', 'Glue on the iron'],
    ['dull', 'Dull or flat patches'],
    ['flakes', 'Flakes or scorched starch'],
    ['outline drift', 'The outline does not meet the fill'],
    ['tunnels', 'Puckers or tunnels round dense parts'],
    ['sunken', 'Stitches have sunk in'],
    ['hoop burn', 'Marks of the hoop'],
    ['dent', 'A dent round the motif after washing'],
    ['corner tore', 'A corner or the point of a slash tore'],
    ['does not turn', 'The seam does not turn, or the machine stalls'],
  ])('“%s” finds “%s”', (words, seen) => {
    const found = troublesFor(words).map((trouble) => trouble.seen);
    expect(found).toContain(seen);
    expect(found.length).toBeLessThan(6);
  });

  it('opens what it finds, says when it finds nothing, and shows all again', () => {
    render(<RemediesView start="" units="metric" />);
    const field = screen.getByRole('searchbox', { name: 'What you see' });
    fireEvent.change(field, { target: { value: 'dent' } });
    expect(screen.getByRole('status')).toHaveTextContent('1 trouble');
    expect(screen.getByText('Leave 3 to 6 mm all round.')).toBeVisible();
    fireEvent.change(field, { target: { value: 'zebra' } });
    fireEvent.click(screen.getByRole('button', { name: 'Show all' }));
    expect(screen.getByText('Bubbles between cloth and layer')).toBeVisible();
  });

  it('tells a reader of inches in inches', () => {
    render(<RemediesView start="dent" units="inch" />);
    expect(screen.getByText('Leave ⅛ to ¼ in all round.')).toBeVisible();
  });

  it('at the bench begins with what the run speaks for', () => {
    const steps = [
      { id: 'cool', stage: 'apply', kind: 'wait', act: 'cool', seconds: 720, title: 'Leave it flat', detail: '' },
      { id: 'check', stage: 'check', kind: 'check', act: 'check', title: 'Check it', detail: '' },
    ];
    const plan = { pieceName: 'Collar', steps } as unknown as BenchPlan;
    const stamps = [
      { step: 0, at: '2026-01-01T10:00:00.000Z' },
      { step: 1, at: '2026-01-01T10:02:00.000Z' },
    ];
    const state = { ...START_STATE, stamps };
    const known = evidenceOf(plan, state);
    expect(known.get('not-cooled')).toBe('it was taken up after 2 of 12 minutes');
    const late = [stamps[0]!, { step: 1, at: '2026-01-01T10:13:00.000Z' }];
    expect(evidenceOf(plan, { ...START_STATE, stamps: late }).size).toBe(0);
    const onFound = vi.fn();
    render(
      <WhatItMayBe
        {...{ troubles: ['lifts', 'lifts', 'bubbles'], plan, state, work: undefined, onFound, found: ['lifts/finish'] }}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'It lifts at an edge or a corner' }));
    const causes = within(screen.getByRole('region', { name: /^What it may be/ })).getAllByRole('listitem');
    expect(causes[0]).toHaveTextContent('It was moved or lifted while it was warm.');
    expect(causes[0]).toHaveTextContent('This run: it was taken up after 2 of 12 minutes.');
    fireEvent.click(within(causes[0]!).getByRole('button', { name: /^It was this/ }));
    expect(onFound).toHaveBeenCalledWith('lifts/moved-warm', true);
    const finish = screen.getByRole('button', { name: /^It was this: There is a finish/ });
    expect(finish).toHaveAttribute('aria-pressed', 'true');
    fireEvent.click(finish);
    expect(onFound).toHaveBeenLastCalledWith('lifts/finish', false);
  });

  it('where it lifts is touched, and the stops over that place are told, with the one that was paused', () => {
    const square = (side: number, x = 0) => [[x, 0], [x + side, 0], [x + side, side], [x, side]]; // prettier-ignore
    const stops = [0, 90, 180].map((x) => ({ x, y: 0, rotation: 0 }));
    const plan = {
      ...{ pieceName: 'Panel', outline: [...square(300)], plate: square(100), regions: [[[square(260, 40)]]] },
      steps: [
        { id: 'press', stage: 'apply', kind: 'press', act: 'press', seconds: 12, title: 'Press', detail: '', layer: 0, stops },
        { id: 'check', stage: 'check', kind: 'check', act: 'check', title: 'Check it', detail: '' },
      ],
    } as unknown as BenchPlan;
    const state = { ...START_STATE, step: 1, paused: [{ step: 0, stop: 2, left: 5 }] };
    const props = { troubles: ['lifts', 'shine'], plan, state, work: undefined, onFound: vi.fn(), found: [] };
    // The picture's own units are read as they are drawn; the piece lies face down.
    vi.stubGlobal('DOMPoint', class { constructor(public x: number, public y: number) {} matrixTransform() { return this; } }); // prettier-ignore
    Object.assign(SVGElement.prototype, { getScreenCTM: () => ({ inverse: () => undefined }) });
    render(<WhatItMayBe {...props} />);
    fireEvent.click(screen.getByRole('button', { name: 'It lifts at an edge or a corner' }));
    const drawn = screen.getByRole('img', { name: 'What was pressed, with 3 stops of the iron' });
    const first = () => screen.getAllByRole('listitem')[0]!;
    expect(first()).toHaveTextContent('This run: stop 3 was paused at 7 of 12 s.');
    fireEvent.click(drawn, { clientX: -95, clientY: -50 });
    expect(screen.getByRole('status')).toHaveTextContent('Under stops 1 and 2: press these two again.');
    expect(first()).not.toHaveTextContent('This run');
    fireEvent.click(drawn, { clientX: -250, clientY: -50 });
    expect(screen.getByRole('status')).toHaveTextContent('Under stop 3: press it again.');
    expect(first()).toHaveTextContent('This run: stop 3 was paused at 7 of 12 s.');
    fireEvent.click(drawn, { clientX: -250, clientY: -250 });
    expect(screen.getByRole('status')).toHaveTextContent('No stop of the iron lay over this place');
    // Where no layer lies nothing can let go, whatever the iron did there.
    fireEvent.click(drawn, { clientX: -20, clientY: -280 });
    expect(screen.getByRole('status')).toHaveTextContent('Nothing is fused at this place.');
    expect(first()).not.toHaveTextContent('This run');
    fireEvent.change(screen.getByLabelText(/or by its stop/), { target: { value: '1' } });
    expect(screen.getByRole('status')).toHaveTextContent('Under stop 1: press it again.');
    // What has nothing to do with a stop is not asked where it is.
    fireEvent.click(screen.getByRole('button', { name: 'It lifts at an edge or a corner' }));
    expect(screen.queryByRole('img')).toBeNull();
  });
});
