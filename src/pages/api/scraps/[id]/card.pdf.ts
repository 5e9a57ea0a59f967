import { CARE_WORDS } from '../../../../core/choose';
import { overhangFromBendingLength } from '../../../../core/cloth';
import { isGlued, joinedAs, usedOf } from '../../../../core/layers';
import { scrapCard } from '../../../../formats/pdf';
import { fileEndpoint } from '../../../../server/endpoint';
import { database } from '../../../../server/database';
import { layers } from '../../../../store/layers';
import { scraps } from '../../../../store/scraps';
import { readSettings } from '../../../../store/settings';
import { getWorkpiece } from '../../../../store/workpieces';

/** The card to pin to the scrap. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const db = database();
  const scrap = scraps.get(db, params['id']!);
  const part = getWorkpiece(db, scrap.jobId);
  const used = scrap.layerIds.map(usedOf);
  const found = layers.evenDeleted(
    db,
    used.map(({ materialId }) => materialId),
  );
  const materials = used.flatMap(({ materialId, join }) => {
    const material = found.find(({ id }) => id === materialId);
    return material ? [joinedAs(material, join)] : [];
  });
  const asked = url.searchParams.get('paper');
  const paper = asked === 'letter' || (asked !== 'a4' && readSettings(db).settings.units === 'inch') ? 'letter' : 'a4';
  const bytes = await scrapCard(
    {
      pieceName: part.name,
      clothName: scrap.clothName,
      stackTitle: scrap.stackTitle,
      plan: scrap.plan,
      ...(scrap.plan.stacks ? { stackTitles: scrap.plan.stacks.map(({ title }) => title) } : {}),
      // Stacks that are compared may be glued though the job's own is not.
      glued: scrap.plan.grid === 'candidates' || (scrap.plan.grid !== 'spray' && materials.some(({ form }) => isGlued(form))),
      sheets: materials.some(({ form }) => form !== 'liquid'),
      predicted: scrap.predicted,
      expectedOverhang: overhangFromBendingLength(scrap.predicted.bendingLength),
      washed: CARE_WORDS[part.wish.care],
    },
    paper,
  );
  return { name: `scrap-card-${part.name}.pdf`, type: 'application/pdf', bytes };
});
