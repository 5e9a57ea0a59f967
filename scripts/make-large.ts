/**
 * Makes a database of the size that is promised: 10 000 layers, 5 000 entries in the logbook, 1 000 projects with their parts, on top
 * of the demo. Made-up names; the same every time. Usage: tsx scripts/make-large.ts FILE
 */
import { rmSync } from 'node:fs';
import { seeded } from '../src/core/random';
import { LIBRARY_LAYERS } from '../src/core/library';
import { openSeeded } from '../src/server/database';
import { loadDemo } from '../src/store/demo';
import { cloths } from '../src/store/cloths';
import { layers } from '../src/store/layers';
import { logEntries } from '../src/store/log';
import { cuts } from '../src/store/cuts';
import { jobs } from '../src/store/jobs';
import { pieces } from '../src/store/pieces';
import { projects } from '../src/store/projects';

const SIZE = { layers: 10_000, log: 5000, projects: 1000, piecesEach: 4 };

const path = process.argv[2];
if (!path) throw new Error('Name the file to make.');
for (const beside of ['', '-wal', '-shm']) rmSync(path + beside, { force: true });
const db = openSeeded(path);
loadDemo(db, { onlyIfEmpty: true });
const random = seeded(7);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
db.transaction(() => {
  const there = layers.list(db).length;
  for (let i = there; i < SIZE.layers; i++) {
    const { id: _id, ...like } = pick(LIBRARY_LAYERS);
    const factor = 0.7 + 0.6 * random();
    layers.insert(db, {
      ...like,
      name: `${like.name.replace(/, \d+ g$/, '')}, batch ${i}, ${Math.round(like.arealDensity * factor)} g`,
      arealDensity: Math.round(like.arealDensity * factor * 10) / 10,
      bendingLength: Math.round(like.bendingLength * factor ** 0.5 * 10) / 10,
      note: '',
      origin: 'own',
      inStock: random() < 0.2,
      estimated: [],
      fibres: [],
      tests: {},
      bottle: {},
    });
  }
  const allCloths = cloths.list(db);
  const demoJobs = jobs.list(db, 'stack IS NOT NULL', [], 'id');
  const demoLog = logEntries.list(db, '1', [], 'id');
  const made: string[] = [];
  for (let i = 0; i < SIZE.projects; i++) {
    const project = projects.insert(db, {
      name: `Garment ${i + 1} for the ${pick(['spring', 'harbour', 'lantern', 'winter'])} stall`,
      note: '',
      makes: 1,
      variant: '',
      care: null,
      notions: [],
      archived: false,
    });
    for (let k = 0; k < SIZE.piecesEach; k++) {
      const job = pick(demoJobs);
      const cut = cuts.get(db, job.cutId);
      const done = random() < 0.8;
      const piece = pieces.get(db, cut.pieceId);
      const own = pieces.insert(db, { ...piece, projectId: project.id, name: `${piece.name} ${k + 1}`, position: k + 1 });
      const { id: cutId } = cuts.insert(db, { ...cut, pieceId: own.id, done });
      made.push(jobs.insert(db, { ...job, cutId, cutDone: done }).id);
    }
  }
  for (let i = demoLog.length; i < SIZE.log; i++) {
    const { id: _id, version: _v, createdAt: _c, updatedAt: _u, ...like } = pick(demoLog);
    const cloth = pick(allCloths);
    const day = new Date(Date.UTC(2024, 0, 1 + Math.floor(random() * 1000))).toISOString().slice(0, 10);
    logEntries.insert(db, {
      ...like,
      clothId: cloth.id,
      clothName: cloth.name,
      jobId: pick(made),
      benchRunId: null,
      doneOn: day,
    });
  }
})();
db.pragma('wal_checkpoint(TRUNCATE)');
db.close();
