import type { InferType } from 'yup';
import { requireHoop, type Hoop } from '../../core/hoop';
import { InputError, within } from '../../core/input-error';
import { EDGE_RECIPES, recipeOf, RECIPES } from '../../core/recipes';
import { applyLayerTest, applyTest, type LayerTestId, type Readings, type TestId } from '../../core/measure';
import { mappedMotif, readMotif } from '../../formats/stitches';
import type { bundleSchema } from '../../schemas/bundle';
import { cloths, type ClothFields } from '../cloths';
import { cuts, type CutFields } from '../cuts';
import { cutTables, tablesOfProject, type CutTableFields } from '../cut-tables';
import type { Db } from '../database';
import { hoopings } from '../hoopings';
import { hoops, type HoopFields } from '../hoops';
import { kitOfCopy, kits } from '../kits';
import { layers, type LayerFields } from '../layers';
import { withEstimates, type LayerBody } from '../rules/layer';
import { logEntries } from '../log';
import { insertMotif, motifs } from '../motifs';
import { jobs, type JobFields } from '../jobs';
import { pieces, type PieceFields } from '../pieces';
import { projects } from '../projects';
import { requireHooping, type HoopingBody } from '../rules/hooping';
import { requireLog, type LogBody } from '../rules/log';
import { requireCut, requireJob, requirePiece } from '../rules/piece';
import { requireSeam } from '../rules/seam';
import { requireStock } from '../rules/stock';
import { requireTable } from '../rules/table';
import { recipes } from '../recipes';
import { scraps, type ScrapFields } from '../scraps';
import { seams } from '../seams';
import { stock } from '../stock';

export type Bundle = InferType<typeof bundleSchema>;

/** Kinds of records in a bundle, in an order in which each comes after what it points to. */
const KINDS = [
  'cloths',
  'layers',
  'projects',
  'pieces',
  'cuts',
  'jobs',
  'seams',
  'recipes',
  'kits',
  'log',
  'scraps',
  'stock',
  'tables',
  'hoops',
  'motifs',
  'hoopings',
] as const;
type Kind = (typeof KINDS)[number];

/** How many of each kind were new. */
export type ImportCount = Record<Kind, number>;

/** So many records are written in one go; others write in between. */
const PORTION = 100;

/**
 * Puts a bundle that its schema has passed into the database: all of it or nothing. What is kept by a form is kept by the same rules here.
 * Records whose id is there already are left as they are, so that the same file can be brought in twice; those that were deleted come back.
 *
 * @throws {InputError} naming the record and its field, also when it points to one that is neither in the bundle nor in the database
 */
export function importBundle(db: Db, bundle: Bundle): ImportCount {
  return db
    .transaction(() => {
      const bringing = bundleRows(db, bundle);
      for (let step = bringing.next(); ; step = bringing.next()) if (step.done) return step.value;
    })
    .immediate();
}

/**
 * The same in portions, each confirmed by itself, so that nobody waits for a large one. A bundle that has a fault must be found out before:
 * see {@link importBundle} on a copy.
 *
 * @param rest lets others write in between
 */
export function importInPortions(db: Db, bundle: Bundle, rest: () => void): ImportCount {
  const bringing = bundleRows(db, bundle);
  for (;;) {
    const done = db
      .transaction(() => {
        for (let i = 0; i < PORTION; i++) {
          const step = bringing.next();
          if (step.done) return step.value;
        }
        return undefined;
      })
      .immediate();
    if (done) return done;
    rest();
  }
}

/** Brings one record after the other, in the order in which they point to each other. @returns how many were new */
// A table of kinds, each with how it is brought in.
// eslint-disable-next-line max-lines-per-function
function* bundleRows(db: Db, bundle: Bundle): Generator<void, ImportCount> {
  const count = Object.fromEntries(KINDS.map((kind) => [kind, 0])) as ImportCount;
  const bring: { [K in Kind]: (record: Bundle[K][number]) => boolean } = {
    cloths: ({ id, ...cloth }) => {
      if (cloths.find(db, id)) return false;
      for (const [test, done] of Object.entries(cloth.tests as Record<string, { readings: Readings } | undefined>))
        if (done) within(`tests.${test}.readings`, () => applyTest(cloth as ClothFields, test as TestId, done.readings));
      cloths.bringIn(db, { ...cloth, origin: 'own' } as ClothFields, id);
      return true;
    },
    layers: ({ id, ...layer }) => {
      const there = layers.find(db, id);
      if (there) {
        if (layer.inStock && !there.inStock) layers.update(db, id, { ...there, inStock: true }, there.version);
        return false;
      }
      for (const [test, done] of Object.entries(layer.tests as Record<string, { readings: Readings } | undefined>))
        if (done)
          within(`tests.${test}.readings`, () =>
            applyLayerTest(layer as unknown as LayerFields & { id: string }, test as LayerTestId, done.readings),
          );
      layers.bringIn(db, withEstimates(layer as LayerBody, 'own'), id);
      return true;
    },
    projects: ({ id, ...project }) => {
      if (projects.find(db, id)) return false;
      projects.bringIn(db, project, id);
      return true;
    },
    pieces: ({ id, ...piece }) => {
      if (pieces.find(db, id)) return false;
      need(projects.find(db, piece.projectId), 'projectId', piece.projectId);
      pieces.bringIn(db, requirePiece(db, piece as PieceFields), id);
      return true;
    },
    cuts: ({ id, ...cut }) => {
      if (cuts.find(db, id)) return false;
      const piece = needed(pieces.find(db, cut.pieceId), 'pieceId', cut.pieceId);
      cuts.bringIn(db, requireCut(db, cut as CutFields, piece), id);
      return true;
    },
    jobs: ({ id, ...job }) => {
      if (jobs.find(db, id)) return false;
      const cut = needed(cuts.find(db, job.cutId), 'cutId', job.cutId);
      const piece = pieces.get(db, cut.pieceId);
      jobs.bringIn(db, requireJob(db, job as JobFields, { ...piece, own: cut.own }), id);
      return true;
    },
    seams: ({ id, ...seam }) => {
      if (seams.find(db, id)) return false;
      need(projects.find(db, seam.projectId), 'projectId', seam.projectId);
      seams.bringIn(db, requireSeam(db, seam), id);
      return true;
    },
    recipes: ({ id, ...recipe }) => {
      if (recipes.find(db, id)) return false;
      need(projects.find(db, recipe.projectId), 'projectId', recipe.projectId);
      requireRecipe(recipe);
      recipe.pieces.forEach((pieceId, k) => pieceId !== null && need(pieces.find(db, pieceId), `pieces[${k}]`, pieceId));
      const of = recipe.source && needed(pieces.find(db, recipe.source.pieceId), 'source.pieceId', recipe.source.pieceId);
      const source = recipe.source && of ? { ...recipe.source, among: recipe.source.among ?? of.allowances.length } : null;
      recipes.bringIn(db, { ...recipe, source, told: [] }, id);
      return true;
    },
    kits: ({ id, ...kit }) => {
      // What is packed here goes first.
      if (kits.find(db, id) || kitOfCopy(db, kit.projectId, kit.copy)) return false;
      need(projects.find(db, kit.projectId), 'projectId', kit.projectId);
      kits.bringIn(db, kit, id);
      return true;
    },
    log: ({ id, ...entry }) => {
      if (logEntries.find(db, id)) return false;
      logEntries.bringIn(db, requireLog(db, { ...entry, benchRunId: null } as LogBody), id);
      return true;
    },
    scraps: ({ id, ...scrap }) => {
      if (scraps.find(db, id)) return false;
      need(jobs.find(db, scrap.jobId), 'jobId', scrap.jobId);
      scraps.bringIn(db, scrap as unknown as ScrapFields, id);
      return true;
    },
    stock: ({ id, ...there }) => {
      if (stock.find(db, id)) return false;
      stock.bringIn(db, { ...requireStock(db, there), fromTable: null, usedBy: null }, id);
      return true;
    },
    tables: ({ id, ...table }) => {
      // A project has one open table of a material, and the one that is there goes first.
      if (cutTables.find(db, id) || openTable(db, table)) return false;
      need(projects.find(db, table.projectId), 'projectId', table.projectId);
      table.workIds.forEach((workId, k) => need(jobs.find(db, workId) ?? cuts.find(db, workId), `workIds[${k}]`, workId));
      const { projectId, ...body } = table;
      cutTables.bringIn(db, { ...requireTable(db, body), projectId, done: null } as CutTableFields, id);
      return true;
    },
    hoops: ({ id, ...hoop }) => {
      if (hoops.find(db, id)) return false;
      hoops.bringIn(db, requireHoop(hoop as Hoop) as HoopFields, id);
      return true;
    },
    motifs: ({ id, table, ...motif }) => {
      if (motifs.find(db, id)) return false;
      const read = readTable(table);
      const { density: _map, name: _name, ...figures } = mappedMotif(read);
      insertMotif(db, { ...motif, figures }, read.motif, id);
      return true;
    },
    hoopings: ({ id, result, ...hooping }) => {
      if (hoopings.find(db, id)) return false;
      hoopings.bringIn(db, { ...requireHooping(db, hooping as HoopingBody), result }, id);
      return true;
    },
  };
  for (const kind of KINDS)
    for (const [i, record] of (bundle[kind] as { id: string }[]).entries()) {
      if (within(`${kind}[${i}]`, () => (bring[kind] as (record: { id: string }) => boolean)(record))) count[kind]++;
      yield;
    }
  return count;
}

/**
 * A recipe may have made more pieces when it was used than it makes now: which of them it still makes is seen when its measures change.
 *
 * @throws {InputError} for a recipe that is not known, or that makes more pieces than are named
 */
function requireRecipe({ kind: of, measures, pieces: named, source }: Omit<Bundle['recipes'][number], 'id'>): void {
  const among: readonly { id: string }[] = source ? EDGE_RECIPES : RECIPES;
  if (!among.some(({ id }) => id === of))
    throw new InputError('kind', `is a recipe that is not known here: ${JSON.stringify(of)}`);
  // What is made from edges says when it is opened whether they are there.
  const kind = source ? undefined : RECIPES.find(({ id }) => id === of);
  if (!kind) return;
  const made = within('measures', () => recipeOf(kind, measures)).pieces.length;
  if (named.length < made)
    throw new InputError(
      'pieces',
      `must name the ${made} pieces of these measures (null for one that is gone), saw ${named.length}`,
    );
}

/** @throws {InputError} when something that is pointed to is not there */
function need(found: object | undefined, field: string, id: string): void {
  if (!found) throw new InputError(field, `points to ${JSON.stringify(id)}, which is not in this bundle or in the cupboard`);
}

/** @throws {InputError} when something that is pointed to is not there */
function needed<T extends object>(found: T | undefined, field: string, id: string): T {
  need(found, field, id);
  return found!;
}

/** Table of the same material in the same project on which nothing is cut yet. */
function openTable(db: Db, { projectId, ofKind, ofId }: Pick<CutTableFields, 'projectId' | 'ofKind' | 'ofId'>) {
  return tablesOfProject(db, projectId).find((table) => !table.done && table.ofKind === ofKind && table.ofId === ofId);
}

/** Stitches of a motif as they travel. @throws {InputError} naming the table, whatever in it is wrong */
function readTable(table: string) {
  try {
    return readMotif(new TextEncoder().encode(table));
  } catch (error) {
    if (error instanceof InputError) throw new InputError('table', error.message.slice(error.field.length + 2));
    throw error;
  }
}
