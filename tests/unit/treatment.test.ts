import { beforeEach, describe, expect, it } from 'vitest';
import { openSeeded } from '../../src/server/database';
import { finishTable } from '../../src/server/cut-work';
import { shoppingNeeds } from '../../src/server/shopping-needs';
import { tableParts } from '../../src/server/sound-table';
import { treatmentOfCloth } from '../../src/server/treatment';
import { fingerprint, usualOptions } from '../../src/core/cutlist';
import { cutTables } from '../../src/store/cut-tables';
import { cuts } from '../../src/store/cuts';
import type { Db } from '../../src/store/database';
import { loadDemo } from '../../src/store/demo';
import { jobs, type KeptLayer } from '../../src/store/jobs';
import { logEntries } from '../../src/store/log';
import { stock } from '../../src/store/stock';
import { getWorkpiece } from '../../src/store/workpieces';

describe('cloth that is wetted heavily', () => {
  let db: Db;
  const JOB = 'tq-wc-welt';
  const cutId = () => jobs.get(db, JOB).cutId;
  const clothId = () => cuts.get(db, cutId()).clothId!;
  /** Gives the job a stack of starch, and says whether its pieces are cut already. */
  const starch = (join: KeptLayer['join'], cutAlready = false) => {
    const job = jobs.get(db, JOB);
    const layers: KeptLayer[] = [{ materialId: 'starch', extent: 'full', angle: 0, ...(join ? { join } : {}) }];
    const { setting: _found, ...stack } = job.stack!;
    jobs.update(db, JOB, { ...job, stack: { ...stack, layers }, wish: { ...job.wish, cutAlready } }, job.version);
  };
  beforeEach(() => {
    db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
  });

  it('shrinks before it is cut, or after where the pieces are cut already; a mist does nothing', () => {
    const treatment = () => treatmentOfCloth(db, clothId(), [cutId()]);
    expect(treatment()).toBeNull();
    starch(undefined);
    expect(treatment()).toBeNull();
    starch('damp');
    expect(treatment()).toMatchObject({ when: 'before', length: 0.025 });
    starch('full', true);
    expect(treatment()).toMatchObject({ when: 'after', length: 0.025 });
  });

  it('shrinks by what was read on the same cloth and stack', () => {
    starch('full');
    const filed = {
      ...{
        jobId: JOB,
        benchRunId: null,
        kind: 'scrap',
        doneOn: '2026-05-02',
        title: 'Scrap',
        clothId: clothId(),
        clothName: 'c',
      },
      ...{ stackTitle: 's', layerIds: ['starch__full'], settings: { ironDots: 2, seconds: 0, steam: false, cover: 'none' } },
      ...{
        checks: { held: [], failed: [] },
        outcome: 'good',
        predictedBendingLength: null,
        predictedLow: null,
        predictedHigh: null,
      },
      ...{ overhang: null, measuredBendingLength: null, stitched: null, causes: [], note: '' },
      shape: { along: 6, across: null, bias: null },
    } as const;
    logEntries.insert(db, structuredClone(filed) as never);
    expect(treatmentOfCloth(db, clothId(), [cutId()])!.length).toBeCloseTo(0.06, 9);
  });

  it('table and shopping list ask the same, and so much more comes off the roll', () => {
    starch('full');
    const { workpiece, projectId } = { workpiece: getWorkpiece(db, JOB), projectId: getWorkpiece(db, JOB).projectId };
    const need = shoppingNeeds(db, [projectId]).find(({ material }) => material.kind === 'cloth' && material.id === clothId())!;
    expect(need.treatment).toEqual(treatmentOfCloth(db, clothId(), [cutId()]));
    const roll = stock.insert(db, {
      ...{ kind: 'roll', ofKind: 'cloth', ofId: clothId(), width: 1400, length: 5000, count: 1, outline: null, spots: [] },
      ...{ place: '', note: '', fromTable: null, usedBy: null },
    });
    const options = { ...usualOptions(need.material, [roll]), squaring: 30 };
    const asked = { ofKind: 'cloth' as const, ofId: clothId(), options, workIds: [workpiece.cutId] };
    const parts = tableParts(db, asked);
    expect(parts.sources[0]!.source.length).toBeCloseTo(5000 * 0.975 - 30, 6);
    const table = cutTables.insert(db, {
      ...asked,
      ...{ projectId, locked: [], done: null, fingerprint: fingerprint(parts.items) },
      laid: [{ sourceId: roll.id, placements: [], length: 1950, density: 0.5 }],
    });
    finishTable(db, table.id, { doneOn: '2026-05-02', keep: [], version: table.version });
    expect(stock.get(db, roll.id).length).toBeCloseTo(5000 - (1950 / 0.975 + 30), 6);
  });
});
