import { adviseLining, type LiningQuestion } from '../core/lining';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { stockThere } from '../store/stock';

/** A cloth of the cupboard as a lining. */
export interface OfferedLining {
  clothId: string;
  name: string;
  score: number;
  reasons: string[];
  cautions: string[];
  /** A roll or a piece of it is there. */
  atHand: boolean;
}

export interface OfferedLinings {
  ranked: OfferedLining[];
  ruledOut: { clothId: string; name: string; reason: string }[];
}

/** As many are told when nothing is said. */
const USUAL = 12;

/** Which cloths of the cupboard serve as a lining: the person's own before those of the library where they are alike. */
export function linings(db: Db, { limit = USUAL, ...question }: LiningQuestion & { limit?: number | undefined }): OfferedLinings {
  const all = cloths.all(db);
  const own = all.filter(({ origin }) => origin === 'own');
  const names = new Set(own.map(({ name }) => name.toLowerCase()));
  const library = all.filter(({ origin, name }) => origin !== 'own' && !names.has(name.toLowerCase()));
  const there = new Set(stockThere(db).flatMap(({ ofKind, ofId }) => (ofKind === 'cloth' ? [ofId] : [])));
  const { ranked, ruledOut } = adviseLining(question, [...own, ...library]);
  return {
    ranked: ranked.slice(0, limit).map(({ cloth, score, reasons, cautions }) => ({
      ...{ clothId: cloth.id, name: cloth.name, score, reasons, cautions },
      atHand: there.has(cloth.id),
    })),
    ruledOut: ruledOut.map(({ cloth, reason }) => ({ clothId: cloth.id, name: cloth.name, reason })),
  };
}
