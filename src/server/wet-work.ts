import { fabricOf, type Fabric } from '../core/cloth';
import { InputError } from '../core/input-error';
import { methodOf, type Method } from '../core/liquid';
import { openPiece, pieceSize } from '../core/pieces';
import { polygonArea } from '../core/shape';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import { projects } from '../store/projects';
import { workOf } from '../store/workpieces';

/** A job whose stack holds a liquid, as far as its liquid is concerned. */
export interface WetJob {
  id: string;
  name: string;
  project: string;
  liquid: string;
  method: Method;
  count: number;
  /** mm², all copies. What is wet through is treated as a length, before it is cut. */
  area: number;
  clothName: string;
  arealDensity: number;
  tone: Fabric['tone'];
  fibres: Fabric['fibres'];
  water: Fabric['water'];
}

/** So many projects are looked through, last touched first. */
const MOST_PROJECTS = 50;

/** Jobs of open projects in which something is sprayed, starched or soaked. */
export function wetJobs(db: Db): WetJob[] {
  const shown = projects.list(db, 'archived = 0', [], 'updated_at DESC, rowid', { limit: MOST_PROJECTS });
  const { workpieces } = workOf(
    db,
    shown.map(({ id }) => id),
  );
  return workpieces.flatMap((work): WetJob[] => {
    const liquid = knownLayers(db, work.stack?.layers ?? []).find(({ material }) => material.form === 'liquid')?.material;
    const cloth = work.clothId === null ? undefined : cloths.find(db, work.clothId);
    if (!liquid || !cloth) return [];
    const method = methodOf(liquid);
    try {
      const piece = openPiece(work);
      const { width, height } = pieceSize(piece);
      const area = (method === 'soak' ? width * height : polygonArea(piece.outline)) * work.count;
      const { arealDensity, tone, fibres, water } = fabricOf(cloth);
      return [
        {
          ...{ id: work.id, name: work.name, project: shown.find(({ id }) => id === work.projectId)?.name ?? '' },
          ...{ liquid: liquid.name, method, count: work.count, area },
          ...{ clothName: cloth.name, arealDensity, tone, fibres, water },
        },
      ];
    } catch (error) {
      // A piece that cannot be drawn is told where it is described.
      if (!(error instanceof InputError)) throw error;
      return [];
    }
  });
}
