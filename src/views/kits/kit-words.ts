import type { KitCount } from '../../core/kit';

/** How a bag stands, in a few words. @example kitWords({ packed: 3, missing: 0, taken: 0, open: 0 }) // 'complete' */
export function kitWords({ packed, missing, taken, open }: KitCount): string {
  if (packed === 0 && missing === 0 && taken === 0) return 'not packed yet';
  const rest = [
    missing > 0 ? `${missing} missing` : '',
    taken > 0 ? `${taken} taken out` : '',
    open > 0 ? `${open} to pack` : '',
  ];
  const words = rest.filter(Boolean).join(', ');
  return words === '' ? 'complete' : `${packed} packed, ${words}`;
}
