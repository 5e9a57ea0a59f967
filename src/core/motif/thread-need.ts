/** Upper thread to buy for a length that is sewn: ends, and what is pulled out when it breaks. */
const WASTE = 1.1;
/** Lower thread for a length of upper thread: two thirds of a stitch's thread lie above, one third below. */
const LOWER = 0.5;
/** Thread on a wound bobbin, mm. */
const BOBBIN = 60_000;

/** Thread for a set. mm. */
export interface ThreadNeed {
  /** Upper thread of each colour, in the order of sewing. */
  colours: number[];
  /** Wound bobbins of lower thread. */
  bobbins: number;
}

/**
 * Thread that a motif takes.
 *
 * @param colours upper thread that is sewn in of each colour, mm @param count how often the motif is sewn
 * @example threadNeed([{ threadLength: 10_000 }], 6).colours[0] // 66000
 */
export function threadNeed(colours: readonly { threadLength: number }[], count: number): ThreadNeed {
  const upper = colours.map(({ threadLength }) => threadLength * count * WASTE);
  const sum = upper.reduce((all, each) => all + each, 0);
  return { colours: upper, bobbins: Math.ceil((sum * LOWER) / BOBBIN) };
}
