/** With what it is pressed: a hand iron, or a flat press with a heated plate. */
export const PRESS_TOOLS = ['iron', 'press'] as const;
export type PressTool = (typeof PRESS_TOOLS)[number];

/** Seconds to lift an iron and set it down on the next stop. */
export const MOVE_SECONDS = 4;
