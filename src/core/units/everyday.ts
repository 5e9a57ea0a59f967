/**
 * Writes a sum in minor units. The currency sign is the person's own text, shown as they typed it.
 *
 * @example formatMoney(1250, '€') // '€12.50'
 */
export function formatMoney(minor: number, sign: string): string {
  return `${sign}${(minor / 100).toFixed(2)}`;
}

/**
 * Writes a time in seconds the way a timer is read: `8 s`, `2 min 30 s`, `1 h 20 min`.
 *
 * @example formatDuration(90) // '1 min 30 s'
 */
export function formatDuration(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole} s`;
  const minutes = Math.floor(whole / 60);
  const rest = whole % 60;
  if (minutes < 60) return rest > 0 && minutes < 10 ? `${minutes} min ${rest} s` : `${Math.round(whole / 60)} min`;
  const roundedMinutes = Math.round(whole / 60);
  const left = roundedMinutes % 60;
  return `${Math.floor(roundedMinutes / 60)} h${left > 0 ? ` ${left} min` : ''}`;
}
