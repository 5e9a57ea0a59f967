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
    const known = evidenceOf(plan, { ...START_STATE, stamps });
    expect(known.get('not-cooled')).toBe('it was taken up after 2 of 12 minutes');
    const late = [stamps[0]!, { step: 1, at: '2026-01-01T10:13:00.000Z' }];
    expect(evidenceOf(plan, { ...START_STATE, stamps: late }).size).toBe(0);
    const onFound = vi.fn();
    render(<WhatItMayBe {...{ troubles: ['lifts', 'lifts', 'bubbles'], known, onFound, found: ['lifts/finish'] }} />);
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
});
