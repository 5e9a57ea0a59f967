import { sheetSizes } from '../core/hoop';
import { InputError } from '../core/input-error';
import { keptKey } from '../core/layers';
import { openPiece, type Place } from '../core/pieces';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { hoopings, type Hooping } from '../store/hoopings';
import { hoops } from '../store/hoops';
import { jobs, type KeptLayer, type KeptStack } from '../store/jobs';
import { knownLayers } from '../store/materials';
import { motifs } from '../store/motifs';
import { findWorkpiece, type Workpiece } from '../store/workpieces';
import { giveStacks } from './plan-project';
import { chosenSheets, loadOf } from './motif-work';
import { judgedAnew } from './scrap-work';

/**
 * What was found for a motif in the hoop goes back to the job of the project that it is for: its sheets in the size that the hoop needs,
 * its liquids, judged under this motif, and where on the piece it lies.
 *
 * @returns the job as it is now, and what takes it back @throws {InputError} without a job or a stack {StaleError}
 */
export function stackToJob(db: Db, id: string, version: number): ReturnType<typeof giveStacks> {
  return db
    .transaction(() => {
      const hooping = hoopings.get(db, id);
      if (hooping.version !== version) throw new StaleError(hooping);
      const work = hooping.jobId === null ? undefined : findWorkpiece(db, hooping.jobId);
      if (!work) throw new InputError('jobId', 'is of no job of a project');
      if (!hooping.stack) throw new InputError('stack', 'is missing; say what lies under the motif first');
      const embroidery = loadOf(db, motifs.get(db, hooping.motifId)).whole;
      const before = work.stack?.layers ?? [];
      const hoop = hooping.hoopId === null ? undefined : hoops.find(db, hooping.hoopId);
      const sheets = sheetSizes(hoop, chosenSheets(db, hooping.stack.layers), hooping.floats);
      const layers = hooping.stack.layers.map(({ materialId, angle, join }): KeptLayer => {
        // What the job says of a layer that it has already (how it is cut, how far it reaches) stays.
        const same = before.find((each) => keptKey(each) === keptKey({ materialId, join }));
        const [known] = knownLayers(db, [{ materialId, angle, extent: 'field', join }]);
        const extent = known?.material.form === 'liquid' ? 'full' : 'field';
        const sheet = extent === 'field' ? sheets.get(materialId) : undefined;
        const cut = sheet && { cut: { ...same?.cut, sheet } };
        return { ...(same ?? { materialId, extent, ...(join ? { join } : {}) }), angle, ...cut };
      });
      const wish = { ...work.wish, embroidery: { ...work.wish.embroidery, ...embroidery } };
      const { predicted, reasons, cautions, stops } = judgedAnew(db, { ...work, wish }, { layers });
      const job = jobs.get(db, work.id);
      const { cut: _cut, ...own } = wish;
      const stack: KeptStack = {
        ...{ title: hooping.stack.title, layers, predicted, reasons, own: true },
        cautions: [...stops.map(({ words }) => words), ...cautions].slice(0, 30),
        ...(stops.length > 0 ? { accepted: [...new Set(stops.map((stop) => stop.id))] } : {}),
      };
      return giveStacks(db, work.projectId, [
        { jobId: job.id, version: job.version, stack, place: placeOn(work, hooping), wish: { ...job.wish, ...own } },
      ]);
    })
    .immediate();
}

/** Where on its piece the motif lies, when it was placed on that piece; undefined where it was placed on other cloth. */
function placeOn(work: Workpiece, { ground, place: { x, y } }: Hooping): Place | undefined {
  if (work.place.kind !== 'field' && work.place.kind !== 'usual') return undefined;
  try {
    const { outline } = openPiece(work);
    return JSON.stringify(outline) === JSON.stringify(ground.outline) ? { kind: 'field', at: [x, y] } : undefined;
  } catch {
    return undefined;
  }
}
