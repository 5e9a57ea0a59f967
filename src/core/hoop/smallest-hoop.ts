import type { Hoop } from './hoop';

/**
 * The hoop to start with: the smallest in whose field a motif has room, either way round, since it holds the cloth best; the
 * largest where none has room.
 *
 * @param width @param height of the motif, mm @returns index, or undefined without hoops
 * @example smallestHoop([hoop], 120, 80) // 0
 */
export function smallestHoop(hoops: readonly Hoop[], width: number, height: number): number | undefined {
  const order = hoops
    .map(({ fieldWidth, fieldHeight, outerWidth, outerHeight }, i) => ({
      i,
      area: outerWidth * outerHeight,
      fits: (width <= fieldWidth && height <= fieldHeight) || (height <= fieldWidth && width <= fieldHeight),
    }))
    .sort((a, b) => a.area - b.area);
  return (order.find(({ fits }) => fits) ?? order.at(-1))?.i;
}
