import { addDays, format, parseISO } from 'date-fns';
import type { Db } from '../store/database';
import { cloths } from '../store/cloths';
import { hoopings } from '../store/hoopings';
import { projects } from '../store/projects';
import { washesDue as scrapsDue } from '../store/scraps';
import { workpiecesByIds } from '../store/workpieces';

/** Something that is to be looked at once it was washed. */
export interface DueWash {
  id: string;
  title: string;
  clothName: string;
  /** Local date. */
  washDue: string;
  href: string;
  kind: 'scrap' | 'motif';
}

/** A thing that was stitched has been through its first wash by then, as a rule, days. */
const FIRST_WASH = 30;
/** How a thing is cared for when a wash says nothing of it. */
const NEVER_WASHED = ['none', 'dry-clean'];

/** Scraps and motifs whose look after the wash is still to come, earliest first; of what was deleted nobody is left to look at it. */
export function washesDue(db: Db): DueWash[] {
  const scraps = scrapsDue(db);
  const motifs = hoopings
    .list(db, 'result IS NOT NULL', [], 'updated_at DESC, id')
    .filter(({ result }) => result!.washed === null);
  const jobIds = [...scraps, ...motifs].flatMap(({ jobId }) => jobId ?? []);
  const works = new Map(workpiecesByIds(db, jobIds).map((work) => [work.id, work]));
  const projectIds = [...works.values(), ...motifs].flatMap(({ projectId }) => projectId ?? []);
  const open = new Set(projects.byIds(db, [...new Set(projectIds)]).map(({ id }) => id));
  const nameOf = new Map(cloths.list(db).map(({ id, name }) => [id, name]));
  const due = scraps.flatMap(({ id, jobId, stackTitle, clothName, washDue }): DueWash[] => {
    const projectId = works.get(jobId)?.projectId;
    if (projectId === undefined || !open.has(projectId)) return [];
    const href = `/projects/${projectId}?job=${jobId}&stage=scrap`;
    return [{ id, title: stackTitle, clothName, washDue: washDue!, href, kind: 'scrap' }];
  });
  for (const { id, jobId, projectId, name, clothId, result } of motifs) {
    const work = jobId === null ? undefined : works.get(jobId);
    if (jobId !== null && !work) continue;
    if (projectId !== null && !open.has(projectId)) continue;
    if (work && NEVER_WASHED.includes(work.wish.care)) continue;
    const washDue = format(addDays(parseISO(result!.doneOn), FIRST_WASH), 'yyyy-MM-dd');
    due.push({
      id,
      title: name,
      clothName: nameOf.get(clothId) ?? '',
      washDue,
      href: `/hoop/jobs/${id}?stage=check`,
      kind: 'motif',
    });
  }
  return due.sort((a, b) => a.washDue.localeCompare(b.washDue));
}
