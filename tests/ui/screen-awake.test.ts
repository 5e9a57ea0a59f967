import { fireEvent, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { keepScreenAwake } from '../../src/ui/screen-awake';

const film = { enable: vi.fn(async () => {}), disable: vi.fn() };
vi.mock('nosleep.js', () => ({
  default: class {
    enable = film.enable;
    disable = film.disable;
  },
}));

describe('the screen stays lit', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('by the lock of the browser, taken again when the page is seen again, given back once', async () => {
    const release = vi.fn(async () => {});
    const request = vi.fn(async () => ({ release }));
    vi.stubGlobal('navigator', { wakeLock: { request } });
    const end = keepScreenAwake();
    expect(request).toHaveBeenCalledTimes(1);
    document.dispatchEvent(new Event('visibilitychange'));
    await waitFor(() => expect(request).toHaveBeenCalledTimes(2));
    end();
    end();
    document.dispatchEvent(new Event('visibilitychange'));
    expect(request).toHaveBeenCalledTimes(2);
    expect(release).toHaveBeenCalledTimes(1);
    expect(film.enable).not.toHaveBeenCalled();
  });

  it('by a silent film where there is no lock, from the first touch on', async () => {
    vi.stubGlobal('navigator', {});
    const end = keepScreenAwake();
    expect(film.enable).not.toHaveBeenCalled();
    fireEvent.pointerDown(document.body);
    await waitFor(() => expect(film.enable).toHaveBeenCalledTimes(1));
    end();
    expect(film.disable).toHaveBeenCalledTimes(1);
    // Ended before it was touched, nothing is played at all.
    keepScreenAwake()();
    fireEvent.pointerDown(document.body);
    await Promise.resolve();
    expect(film.enable).toHaveBeenCalledTimes(1);
  });
});
