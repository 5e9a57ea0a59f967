/**
 * Keeps the screen lit until what it returns is called. Where the browser has no lock for that, a silent film of a few frames does it, from the
 * first touch on: before it nothing may be played.
 */
export function keepScreenAwake(): () => void {
  const end = navigator.wakeLock ? lock(navigator.wakeLock) : film();
  let ended = false;
  return () => {
    if (!ended) end();
    ended = true;
  };
}

/** The browser's own lock; it is lost when the page is hidden and taken again when it is seen. */
function lock(wakeLock: WakeLock): () => void {
  let held: WakeLockSentinel | undefined;
  let wanted = true;
  const take = () => {
    if (document.visibilityState !== 'visible') return;
    wakeLock.request('screen').then(
      (given) => {
        held = given;
        if (!wanted) void given.release();
      },
      () => undefined,
    );
  };
  take();
  document.addEventListener('visibilitychange', take);
  return () => {
    wanted = false;
    document.removeEventListener('visibilitychange', take);
    void held?.release();
  };
}

function film(): () => void {
  let playing: { disable: () => void } | undefined;
  let wanted = true;
  const begin = async () => {
    const { default: NoSleep } = await import('nosleep.js');
    if (!wanted) return;
    const made = new NoSleep();
    playing = made;
    try {
      await made.enable();
    } catch {
      // It goes dark then, as it would without.
    }
  };
  const touched = () => void begin();
  addEventListener('pointerdown', touched, { once: true });
  addEventListener('keydown', touched, { once: true });
  return () => {
    wanted = false;
    removeEventListener('pointerdown', touched);
    removeEventListener('keydown', touched);
    playing?.disable();
  };
}
