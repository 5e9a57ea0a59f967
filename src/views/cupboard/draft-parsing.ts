import { FIBRES, type Fibre, type FibreShare } from '../../core/cloth';
import { InputError } from '../../core/input-error';

/** Reads `55 cotton, 45 linen` or `cotton 55 linen 45`; a fibre alone counts as 100 %. */
export function readFibres(text: string): FibreShare[] {
  const words = text
    .toLowerCase()
    .replace(/[%,;+&]/g, ' ')
    .split(/\s+/)
    .filter((word) => word && word !== 'and');
  const shares: FibreShare[] = [];
  let percent: number | undefined;
  let fibre: Fibre | undefined;
  const flush = () => {
    if (fibre !== undefined) shares.push({ fibre, percent: percent ?? 100 });
    fibre = undefined;
    percent = undefined;
  };
  for (const word of words) {
    const value = Number(word);
    if (Number.isFinite(value)) {
      if (fibre !== undefined) {
        percent = value;
        flush();
      } else percent = value;
    } else {
      if (fibre !== undefined) flush();
      if (!FIBRES.includes(word as Fibre))
        throw new InputError('fibres', `“${word}” is not a fibre that is known here; use ${FIBRES.join(', ')}`);
      fibre = word as Fibre;
      if (percent !== undefined) flush();
    }
  }
  flush();
  return shares;
}

export function writeFibres(shares: readonly FibreShare[]): string {
  return shares.map(({ fibre, percent }) => `${percent} ${fibre}`).join(', ');
}

/** What stands beside a field for a width of cloth or a length of a piece: a bare number counts in its unit. */
export const WIDTH_HINT = { metric: '140 cm', inch: '54 in' } as const;
