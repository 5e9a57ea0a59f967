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
import { parts } from '../src/store/parts';
import { projects } from '../src/store/projects';

const SIZE = { layers: 10_000, log: 5000, projects: 1000, partsEach: 4 };

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
    });
  }
  const allCloths = cloths.list(db);
  const demoParts = parts.list(db).filter(({ stack }) => stack);
  const demoLog = logEntries.list(db, '1', [], 'id');
  const made: string[] = [];
  for (let i = 0; i < SIZE.projects; i++) {
    const project = projects.insert(db, {
      name: `Garment ${i + 1} for the ${pick(['spring', 'harbour', 'lantern', 'winter'])} stall`,
      note: '',
    });
    for (let k = 0; k < SIZE.partsEach; k++) {
      const { id: _id, version: _v, createdAt: _c, updatedAt: _u, ...like } = pick(demoParts);
      made.push(parts.insert(db, { ...like, projectId: project.id, name: `${like.name} ${k + 1}`, cutDone: random() < 0.8 }).id);
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
      partId: pick(made),
      benchRunId: null,
      doneOn: day,
    });
  }
})();
db.pragma('wal_checkpoint(TRUNCATE)');
db.close();
