import type { MachineStopKind } from './use-machine';

/** Why the machine stands, and what is done then. */
export const STOP_WORDS: Record<MachineStopKind, string> = {
  colour: 'Change the thread',
  break: 'The thread is broken',
  pause: 'Paused',
  done: 'It is sewn',
};
export const STOP_HELP: Record<MachineStopKind, string> = {
  colour: 'Cut the old thread, put the new one in, hands clear, and start.',
  break: 'Thread it anew; look at needle and path. It begins a few stitches before the break.',
  pause: 'Needle up. It goes on where it stands.',
  done: 'Take the hoop off before you cut anything. Look at it in the hoop first.',
};
