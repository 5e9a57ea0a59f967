import { DUTY_WORDS, type CutPiece } from '../workpiece';

/** One line of what belongs into the bag of one thing. */
export interface KitItem {
  /** Names it for as long as it belongs to the project. */
  key: string;
  group: 'cloth' | 'layer' | 'notion' | 'pattern';
  name: string;
  /** Pieces of it in one bag. */
  count: number;
  /** What it is cut from, and whether half of them are mirrored. */
  of: string;
  /** Whether it is there to be packed: cut, or bought. */
  ready: boolean;
}

/** A job with its layers as a bag holds them. */
export interface KitJob {
  id: string;
  cutId: string;
  name: string;
  /** Of all things that are made. */
  count: number;
  /** Layers that are cut and lie beside the cloth; none once they are on it. */
  layers: readonly { name: string; position: number }[];
  cutDone: boolean;
}

interface Project {
  makes: number;
  notions: readonly { name: string; count: number; there: boolean }[];
}

/**
 * What belongs into the bag of one thing: its cloth pieces, layers that are not on them yet, notions, and the paper patterns, which go round with
 * the first bag.
 *
 * @param cuts with counts of all things that are made
 * @param clothName by the id of a cloth
 * @param copy which of the things that are made, from 1
 * @example kitItems({ makes: 2, notions: [{ name: 'zip', count: 1, there: true }] }, [], [], () => '', 2).map(({ key }) => key) // ['notion/zip']
 */
export function kitItems(
  project: Project,
  cuts: readonly CutPiece[],
  jobs: readonly KitJob[],
  clothName: (id: string) => string,
  copy: number,
): KitItem[] {
  const each = (count: number) => Math.max(1, Math.round(count / project.makes));
  const cloth = cuts.flatMap(({ id, pieceName, duty, clothId, count, pairs, done }): KitItem[] => {
    if (clothId === null) return [];
    const name = duty === 'shell' ? pieceName : `${pieceName}, ${DUTY_WORDS[duty]}`;
    const halves = pairs && each(count) > 1 ? ', half of them mirrored' : '';
    return [{ key: `cut/${id}`, group: 'cloth', name, count: each(count), of: `${clothName(clothId)}${halves}`, ready: done }];
  });
  const layers = jobs.flatMap(({ id, name, count, layers: own, cutDone }) =>
    own.map((layer): KitItem => ({
      ...{ key: `layer/${id}/${layer.position}`, group: 'layer', name: `Layer for ${name}` },
      ...{ count: each(count), of: layer.name, ready: cutDone },
    })),
  );
  const notions = project.notions.map(({ name, count, there }, k): KitItem => ({
    // By its name, so that its state stays when others are taken out; a second one of the same name by its turn.
    ...{ key: `notion/${name}${turnOf(project.notions, k)}`, group: 'notion', name, count, of: '', ready: there },
  }));
  const patterns = new Map(copy === 1 ? cuts.map(({ pieceId, pieceName }) => [pieceId, pieceName]) : []);
  const papers = [...patterns].map(([id, name]): KitItem => ({
    ...{ key: `pattern/${id}`, group: 'pattern', name, count: 1, of: 'paper pattern', ready: true },
  }));
  return [...cloth, ...layers, ...notions, ...papers];
}

/** Which one of several of the same name it is; nothing for the first. */
function turnOf(notions: Project['notions'], k: number): string {
  const before = notions.slice(0, k).filter(({ name }) => name === notions[k]!.name).length;
  return before > 0 ? `/${before + 1}` : '';
}
