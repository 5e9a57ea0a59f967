import { kitCount, kitItems, type KitCount, type KitItem, type KitJob } from '../core/kit';
import { InputError } from '../core/input-error';
import { workedSince } from '../store/bench-runs';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { readKit, type KeptKit } from '../store/kits';
import { knownLayers } from '../store/materials';
import { projects, type Project } from '../store/projects';
import { workOf } from '../store/workpieces';
import type { Label } from '../formats/pdf';
import { codeAddress } from './code-address';

/** The bag of one thing of a project, as its screen, its label and its print tell it. */
export interface ShownKit {
  project: { id: string; name: string; makes: number; variant: string };
  copy: number;
  items: KitItem[];
  kept: KeptKit;
  count: KitCount;
}

/** @param copy from 1 @throws {NotFoundError} {InputError} for one that is not made */
export function kitOf(db: Db, projectId: string, copy: number): ShownKit {
  const project = projects.get(db, projectId);
  if (!Number.isInteger(copy) || copy < 1 || copy > project.makes)
    throw new InputError('copy', `must be from 1 to ${project.makes}, saw ${copy}`);
  return shown(db, project, copy, partsOf(db, project));
}

/** All bags of a project. */
export function kitsOf(db: Db, projectId: string): ShownKit[] {
  const project = projects.get(db, projectId);
  const parts = partsOf(db, project);
  return Array.from({ length: project.makes }, (_, k) => shown(db, project, k + 1, parts));
}

function shown(db: Db, project: Project, copy: number, { cutPieces, jobs, nameOf }: ReturnType<typeof partsOf>): ShownKit {
  const { id, name, makes, variant } = project;
  const items = kitItems(project, cutPieces, jobs, nameOf, copy);
  const kept = readKit(db, id, copy);
  return { project: { id, name, makes, variant }, copy, items, kept, count: kitCount(items, kept) };
}

function partsOf(db: Db, project: Project) {
  const { workpieces, cutPieces } = workOf(db, [project.id]);
  const filed = new Set(
    db
      .prepare('SELECT DISTINCT job_id AS id FROM log_entry WHERE deleted_at IS NULL AND job_id IS NOT NULL')
      .all()
      .map((row) => (row as { id: string }).id),
  );
  const worked = workedSince(db, project.createdAt);
  const isOn = (id: string) => filed.has(id) || worked.has(id);
  // Layers that are on their pieces already are packed with them; liquids are in no bag.
  const jobs = workpieces.map(({ id, cutId, name, count, cutDone, stack }): KitJob => ({
    ...{ id, cutId, name, count, cutDone },
    layers: isOn(id)
      ? []
      : knownLayers(db, stack?.layers ?? []).flatMap(({ material }, position) =>
          material.form === 'liquid' ? [] : [{ name: material.name, position }],
        ),
  }));
  const names = new Map(cloths.byIds(db, cutPieces.flatMap(({ clothId }) => clothId ?? [])).map(({ id, name }) => [id, name])); // prettier-ignore
  return { cutPieces, jobs, nameOf: (id: string) => names.get(id) ?? 'a cloth that is gone' };
}

/** Where the bag of one thing is opened. */
const kitPath = (projectId: string, copy: number): string => `/projects/${projectId}/kits/${copy}`;

/** What is written on the label of a bag, and where its code leads. */
export function kitLabel({ project, copy, items, kept }: ShownKit, request: Request): Label {
  const several = project.makes > 1 ? `, ${copy} of ${project.makes}` : '';
  const papers = items.filter(({ group }) => group === 'pattern').length;
  return {
    title: `${project.name}${several}`,
    lines: [
      ...(project.variant ? [project.variant] : []),
      ...items.flatMap(({ group, count, name }) => (group === 'pattern' ? [] : [`${count} × ${name}`])),
      ...(papers > 0 ? [`${papers} × paper pattern`] : []),
      ...(kept.place ? [`Lies: ${kept.place}`] : []),
    ],
    url: codeAddress(request, kitPath(project.id, copy)),
  };
}
