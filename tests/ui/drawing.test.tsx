import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { hullOf } from '../../src/core/hoop';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { STITCH, type Motif } from '../../src/core/motif';
import type { DrawnShape } from '../../src/core/shape';
import OutlineEditor from '../../src/ui/outline-editor/OutlineEditor';
import { UnitsProvider } from '../../src/ui/units-context';
import PlaceStage from '../../src/views/hooping/PlaceStage';
import type { Placed } from '../../src/views/hooping/stages';
import { pick, press, type } from './typing';

const RECTANGLE: DrawnShape = {
  kind: 'drawn',
  edges: [{ from: [0, 0] }, { from: [200, 0] }, { from: [200, 100] }, { from: [0, 100] }],
};

describe('an outline', () => {
  const draw = () => {
    const done = vi.fn();
    render(
      <UnitsProvider value="metric">
        <OutlineEditor shape={RECTANGLE} name="Flap" onDone={done} onClose={() => {}} />
      </UnitsProvider>,
    );
    const take = async () => {
      await press('Take this outline');
      return (done.mock.calls.at(-1)![0] as DrawnShape).edges.map(({ from }) => from);
    };
    return { done, take };
  };
  const hold = (name: string) => screen.getByRole('button', { name }).focus();

  it.each([
    ['{ArrowRight}', [201, 100]],
    ['{ArrowLeft}', [199, 100]],
    ['{ArrowUp}', [200, 101]],
    ['{ArrowDown}', [200, 99]],
    ['{Shift>}{ArrowUp}{/Shift}', [200, 110]],
  ])('has its corner moved by the key %s', async (key, place) => {
    const { take } = draw();
    hold('Corner 3');
    await userEvent.keyboard(key);
    expect((await take())[2]).toEqual(place);
  });

  it('loses a corner with the delete key, and has it back with undo', async () => {
    const { take } = draw();
    hold('Corner 3');
    await userEvent.keyboard('{Delete}');
    expect(screen.getByText(/^3 corners\./)).toBeVisible();
    await press('Undo');
    expect(await take()).toHaveLength(4);
  });

  it('has an edge as long as was typed, and a corner where was typed', async () => {
    const { take } = draw();
    hold('Edge 1');
    await waitFor(() => expect(screen.getByLabelText('Length')).toBeVisible());
    await type('Length', '150 mm');
    await userEvent.tab();
    hold('Corner 3');
    await waitFor(() => expect(screen.getByText('Corner 3')).toBeVisible());
    await type('Up', '12 cm');
    const corners = await take();
    expect(corners[1]).toEqual([150, 0]);
    expect(corners[2]![1]).toBe(120);
  });

  it('that crosses itself is told and cannot be taken', async () => {
    draw();
    hold('Corner 3');
    await waitFor(() => expect(screen.getByText('Corner 3')).toBeVisible());
    await type('Up', '-50');
    expect(screen.getByRole('alert')).toHaveTextContent(/cannot be cut/);
    expect(screen.getByRole('button', { name: 'Take this outline' })).toBeDisabled();
  });
});

describe('a motif on its cloth', () => {
  const hoop = (id: string, size: number) => ({
    id,
    name: id,
    shape: 'rectangle' as const,
    kind: 'screw' as const,
    mount: 'arm' as const,
    mountSide: 'left' as const,
    fieldWidth: size,
    fieldHeight: size,
    outerWidth: size + 46,
    outerHeight: size + 50,
    clamp: 14,
    note: '',
    version: 1,
    createdAt: '2026-01-01T00:00:00Z',
    updatedAt: '2026-01-01T00:00:00Z',
  });
  const hoops = [hoop('small', 100), hoop('large', 180)];
  const outline: [number, number][] = [[0, 0], [400, 0], [400, 400], [0, 400]]; // prettier-ignore
  const hull = hullOf([[-30, -20], [30, -20], [30, 20], [-30, 20]]); // prettier-ignore
  const stitches: Motif = {
    name: 'Lantern',
    x: Float64Array.of(-30, 30, 30, -30),
    y: Float64Array.of(-20, -20, 20, 20),
    command: new Uint8Array(4).fill(STITCH),
  };
  const heard = vi.fn();
  const set = vi.fn();

  function Stage({ frozen = false }: { frozen?: boolean }) {
    const [placed, setPlaced] = useState<Placed>({
      ground: { outline, obstacles: [], strips: [] },
      hoopId: 'small',
      place: { x: 200, y: 200, angle: 0, flipped: false },
      hoopPlace: null,
      floats: false,
    });
    return (
      <UnitsProvider value="metric">
        <PlaceStage
          hoopingId="h"
          job={null}
          onSaveFirst={() => Promise.resolve(undefined)}
          motif={{ id: 'm', name: 'Lantern', colours: ['#203050'], figures: { bounds: { minX: -30, minY: -20, maxX: 30, maxY: 20 } } } as never} // prettier-ignore
          cloth={{ id: 'linen', name: 'Linen', fabric: LIBRARY_CLOTHS[0]! }}
          marks={false}
          role="embroidery"
          cloths={[]}
          wish={{ cut: 'straight', care: 'wash-warm' }}
          piece={null}
          sheets={[]}
          hoops={hoops}
          settings={{} as never}
          hull={hull}
          stitches={stitches}
          placed={placed}
          count={6}
          pairs={false}
          frozen={frozen}
          stack={null}
          onStack={() => {}}
          canUndo={false}
          canRedo={false}
          onUndo={() => {}}
          onRedo={() => {}}
          onPlace={(next) => (heard(next), setPlaced((was) => ({ ...was, ...next })))}
          onSet={set}
          onNext={() => {}}
        />
      </UnitsProvider>
    );
  }
  const placed = () => (heard.mock.calls.at(-1)![0] as Placed).place;

  it.each([
    ['{ArrowRight}', { x: 201, y: 200 }],
    ['{ArrowLeft}', { x: 199, y: 200 }],
    ['{ArrowUp}', { x: 200, y: 201 }],
    ['{ArrowDown}', { x: 200, y: 199 }],
    ['{Shift>}{ArrowDown}{/Shift}', { x: 200, y: 190 }],
  ])('is moved by the key %s', async (key, place) => {
    render(<Stage />);
    await userEvent.keyboard(key);
    expect(placed()).toMatchObject(place);
  });

  it('is measured from its edges, and goes where is typed', async () => {
    render(<Stage />);
    const field = screen.getAllByLabelText(/^From the /)[0]!;
    fireEvent.change(field, { target: { value: '76.2 mm' } });
    const { x, y } = placed();
    expect(Math.min(x, y, 400 - x, 400 - y)).toBeCloseTo(76.2, 6);
  });

  it('takes another hoop, which is laid over it', async () => {
    render(<Stage />);
    await pick('Hoop', 'large');
    expect(heard.mock.calls.at(-1)![0]).toMatchObject({ hoopId: 'large' });
    expect((heard.mock.calls.at(-1)![0] as Placed).hoopPlace).not.toBeNull();
  });

  it('is one of as many as is typed, never of none', async () => {
    render(<Stage />);
    await userEvent.type(screen.getByLabelText(/At the same place on/), '{Backspace}0');
    expect(set).not.toHaveBeenCalledWith({ count: 0 });
    await userEvent.type(screen.getByLabelText(/At the same place on/), '4');
    expect(set).toHaveBeenCalled();
  });

  it('stays where it is once it is filed', async () => {
    heard.mockClear();
    render(<Stage frozen />);
    await userEvent.keyboard('{ArrowRight}');
    expect(heard).not.toHaveBeenCalled();
    expect(screen.getByLabelText('Hoop')).toBeDisabled();
  });
});
