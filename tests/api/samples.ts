/** A shirting and a collar of it, as they are sent. */
export const FABRIC = {
  construction: 'woven',
  weave: 'plain',
  fibres: [{ fibre: 'cotton', percent: 100 }],
  arealDensity: 115,
  stretchLength: 1,
  stretchCross: 2,
  ironDots: 3,
  water: 'safe',
  sheer: 'opaque',
  tone: 'light',
  surface: [],
  fray: 'low',
};
export const PART = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };

interface Flat {
  clothId?: string | null;
  wish: Record<string, unknown>;
  count: number;
  pairs?: boolean;
  oneWay?: boolean;
  stack?: object | null;
  [field: string]: unknown;
}

/** A piece with one cut and one job, as it is sent, from what all three say in one. */
export function pieceOf({ clothId = null, wish, count, pairs, oneWay, stack, ...piece }: Flat) {
  const { cut: orientation, ...wished } = wish;
  const job = { place: { kind: 'usual' }, wish: wished, ...(stack === undefined ? {} : { stack }) };
  return {
    ...piece,
    cuts: [
      {
        ...{ clothId, count, orientation, jobs: [job] },
        ...(pairs === undefined ? {} : { pairs }),
        ...(oneWay === undefined ? {} : { oneWay }),
      },
    ],
  };
}
