import { format, parseISO } from 'date-fns';

/** Keeps a figure and its unit on one line: “62 g” does not break. */
export function keepUnits(text: string): string {
  return text.replace(/(\d) (g|kg|mm|cm|m|in|ml|min|%)(?=$|[\s,;.+])/g, '$1\u00a0$2');
}

/** “1 piece”, “3 pieces”. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** Today where the person is, yyyy-mm-dd. */
export function today(): string {
  return format(new Date(), 'yyyy-MM-dd');
}

/** A date such as 2026-05-31 as people read it: 31 May 2026. */
export function readableDate(iso: string): string {
  return format(parseISO(iso.slice(0, 10)), 'd MMMM yyyy');
}
